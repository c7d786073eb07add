import { store } from '@/data/database'
import { decideSubstitution } from '@/data/orders'
import { DecideRequest } from '@/features/orders/requests'
import { byId } from '../../../by-id'

export const POST = byId('order', DecideRequest, (id, { lineId, accept }) =>
  decideSubstitution(store(), id, lineId, accept),
)
