import { AnsweredRequest } from '@/boundary/requests/orders'
import { takeAnswer } from '@/data/buying/answer-order'
import { store } from '@/data/store/database'
import { byId } from '../../../by-id'

/** Records what a supplier answered to an order, as somebody heard or read it. */
export const POST = byId('order', AnsweredRequest, (id, { lines }) => takeAnswer(store(), id, lines))
