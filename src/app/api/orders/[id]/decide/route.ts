import { store } from '@/data/store/database'
import { decideSubstitution } from '@/data/buying/answer-order'
import { DecideRequest } from '@/boundary/requests/orders'
import { byId } from '../../../by-id'

export const POST = byId('order', DecideRequest, (id, { lineId, accept }) =>
  decideSubstitution(store(), id, lineId, accept),
)
