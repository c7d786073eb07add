/**
 * HiGHS, a solver of mixed-integer programs, as the plans of the core ask for one. It runs in Node and in a worker.
 */
import loadHighs from 'highs'
import { requireValue } from '@/core/list/require-value'
import { lpText, type SolveMip } from '@/core/solve/mip'

export interface SolverOptions {
  /** After this many seconds the best answer so far is taken, with the gap that is left. */
  readonly seconds?: number
  /** Answers that differ by less are as good as each other, in the unit of the costs. */
  readonly worthless?: number
  /** Told now and then how far the proven bound still lies below the best answer, as a share. */
  readonly onGap?: (gap: number) => void
}

/** Plans are small: their answers come from the relaxation, and the time goes into search and restarts that they don't need. */
const SMALL = { mip_heuristic_effort: 0.01, mip_allow_restart: false } as const
/** A gap below this is the rounding of sums. */
const NO_GAP = 1e-9

/** One engine serves every plan of a thread: loading it, and its first program, take the longest. */
let engine: ReturnType<typeof loadHighs> | undefined

/**
 * A solver that proves its answer best, unless time runs out.
 *
 * @throws Error when the solver itself fails
 */
export function highsSolver({ seconds = 30, worthless = 0, onGap }: SolverOptions = {}): SolveMip {
  engine ??= loadHighs()
  const loading = engine
  return async (mip) => {
    if (mip.columns.length === 0) return { values: [], objective: 0, gap: 0 }
    const highs = await loading
    return highs.withModel({ format: 'lp', data: lpText(mip) }, (model) => {
      model.options.set({
        output_flag: false,
        time_limit: seconds,
        mip_rel_gap: 0,
        mip_abs_gap: worthless,
        ...SMALL,
      })
      const { modelStatus } = model.run(
        onGap
          ? {
              [highs.constants.callbackType.mipLogging]: ({ data }: { data: { mip_gap?: number } }) => {
                if (Number.isFinite(data.mip_gap)) onGap(requireValue(data.mip_gap))
              },
            }
          : {},
      )
      const { optimal, infeasible, timeLimit } = highs.constants.modelStatus
      if (modelStatus === infeasible) return null
      if (modelStatus !== optimal && modelStatus !== timeLimit)
        throw new Error(`the solver stopped with status ${modelStatus}`)
      const gap = Number(model.info.get('mip_gap'))
      const objective = model.getObjectiveValue()
      const byName = new Map(mip.columns.map((_, i) => [i, model.getColByName(`c${i}`)]))
      const { colValue } = model.getSolution()
      return {
        values: mip.columns.map((_, i) => colValue[byName.get(i) as number] ?? 0),
        objective,
        gap:
          Number.isFinite(gap) && gap * Math.abs(objective) > worthless + NO_GAP * Math.abs(objective)
            ? gap
            : 0,
      }
    })
  }
}
