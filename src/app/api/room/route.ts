import { handle } from '@/app/api/handle'
import { RoomRequest } from '@/boundary/requests/room'
import { keepRoomReadings } from '@/data/workshop/room'
import { store } from '@/data/store/database'

/** Keeps what was read of the room. */
export function POST(request: Request) {
  return handle(request, RoomRequest, ({ readings }) => {
    const { actionId, result } = keepRoomReadings(store(), readings)
    return { actionId, ...result }
  })
}
