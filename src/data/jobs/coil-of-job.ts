/**
 * What a job’s string is cut from: a coil of the stores, or the same string put back.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { fitOf } from '@/core/stores/fits'
import type { Done, Store } from '../store/database'
import { DUST } from '../store/millimetres'
import { jobs } from '../store/schema'
import { coilById, isParked } from '../stores/coils'
import { jobById, unfinished } from './job'
import { closeNeeds } from './need-of-job'
import { stringOf } from './string-of'

/** Sets the coil that the new string will be cut from. */
export function chooseCoil(store: Store, jobId: number, coilId: number): Done<void> {
  const job = unfinished(jobById(store, jobId))
  const coil = coilById(store, coilId)
  if (coil.discardedAt !== null)
    throw new Refusal(409, `${coil.label} was thrown away; choose another.`, 'coilId')
  if (isParked(store, coilId))
    throw new Refusal(
      409,
      `The rest of ${coil.label} hangs on a neck until its tail is trimmed; choose another.`,
      'coilId',
    )
  const fit = fitOf(coil, job.position, soldByClass(job.instrument))
  if (fit.grade === 'refused')
    throw new Refusal(
      400,
      `${coil.label} can’t serve ${withThe(stringOf(job, job.position))}. ${fit.because ?? ''}`,
      'coilId',
    )
  const { total } = fittingFigures(
    job.instrument,
    job.position,
    job.habits,
    coil.construction,
    job.corrections,
    coil.end,
  ).cut
  if (coil.lengthLeft < total - DUST) {
    throw new Refusal(
      409,
      `${coil.label} has ${Math.round(coil.lengthLeft * 1000)} mm left, and the cut is ${Math.ceil(total * 1000)} mm.`,
      'coilId',
    )
  }
  return store.act(
    {
      kind: 'coil',
      summary: `${coil.label} chosen for ${withThe(stringOf(job, job.position))}`,
      instrumentId: job.id,
    },
    () => chooseCoilOf(store, jobId, coilId),
  )
}

/** Sets a job's coil without asking whether it fits; belongs inside an action. */
export function chooseCoilOf(store: Store, jobId: number, coilId: number): void {
  store.rows.update(jobs).set({ coilId, sameString: false }).where(eq(jobs.id, jobId)).run()
  closeNeeds(store, jobId)
}

/** Puts the same string back: it came off whole. Wire goes on once. */
export function putSameStringBack(store: Store, jobId: number): Done<void> {
  const job = unfinished(jobById(store, jobId))
  if (!job.canPutBack)
    throw new Refusal(
      400,
      `The ${stringOf(job, job.position)} can’t be put back: it broke, or it is wire, which goes on once.`,
    )
  return store.act(
    {
      kind: 'coil',
      summary: `The same string to be put back on ${withThe(stringOf(job, job.position))}`,
      instrumentId: job.id,
    },
    () => {
      store.rows.update(jobs).set({ coilId: null, sameString: true }).where(eq(jobs.id, jobId)).run()
      closeNeeds(store, jobId)
    },
  )
}
