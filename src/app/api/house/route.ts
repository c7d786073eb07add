import { handle } from '@/app/api/handle'
import { BeginRequest, HouseRequest } from '@/boundary/requests/house'
import { beginHouse, changeHouse } from '@/data/house/house'
import { store } from '@/data/store/database'

/** Begins a house in an empty folder. */
export function POST(request: Request) {
  return handle(request, BeginRequest, (begun) => ({ actionId: beginHouse(store(), { ...begun }).actionId }))
}

/** Changes its settings. */
export function PATCH(request: Request) {
  return handle(request, HouseRequest, (change) => ({
    actionId: changeHouse(store(), { ...change }).actionId,
  }))
}
