import { handle } from '@/app/api/handle'
import { OccasionsRequest } from '@/boundary/requests/occasions'
import { addOccasions } from '@/data/workshop/occasions'
import { store } from '@/data/store/database'

/** Adds dates. */
export function POST(request: Request) {
  return handle(request, OccasionsRequest, ({ dates }) => addOccasions(store(), dates))
}
