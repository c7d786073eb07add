/**
 * What came of a finished job: the coil after its cut, the string on its positions, and its settling.
 */
import { eq } from 'drizzle-orm'
import type { Store } from '../store/database'
import { fittedById } from '../fitted/fitted'
import { toOpenHours } from '../workshop/open-hours'
import { jobById, type Job } from '../jobs/job'
import { leftOf, type LeftStep } from '../jobs/left-for-later'
import { fittings } from '../store/schema'
import { workshopSettings } from '../workshop/settings'
import { holdsFrom, settlingOf, type Settling } from '../fitted/settling'

export interface JobOutcome {
  readonly job: Job
  /** What was not ticked and is worth doing now; empty once the string has come off. */
  readonly left: readonly LeftStep[]
  readonly cutMm: number | null
  readonly wraps: number | null
  readonly predictedCutMm: number | null
  readonly predictedWraps: number | null
  /** One for each position the string serves; empty when it has ended since. */
  readonly settling: readonly SettlingAfter[]
}

/** How a string settles after its job, and from when it holds. */
export interface SettlingAfter extends Settling {
  /** Null where it slips, or never holds so well. */
  readonly readyAt: number | null
}

/** The outcome of a job; null while it is not finished. */
export function jobOutcome(store: Store, jobId: number): JobOutcome | null {
  const job = jobById(store, jobId)
  const fitting = store.rows.select().from(fittings).where(eq(fittings.jobId, jobId)).get()
  if (job.finishedAt === null || !fitting) return null
  const string = fittedById(store, fitting.fittedId)
  const fitted = string?.endedAt === null ? string : null
  return {
    job,
    left: fitted ? leftOf(store, job) : [],
    cutMm: fitting.cutMm,
    wraps: fitting.wraps,
    predictedCutMm: fitting.predictedCutMm,
    predictedWraps: fitting.predictedWraps,
    settling: fitted
      ? fitted.positionIds.map((positionId) => planned(store, settlingOf(store, fitted, positionId)))
      : [],
  }
}

/** Its retunes at hours when someone is there, each once. */
function planned(store: Store, settling: Settling): SettlingAfter {
  const toOpen = toOpenHours(store)
  const planAt = [...new Set(settling.planAt.map(toOpen))]
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  return {
    ...settling,
    planAt,
    nextAt: settling.nextAt === null ? null : toOpen(settling.nextAt),
    readyAt: holdsFrom(settling, holdsWithinCents, concertHours),
  }
}
