/**
 * A job as it stands: its string, the coil, the figures, the steps and what was measured, read from its rows.
 */
import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { FRESH, type FittingContext } from '@/core/fitting/context'
import type { Corrections } from '@/core/fitting/corrections'
import { chosenPlan, coveredPlans } from '@/core/fitting/covered'
import { fittingFigures, type FittingFigures } from '@/core/fitting/figures'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import { habitsFor, type HabitChange } from '@/core/fitting/habits'
import type { Mishap } from '@/core/fitting/mishaps'
import type { Asked, Step, StepKey } from '@/core/fitting/step'
import { samePiece, soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { surfaceMaterial } from '@/core/strings/construction'
import { siteFacts, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { endStringsOn, fittedById, stringsOn } from '../fitted/fitted'
import { habitChange, workshopSettings } from '../workshop/settings'
import { byPositionId, positionId, type StoredInstrument } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { inMm, metres } from '../store/millimetres'
import { breaks, jobMeasures, jobMishaps, jobs, jobSteps, needs } from '../store/schema'
import { coilById, type Coil } from '../stores/coils'
import { goOfJob } from './go-of-job'
import { workshopLearned, kindOf } from './learned'
import { stringOf } from './string-of'

export interface Job extends StoredInstrument {
  readonly jobId: number
  readonly position: StringPosition
  readonly site: BreakSite | null
  readonly openedAt: number
  readonly finishedAt: number | null
  readonly coil: Coil | null
  /** The string came off whole and is put back. */
  readonly sameString: boolean
  /** A good string is taken off and put back, to learn how. */
  readonly forPractice: boolean
  /** Whether it could be: it slipped or pulled through, is no wire, and is on record. */
  readonly canPutBack: boolean
  readonly onNeedList: boolean
  /** What this job does otherwise than its instrument; `habits` are those that hold. */
  readonly jobHabits: HabitChange
  readonly corrections: Corrections
  readonly figures: FittingFigures
  readonly context: FittingContext
  readonly steps: readonly Step[]
  readonly doneSteps: readonly StepKey[]
  /** When the first and the last step so far were done. */
  readonly workedFrom: number | null
  readonly workedTo: number | null
  /** Lengths in m. */
  readonly measured: Readonly<Partial<Record<Asked, number>>>
  readonly mishaps: readonly LoggedMishap[]
  /** The job it is done together with; null where it is done alone or leads. */
  readonly leadId: number | null
  /** Whose string it is, where several are at a restring; empty where one does all. */
  readonly hands: string
}

export interface LoggedMishap {
  readonly mishap: Mishap
  readonly step: StepKey
  readonly at: number
  /** m; null where none was lost. */
  readonly lost: number | null
}

/** How many steps of a job are done. */
export function stepsDone(store: Store, jobId: number): number {
  return stepsOf(store, jobId).length
}

/** Steps of a job that are done, in the order they were. */
function stepsOf(store: Store, jobId: number) {
  return store
    .prepared('steps of a job', (rows) =>
      rows
        .select()
        .from(jobSteps)
        .where(eq(jobSteps.jobId, sql.placeholder('job')))
        .orderBy(asc(jobSteps.id))
        .prepare(),
    )
    .all({ job: jobId })
}

function mishapsOf(store: Store, jobId: number) {
  return store
    .prepared('mishaps of a job', (rows) =>
      rows
        .select()
        .from(jobMishaps)
        .where(eq(jobMishaps.jobId, sql.placeholder('job')))
        .orderBy(asc(jobMishaps.id))
        .prepare(),
    )
    .all({ job: jobId })
}

function breakById(store: Store, id: number) {
  return store
    .prepared('break by id', (rows) =>
      rows
        .select()
        .from(breaks)
        .where(eq(breaks.id, sql.placeholder('id')))
        .prepare(),
    )
    .get({ id })
}

/** A string that was to be replaced gave way before: the job that was opened for it goes on as the mending of the break. */
export function breakInJob(
  store: Store,
  stored: StoredInstrument,
  position: StringPosition,
  site: BreakSite,
  jobId: number,
): Done<{ jobId: number }> {
  return store.act(
    {
      kind: 'break',
      summary: `${stringOf(stored, position)} gave way: ${siteWord(site, position).toLowerCase()}; its job was open`,
      instrumentId: stored.id,
    },
    () => {
      const at = store.now()
      const [fittedId] = endStringsOn(store, servedBy(stored, position), at)
      const broken = store.rows
        .insert(breaks)
        .values({ positionId: positionId(stored, position.number), fittedId: fittedId ?? null, at, site })
        .returning({ id: breaks.id })
        .get()
      store.rows.update(jobs).set({ breakId: broken.id }).where(eq(jobs.id, jobId)).run()
      return { jobId }
    },
  )
}

/** One job with everything worked out for it; Refusal 404 when there is none. */
export function jobById(store: Store, jobId: number): Job {
  const row = found(
    store
      .prepared('job by id', (rows) =>
        rows
          .select()
          .from(jobs)
          .where(eq(jobs.id, sql.placeholder('id')))
          .prepare(),
      )
      .get({ id: jobId }),
    `There is no job ${jobId}.`,
  )
  const stored = byPositionId(store, row.positionId)
  const broken = row.breakId === null ? undefined : breakById(store, row.breakId)
  const coil = row.coilId === null ? null : coilById(store, row.coilId)
  const old = broken?.fittedId
    ? fittedById(store, broken.fittedId)
    : row.forPractice
      ? (stringsOn(store, stored.id).find(({ positionIds }) => positionIds.includes(row.positionId)) ?? null)
      : null
  const jobHabits = habitChange(row.habits)
  const habits = habitsFor(stored.habits, {}, jobHabits)
  const corrections = workshopLearned(store).correctionsFor(kindOf(stored, stored.position))
  const figures = fittingFigures(
    stored.instrument,
    stored.position,
    habits,
    coil?.construction ?? (row.sameString ? old?.construction : undefined),
    corrections,
    coil?.end,
  )
  const site = broken?.site ?? null
  const measured = measuredIn(store, jobId)
  const done = stepsOf(store, jobId)
  const { restring, hands } = goOfJob(store, jobId)
  const context = fittingContext(stored.instrument, stored.position, figures, habits, {
    ...FRESH,
    site,
    sameString: row.sameString,
    forPractice: row.forPractice,
    restring,
    turnsGiven: measured.turns ?? 0,
    classDiffers:
      coil !== null &&
      soldByClass(stored.instrument) !== null &&
      coil.tensionClass !== 'not given' &&
      coil.tensionClass !== stored.instrument.tensionClass,
    redoesAbove:
      (chosenPlan(
        coveredPlans(stored.instrument, stored.position, workshopSettings(store).retuneAtCents),
        habits.covered,
      )?.way ?? 'uncover and put back') !== 'uncover and put back',
  })
  return {
    ...stored,
    jobId,
    site,
    coil,
    habits,
    jobHabits,
    corrections,
    figures,
    context,
    measured,
    sameString: row.sameString,
    forPractice: row.forPractice,
    canPutBack:
      old !== null && site !== null && !siteFacts(site).broke && !surfaceMaterial(old.construction).wire,
    openedAt: row.openedAt,
    finishedAt: row.finishedAt,
    onNeedList: isOnNeedList(store, jobId),
    steps: fittingSteps(context),
    doneSteps: done.map((s) => s.step),
    workedFrom: done[0]?.doneAt ?? null,
    workedTo: done.findLast(({ doneAt }) => doneAt <= (row.finishedAt ?? doneAt))?.doneAt ?? null,
    mishaps: mishapsOf(store, jobId).map(({ mishap, step, at, lostMm }) => ({
      mishap,
      step,
      at,
      lost: lostMm === null ? null : metres(lostMm),
    })),
    leadId: row.leadId,
    hands,
  }
}

/** Measured values that are lengths; the others are kept as they are. */
const LENGTHS: readonly Asked[] = ['gauge', 'cut']

function measuredIn(store: Store, jobId: number): Readonly<Partial<Record<Asked, number>>> {
  return Object.fromEntries(
    store
      .prepared('measures of a job', (rows) =>
        rows
          .select()
          .from(jobMeasures)
          .where(eq(jobMeasures.jobId, sql.placeholder('job')))
          .prepare(),
      )
      .all({ job: jobId })
      .map(({ what, value }) => [what, LENGTHS.includes(what) ? metres(value) : value]),
  )
}

/** A measured value as its row keeps it. */
export function measureColumn(what: Asked, value: number): number {
  return LENGTHS.includes(what) ? inMm(value) : value
}

/** The job itself; Refusal 409 when it is finished. */
export function unfinished(job: Job): Job {
  if (job.finishedAt !== null)
    throw new Refusal(409, `The ${stringOf(job, job.position)} is fitted already; undo that first.`)
  return job
}

/** Row ids of every position that the string on this one serves. */
export function servedBy(stored: StoredInstrument, position: StringPosition): readonly number[] {
  return samePiece(stored.instrument, position).map((p) => positionId(stored, p.number))
}

/** Whether a job's string is on the need list. */
export function isOnNeedList(store: Store, jobId: number): boolean {
  const statement = store.prepared('open need of a job', (rows) =>
    rows
      .select({ id: needs.id })
      .from(needs)
      .where(and(eq(needs.jobId, sql.placeholder('job')), isNull(needs.closedAt)))
      .prepare(),
  )
  return statement.get({ job: jobId }) !== undefined
}
