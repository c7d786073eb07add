/**
 * Jobs of several strings: others are done together with the one that leads.
 */
import { eq, or } from 'drizzle-orm'
import { chosenPlan, coveredPlans, type CoveredPlan, type CoveredWay } from '@/core/fitting/covered'
import { positionAt, type StringPosition } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { itemAt } from '@/core/list/item-at'
import type { Done, Store } from '../store/database'
import { workshopSettings } from '../workshop/settings'
import { positionId, type StoredInstrument } from '../instruments/instruments'
import { jobById, unfinished, type Job } from './job'
import { servedBy } from './job'
import { closeNeeds } from './need-of-job'
import { openJobs } from './open-jobs'
import { stringOf } from './string-of'
import { Refusal } from '@/boundary/refusal'
import { cuts, jobMishaps, jobs, needs } from '../store/schema'

/**
 * The jobs that are done together with one, the one that leads first. Of an open job only those that are open still; of
 * a finished one, all.
 */
export function jobsTogether(store: Store, jobId: number): readonly Job[] {
  const job = jobById(store, jobId)
  const lead = job.leadId ?? jobId
  const rows = store.rows
    .select({ id: jobs.id, finishedAt: jobs.finishedAt })
    .from(jobs)
    .where(or(eq(jobs.id, lead), eq(jobs.leadId, lead)))
    .orderBy(jobs.id)
    .all()
  return rows
    .filter((row) => job.finishedAt !== null || row.finishedAt === null)
    .map(({ id }) => (id === jobId ? job : jobById(store, id)))
}

/** Opens a job that replaces a string that is still on. */
export function openReplacement(
  store: Store,
  stored: StoredInstrument,
  number: number,
): Done<{ jobId: number }> {
  const position = positionOf(stored, number)
  refuseOpen(store, stored, position)
  return store.act(
    { kind: 'job', summary: `${stringOf(stored, position)} to be replaced`, instrumentId: stored.id },
    () => ({ jobId: open(store, positionId(stored, number), null) }),
  )
}

/** A job of several, with the strings that it serves. */
export interface OpenedJob {
  readonly id: number
  readonly positionId: number
  readonly numbers: readonly number[]
}

/**
 * Readies one job of several strings; what comes back opens it, and belongs inside an action. A wire that is two strings is one
 * of them.
 */
export function openTogether(
  store: Store,
  stored: StoredInstrument,
  numbers: readonly number[],
): () => readonly OpenedJob[] {
  const { positions } = stored.instrument
  for (const number of numbers) {
    positionId(stored, number)
    refuseOpen(store, stored, itemAt(positions, number - 1))
  }
  const pieces = new Map<number, number[]>()
  for (const number of numbers) {
    const { piece } = itemAt(positions, number - 1)
    pieces.set(piece, [...(pieces.get(piece) ?? []), number])
  }
  return () => {
    let leadId: number | null = null
    return [...pieces.values()].map((of): OpenedJob => {
      const at = positionId(stored, itemAt(of, 0))
      const id = open(store, at, leadId)
      leadId ??= id
      return { id, positionId: at, numbers: of }
    })
  }
}

function refuseOpen(store: Store, stored: StoredInstrument, position: StringPosition): void {
  const served = servedBy(stored, position)
  if (openJobs(store).some((job) => served.includes(job.positionId)))
    throw new Refusal(409, `The ${stringOf(stored, position)} has an open job already.`, 'string')
}

const open = (store: Store, id: number, leadId: number | null) =>
  store.rows
    .insert(jobs)
    .values({ positionId: id, openedAt: store.now(), leadId })
    .returning({ id: jobs.id })
    .get().id

/**
 * Takes further strings of the same instrument into a job: those whose job is open already join it, others are opened
 * as replacements.
 */
export function addToJob(store: Store, jobId: number, numbers: readonly number[]): Done<void> {
  const job = unfinished(jobById(store, jobId))
  const lead = job.leadId ?? jobId
  const wanted = [...new Set(numbers.map((number) => itemAt(servedBy(job, positionOf(job, number)), 0)))]
  const there = new Set(jobsTogether(store, jobId).flatMap((one) => servedBy(one, one.position)))
  const added = wanted.filter((id) => !there.has(id))
  if (added.length === 0)
    throw new Refusal(
      409,
      numbers.length === 1 ? 'That string is in this job already.' : 'Those strings are in this job already.',
      'strings',
    )
  const all = openJobs(store)
  const summary =
    added.length === 1
      ? `One more string taken into the job on ${withThe(stringOf(job, job.position))}`
      : `${added.length} more strings taken into the job on ${withThe(stringOf(job, job.position))}`
  return store.act({ kind: 'job', summary, instrumentId: job.id }, () => {
    for (const id of added) {
      const other = all.find((one) => one.positionId === id || servedOf(job, id).includes(one.positionId))
      if (other) store.rows.update(jobs).set({ leadId: lead }).where(eq(jobs.id, other.id)).run()
      else open(store, id, lead)
    }
  })
}

