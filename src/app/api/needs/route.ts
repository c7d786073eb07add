import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { addNeeds } from '@/data/buying/need-list'
import { NeedsRequest } from '@/boundary/requests/orders'

/** Puts strings on the need list. */
export function POST(request: Request) {
  return handle(request, NeedsRequest, ({ wanted }) => addNeeds(store(), wanted))
}
