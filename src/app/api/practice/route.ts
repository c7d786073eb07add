import { handleLater } from '@/app/api/handle'
import { atTheBench } from '@/app/api/at-the-bench'
import { PracticeRequest } from '@/boundary/requests/practice'
import { keepAnswers } from '@/data/practice/practice'
import { store } from '@/data/store/database'

export function POST(request: Request) {
  return handleLater(request, PracticeRequest, ({ answers }) =>
    keepAnswers(store(), atTheBench(request) ?? '', answers),
  )
}
