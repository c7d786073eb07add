import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { cancelOrder } from '@/data/orders'
import { byId } from '../../../by-id'

export const POST = byId('order', Nothing, (id) => cancelOrder(store(), id))
