/** Whole restrings: begun by a plan, gone through go by go, each go a job of several strings; ended when all are on. */
import { counted } from '@/core/list/counted'
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { Batches } from '@/core/restring/batch'
import { restringBench } from '@/core/restring/bench-of'
import type { StepKey } from '@/core/fitting/step'
import { grouped } from '@/core/list/grouped'
import { problemOf } from '@/core/restring/checked'
import { namesFor } from '@/core/restring/hands'
import { standBySteps, type StandNow } from '@/core/restring/moments'
import type { RestringWay } from '@/core/restring/taught-ways'
import type { StoredInstrument } from '../instruments/instruments'
import { positionId } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { coils, jobs, jobSteps, restringPieces, restrings } from '../store/schema'
import { checkedCuts, cuttingBenchFor } from '../stores/cutting'
import { chooseCoilOf } from './coil-of-job'
import { openTogether } from './jobs-together'
import { workshopSettings } from '../workshop/settings'

export interface RestringPiece {
  /** Number of the first string that it serves. */
  readonly id: number
  readonly go: number
  /** Null until its go is begun. */
  readonly jobId: number | null
  readonly isDone: boolean
  readonly stand: StandNow
  /** Whose string it is; empty where one does all. */
  readonly hands: string
  /** The packet it is cut from, by its label and where it lies; null where none is chosen yet. */
  readonly packet: { readonly label: string; readonly place: string } | null
}

export interface Restring {
  readonly id: number
  readonly begunAt: number
  readonly endedAt: number | null
  readonly way: RestringWay | null
  readonly sessionMinutes: number
  /** Nothing was on it when it began. */
  readonly fromBare: boolean
  /** In the order in which they are brought up. */
  readonly pieces: readonly RestringPiece[]
}

/** The restring that an instrument is in, or was in last; null where there never was one. */
export function lastRestring(store: Store, stored: StoredInstrument): Restring | null {
  const row = store.rows
    .select()
    .from(restrings)
    .where(eq(restrings.instrumentId, stored.id))
    .orderBy(desc(restrings.id))
    .limit(1)
    .get()
  if (!row) return null
  const numberOf = new Map([...stored.positionIds].map(([number, id]) => [id, number]))
  const steps = stepsDone(store, row.id)
  const pieces = store.rows
    .select({
      piece: restringPieces,
      finishedAt: jobs.finishedAt,
      label: coils.label,
      place: coils.place,
    })
    .from(restringPieces)
    .leftJoin(jobs, eq(jobs.id, restringPieces.jobId))
    // Once its job is open, the job knows best.
    .leftJoin(
      coils,
      eq(
        coils.id,
        sql`CASE WHEN ${restringPieces.jobId} IS NULL THEN ${restringPieces.coilId} ELSE ${jobs.coilId} END`,
      ),
    )
    .where(eq(restringPieces.restringId, row.id))
    .orderBy(asc(restringPieces.go), asc(restringPieces.place))
    .all()
    .flatMap(({ piece, finishedAt, label, place }): RestringPiece[] => {
      // A chart that was changed meanwhile may have the string no more.
      const id = numberOf.get(piece.positionId)
      return id === undefined
        ? []
        : [
            {
              id,
              go: piece.go,
              jobId: piece.jobId,
              isDone: piece.jobId !== null && finishedAt !== null,
              stand:
                finishedAt !== null ? 'new' : standBySteps(steps.get(piece.jobId ?? 0) ?? [], row.fromBare),
              hands: piece.hands,
              packet: label === null ? null : { label, place: place ?? '' },
            },
          ]
    })
  const { id, begunAt, endedAt, way, sessionMinutes, fromBare } = row
  return { id, begunAt, endedAt, way, sessionMinutes, fromBare, pieces }
}

/** Steps that are done of the jobs of a restring that are open, by job. */
function stepsDone(store: Store, restringId: number): ReadonlyMap<number, readonly StepKey[]> {
  const rows = store.rows
    .select({ jobId: jobSteps.jobId, step: jobSteps.step })
    .from(restringPieces)
    .innerJoin(jobs, and(eq(jobs.id, restringPieces.jobId), isNull(jobs.finishedAt)))
    .innerJoin(jobSteps, eq(jobSteps.jobId, jobs.id))
    .where(eq(restringPieces.restringId, restringId))
    .all()
  return new Map(
    [...grouped(rows, ({ jobId }) => jobId)].map(([jobId, of]) => [jobId, of.map(({ step }) => step)]),
  )
}

export interface NewRestring {
  /** Numbers of the first strings of pieces, go by go, each in the order in which they are brought up. */
  readonly goes: readonly (readonly number[])[]
  readonly way: RestringWay | null
  /** min */
  readonly sessionMinutes: number
  /** Whoever begins knows that strings are missing from the stores, and begins all the same. */
  readonly withMissing: boolean
  /** Nothing is on the instrument: its strings are all off, or it is new. */
  readonly fromBare: boolean
  /** Names of the house’s people who are at it; none where one does all. */
  readonly people: readonly string[]
  /** Which piece is cut from which coil. */
  readonly cuts: readonly { readonly id: number; readonly coilId: number }[]
}

/**
 * Begins a restring, and its first go. The coils of its plan are set aside for it.
 *
 * @throws Refusal 400 for an order that can’t be worked in, 409 while another is going on, strings are missing, or the stores have
 * changed since the plan was made
 */
