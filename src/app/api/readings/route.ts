import { ReadingRequest } from '@/features/settling/requests'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { logReading } from '@/data/settling'

export function POST(request: Request) {
  return handle(request, ReadingRequest, (reading) => {
    const { actionId, result } = logReading(store(), reading)
    return { actionId, ...result }
  })
}
