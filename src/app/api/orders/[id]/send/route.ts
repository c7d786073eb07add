import { store } from '@/data/database'
import { handIn } from '@/data/desk'
import { Nothing } from '@/data/http/handle'
import { orderCsv } from '@/data/order-sheet'
import { markSent, toSend } from '@/data/orders'
import { byId } from '../../../by-id'

/** Sends an order to its supplier's desk. */
export const POST = byId('order', Nothing, (id) => {
  const order = toSend(store(), id)
  return markSent(store(), id, handIn(store(), order.supplier.slug, orderCsv(order), id, Date.now()))
})
