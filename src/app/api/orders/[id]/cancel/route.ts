import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { cancelOrder } from '@/data/buying/answer-order'
import { byId } from '../../../by-id'

export const POST = byId('order', Nothing, (id) => cancelOrder(store(), id))
