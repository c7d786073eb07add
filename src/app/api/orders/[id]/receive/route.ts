import { store } from '@/data/database'
import { receive } from '@/data/orders'
import { ReceiveRequest } from '@/features/orders/requests'
import { byId } from '../../../by-id'

export const POST = byId('order', ReceiveRequest, (id, { arrived, place }) =>
  receive(store(), id, arrived, place),
)
