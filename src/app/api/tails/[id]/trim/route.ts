import { store } from '@/data/store/database'
import { lengthIfTold } from '@/boundary/length-text'
import { trimTail } from '@/data/fitted/parked-tails'
import { TrimRequest } from '@/boundary/requests/tails'
import { byId } from '../../../by-id'

/** Logs that a parked tail was trimmed, and books what is left of the packet that hung by it. */
export const POST = byId('parked tail', TrimRequest, (id, { left, unit }) =>
  trimTail(store(), id, lengthIfTold(left, unit)),
)
