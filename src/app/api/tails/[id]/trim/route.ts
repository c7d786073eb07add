import { store } from '@/data/database'
import { lengthOf } from '@/data/http/length-text'
import { trimTail } from '@/data/parked-tails'
import { TrimRequest } from '@/features/tails/requests'
import { byId } from '../../../by-id'

/** Logs that a parked tail was trimmed, and books what is left of the packet that hung by it. */
export const POST = byId('parked tail', TrimRequest, (id, { left, unit }) =>
  trimTail(store(), id, left === undefined ? null : lengthOf(left, unit)),
)
