/**
 * What was predicted of each fitting, and what was measured.
 */
import { desc, eq, sql } from 'drizzle-orm'
import { pageOf, type PageOf } from '@/core/list/page-of'
import type { Store } from '../store/database'
import { byPositionId } from '../instruments/instruments'
import { stringOf } from '../jobs/string-of'
import { metres } from '../store/millimetres'
import { fittings, fittingSums, jobs } from '../store/schema'

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

export interface FittingsPage {
  readonly fittings: readonly PastFitting[]
  readonly at: PageOf
}

/** Fittings on one page. */
const SHOWN = 50

/** Fittings that came of a job, the latest first, a page of them. */
export function pastFittings(store: Store, page: number): FittingsPage {
  const all =
    store.rows
      .select({ all: sql<number>`coalesce(sum(${fittingSums.fittings}), 0)` })
      .from(fittingSums)
      .get()?.all ?? 0
  const at = pageOf(page, SHOWN, all)
  const length = (mm: number | null) => (mm === null ? null : metres(mm))
  const rows = store.rows
    .select()
    .from(fittings)
    .innerJoin(jobs, eq(fittings.jobId, jobs.id))
    .orderBy(desc(fittings.at), desc(fittings.id))
    .limit(SHOWN)
    .offset(at.from)
    .all()
  return {
    at,
    fittings: rows.map(({ fitting, job }) => {
      const stored = byPositionId(store, job.positionId)
      return {
        jobId: job.id,
        at: fitting.at,
        string: stringOf(stored, stored.position),
        predictedCut: length(fitting.predictedCutMm),
        cut: length(fitting.cutMm),
        predictedWraps: fitting.predictedWraps,
        wraps: fitting.wraps,
      }
    }),
  }
}
