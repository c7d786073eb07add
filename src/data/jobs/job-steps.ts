/**
 * A job on its way: steps done, values measured, and what went wrong.
 */
import { and, eq, inArray } from 'drizzle-orm'
import { STEPS_THAT_WAIT } from '@/core/fitting/in-the-interval'
import { mishapWord, waysBack, type Mishap, type WayBack } from '@/core/fitting/mishaps'
import type { Asked, StepKey } from '@/core/fitting/step'
import { specAt } from '@/core/stores/string-spec'
import { addCoil, cutCoil } from '../stores/coils'
import type { Done, Store } from '../store/database'
import { jobById, measureColumn, unfinished, type Job } from './job'
import { stringOf } from './string-of'
import { inMm } from '../store/millimetres'
import { Refusal } from '@/boundary/refusal'
import { jobMeasures, jobMishaps, jobs, jobSteps } from '../store/schema'

/** Marks a step done, or not done. */
export function markStep(store: Store, jobId: number, step: string, done: boolean): Done<void> {
  return markStepOfAll(store, [jobId], step, done)
}

/**
 * Marks a step of several jobs that are done together, as one action; one that was logged meanwhile is left as it is.
 *
 * @throws Refusal 404 when a job has no such step, 409 when all of them are finished
 */
export function markStepOfAll(
  store: Store,
  jobIds: readonly number[],
  step: string,
  done: boolean,
): Done<void> {
  const all = [...new Set(jobIds)].map((id) => jobById(store, id))
  const open = all.filter(({ finishedAt }) => finishedAt === null)
  // What was put off is done after the fitting was logged.
  const canBeLate = STEPS_THAT_WAIT.some((one) => one === step)
  if (open.length === 0 && !canBeLate) all.forEach(unfinished)
  const marked = (open.length > 0 ? open : all).map((job) => ({ job, key: stepOf(job, step) }))
  const [first] = marked
  if (!first) throw new Refusal(400, 'Say of which job.', 'jobs')
  const title = first.job.steps.find(({ key }) => key === first.key)?.title ?? step
  const of =
    marked.length === 1
      ? stringOf(first.job, first.job.position)
      : `${marked.length} strings of ${first.job.instrument.name}`
  return store.act(
    {
      kind: 'step',
      summary: `${title}: ${done ? 'done' : 'not done yet'}, ${of}`,
      instrumentId: first.job.id,
    },
    () => {
      const ids = marked.map(({ job }) => job.jobId)
      if (done)
        store.rows
          .insert(jobSteps)
          .values(marked.map(({ job, key }) => ({ jobId: job.jobId, step: key, doneAt: store.now() })))
          .onConflictDoNothing()
          .run()
      else
        store.rows
          .delete(jobSteps)
          .where(and(inArray(jobSteps.jobId, ids), eq(jobSteps.step, first.key)))
          .run()
    },
  )
}

function stepOf(job: Job, step: string): StepKey {
  const found = job.steps.find((s) => s.key === step)
  if (!found) throw new Refusal(404, `This job has no step “${step}”.`, 'step')
  return found.key
}

/**
 * Keeps what was measured in a step until the fitting is logged; lengths in m, null takes it back.
 *
 * @param seen - what was kept for it when it was typed: what another measured meanwhile stays; left out where nobody looked
 */
export function keepMeasure(
  store: Store,
  jobId: number,
  what: Asked,
  value: number | null,
  seen?: number | null,
): Done<void> {
  const job = unfinished(jobById(store, jobId))
  if (!job.steps.some((s) => s.asks === what))
    throw new Refusal(404, 'Nothing of the kind is measured in this job.', 'what')
  const had = job.measured[what] ?? null
  if (seen !== undefined && !isSame(had, seen) && !isSame(had, value))
    throw new Refusal(
      409,
      `Meanwhile ${keptText(what, had)}. Look which is right, and type it again.`,
      'text',
    )
  const summary = `${what[0]?.toUpperCase()}${what.slice(1)} ${value === null ? 'taken back' : 'measured'}: ${stringOf(job, job.position)}`
  return store.act({ kind: 'measure', summary, instrumentId: job.id }, () => {
    if (value === null)
      return void store.rows
        .delete(jobMeasures)
        .where(and(eq(jobMeasures.jobId, jobId), eq(jobMeasures.what, what)))
        .run()
    const row = { value: measureColumn(what, value), at: store.now() }
    store.rows
      .insert(jobMeasures)
      .values({ jobId, what, ...row })
      .onConflictDoUpdate({ target: [jobMeasures.jobId, jobMeasures.what], set: row })
      .run()
  })
}

