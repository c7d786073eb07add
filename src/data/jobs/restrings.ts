/** Whole restrings: begun by a plan, gone through go by go, each go a job of several strings; ended when all are on. */
import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { leadingNames } from '@/core/instrument/names'
import { Batches } from '@/core/restring/batch'
import { restringBench } from '@/core/restring/bench-of'
import type { StepKey } from '@/core/fitting/step'
import { grouped } from '@/core/list/grouped'
import { problemOf } from '@/core/restring/checked'
import { standBySteps, type StandNow } from '@/core/restring/moments'
import type { RestringWay } from '@/core/restring/schools'
import type { StoredInstrument } from '../instruments/instruments'
import { positionId } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { jobs, jobSteps, restringPieces, restrings } from '../store/schema'
import { openTogether } from './jobs-together'
import { houseSettings } from '../house/house'

export interface RestringPiece {
  /** Number of the first string that it serves. */
  readonly id: number
  readonly go: number
  /** Null until its go is begun. */
  readonly jobId: number | null
  readonly isDone: boolean
  readonly stand: StandNow
}

export interface Restring {
  readonly id: number
  readonly begunAt: number
  readonly endedAt: number | null
  readonly way: RestringWay | null
  readonly sessionMinutes: number
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
    .select({ piece: restringPieces, finishedAt: jobs.finishedAt })
    .from(restringPieces)
    .leftJoin(jobs, eq(jobs.id, restringPieces.jobId))
    .where(eq(restringPieces.restringId, row.id))
    .orderBy(asc(restringPieces.go), asc(restringPieces.place))
    .all()
    .flatMap(({ piece, finishedAt }): RestringPiece[] => {
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
              stand: finishedAt !== null ? 'new' : standBySteps(steps.get(piece.jobId ?? 0) ?? []),
            },
          ]
    })
  const { id, begunAt, endedAt, way, sessionMinutes } = row
  return { id, begunAt, endedAt, way, sessionMinutes, pieces }
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
}

/**
 * Begins a restring, and its first go.
 *
 * @param missing - how many strings the stores lack for it
 * @throws Refusal 400 for an order that can’t be worked in, 409 while another is going on, or strings are missing
 */
export function beginRestring(
  store: Store,
  stored: StoredInstrument,
  { goes, way, sessionMinutes, withMissing }: NewRestring,
  missing: number,
): Done<{ readonly jobId: number }> {
  const { instrument, habits } = stored
  const before = lastRestring(store, stored)
  if (before && before.endedAt === null)
    throw new Refusal(409, `A restring of ${instrument.name} is going on. End it before you begin another.`)
  const problem = checked(store, stored, goes, (position) => leadingNames(position, habits.octaveNames).name)
  if (problem) throw new Refusal(400, problem, 'goes')
  if (missing > 0 && !withMissing)
    throw new Refusal(
      409,
      `${missing === 1 ? 'A string is' : `${missing} strings are`} missing from the stores. Order first, or say that you begin all the same.`,
      'withMissing',
    )
  const first = openTogether(store, stored, strings(stored, goes[0] ?? []))
  const count = goes.reduce((sum, { length }) => sum + length, 0)
  return store.act(
    {
      kind: 'job',
      instrumentId: stored.id,
      summary: `Restring of ${instrument.name} begun: ${count} strings in ${goes.length} goes`,
    },
    () => {
      const { id } = store.rows
        .insert(restrings)
        .values({ instrumentId: stored.id, begunAt: store.now(), way, sessionMinutes })
        .returning({ id: restrings.id })
        .get()
      goes.forEach((ids, go) =>
        ids.forEach((piece, place) =>
          store.rows
            .insert(restringPieces)
            .values({ restringId: id, positionId: positionId(stored, piece), go, place })
            .run(),
        ),
      )
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
      summary: `Go ${next.go + 1} of the restring of ${stored.instrument.name} begun: ${ids.length} strings`,
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

/** Whether a job is a string of a restring that is planned: its go is gone through in the plan’s order. */
export function isPlanned(store: Store, jobId: number): boolean {
  return (
    store.rows
      .select({ id: restringPieces.id })
      .from(restringPieces)
      .innerJoin(restrings, and(eq(restrings.id, restringPieces.restringId), isNull(restrings.endedAt)))
      .where(eq(restringPieces.jobId, jobId))
      .get() !== undefined
  )
}

function goingOn(store: Store, stored: StoredInstrument): Restring {
  const restring = lastRestring(store, stored)
  return found(
    restring && restring.endedAt === null ? restring : undefined,
    `No restring of ${stored.instrument.name} is going on.`,
  )
}

/** What keeps an order from being worked in; a string that is nowhere is refused as any other. */
function checked(
  store: Store,
  stored: StoredInstrument,
  goes: readonly (readonly number[])[],
  nameOf: Parameters<typeof problemOf>[3],
): string | null {
  const ids = goes.flat()
  for (const id of ids) positionId(stored, id)
  try {
    const bench = restringBench(stored.instrument, [...new Set(ids)], houseSettings(store))
    return problemOf(stored.instrument, new Batches(bench), goes, nameOf)
  } catch (error) {
    if (error instanceof RangeError) return error.message
    throw error
  }
}

/** All strings of some pieces. */
function strings({ instrument }: StoredInstrument, ids: readonly number[]): readonly number[] {
  return ids.flatMap((id) => {
    const { piece } = instrument.positions[id - 1] as (typeof instrument.positions)[number]
    return instrument.positions.filter((position) => position.piece === piece).map(({ number }) => number)
  })
}

/** Ties jobs that were opened to the pieces they are for; the first leads. */
function opened(
  store: Store,
  restringId: number,
  jobsOpened: ReturnType<ReturnType<typeof openTogether>>,
): number {
  for (const { id, positionId: at } of jobsOpened)
    store.rows
      .update(restringPieces)
      .set({ jobId: id })
      .where(and(eq(restringPieces.restringId, restringId), eq(restringPieces.positionId, at)))
      .run()
  return (jobsOpened[0] as (typeof jobsOpened)[number]).id
}
