import { store } from '@/data/store/database'
import { handIn } from '@/data/buying/desk'
import { Nothing } from '@/boundary/handle'
import { orderCsv } from '@/data/buying/order-sheet'
import { markSent, toSend } from '@/data/buying/answer-order'
import { byId } from '../../../by-id'

/** Sends an order to the simulator of its supplier. */
export const POST = byId('order', Nothing, (id) => {
  const order = toSend(store(), id)
  const ticket = handIn(store(), order.supplier.slug, orderCsv(order), id, Date.now())
  return markSent(store(), id, 'simulator', ticket)
})
