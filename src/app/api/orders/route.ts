import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { placeOrders } from '@/data/orders'
import { PlaceRequest } from '@/features/orders/requests'

/** Writes a plan down as orders. */
export function POST(request: Request) {
  return handle(request, PlaceRequest, ({ orders }) => placeOrders(store(), orders))
}
