/**
 * Jobs: one string replaced, from the break to the logged fitting. Each function here is one action.
 */
import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import type { Corrections } from '@/core/fitting/corrections'
import { chosenPlan, coveredPlans } from '@/core/fitting/covered'
import { FRESH, type FittingContext } from '@/core/fitting/context'
import { fittingFigures, type FittingFigures } from '@/core/fitting/figures'
import { habitsFor, type HabitChange } from '@/core/fitting/habits'
import { windsOnPin } from '@/core/fitting/head-way'
import type { Mishap } from '@/core/fitting/mishaps'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import { ruleOfTail } from '@/core/fitting/tail'
import type { Asked, Step, StepKey } from '@/core/fitting/step'
import { soldByClass, samePiece, type StringPosition } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { FIRST_TUNED } from '@/core/settle/drift'
import { surfaceMaterial } from '@/core/strings/construction'
import { fitOf } from '@/core/stores/fits'
import { specAt } from '@/core/stores/string-spec'
import { siteFacts, sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { coilById, cutCoil, isParked, openCoil, type Coil } from '../stores/coils'
import { specColumns } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { endStringsOn, fitString, fittedById } from '../fitted/fitted'
import { habitChange, houseSettings } from '../house/house'
import { houseLearned, kindOf } from './learned'
import { byPositionId, positionId, type StoredInstrument } from '../instruments/instruments'
import { DUST, inMm, metres } from '../store/millimetres'
import { found, Refusal } from '@/boundary/refusal'
import { openJobs } from './open-jobs'
import { stringOf } from './string-of'
import {
  breaks,
  fittings,
  jobMeasures,
  jobMishaps,
  jobs,
  jobSteps,
  needs,
  parkedTails,
  readings,
} from '../store/schema'

const HOUR = 3_600_000

export interface Job extends StoredInstrument {
  readonly jobId: number
  readonly position: StringPosition
  readonly site: BreakSite | null
  readonly openedAt: number
  readonly finishedAt: number | null
  readonly coil: Coil | null
  /** The string came off whole and is put back. */
  readonly sameString: boolean
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
}

export interface LoggedMishap {
  readonly mishap: Mishap
  readonly step: StepKey
  readonly at: number
  /** m; null where none was lost. */
  readonly lost: number | null
}

/** Logs a break and opens the job that mends it. A string that serves two positions is gone from both. */
export function logBreak(
  store: Store,
  stored: StoredInstrument,
  number: number,
  site: BreakSite,
): Done<{ jobId: number }> {
  const id = positionId(stored, number)
  const position = stored.instrument.positions.find((p) => p.number === number) as StringPosition
  if (!sitesFor(position).includes(site)) {
    throw new Refusal(
      400,
      `A string of ${stored.instrument.name} can’t give way there: it has no such place.`,
      'site',
    )
  }
  const served = servedBy(stored, position)
  const open = openJobs(store).find((job) => served.includes(job.positionId))
  if (open && open.breakId === null && stepsDone(store, open.id) === 0)
    return breakInJob(store, stored, position, site, open.id)
  if (open)
    throw new Refusal(
      409,
      `The ${stringOf(stored, position)} is already logged as broken; its job is open.`,
      'string',
    )
  const both = served.length > 1 ? ', both strings of the wire' : ''
  return store.act(
    {
      kind: 'break',
      summary: `${stringOf(stored, position)} gave way: ${siteWord(site, position).toLowerCase()}${both}`,
      instrumentId: stored.id,
    },
    () => {
      const at = store.now()
      const [fittedId] = endStringsOn(store, served, at)
      const broken = store.rows
        .insert(breaks)
        .values({ positionId: id, fittedId: fittedId ?? null, at, site })
        .returning({ id: breaks.id })
        .get()
      return {
        jobId: store.rows
          .insert(jobs)
          .values({ positionId: id, breakId: broken.id, openedAt: at })
          .returning({ id: jobs.id })
          .get().id,
      }
    },
  )
}

/** Row ids of every position that the string on this one serves. */
export function servedBy(stored: StoredInstrument, position: StringPosition): readonly number[] {
  return samePiece(stored.instrument, position).map((p) => positionId(stored, p.number))
}

/** How many steps of a job are done. */
export function stepsDone(store: Store, jobId: number): number {
  return stepsOf(store, jobId).length
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
function breakInJob(
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
  const old = broken?.fittedId ? fittedById(store, broken.fittedId) : null
  const jobHabits = habitChange(row.habits)
  const habits = habitsFor(stored.habits, {}, jobHabits)
  const corrections = houseLearned(store).correctionsFor(kindOf(stored, stored.position))
  const figures = fittingFigures(
    stored.instrument,
    stored.position,
    habits,
    coil?.construction ?? (row.sameString ? old?.construction : undefined),
    corrections,
  )
  const site = broken?.site ?? null
  const measured = measuredIn(store, jobId)
  const done = stepsOf(store, jobId)
  const context = fittingContext(stored.instrument, stored.position, figures, habits, {
    ...FRESH,
    site,
    sameString: row.sameString,
    turnsGiven: measured.turns ?? 0,
    classDiffers:
      coil !== null &&
      soldByClass(stored.instrument) !== null &&
      coil.tensionClass !== stored.instrument.tensionClass,
    redoesAbove:
      (chosenPlan(
        coveredPlans(stored.instrument, stored.position, houseSettings(store).retuneAtCents),
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
    canPutBack:
      old !== null && site !== null && !siteFacts(site).broke && !surfaceMaterial(old.construction).wire,
    openedAt: row.openedAt,
    finishedAt: row.finishedAt,
    onNeedList: isOnNeedList(store, jobId),
    steps: fittingSteps(context),
    doneSteps: done.map((s) => s.step),
    workedFrom: done[0]?.doneAt ?? null,
    workedTo: done.at(-1)?.doneAt ?? null,
    mishaps: mishapsOf(store, jobId).map(({ mishap, step, at, lostMm }) => ({
      mishap,
      step,
      at,
      lost: lostMm === null ? null : metres(lostMm),
    })),
    leadId: row.leadId,
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
      summary: `${stringOf(job, job.position)} ${coil ? `fitted from ${coil.label}` : 'put back'}`,
      instrumentId: job.id,
    },
    () => {
      const at = store.now()
      if (coil && cut !== null) cutCoil(store, coil.id, cut, jobId)
      if (coil && cut === null) openCoil(store, coil.id)
      endStringsOn(store, served, at)
      const fittedId = fitString(store, {
        instrumentId: job.id,
        coilId: coil?.id ?? null,
        construction: figures.construction,
        at: at - FIRST_TUNED * HOUR,
        positionIds: served,
        moved: job.sameString,
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

/** Takes a job's string off the need list; belongs inside an action. */
export function closeNeeds(store: Store, jobId: number): void {
  for (const need of store.rows.select().from(needs).where(eq(needs.jobId, jobId)).all()) {
    if (need.closedAt === null)
      store.rows.update(needs).set({ closedAt: store.now() }).where(eq(needs.id, need.id)).run()
  }
}

/** The job itself; Refusal 409 when it is finished. */
export function unfinished(job: Job): Job {
  if (job.finishedAt !== null)
    throw new Refusal(409, `The ${stringOf(job, job.position)} is fitted already; undo that first.`)
  return job
}
