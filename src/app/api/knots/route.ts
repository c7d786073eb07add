import { store } from '@/data/store/database'
import { measureKnotOfOwn } from '@/data/workshop/habits'
import { handle } from '@/app/api/handle'
import { KnotMeasuredRequest } from '@/boundary/requests/knots'

export function POST(request: Request) {
  return handle(request, KnotMeasuredRequest, ({ fastening, gauges }) => {
    const { actionId } = measureKnotOfOwn(store(), fastening, gauges)
    return { actionId }
  })
}