/** As far as a row tells them apart. */
const isSame = (a: number | null, b: number | null) =>
  a === null || b === null ? a === b : Math.abs(a - b) < 1e-6

function keptText(what: Asked, value: number | null): string {
  if (value === null) return 'it was taken back'
  if (what === 'gauge') return `${(value * 1000).toFixed(2)} mm was measured for it`
  return what === 'cut' ? `${(value * 1000).toFixed(0)} mm was cut` : `${value} was kept for it`
}

/** Pieces shorter than this are waste, m. */
const WORTH_KEEPING = 0.1

/**
 * Logs that something went wrong, and takes the job back to the step that its way back begins at. A string that is lost
 * is cut from its coil; a piece that is only too short goes back to the stores.
 *
 * @param length - really cut, m; what was measured or worked out when left out
 */
export function logMishap(
  store: Store,
  jobId: number,
  at: string,
  mishap: Mishap,
  length?: number,
): Done<WayBack> {
  const job = unfinished(jobById(store, jobId))
  const step = stepOf(job, at)
  const back = waysBack(job.context, step).find((way) => way.mishap === mishap)
  if (!back) throw new Refusal(400, `“${mishapWord(mishap)}” can’t happen in this step.`, 'mishap')
  const cut = length ?? job.measured.cut ?? job.figures.cut.total
  return store.act(
    {
      kind: 'mishap',
      summary: `${mishapWord(mishap)}: ${stringOf(job, job.position)}`,
      instrumentId: job.id,
    },
    () => {
      const loses = back.loses !== 'nothing' && job.coil !== null
      store.rows
        .insert(jobMishaps)
        .values({
          jobId,
          step,
          mishap,
          at: store.now(),
          lostMm: loses && back.loses === 'the string' ? inMm(cut) : null,
        })
        .run()
      if (loses) loseString(store, job, cut, back.loses === 'its length')
      const keys = job.steps.map((s) => s.key)
      const from = loses
        ? keys.indexOf('prove')
        : back.backTo === null
          ? keys.indexOf(step)
          : keys.indexOf(back.backTo)
      store.rows
        .delete(jobSteps)
        .where(and(eq(jobSteps.jobId, jobId), inArray(jobSteps.step, keys.slice(from))))
        .run()
      return back
    },
  )
}

/** Cuts the lost length off its coil and asks for a coil anew. */
function loseString(store: Store, job: Job, cut: number, keepPiece: boolean): void {
  const { coil, jobId } = job
  if (!coil) return
  const piece = Math.min(cut, coil.lengthLeft)
  cutCoil(store, coil.id, piece, jobId)
  if (keepPiece && piece > WORTH_KEEPING) {
    addCoil(store, {
      label: `${coil.label}, cut too short`,
      construction: coil.construction,
      colour: coil.colour,
      tensionClass: coil.tensionClass,
      maker: coil.maker,
      line: coil.line,
      // A ready-made end went with this cut, and is on the piece.
      place: coil.place,
      end: coil.end,
      boughtAt: coil.boughtAt,
      boughtLength: piece,
      openedAt: store.now(),
    })
  }
  const left = coil.lengthLeft - piece
  // The rest of the same coil serves again where it is long enough.
  const stillServes =
    left >= job.figures.cut.total && (coil.end === 'plain' || specAt(job.position, null).end === 'plain')
  store.rows
    .update(jobs)
    .set({ coilId: stillServes ? coil.id : null })
    .where(eq(jobs.id, jobId))
    .run()
  store.rows.delete(jobMeasures).where(eq(jobMeasures.jobId, jobId)).run()
}
