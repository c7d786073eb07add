import { takeCuttingPlan } from '@/data/stores/cutting'
import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { CuttingRequest } from '@/boundary/requests/cutting'

/** Carries a cutting plan out. */
export function POST(request: Request) {
  return handle(request, CuttingRequest, ({ cuts }) => takeCuttingPlan(store(), cuts))
}
