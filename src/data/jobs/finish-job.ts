/**
 * A fitting logged: the string is on, its coil is cut, its needs are closed.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { windsOnPin } from '@/core/fitting/head-way'
import { ruleOfTail } from '@/core/fitting/tail'
import { FIRST_TUNED } from '@/core/settle/drift'
import { HOUR } from '@/core/units/time'
import { agedOn, endStringsOn, fitString } from '../fitted/fitted'
import type { Done, Store } from '../store/database'
import { inMm } from '../store/millimetres'
import { fittings, jobs, parkedTails, readings } from '../store/schema'
import { cutCoil, openCoil, forgetRest } from '../stores/coils'
import { jobById, unfinished } from './job'
import { servedBy } from './job'
import { closeNeeds } from './need-of-job'
import { stringOf } from './string-of'

export interface Finish {
  /** What was really cut from the coil, m; null when the same string was put back, or when the rest of the packet hangs parked on the neck. */
  readonly cut: number | null
  /** Wraps on the pin at pitch; null where nothing is wound on it. */
  readonly wraps: number | null
  /** Measured gauge of the new string, m; null when it was not measured. */
  readonly gauge: number | null
}

/** Logs the fitting: the coil is cut, the string stands on its positions, the job is over. */
export function finishJob(
  store: Store,
  jobId: number,
  { cut, wraps, gauge }: Finish,
): Done<{ fittedId: number }> {
  const job = unfinished(jobById(store, jobId))
  const { coil, figures } = job
  if (!coil && !job.sameString) throw new Refusal(409, 'Choose the coil that the string was cut from first.')
  const tail = ruleOfTail(job.context)
  if (coil && cut === null && tail !== 'parked') throw new Refusal(400, 'The cut is missing.', 'cut')
  const wound = windsOnPin(job.position)
  if (wound && wraps === null) throw new Refusal(400, 'The wraps are missing.', 'wraps')
  const served = servedBy(job, job.position)
  return store.act(
    {
      kind: 'fitting',
      summary: `${stringOf(job, job.position)} ${coil ? `fitted from ${coil.label}` : job.forPractice ? 'taken off and put back, for practice' : 'put back'}`,
      instrumentId: job.id,
    },
    () => {
      const at = store.now()
      if (coil && cut !== null) cutCoil(store, coil.id, cut, jobId)
      if (coil?.inHand && cut !== null) forgetRest(store, coil.id, cut)
      if (coil && cut === null) openCoil(store, coil.id)
      endStringsOn(store, served, at)
      const fittedId = fitString(store, {
        instrumentId: job.id,
        coilId: coil?.id ?? null,
        construction: figures.construction,
        at: at - FIRST_TUNED * HOUR,
        positionIds: served,
        moved: job.sameString,
        ...(job.sameString ? agedOn(store, served, at) : {}),
        ...(job.measured.cycles
          ? { stretched: { by: job.habits.stretching, cycles: job.measured.cycles } }
          : {}),
      })
      if (tail === 'parked')
        store.rows
          .insert(parkedTails)
          .values({ fittedId, jobId, coilId: coil && cut === null ? coil.id : null, parkedAt: at })
          .run()
      store.rows
        .insert(fittings)
        .values({
          jobId,
          fittedId,
          at,
          cutMm: cut === null ? null : inMm(cut),
          wraps: wound ? wraps : null,
          gaugeMm: gauge === null ? null : inMm(gauge),
          // What the sum alone said: the house's corrections are learned from that.
          predictedCutMm: coil ? inMm(figures.cut.total - figures.cut.correction) : null,
          predictedWraps: wound ? (figures.strings[0]?.wrapsBySum ?? null) : null,
        })
        .run()
      if (job.measured.cents !== undefined) {
        for (const id of served)
          store.rows
            .insert(readings)
            .values({
              fittedId,
              positionId: id,
              at,
              cents: job.measured.cents,
              broughtBack: false,
              kind: 'left at',
            })
            .run()
      }
      store.rows.update(jobs).set({ finishedAt: at }).where(eq(jobs.id, jobId)).run()
      closeNeeds(store, jobId)
      return { fittedId }
    },
  )
}
