/**
 * Fitted strings: which one is on a position now, and what has been on it.
 */
import { and, desc, eq, gt, inArray, isNull, or, sql } from 'drizzle-orm'
import { grouped } from '@/core/list/grouped'
import type { Stretching } from '@/core/settle/stretching'
import type { Construction } from '@/core/strings/construction'
import type { Since } from '@/core/wear/on-since'
import { YEAR } from '@/core/wear/period'
import { constructionColumns, constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { fittedPositions, fittedStrings, parkedTails } from '../store/schema'

export interface FittedString {
  readonly id: number
  readonly instrumentId: number
  readonly construction: Construction
  /** ms; an estimate where it was on already when its instrument was entered. */
  readonly fittedAt: number
  readonly since: Since
  readonly endedAt: number | null
  /** It was on before and was put back. */
  readonly moved: boolean
  /** Cycles of helping it settle when it was fitted, and how. */
  readonly stretchCycles: number
  readonly stretchedBy: Stretching | null
  readonly positionIds: readonly number[]
}

/** Puts a string on its positions; belongs inside an action. Returns its row id. */
export function fitString(
  store: Store,
  string: {
    instrumentId: number
    coilId: number | null
    construction: Construction
    at: number
    positionIds: readonly number[]
    moved?: boolean
    /** How long it had been on before, ms. */
    agedMs?: number
    since?: Since
    stretched?: { readonly by: Stretching; readonly cycles: number }
  },
): number {
  const { id } = store.rows
    .insert(fittedStrings)
    .values({
      instrumentId: string.instrumentId,
      coilId: string.coilId,
      ...constructionColumns(string.construction),
      fittedAt: string.at,
      moved: string.moved ?? false,
      agedMs: string.agedMs ?? 0,
      since: string.since ?? 'dated',
      stretchCycles: string.stretched?.cycles ?? 0,
      stretchedBy: string.stretched?.by ?? null,
    })
    .returning({ id: fittedStrings.id })
    .get()
  for (const positionId of string.positionIds)
    store.rows.insert(fittedPositions).values({ fittedId: id, positionId }).run()
  return id
}

/** How long the string that was last on these positions had been on in all, ms, and how well that is known; none where there was none. */
export function agedOn(
  store: Store,
  positionIds: readonly number[],
  at: number,
): { readonly agedMs: number; readonly since: Since } {
  const last = store.rows
    .select({
      from: fittedStrings.fittedAt,
      to: fittedStrings.endedAt,
      before: fittedStrings.agedMs,
      since: fittedStrings.since,
    })
    .from(fittedStrings)
    .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
    .where(inArray(fittedPositions.positionId, [...positionIds]))
    .orderBy(desc(fittedStrings.id))
    .limit(1)
    .get()
  return last
    ? { agedMs: Math.max(0, (last.to ?? at) - last.from) + last.before, since: last.since }
    : { agedMs: 0, since: 'unknown' }
}

/** Ends the string that is on any of the positions; belongs inside an action. Returns the ended ids. */
export function endStringsOn(store: Store, positionIds: readonly number[], at: number): readonly number[] {
  const ids = [
    ...new Set(
      store.rows
        .select({ id: fittedStrings.id })
        .from(fittedStrings)
        .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
        .where(and(inArray(fittedPositions.positionId, [...positionIds]), isNull(fittedStrings.endedAt)))
        .all()
        .map((row) => row.id),
    ),
  ]
  for (const id of ids) {
    store.rows.update(fittedStrings).set({ endedAt: at }).where(eq(fittedStrings.id, id)).run()
    // Its tail needs no trimming now, unless the rest of a packet hangs by it.
    store.rows
      .update(parkedTails)
      .set({ trimmedAt: at })
      .where(and(eq(parkedTails.fittedId, id), isNull(parkedTails.trimmedAt), isNull(parkedTails.coilId)))
      .run()
  }
  return ids
}

/** One fitted string, whether it is still on or not. */
export function fittedById(store: Store, id: number): FittedString | null {
  const row = store
    .prepared('fitted string by id', (rows) =>
      rows
        .select()
        .from(fittedStrings)
        .where(eq(fittedStrings.id, sql.placeholder('id')))
        .prepare(),
    )
    .get({ id })
  if (!row) return null
  const places = store.prepared('positions of a fitted string', (rows) =>
    rows
      .select({ positionId: fittedPositions.positionId })
      .from(fittedPositions)
      .where(eq(fittedPositions.fittedId, sql.placeholder('id')))
      .orderBy(fittedPositions.id)
      .prepare(),
  )
  return fittedFrom(
    row,
    places.all({ id }).map(({ positionId }) => positionId),
  )
}

/** Strings on an instrument now. */
export function stringsOn(store: Store, instrumentId: number): readonly FittedString[] {
  const where = and(
    eq(fittedStrings.instrumentId, sql.placeholder('instrumentId')),
    isNull(fittedStrings.endedAt),
  )
  return gathered(
    store
      .prepared('strings on an instrument', (rows) => stringRows(rows, where).prepare())
      .all({ instrumentId }),
    store
      .prepared('positions of strings on an instrument', (rows) => placeRows(rows, where).prepare())
      .all({ instrumentId }),
  )
}

/** Strings that are on now and were fitted after a moment, ms. */
export function fittedSince(store: Store, after: number): readonly FittedString[] {
  // One that was on already when it was entered settled long before.
  return read(
    store,
    and(
      isNull(fittedStrings.endedAt),
      or(eq(fittedStrings.since, 'dated'), eq(fittedStrings.moved, true)),
      gt(fittedStrings.fittedAt, after),
    ),
  )
}

/** Some strings by their row ids, whether they are still on or not. */
export function fittedByIds(store: Store, ids: readonly number[]): readonly FittedString[] {
  return inChunks(ids, (some) => read(store, inArray(fittedStrings.id, [...some])))
}

/** How many strings are on each instrument of which nobody knows since when. */
export function unknownAgesByInstrument(store: Store): ReadonlyMap<number, number> {
  return store.cache.get(
    'unknown ages',
    [fittedStrings],
    () =>
      new Map(
        store.rows
          .select({ instrumentId: fittedStrings.instrumentId, count: sql<number>`count(*)` })
          .from(fittedStrings)
          .where(and(isNull(fittedStrings.endedAt), eq(fittedStrings.since, 'unknown')))
          .groupBy(fittedStrings.instrumentId)
          .all()
          .map(({ instrumentId, count }) => [instrumentId, count]),
      ),
  )
}

type Where = ReturnType<typeof and>

const stringRows = (rows: Store['rows'], where: Where) => rows.select().from(fittedStrings).where(where)

const placeRows = (rows: Store['rows'], where: Where) =>
  rows
    .select({ fittedId: fittedPositions.fittedId, positionId: fittedPositions.positionId })
    .from(fittedPositions)
    .innerJoin(fittedStrings, eq(fittedPositions.fittedId, fittedStrings.id))
    .where(where)
    .orderBy(fittedPositions.id)

function read(store: Store, where: Where): readonly FittedString[] {
  return gathered(stringRows(store.rows, where).all(), placeRows(store.rows, where).all())
}

/** Strings with the positions that each serves. */
function gathered(
  strings: readonly (typeof fittedStrings.$inferSelect)[],
  places: readonly { readonly fittedId: number; readonly positionId: number }[],
): readonly FittedString[] {
  const served = grouped(places, ({ fittedId }) => fittedId)
  return strings.map((row) =>
    fittedFrom(
      row,
      (served.get(row.id) ?? []).map(({ positionId }) => positionId),
    ),
  )
}

/** How long before it was entered a string was put on, ms. One that was on already is not taken for new: it settled long before. */
const BEFORE: Readonly<Record<Since, (agedMs: number) => number>> = {
  dated: () => 0,
  about: (agedMs) => agedMs,
  unknown: () => YEAR,
}

function fittedFrom(row: typeof fittedStrings.$inferSelect, positionIds: readonly number[]): FittedString {
  return {
    id: row.id,
    instrumentId: row.instrumentId,
    construction: constructionFrom(row),
    fittedAt: row.moved ? row.fittedAt : row.fittedAt - BEFORE[row.since](row.agedMs),
    since: row.since,
    endedAt: row.endedAt,
    moved: row.moved,
    stretchCycles: row.stretchCycles,
    stretchedBy: row.stretchedBy,
    positionIds,
  }
}
