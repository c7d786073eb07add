/**
 * Strings that were on when their instrument was entered: nobody saw them put on, and somebody may remember the year.
 */
import { and, eq, inArray, isNull } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { firstOfPieces, samePiece, positionAt } from '@/core/instrument/instrument'
import { onAlready } from '@/core/wear/on-since'
import { openJobs } from '../jobs/open-jobs'
import { instrumentBySlug, positionId, type StoredInstrument } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { fittedPositions, fittedStrings } from '../store/schema'
import { endStringsOn, fitString, stringsOn } from './fitted'

/** What somebody says of strings that are on already: about which year they were put on, nothing, or that there are none. */
export type OnAlready = { readonly year: number | null } | 'none'

/** Puts strings on all positions of a new instrument as strings that were on before; belongs inside an action. */
export function stringAll(store: Store, slug: string, on: OnAlready): void {
  if (on === 'none') return
  const stored = instrumentBySlug(store, slug)
  putOn(
    store,
    stored,
    firstOfPieces(stored.instrument).map(({ number }) => number),
    on.year,
  )
}

/** Puts a string on a piece that was added to the chart and never had one; belongs inside an action. */
export function stringNew(store: Store, slug: string): void {
  const stored = instrumentBySlug(store, slug)
  const ids = [...stored.positionIds.values()]
  const had = new Set(
    store.rows
      .select({ id: fittedPositions.positionId })
      .from(fittedPositions)
      .where(inArray(fittedPositions.positionId, ids))
      .all()
      .map(({ id }) => id),
  )
  // Where no string is on anywhere the instrument is bare, and so is what is added.
  if (had.size === 0) return
  const bare = firstOfPieces(stored.instrument).filter(({ number }) => {
    const piece = samePiece(stored.instrument, positionAt(stored.instrument, number))
    return piece.every((p) => !had.has(positionId(stored, p.number)))
  })
  putOn(
    store,
    stored,
    bare.map(({ number }) => number),
    null,
  )
}

/** Puts strings on some positions, one on each piece; belongs inside an action. */
function putOn(
  store: Store,
  stored: StoredInstrument,
  numbers: readonly number[],
  year: number | null,
): void {
  const at = store.now()
  const { since, agedBefore } = yearOrRefused(year, at)
  for (const number of numbers) {
    const position = positionAt(stored.instrument, number)
    fitString(store, {
      instrumentId: stored.id,
      coilId: null,
      construction: position.construction,
      at,
      since,
      agedMs: agedBefore,
      positionIds: samePiece(stored.instrument, position).map((p) => positionId(stored, p.number)),
    })
  }
}

function yearOrRefused(year: number | null, now: number): ReturnType<typeof onAlready> {
  try {
    return onAlready(year, now)
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, 'year')
  }
}

/**
 * Says since when strings are on that nobody saw put on, or that none is there.
 *
 * @param numbers - of positions; of a wire that is two strings either will do
 * @throws Refusal 404 where the instrument has no such string, 409 where a string was put on here on a day that is on record, or
 * a job is open, 400 where the year can’t be
 */
export function sayOnSince(
  store: Store,
  stored: StoredInstrument,
  numbers: readonly number[],
  on: OnAlready,
): Done<void> {
  const { instrument } = stored
  const firsts = [...new Set(numbers)].map((number) => {
    positionId(stored, number)
    return samePiece(instrument, positionAt(instrument, number))[0]?.number ?? number
  })
  const inJobs = new Set(openJobs(store).map((job) => job.positionId))
  const strings = new Map(
    stringsOn(store, stored.id).flatMap((one) => one.positionIds.map((id) => [id, one] as const)),
  )
  const pieces = [...new Set(firsts)].map((number) => {
    const ids = samePiece(instrument, positionAt(instrument, number)).map((p) => positionId(stored, p.number))
    return { number, ids, string: ids.map((id) => strings.get(id)).find((one) => one !== undefined) }
  })
  for (const { number, ids, string } of pieces) {
    if (string?.since === 'dated')
      throw new Refusal(409, `String ${number} was put on here, on a day that is on record.`, 'numbers')
    if (ids.some((id) => inJobs.has(id)))
      throw new Refusal(409, `String ${number} has an open job. Finish it first.`, 'numbers')
  }
  const count = pieces.length === 1 ? `String ${pieces[0]?.number}` : `${pieces.length} strings`
  const said =
    on === 'none' ? 'not on' : on.year === null ? 'on since an unknown year' : `on since about ${on.year}`
  return store.act(
    { kind: 'age', instrumentId: stored.id, summary: `${count} of ${instrument.name}: ${said}` },
    () => {
      const at = store.now()
      if (on === 'none') {
        endStringsOn(
          store,
          pieces.flatMap(({ ids }) => ids),
          at,
        )
        return
      }
      const { since, agedBefore } = yearOrRefused(on.year, at)
      for (const { string } of pieces)
        if (string)
          store.rows
            .update(fittedStrings)
            // What is known of its age is known as of the day it was entered.
            .set({ since, agedMs: Math.max(0, agedBefore - (at - enteredAt(store, string.id))) })
            .where(eq(fittedStrings.id, string.id))
            .run()
      putOn(
        store,
        stored,
        pieces.filter(({ string }) => string === undefined).map(({ number }) => number),
        on.year,
      )
    },
  )
}

function enteredAt(store: Store, fittedId: number): number {
  const row = store.rows
    .select({ at: fittedStrings.fittedAt })
    .from(fittedStrings)
    .where(eq(fittedStrings.id, fittedId))
    .get()
  return row?.at ?? store.now()
}

/**
 * Takes away strings on positions of which nothing more is known than that a string was on; belongs inside an action. Others
 * stay, and are a history.
 */
export function forgetOnAlready(store: Store, positionIds: readonly number[]): void {
  const known = store.rows
    .select({ id: fittedStrings.id })
    .from(fittedStrings)
    .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
    .where(and(inArray(fittedPositions.positionId, [...positionIds]), isNull(fittedStrings.endedAt)))
    .all()
    .map(({ id }) => id)
  store.rows.delete(fittedPositions).where(inArray(fittedPositions.fittedId, known)).run()
  store.rows.delete(fittedStrings).where(inArray(fittedStrings.id, known)).run()
}
