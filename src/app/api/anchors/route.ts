import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { bookAnchors } from '@/data/supplies'
import { AnchorsRequest } from '@/features/stores/requests'

/** Books in the anchors that a broken string of thick gut makes. */
export function POST(request: Request) {
  return handle(request, AnchorsRequest, ({ fittedId }) => bookAnchors(store(), fittedId))
}
