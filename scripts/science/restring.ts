/** What whole restrings cost by the plan, against the bound and the ways that people are taught. */
import type { Instrument } from '@/core/instrument/instrument'
import { Batches } from '@/core/restring/batch'
import { restringBench } from '@/core/restring/bench-of'
import { planOf, planRestring } from '@/core/restring/plan'
import { goesBy } from '@/core/restring/taught-ways'

const BY = { loadShare: 0.85, retuneAtCents: 15 }

interface RestringCost {
  readonly name: string
  readonly pieces: number
  readonly goes: number
  /** min */
  readonly planned: number
  readonly bound: number
  readonly taught: readonly number[]
}

/** Each instrument with all of its strings changed. */
export function restringCosts(instruments: readonly Instrument[]): readonly RestringCost[] {
  return instruments.map((instrument) => {
    const all = instrument.positions.map(({ number }) => number)
    const batches = new Batches(restringBench(instrument, all, BY))
    const plan = planRestring(batches.bench)
    if (!plan) throw new Error('The search was stopped.')
    return {
      name: instrument.name,
      pieces: batches.bench.changed.length,
      goes: plan.batches.length,
      planned: plan.minutes,
      bound: plan.bound,
      taught: (['one for one, alternating ends', 'heaviest first', 'longest first'] as const).map(
        (way) => planOf(batches, goesBy(batches, way)).minutes,
      ),
    }
  })
}
