/**
 * Starts a plan in a worker, and stops it.
 */
import { proxy, wrap, type Remote } from 'comlink'
import type { CoilLeft, CutJob, CutPlan } from '@/core/stores/cut-plan'
import type { BuyNeed, CatalogueOffer, SupplierTerms } from '@/core/stores/buying'
import type { OrderPlans, PlanProgress, PlansApi } from './plans.worker'

export interface Planning<T> {
  /** Never settles once it is stopped. */
  readonly answer: Promise<T>
  readonly stop: () => void
}

/** A worker that waits for its plan with its engine warm. */
let ready: Planner | null = null

/** A worker with the one handle on it: a second handle's end would end the worker's listening too. */
interface Planner {
  readonly worker: Worker
  readonly api: Remote<PlansApi>
  /** Rejects when the worker could not be loaded, or ended by itself. */
  readonly failed: Promise<never>
}

function newPlanner(): Planner {
  const worker = new Worker(new URL('./plans.worker.ts', import.meta.url), { type: 'module' })
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message))
  })
  return { worker, api: wrap<PlansApi>(worker), failed }
}

/** Starts a worker and warms its engine, so that the next plan need not wait for that. */
export function getReady(): void {
  if (ready) return
  const planner = newPlanner()
  ready = planner
  // One that could not be loaded never answers: the next plan begins with another.
  Promise.race([planner.api.warm(), planner.failed]).catch(() => {
    if (ready === planner) ready = null
    planner.worker.terminate()
  })
}

function inWorker<T>(work: (api: Remote<PlansApi>) => Promise<T>): Planning<T> {
  const { worker, api, failed } = ready ?? newPlanner()
  ready = null
  return {
    answer: Promise.race([work(api), failed]).finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  }
}

/** Plans which coil to cut for which job. */
export function startCutPlan(jobs: readonly CutJob[], coils: readonly CoilLeft[]): Planning<CutPlan> {
  return inWorker((api) => api.cuts(jobs, coils))
}

/**
 * Plans what to buy from whom.
 *
 * @param seconds - after so long the best plan so far is taken, with the gap that is left
 */
export function startOrderPlan(
  needs: readonly BuyNeed[],
  offers: readonly CatalogueOffer[],
  suppliers: readonly SupplierTerms[],
  seconds: number,
  onProgress: PlanProgress,
): Planning<OrderPlans> {
  return inWorker((api) => api.order(needs, offers, suppliers, seconds, proxy(onProgress)))
}
