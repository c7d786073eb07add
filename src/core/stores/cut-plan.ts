/**
 * Which coil to cut for which job, all jobs together: as many served as can be, with strings as near to the chart as can
 * be, fresh coils opened last, and short remainders used up.
 */
import { MipBuilder, solved, type SolveMip } from '../solve/mip'
import type { FitGrade } from './fits'

/** What a cut takes besides its length, m: the two ends are trimmed square. */
export const KERF = 0.002

export interface CutOption {
  readonly coilId: number
  /** To cut for the job from this coil, m: another gauge takes another knot. */
  readonly length: number
  readonly grade: Exclude<FitGrade, 'refused'>
}

export interface CutJob {
  readonly id: number
  /** The coils that fit. */
  readonly options: readonly CutOption[]
}

export interface CoilLeft {
  readonly id: number
  /** m */
  readonly left: number
  readonly opened: boolean
  /** The most strings that come out of it, where a ready-made end allows but one; null where only the length counts. */
  readonly most: number | null
}

export interface CutPlan {
  readonly cuts: readonly {
    readonly jobId: number
    readonly coilId: number
    readonly length: number
    readonly grade: CutOption['grade']
  }[]
  /** Jobs that no coil is left for. */
  readonly unserved: readonly number[]
  readonly opens: number
  /** Weighed as {@link CUT_COST} says. */
  readonly cost: number
  readonly gap: number
}

/** Each weighs more than all that comes after it can, on a bench of some dozen jobs. */
export const CUT_COST = {
  unserved: 1e6,
  grade: { exact: 0, 'other end': 1e3, 'other colour': 3e3, 'next gauge': 1e4 },
  fresh: 30,
  /** Per metre that is left of a coil that is cut. */
  leftover: 0.05,
} as const

/**
 * @param jobs - to be cut for
 * @param coils - in the stores
 * @param solve - a solver
 */
export async function planCuts(
  jobs: readonly CutJob[],
  coils: readonly CoilLeft[],
  solve: SolveMip,
): Promise<CutPlan> {
  const mip = new MipBuilder()
  const byId = new Map(coils.map((coil) => [coil.id, coil]))
  // 1. A column for each job on each coil that fits and is long enough, and one for leaving the job without.
  const uses = jobs.flatMap((job) =>
    job.options
      .filter(({ coilId, length }) => (byId.get(coilId)?.left ?? 0) >= length + KERF)
      .map((option) => ({
        job,
        ...option,
        column: mip.whole(CUT_COST.grade[option.grade] - CUT_COST.leftover * (option.length + KERF), 1),
      })),
  )
  const without = jobs.map((job) => ({ job, column: mip.whole(CUT_COST.unserved, 1) }))
  for (const { job, column } of without) {
    const terms = [
      ...uses.filter((use) => use.job === job).map((use) => [use.column, 1] as const),
      [column, 1] as const,
    ]
    mip.atLeast(1, terms)
    mip.atMost(1, terms)
  }
  // 2. A coil that is cut from is touched, and holds what is cut from it.
  const touched = coils.flatMap((coil) => {
    const on = uses.filter(({ coilId }) => coilId === coil.id)
    if (on.length === 0) return []
    const column = mip.whole((coil.opened ? 0 : CUT_COST.fresh) + CUT_COST.leftover * coil.left, 1)
    mip.atMost(0, [
      ...on.map((use) => [use.column, use.length + KERF] as const),
      [column, -coil.left] as const,
    ])
    // Each use by itself needs the coil touched: the bound is much tighter than by lengths alone.
    for (const use of on)
      mip.atMost(0, [
        [use.column, 1],
        [column, -1],
      ])
    if (coil.most !== null)
      mip.atMost(
        coil.most,
        on.map((use) => [use.column, 1] as const),
      )
    return [{ coil, column }]
  })
  // 3. The answer, read back.
  const answer = solved(await solve(mip))
  const chosen = (column: number) => (answer.values[column] ?? 0) > 0.5
  return {
    cuts: uses
      .filter(({ column }) => chosen(column))
      .map(({ job, coilId, length, grade }) => ({ jobId: job.id, coilId, length, grade })),
    unserved: without.filter(({ column }) => chosen(column)).map(({ job }) => job.id),
    opens: touched.filter(({ coil, column }) => !coil.opened && chosen(column)).length,
    cost: answer.objective,
    gap: answer.gap,
  }
}
