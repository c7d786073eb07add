import { SentRequest } from '@/boundary/requests/orders'
import { markSentByHand } from '@/data/buying/answer-order'
import { store } from '@/data/store/database'
import { byId } from '../../../by-id'

/** Records that somebody sent an order, and how. */
export const POST = byId('order', SentRequest, (id, { by }) => markSentByHand(store(), id, by))
