import { handle } from '@/app/api/handle'
import { BeginRequest, WorkshopRequest } from '@/boundary/requests/workshop'
import { beginWorkshop, changeWorkshop } from '@/data/workshop/settings'
import { store } from '@/data/store/database'

/** Begins a house in an empty folder. */
export function POST(request: Request) {
  return handle(request, BeginRequest, (begun) => ({
    actionId: beginWorkshop(store(), { ...begun }).actionId,
  }))
}

/** Changes its settings. */
export function PATCH(request: Request) {
  return handle(request, WorkshopRequest, (change) => ({
    actionId: changeWorkshop(store(), { ...change }).actionId,
  }))
}