export function beginRestring(
  store: Store,
  stored: StoredInstrument,
  { goes, way, sessionMinutes, withMissing, fromBare, people, cuts }: NewRestring,
): Done<{ readonly jobId: number }> {
  const { instrument } = stored
  const before = lastRestring(store, stored)
  if (before && before.endedAt === null)
    throw new Refusal(409, `A restring of ${instrument.name} is going on. End it before you begin another.`)
  const batches = workable(store, stored, goes, fromBare)
  const unknown = people.find((name) => !workshopSettings(store).people.includes(name))
  if (unknown !== undefined) throw new Refusal(400, `Nobody of the house is called ${unknown}.`, 'people')
  const ids = goes.flat()
  checkedCuts(cuttingBenchFor(store, stored, ids), cuts)
  const missing = ids.length - cuts.length
  if (missing > 0 && !withMissing)
    throw new Refusal(
      409,
      `${missing === 1 ? 'A string is' : `${missing} strings are`} missing from the stores. Order first, or say that you begin all the same.`,
      'withMissing',
    )
  const coilFor = new Map(cuts.map(({ id, coilId }) => [id, coilId]))
  const first = openTogether(store, stored, strings(stored, goes[0] ?? []))
  return store.act(
    {
      kind: 'job',
      instrumentId: stored.id,
      summary: `${fromBare ? 'Stringing' : 'Restring'} of ${instrument.name} begun: ${counted(ids.length, 'string')} in ${counted(goes.length, 'stage')}`,
    },
    () => {
      const { id } = store.rows
        .insert(restrings)
        .values({ instrumentId: stored.id, begunAt: store.now(), way, sessionMinutes, fromBare })
        .returning({ id: restrings.id })
        .get()
      goes.forEach((of, go) => {
        const whose = namesFor(batches, of, people)
        of.forEach((piece, place) =>
          store.rows
            .insert(restringPieces)
            .values({
              restringId: id,
              positionId: positionId(stored, piece),
              go,
              place,
              coilId: coilFor.get(piece) ?? null,
              hands: whose.get(piece) ?? '',
            })
            .run(),
        )
      })
      return { jobId: opened(store, id, first()) }
    },
  )
}

/**
 * Opens the next go.
 *
 * @throws Refusal 404 where no restring is going on, 409 while strings of this go are not done, or none is left
 */
export function nextGo(store: Store, stored: StoredInstrument): Done<{ readonly jobId: number }> {
  const restring = goingOn(store, stored)
  const open = restring.pieces.find(({ jobId, isDone }) => jobId !== null && !isDone)
  if (open)
    throw new Refusal(
      409,
      'Strings of this go are not done yet: nothing else comes off before they are at pitch.',
    )
  const next = restring.pieces.find(({ isDone }) => !isDone)
  if (!next) throw new Refusal(409, 'All its strings are on. End the restring.')
  const ids = restring.pieces.filter(({ go, isDone }) => go === next.go && !isDone).map(({ id }) => id)
  const open_ = openTogether(store, stored, strings(stored, ids))
  return store.act(
    {
      kind: 'job',
      instrumentId: stored.id,
      summary: `Go ${next.go + 1} of the restring of ${stored.instrument.name} begun: ${counted(ids.length, 'string')}`,
    },
    () => ({ jobId: opened(store, restring.id, open_()) }),
  )
}

/** Ends a restring, done or given up; jobs that are open stay. */
export function endRestring(store: Store, stored: StoredInstrument): Done<void> {
  const restring = goingOn(store, stored)
  const left = restring.pieces.filter(({ isDone }) => !isDone).length
  return store.act(
    {
      kind: 'job',
      instrumentId: stored.id,
      summary: `Restring of ${stored.instrument.name} ended${left === 0 ? '' : `, ${left} strings not changed`}`,
    },
    () => {
      store.rows.update(restrings).set({ endedAt: store.now() }).where(eq(restrings.id, restring.id)).run()
    },
  )
}

function goingOn(store: Store, stored: StoredInstrument): Restring {
  const restring = lastRestring(store, stored)
  return found(
    restring && restring.endedAt === null ? restring : undefined,
    `No restring of ${stored.instrument.name} is going on.`,
  )
}

/**
 * The bench of an order that can be worked in.
 *
 * @throws Refusal 400 with what keeps it from being; 404 where a string is nowhere
 */
function workable(
  store: Store,
  stored: StoredInstrument,
  goes: readonly (readonly number[])[],
  fromBare: boolean,
): Batches {
  const { instrument, habits } = stored
  const ids = goes.flat()
  for (const id of ids) positionId(stored, id)
  const nameOf = (position: StringPosition) => leadingNames(position, habits.octaveNames).name
  try {
    const batches = new Batches(restringBench(instrument, [...new Set(ids)], workshopSettings(store)))
    if (fromBare && batches.bench.changed.length < batches.bench.pieces.length)
      throw new RangeError('From bare, all strings are strung: choose all of them.')
    const problem = problemOf(instrument, batches, goes, nameOf, fromBare)
    if (problem === null) return batches
    throw new RangeError(problem)
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal(400, error.message, 'goes')
    throw error
  }
}

/** All strings of some pieces. */
function strings({ instrument }: StoredInstrument, ids: readonly number[]): readonly number[] {
  return ids.flatMap((id) => {
    const { piece } = itemAt(instrument.positions, id - 1)
    return instrument.positions.filter((position) => position.piece === piece).map(({ number }) => number)
  })
}

/** Ties jobs that were opened to the pieces they are for, each with the coil that was planned for it; the first leads. */
function opened(
  store: Store,
  restringId: number,
  jobsOpened: ReturnType<ReturnType<typeof openTogether>>,
): number {
  for (const { id, positionId: at } of jobsOpened) {
    const [piece] = store.rows
      .update(restringPieces)
      .set({ jobId: id })
      .where(and(eq(restringPieces.restringId, restringId), eq(restringPieces.positionId, at)))
      .returning({ coilId: restringPieces.coilId })
      .all()
    if (piece?.coilId) chooseCoilOf(store, id, piece.coilId)
  }
  return itemAt(jobsOpened, 0).id
}
