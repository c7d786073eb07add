import { store } from '@/data/store/database'
import { deskState } from '@/data/buying/desk'
import { Nothing } from '@/boundary/handle'
import { takeDeskAnswer } from '@/data/buying/answer-order'
import { orderById } from '@/data/buying/orders'
import { Refusal } from '@/boundary/refusal'
import { byId } from '../../../by-id'

/** Asks the desk for its answer and takes it down. */
export const POST = byId('order', Nothing, (id) => {
  const order = orderById(store(), id)
  if (order.ticket === null) throw new Refusal(409, `Order ${id} is not sent yet.`)
  const { stage, lines } = deskState(store(), order.supplier.slug, order.ticket, Date.now())
  if (stage === 'received') throw new Refusal(409, `${order.supplier.name} has it and has not answered yet.`)
  return takeDeskAnswer(store(), id, lines)
})
