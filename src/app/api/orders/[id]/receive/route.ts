import { store } from '@/data/store/database'
import { receive } from '@/data/buying/receive'
import { ReceiveRequest } from '@/boundary/requests/orders'
import { byId } from '../../../by-id'

export const POST = byId('order', ReceiveRequest, (id, { arrived, place }) =>
  receive(store(), id, arrived, place),
)
