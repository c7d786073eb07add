import { cuttingBench, takeCuttingPlan } from '@/data/stores/cutting'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { answerTo } from '@/boundary/handle'
import { CuttingRequest } from '@/boundary/requests/cutting'

/** What a plan is made from. */
export function GET() {
  return answerTo(() => cuttingBench(store()))
}

/** Carries a cutting plan out. */
export function POST(request: Request) {
  return handle(request, CuttingRequest, ({ cuts }) => takeCuttingPlan(store(), cuts))
}
