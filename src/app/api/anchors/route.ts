import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { bookAnchors } from '@/data/stores/supplies'
import { AnchorsRequest } from '@/boundary/requests/stores'

/** Books in the anchors that a broken string of thick gut makes. */
export function POST(request: Request) {
  return handle(request, AnchorsRequest, ({ fittedId }) => bookAnchors(store(), fittedId))
}
