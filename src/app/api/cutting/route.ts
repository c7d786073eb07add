import { takeCuttingPlan } from '@/data/cutting'
import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { CuttingRequest } from '@/features/cutting/requests'

/** Carries a cutting plan out. */
export function POST(request: Request) {
  return handle(request, CuttingRequest, ({ cuts }) => takeCuttingPlan(store(), cuts))
}
