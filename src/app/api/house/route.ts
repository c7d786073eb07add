import { HouseRequest } from '@/features/house/requests'
import { store } from '@/data/database'
import { changeHouse } from '@/data/house'
import { handle } from '@/data/http/handle'
import { lengthOf } from '@/data/http/length-text'

export function PATCH(request: Request) {
  return handle(request, HouseRequest, ({ unit, retuneAtCents, holdsWithinCents, leastSpares, currency, tail, ...habits }) => {
    const { actionId } = changeHouse(store(), { unit, retuneAtCents, holdsWithinCents, leastSpares, currency, habits: { ...habits, tail: lengthOf(tail, unit) } })
    return { actionId }
  })
}
