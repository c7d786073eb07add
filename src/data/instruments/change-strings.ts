/**
 * Strings added to an instrument on the shelf and taken away from it, and an instrument put on the shelf again as another
 * one.
 */
import { and, eq, getTableColumns, inArray, isNotNull, or, type Table } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { withoutString, withString, type ChangedStrings } from '@/core/instrument/change-strings'
import { positionAt, samePiece } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'
import type { QuantityKey } from '@/core/measuring/quantity'
import type { Done, Store } from '../store/database'
import { coverings, fittedPositions, fittedStrings, instruments, journaled, positions } from '../store/schema'
import { forgetOnAlready, stringNew } from '../fitted/on-already'
import { instrumentBySlug, positionId, positionRow, type StoredInstrument } from './instruments'
import { measuredJson } from './measured-json'
import { putOnShelf } from './put-on-shelf'

/**
 * Puts a string in after another one, toward the longer ones; 0 puts it before all others.
 *
 * @throws Refusal 404 when there is no such string, 400 when no more fit
 */
export function addString(store: Store, slug: string, after: number): Done<void> {
  const stored = instrumentBySlug(store, slug)
  if (after > 0) positionId(stored, after)
  const changed = orRefused(() => withString(stored.instrument, after))
  const summary = `A string added to ${stored.instrument.name}`
  return store.act({ kind: 'chart', summary, instrumentId: stored.id }, () => {
    writeStrings(store, stored, changed)
    // The instrument had it all along.
    stringNew(store, slug)
  })
}

/**
 * Takes a string away that nothing happened to yet.
 *
 * @throws Refusal 409 where something is on record of it, 404 when there is no such string
 */
export function removeString(store: Store, slug: string, number: number): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { instrument } = stored
  positionId(stored, number)
  const piece = samePiece(instrument, positionAt(instrument, number))
  const ids = piece.map((p) => positionId(stored, p.number))
  if (hasHistory(store, ids))
    throw new Refusal(
      409,
      `String ${number} of ${instrument.name} has a history, which would be lost with it. Copy ${instrument.name}, and take the string off the copy.`,
      'string',
    )
  const changed = orRefused(() => withoutString(instrument, number))
  const summary = `String ${number} of ${instrument.name} taken away`
  return store.act({ kind: 'chart', summary, instrumentId: stored.id }, () => {
    store.rows
      .delete(coverings)
      .where(or(inArray(coverings.overId, ids), inArray(coverings.underId, ids)))
      .run()
    forgetOnAlready(store, ids)
    store.rows.delete(positions).where(inArray(positions.id, ids)).run()
    writeStrings(store, stored, changed)
  })
}

/** Puts a copy on the shelf: its chart and hardware, and none of what happened to it. */
export function copyInstrument(
  store: Store,
  slug: string,
  name: string,
): { readonly actionId: number; readonly slug: string; readonly name: string } {
  const { instrument, chartMeasured: measured, hardwareMeasured: hardware } = instrumentBySlug(store, slug)
  return putOnShelf(store, { ...instrument, name }, measured && { measured, hardware })
}

/** Every table whose rows are of a position, one that is made tomorrow among them. Typed as one of them: no more is read than they share. */
const OF_POSITIONS = Object.values(journaled).filter(
  (table): table is typeof fittedPositions => 'positionId' in getTableColumns(table as Table),
)

/** Whether anything is on record of strings on these positions, but that they were on. */
export function hasHistory(store: Store, ids: readonly number[]): boolean {
  return OF_POSITIONS.some((table) => {
    const of = store.rows
      .select({ id: table.id })
      .from(table)
      .where(inArray(table.positionId, [...ids]))
    return (table === fittedPositions ? wasSeenPutOn(store, ids) : of.get()) !== undefined
  })
}

/** A string on these positions of which more is known than that it was on already, or that is off again. */
function wasSeenPutOn(store: Store, ids: readonly number[]) {
  return store.rows
    .select({ id: fittedStrings.id })
    .from(fittedStrings)
    .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
    .where(
      and(
        inArray(fittedPositions.positionId, [...ids]),
        or(eq(fittedStrings.since, 'dated'), isNotNull(fittedStrings.endedAt)),
      ),
    )
    .get()
}

/** Writes numbers and pieces; belongs inside an action. Numbers are unique at every moment, so that they first step out of each other's way. */
export function writeStrings(
  store: Store,
  stored: StoredInstrument,
  { instrument, was }: ChangedStrings,
): void {
  const placed = instrument.positions.map((position, i) => {
    const before = was[i]
    return { position, id: before === null || before === undefined ? null : positionId(stored, before) }
  })
  const moved = placed.filter(({ position, id }, i) => id !== null && was[i] !== position.number)
  for (const { position, id } of moved)
    store.rows
      .update(positions)
      .set({ number: -position.number })
      .where(eq(positions.id, requireValue(id)))
      .run()
  for (const { position, id } of placed) {
    if (id === null) store.rows.insert(positions).values(positionRow(stored.id, position)).run()
    else
      store.rows
        .update(positions)
        .set({ number: position.number, piece: position.piece })
        .where(eq(positions.id, id))
        .run()
  }
  if (stored.chartMeasured === null) return
  const now = new Map(was.map((before, i) => [before, i + 1]))
  const measured = stored.chartMeasured.flatMap((one) =>
    renumberedKey(one.key, now).map((key) => ({ ...one, key })),
  )
  store.rows
    .update(instruments)
    .set({ measured: measuredJson(measured) })
    .where(eq(instruments.id, stored.id))
    .run()
}

/** What was measured of one string goes on with it, and goes with it. */
function renumberedKey(key: QuantityKey, now: ReadonlyMap<number | null, number>): readonly QuantityKey[] {
  const [kind, number] = key.split(' ')
  if (number === undefined) return [key]
  const to = now.get(Number(number))
  return to === undefined ? [] : [`${kind} ${to}` as QuantityKey]
}

/** Carries a change out, with what the core says against it as a refusal. */
export function orRefused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, 'string')
  }
}
