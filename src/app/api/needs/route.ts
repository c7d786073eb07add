import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { addNeeds } from '@/data/need-list'
import { NeedsRequest } from '@/features/orders/requests'

/** Puts strings on the need list. */
export function POST(request: Request) {
  return handle(request, NeedsRequest, ({ wanted }) => addNeeds(store(), wanted))
}