function positionOf(stored: StoredInstrument, number: number): StringPosition {
  positionId(stored, number)
  return positionAt(stored.instrument, number)
}

function servedOf(stored: StoredInstrument, id: number): readonly number[] {
  const number = [...stored.positionIds].find(([, row]) => row === id)?.[0]
  return number === undefined ? [] : servedBy(stored, positionOf(stored, number))
}

/**
 * Takes a string out of a job: a broken one keeps a job of its own, a replacement that was not begun is given up.
 *
 * @throws Refusal 409 when something was cut for it already
 */
export function takeFromJob(store: Store, jobId: number): Done<void> {
  const job = unfinished(jobById(store, jobId))
  const isCut = store.rows.select().from(cuts).where(eq(cuts.jobId, jobId)).all().length > 0
  if (job.site === null && (isCut || job.doneSteps.length > 0))
    throw new Refusal(
      409,
      `The ${stringOf(job, job.position)} is begun; finish it, or go back to its first step.`,
    )
  return store.act(
    {
      kind: 'job',
      summary: `${stringOf(job, job.position)} ${job.site === null ? 'is not replaced after all' : 'done by itself'}`,
      instrumentId: job.id,
    },
    () => {
      partFrom(store, job)
    },
  )
}

/** Parts a job from those it is done with; one that nobody needs any more is given up. Belongs inside an action. */
function partFrom(store: Store, { jobId, site }: Job): void {
  const [next, ...others] = store.rows
    .select({ id: jobs.id })
    .from(jobs)
    .where(eq(jobs.leadId, jobId))
    .orderBy(jobs.id)
    .all()
  if (next) {
    store.rows.update(jobs).set({ leadId: null }).where(eq(jobs.id, next.id)).run()
    for (const { id } of others) store.rows.update(jobs).set({ leadId: next.id }).where(eq(jobs.id, id)).run()
  }
  closeNeeds(store, jobId)
  if (site !== null) return void store.rows.update(jobs).set({ leadId: null }).where(eq(jobs.id, jobId)).run()
  const isOnRecord = [needs, cuts, jobMishaps].some(
    (table) =>
      store.rows.select({ id: table.id }).from(table).where(eq(table.jobId, jobId)).get() !== undefined,
  )
  if (isOnRecord)
    store.rows.update(jobs).set({ leadId: null, finishedAt: store.now() }).where(eq(jobs.id, jobId)).run()
  else store.rows.delete(jobs).where(eq(jobs.id, jobId)).run()
}

export interface CoveredChoice {
  readonly plans: readonly CoveredPlan[]
  readonly chosen: CoveredWay
}

/** The ways to get at a covered string, with the one that holds; null where nothing lies over it. */
export function coveredChoice(store: Store, job: Job): CoveredChoice | null {
  const plans = coveredPlans(job.instrument, job.position, workshopSettings(store).retuneAtCents)
  const chosen = chosenPlan(plans, job.habits.covered)
  return chosen ? { plans, chosen: chosen.way } : null
}

/**
 * Chooses how a covered string is got at: the strings that go on new are taken into the job, those that don't are taken
 * out again where nothing was done for them yet.
 */
export function chooseCovered(store: Store, jobId: number, way: CoveredWay): Done<void> {
  const job = unfinished(jobById(store, jobId))
  const plan = coveredChoice(store, job)?.plans.find((one) => one.way === way)
  if (!plan) throw new Refusal(400, 'Nothing lies over this string.', 'way')
  const together = jobsTogether(store, jobId)
  const renewed = new Set(plan.renewed.map((p) => positionId(job, p.number)))
  return store.act(
    { kind: 'job', summary: `${stringOf(job, job.position)}: ${way}`, instrumentId: job.id },
    () => {
      for (const one of together) {
        const idle =
          one.jobId !== jobId &&
          one.site === null &&
          one.doneSteps.length === 0 &&
          one.coil === null &&
          !renewed.has(positionId(one, one.position.number))
        if (idle) partFrom(store, one)
      }
      const members = jobsTogether(store, jobId)
      const there = new Set(members.map((one) => positionId(one, one.position.number)))
      const opened = openJobs(store)
      // Whoever led may have been parted from.
      const lead = opened.find(({ id }) => id === jobId)?.leadId ?? jobId
      for (const id of renewed) {
        if (there.has(id)) continue
        const other = opened.find((one) => one.positionId === id)
        if (other) store.rows.update(jobs).set({ leadId: lead }).where(eq(jobs.id, other.id)).run()
        else open(store, id, lead)
      }
      for (const one of jobsTogether(store, jobId)) {
        store.rows
          .update(jobs)
          .set({ habits: JSON.stringify({ ...one.jobHabits, covered: way }) })
          .where(eq(jobs.id, one.jobId))
          .run()
      }
    },
  )
}
