/**
 * What was predicted of each fitting, and what was measured.
 */
import { desc, eq } from 'drizzle-orm'
import type { Store } from '../store/database'
import { byPositionId } from '../instruments/instruments'
import { stringOf } from '../jobs/jobs'
import { metres } from '../store/millimetres'
import { fittings, jobs } from '../store/schema'

export interface PastFitting {
  readonly jobId: number
  readonly at: number
  /** `3rd-octave G of Lovage` */
  readonly string: string
  /** By the sum alone; lengths in m, null where there was nothing to predict or measure. */
  readonly predictedCut: number | null
  readonly cut: number | null
  readonly predictedWraps: number | null
  readonly wraps: number | null
}

/** Every fitting that came of a job, the latest first. */
export function pastFittings(store: Store): readonly PastFitting[] {
  const length = (mm: number | null) => (mm === null ? null : metres(mm))
  const names = new Map<number, string>()
  return store.rows
    .select()
    .from(fittings)
    .innerJoin(jobs, eq(fittings.jobId, jobs.id))
    .orderBy(desc(fittings.at), desc(fittings.id))
    .all()
    .map(({ fitting, job }) => {
      if (!names.has(job.positionId)) {
        const stored = byPositionId(store, job.positionId)
        names.set(job.positionId, stringOf(stored, stored.position))
      }
      return {
        jobId: job.id,
        at: fitting.at,
        string: names.get(job.positionId) as string,
        predictedCut: length(fitting.predictedCutMm),
        cut: length(fitting.cutMm),
        predictedWraps: fitting.predictedWraps,
        wraps: fitting.wraps,
      }
    })
}
