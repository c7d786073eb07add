import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { placeOrders } from '@/data/buying/place-orders'
import { PlaceRequest } from '@/boundary/requests/orders'

/** Writes a plan down as orders. */
export function POST(request: Request) {
  return handle(request, PlaceRequest, ({ orders }) => placeOrders(store(), orders))
}
