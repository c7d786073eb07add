import { store } from '@/data/store/database'
import { handIn } from '@/data/buying/desk'
import { Nothing } from '@/boundary/handle'
import { orderCsv } from '@/data/buying/order-sheet'
import { markSent, toSend } from '@/data/buying/answer-order'
import { byId } from '../../../by-id'

/** Sends an order to its supplier's desk. */
export const POST = byId('order', Nothing, (id) => {
  const order = toSend(store(), id)
  return markSent(store(), id, handIn(store(), order.supplier.slug, orderCsv(order), id, Date.now()))
})
