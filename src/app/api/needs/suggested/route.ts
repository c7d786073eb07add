import { handle } from '@/app/api/handle'
import { SuggestedRequest } from '@/boundary/requests/orders'
import { addSuggestedNeeds } from '@/data/buying/suggested-needs'
import { store } from '@/data/store/database'

/** Puts all on the need list that belongs there, as it stands when this arrives. */
export function POST(request: Request) {
  return handle(request, SuggestedRequest, ({ of }) => addSuggestedNeeds(store(), of))
}
