/**
 * A job’s string on the need list.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass } from '@/core/instrument/instrument'
import { specAt } from '@/core/stores/string-spec'
import { positionId } from '../instruments/instruments'
import { specColumns } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { inMm } from '../store/millimetres'
import { needs } from '../store/schema'
import { jobById, unfinished } from './job'
import { stringOf } from './string-of'

/** Puts the string on the need list, with all that an order must say. */
export function putOnNeedList(store: Store, jobId: number): Done<void> {
  const job = unfinished(jobById(store, jobId))
  if (job.onNeedList)
    throw new Refusal(409, `The ${stringOf(job, job.position)} is on the need list already.`)
  const { position, instrument } = job
  const charted = fittingFigures(instrument, position, job.habits)
  return store.act(
    { kind: 'need', summary: `${stringOf(job, position)} put on the need list`, instrumentId: job.id },
    () => {
      store.rows
        .insert(needs)
        .values({
          jobId,
          positionId: positionId(job, position.number),
          ...specColumns(specAt(position, soldByClass(instrument))),
          lengthMm: Math.ceil(inMm(charted.cut.total)),
          openedAt: store.now(),
        })
        .run()
    },
  )
}

/** Takes a job's string off the need list; belongs inside an action. */
export function closeNeeds(store: Store, jobId: number): void {
  for (const need of store.rows.select().from(needs).where(eq(needs.jobId, jobId)).all()) {
    if (need.closedAt === null)
      store.rows.update(needs).set({ closedAt: store.now() }).where(eq(needs.id, need.id)).run()
  }
}
