import { store } from '@/data/database'
import { measureKnotOfOwn } from '@/data/habits'
import { handle } from '@/data/http/handle'
import { KnotMeasuredRequest } from '@/features/knots/requests'

export function POST(request: Request) {
  return handle(request, KnotMeasuredRequest, ({ fastening, gauges }) => {
    const { actionId } = measureKnotOfOwn(store(), fastening, gauges)
    return { actionId }
  })
}
