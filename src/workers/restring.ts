/** Starts the planning of a restring in a worker, and stops it. */
import { proxy, wrap } from 'comlink'
import type { Instrument } from '@/core/instrument/instrument'
import type { RestringBy } from '@/core/restring/bench-of'
import type { RestringAnswer, RestringApi } from './restring.worker'

export interface RestringPlanning {
  /** Never settles once it is stopped. */
  readonly answer: Promise<RestringAnswer>
  readonly stop: () => void
}

export function startRestringPlan(
  instrument: Instrument,
  numbers: readonly number[],
  by: RestringBy,
  onProgress: (done: number, of: number) => void,
): RestringPlanning {
  const worker = new Worker(new URL('./restring.worker.ts', import.meta.url), { type: 'module' })
  const answer = wrap<RestringApi>(worker)
    .plan(instrument, numbers, by, proxy(onProgress))
    .finally(() => worker.terminate())
  return { answer, stop: () => worker.terminate() }
}
