/** Strings that were put on for real, and not for practice: when, by whom, and how that came out. */
import { and, eq, inArray, sql } from 'drizzle-orm'
import { fasteningNamed, type HeadFastening, type TailFastening } from '@/core/knots/fastenings'
import type { FittingDone } from '@/core/practice/effect'
import { fittedBy } from '../fitted/fitted-by'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { metres } from '../store/millimetres'
import { fittings, jobs, positions } from '../store/schema'

export interface RealFitting extends Omit<FittingDone, 'practised'> {
  readonly fittedId: number
  /** ms since 1970 */
  readonly at: number
  /** As its chart names them now. */
  readonly tail: TailFastening
  readonly head: HeadFastening
}

/** Those of one person, in no order; where nobody said who was at the bench, all that nobody said it of. */
export function realFittingsBy(store: Store, person: string): readonly RealFitting[] {
  const by = fittedBy(store)
  return [...realFittings(store).values()].filter(({ fittedId }) => (by.get(fittedId) ?? '') === person)
}

/** All of them, by the fitting’s id; of what was written since, only the fittings concerned are read again. */
function realFittings(store: Store): ReadonlyMap<number, RealFitting> {
  return store.cache.rows(
    'real fittings',
    fittings,
    (ids) => (ids === null ? read(store) : inChunks(ids, (some) => read(store, some))),
    [positions],
  )
}

function read(store: Store, ids?: readonly number[]): readonly (readonly [number, RealFitting])[] {
  return store.rows
    .select({
      fitting: fittings,
      tail: positions.tailFastening,
      head: positions.headFastening,
      // A job's mishaps are logged before its fitting is.
      mishaps: sql<number>`(SELECT count(*) FROM job_mishap WHERE job_mishap.job_id = ${jobs.id})`,
    })
    .from(fittings)
    .innerJoin(jobs, eq(jobs.id, fittings.jobId))
    .innerJoin(positions, eq(positions.id, jobs.positionId))
    .where(and(eq(jobs.forPractice, false), ids && inArray(fittings.id, [...ids])))
    .all()
    .map(({ fitting, tail, head, mishaps }) => [
      fitting.id,
      {
        fittedId: fitting.fittedId,
        at: fitting.at,
        tail: fasteningNamed(tail),
        head,
        hadMishap: mishaps > 0,
        cutOff: difference(fitting.cutMm, fitting.predictedCutMm, metres),
        wrapsOff: difference(fitting.wraps, fitting.predictedWraps, (turns) => turns),
      },
    ])
}

const difference = (is: number | null, was: number | null, unit: (value: number) => number) =>
  is === null || was === null ? null : unit(is - was)
