/**
 * The plans that are integer programs, off the main thread.
 */
import { expose } from 'comlink'
import { planCuts, type CoilLeft, type CutJob, type CutPlan } from '@/core/stores/cut-plan'
import { type BuyNeed, type CatalogueOffer, type OrderPlan, type SupplierTerms } from '@/core/stores/buying'
import { planOrder, planWithOne, unmetBecause, type Unmet } from '@/core/stores/order-plan'
import { highsSolver } from './solver'
import { warmUp } from './warm-up'

export interface OrderPlans {
  readonly best: OrderPlan
  readonly unmet: readonly Unmet[]
  /** The best that one supplier alone can do. */
  readonly one: OrderPlan | null
}

/** Told what is being reckoned, and how far the bound still lies below the answer, as a share; null before there is one. */
export type PlanProgress = (doing: string, gap: number | null) => void

/** Less than a minor unit of money makes no difference. */
const PENNY = 0.4

const api = {
  /** Gets the engine ready before there is anything to plan. */
  warm(): Promise<void> {
    return warmUp()
  },
  cuts(jobs: readonly CutJob[], coils: readonly CoilLeft[]): Promise<CutPlan> {
    return planCuts(jobs, coils, highsSolver())
  },
  async order(
    needs: readonly BuyNeed[],
    offers: readonly CatalogueOffer[],
    suppliers: readonly SupplierTerms[],
    seconds: number,
    onProgress: PlanProgress,
  ): Promise<OrderPlans> {
    onProgress('the cheapest way to buy', null)
    const best = await planOrder(
      needs,
      offers,
      suppliers,
      highsSolver({ seconds, worthless: PENNY, onGap: (gap) => onProgress('the cheapest way to buy', gap) }),
    )
    onProgress('one supplier alone', null)
    const one = await planWithOne(needs, offers, suppliers, highsSolver({ seconds, worthless: PENNY }))
    return { best, one, unmet: unmetBecause(best, needs, offers, suppliers) }
  },
}

export type PlansApi = typeof api

expose(api)
