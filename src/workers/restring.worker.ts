/** The plans of a restring, off the main thread. */
import { expose } from 'comlink'
import type { Instrument } from '@/core/instrument/instrument'
import { Batches } from '@/core/restring/batch'
import { restringBench, type RestringBy } from '@/core/restring/bench-of'
import { bringUp, type BringingUp } from '@/core/restring/bringing-up'
import { judged, roundsAfter, type JudgedPlan } from '@/core/restring/judged'
import { planRestring } from '@/core/restring/plan'
import { goesBy, waysFor, type RestringWay } from '@/core/restring/taught-ways'
import { startingYields } from '@/core/rounds/board'

/** A way, judged. */
export interface JudgedWay extends JudgedPlan {
  readonly way: RestringWay
}

export type RestringAnswer =
  | {
      readonly ok: true
      readonly ways: readonly JudgedWay[]
      /** No order asks for less setting out and retuning than this, and what is planned asks for, min. */
      readonly bound: number
      readonly planned: number
      /** From bare, where all strings are changed; null where some stay on. */
      readonly bringing: BringingUp | null
    }
  | { readonly ok: false; readonly sentence: string }

/** A string is in tune within so much, cents. */
const WITHIN = 3

/** Whether two ways are the same goes, in whatever order these follow one another. */
function sameGoes(a: JudgedPlan, b: JudgedPlan): boolean {
  const sets = ({ batches }: JudgedPlan) =>
    batches
      .map(({ ids }) => [...ids].sort((x, y) => x - y).join())
      .sort()
      .join(' ')
  return sets(a) === sets(b)
}

const api = {
  /** Plans and judges every way; `onProgress` is told how far it is. */
  plan(
    instrument: Instrument,
    numbers: readonly number[],
    by: RestringBy,
    onProgress: (done: number, of: number) => void,
  ): RestringAnswer {
    try {
      const batches = new Batches(restringBench(instrument, numbers, by))
      const ways = waysFor(batches)
      const plan = planRestring(batches.bench, (done, of) => {
        onProgress(done, of + ways.length)
        return true
      })
      if (!plan) return { ok: false, sentence: 'It was stopped.' }
      const yields = startingYields(instrument)
      return {
        ok: true,
        bound: plan.bound,
        planned: plan.minutes,
        bringing:
          batches.bench.changed.length === batches.bench.pieces.length
            ? bringUp(instrument, yields, by.retuneAtCents, WITHIN, by.senses)
            : null,
        ways: ways
          .map((way) => {
            const goes = way === 'least time' ? plan.batches.map(({ ids }) => ids) : goesBy(batches, way)
            const rounds = roundsAfter(instrument, batches, goes, yields, WITHIN, by.senses)
            return { way, ...judged(instrument, batches, goes, rounds) }
          })
          .filter((one, i, all) => !all.slice(0, i).some((other) => sameGoes(one, other))),
      }
    } catch (problem) {
      if (problem instanceof RangeError) return { ok: false, sentence: problem.message }
      throw problem
    }
  },
}

export type RestringApi = typeof api
expose(api)
