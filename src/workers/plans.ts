/**
 * Starts a plan in a worker, and stops it.
 */
import { proxy, wrap, type Remote } from 'comlink'
import type { CoilLeft, CutJob, CutPlan } from '@/core/stores/cut-plan'
import type { BuyNeed, CatalogueOffer, SupplierTerms } from '@/core/stores/order-plan'
import type { OrderPlans, PlanProgress, PlansApi } from './plans.worker'

export interface Planning<T> {
  /** Never settles once it is stopped. */
  readonly answer: Promise<T>
  readonly stop: () => void
}

function inWorker<T>(work: (api: Remote<PlansApi>) => Promise<T>): Planning<T> {
  const worker = new Worker(new URL('./plans.worker.ts', import.meta.url), { type: 'module' })
  const failed = new Promise<never>((_, reject) => { worker.onerror = (event) => reject(new Error(event.message)) })
  return { answer: Promise.race([work(wrap<PlansApi>(worker)), failed]).finally(() => worker.terminate()), stop: () => worker.terminate() }
}

/** Plans which coil to cut for which job. */
export function startCutPlan(jobs: readonly CutJob[], coils: readonly CoilLeft[]): Planning<CutPlan> {
  return inWorker((api) => api.cuts(jobs, coils))
}

/** Plans what to buy from whom. */
export function startOrderPlan(needs: readonly BuyNeed[], offers: readonly CatalogueOffer[], suppliers: readonly SupplierTerms[], onProgress: PlanProgress): Planning<OrderPlans> {
  return inWorker((api) => api.order(needs, offers, suppliers, proxy(onProgress)))
}
