import { ReadingRequest } from '@/boundary/requests/settling'
import { store } from '@/data/store/database'
import { handleLater } from '@/app/api/handle'
import { logReading } from '@/data/fitted/settling'

export function POST(request: Request) {
  return handleLater(request, ReadingRequest, (reading) => {
    const { actionId, result } = logReading(store(), reading)
    return { actionId, ...result }
  })
}
