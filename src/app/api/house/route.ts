import { HouseRequest } from '@/boundary/requests/house'
import { store } from '@/data/store/database'
import { changeHouse } from '@/data/house/house'
import { handle } from '@/app/api/handle'

export function PATCH(request: Request) {
  return handle(request, HouseRequest, (change) => ({
    actionId: changeHouse(store(), { ...change }).actionId,
  }))
}
