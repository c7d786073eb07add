/**
 * A job on its way: steps done, values measured, and what went wrong.
 */
import { and, eq, inArray } from 'drizzle-orm'
import { mishapWord, waysBack, type Mishap, type WayBack } from '@/core/fitting/mishaps'
import type { Asked, StepKey } from '@/core/fitting/step'
import { addCoil, cutCoil } from './coils'
import type { Done, Store } from './database'
import { jobById, measureColumn, stringOf, unfinished, type Job } from './jobs'
import { inMm } from './millimetres'
import { Refusal } from './refusal'
import { jobMeasures, jobMishaps, jobs, jobSteps } from './schema'

/** Marks a step done, or not done; progress, so not an action to undo. */
export function markStep(store: Store, jobId: number, step: string, done: boolean): void {
  const job = unfinished(jobById(store, jobId))
  const key = stepOf(job, step)
  if (!done) store.rows.delete(jobSteps).where(and(eq(jobSteps.jobId, jobId), eq(jobSteps.step, key))).run()
  else store.rows.insert(jobSteps).values({ jobId, step: key, doneAt: store.now() }).onConflictDoNothing().run()
}

/** Marks a step of several jobs that are done together; one that was logged meanwhile is left as it is. */
export function markStepOfAll(store: Store, jobIds: readonly number[], step: string, done: boolean): void {
  const open = jobIds.filter((id) => jobById(store, id).finishedAt === null)
  for (const id of open.length > 0 ? open : jobIds) markStep(store, id, step, done)
}

function stepOf(job: Job, step: string): StepKey {
  const found = job.steps.find((s) => s.key === step)
  if (!found) throw new Refusal(404, `This job has no step “${step}”.`, 'step')
  return found.key
}

/** Keeps what was measured in a step until the fitting is logged; lengths in m, null takes it back. */
export function keepMeasure(store: Store, jobId: number, what: Asked, value: number | null): void {
  const job = unfinished(jobById(store, jobId))
  if (!job.steps.some((s) => s.asks === what)) throw new Refusal(404, 'Nothing of the kind is measured in this job.', 'what')
  if (value === null) store.rows.delete(jobMeasures).where(and(eq(jobMeasures.jobId, jobId), eq(jobMeasures.what, what))).run()
  else {
    const row = { value: measureColumn(what, value), at: store.now() }
    store.rows.insert(jobMeasures).values({ jobId, what, ...row }).onConflictDoUpdate({ target: [jobMeasures.jobId, jobMeasures.what], set: row }).run()
  }
}

/** Pieces shorter than this are waste, m. */
const WORTH_KEEPING = 0.1

/**
 * Logs that something went wrong, and takes the job back to the step that its way back begins at. A string that is lost
 * is cut from its coil; a piece that is only too short goes back to the stores.
 *
 * @param length - really cut, m; what was measured or worked out when left out
 */
export function logMishap(store: Store, jobId: number, at: string, mishap: Mishap, length?: number): Done<WayBack> {
  const job = unfinished(jobById(store, jobId))
  const step = stepOf(job, at)
  const back = waysBack(job.context, step).find((way) => way.mishap === mishap)
  if (!back) throw new Refusal(400, `“${mishapWord(mishap)}” can’t happen in this step.`, 'mishap')
  const cut = length ?? job.measured.cut ?? job.figures.cut.total
  return store.act({ kind: 'mishap', summary: `${mishapWord(mishap)}: ${stringOf(job, job.position)}`, instrumentId: job.id }, () => {
    const loses = back.loses !== 'nothing' && job.coil !== null
    store.rows.insert(jobMishaps).values({ jobId, step, mishap, at: store.now(), lostMm: loses && back.loses === 'the string' ? inMm(cut) : null }).run()
    if (loses) loseString(store, job, cut, back.loses === 'its length')
    const keys = job.steps.map((s) => s.key)
    const from = loses ? keys.indexOf('prove') : back.backTo === null ? keys.indexOf(step) : keys.indexOf(back.backTo)
    store.rows.delete(jobSteps).where(and(eq(jobSteps.jobId, jobId), inArray(jobSteps.step, keys.slice(from)))).run()
    return back
  })
}

/** Cuts the lost length off its coil and asks for a coil anew. */
function loseString(store: Store, job: Job, cut: number, keepPiece: boolean): void {
  const { coil, jobId } = job
  if (!coil) return
  cutCoil(store, coil.id, Math.min(cut, coil.lengthLeft), jobId)
  if (keepPiece && cut > WORTH_KEEPING) {
    addCoil(store, {
      label: `${coil.label}, cut too short`, construction: coil.construction, colour: coil.colour, tensionClass: coil.tensionClass, maker: coil.maker, line: coil.line,
      place: coil.place, boughtAt: coil.boughtAt, boughtLength: cut, openedAt: store.now(),
    })
  }
  const left = coil.lengthLeft - cut
  // The rest of the same coil serves again where it is long enough.
  store.rows.update(jobs).set({ coilId: left >= job.figures.cut.total ? coil.id : null }).where(eq(jobs.id, jobId)).run()
  store.rows.delete(jobMeasures).where(eq(jobMeasures.jobId, jobId)).run()
}
