import { HouseRequest } from '@/features/house/requests'
import { store } from '@/data/database'
import { changeHouse } from '@/data/house'
import { handle } from '@/data/http/handle'

export function PATCH(request: Request) {
  return handle(request, HouseRequest, (change) => ({
    actionId: changeHouse(store(), { ...change }).actionId,
  }))
}
