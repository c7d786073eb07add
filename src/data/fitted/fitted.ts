/**
 * Fitted strings: which one is on a position now, and what has been on it.
 */
import { and, eq, inArray, isNull } from 'drizzle-orm'
import type { Stretching } from '@/core/settle/stretching'
import type { Construction } from '@/core/strings/construction'
import { constructionColumns, constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { fittedPositions, fittedStrings, parkedTails } from '../store/schema'

export interface FittedString {
  readonly id: number
  readonly instrumentId: number
  readonly construction: Construction
  readonly fittedAt: number
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
      stretchCycles: string.stretched?.cycles ?? 0,
      stretchedBy: string.stretched?.by ?? null,
    })
    .returning({ id: fittedStrings.id })
    .get()
  for (const positionId of string.positionIds)
    store.rows.insert(fittedPositions).values({ fittedId: id, positionId }).run()
  return id
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
  return read(store, eq(fittedStrings.id, id))[0] ?? null
}

/** Strings on an instrument now. */
export function stringsOn(store: Store, instrumentId: number): readonly FittedString[] {
  return read(store, and(eq(fittedStrings.instrumentId, instrumentId), isNull(fittedStrings.endedAt)))
}

/** Every string on every instrument now. */
export function stringsOnNow(store: Store): readonly FittedString[] {
  return read(store, isNull(fittedStrings.endedAt))
}

function read(store: Store, where: ReturnType<typeof and>): readonly FittedString[] {
  const strings = store.rows.select().from(fittedStrings).where(where).all()
  const served = new Map<number, number[]>()
  const places = store.rows
    .select({ fittedId: fittedPositions.fittedId, positionId: fittedPositions.positionId })
    .from(fittedPositions)
    .innerJoin(fittedStrings, eq(fittedPositions.fittedId, fittedStrings.id))
    .where(where)
    .orderBy(fittedPositions.id)
    .all()
  for (const { fittedId, positionId } of places) {
    served.set(fittedId, [...(served.get(fittedId) ?? []), positionId])
  }
  return strings.map((row) => ({
    id: row.id,
    instrumentId: row.instrumentId,
    construction: constructionFrom(row),
    fittedAt: row.fittedAt,
    endedAt: row.endedAt,
    moved: row.moved,
    stretchCycles: row.stretchCycles,
    stretchedBy: row.stretchedBy,
    positionIds: served.get(row.id) ?? [],
  }))
}
