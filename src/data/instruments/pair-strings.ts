/**
 * Two strings on the shelf made one wire, and one wire made two strings.
 */
import { and, eq, inArray, isNull } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { positionAt, samePiece } from '@/core/instrument/instrument'
import type { ChangedStrings } from '@/core/instrument/change-strings'
import { pairedWithNext, unpaired } from '@/core/instrument/pair-strings'
import type { Done, Store } from '../store/database'
import { fittedPositions, fittedStrings, positions } from '../store/schema'
import { forgetOnAlready, stringNew } from '../fitted/on-already'
import { hasHistory, orRefused, writeStrings } from './change-strings'
import { instrumentBySlug, positionId, positionRow, type StoredInstrument } from './instruments'

/**
 * Makes a string and the next one a single wire, or a wire that is two strings two again. A year that somebody
 * remembers goes on with it: of two strings the earlier one.
 *
 * @throws Refusal 404 when there is no such string, 409 where a string was put on here, 400 where they can’t be one wire
 */
export function pairStrings(store: Store, slug: string, number: number, asOne: boolean): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { instrument } = stored
  positionId(stored, number)
  const changed = orRefused(() => (asOne ? pairedWithNext(instrument, number) : unpaired(instrument, number)))
  const numbers = asOne
    ? [number, number + 1]
    : samePiece(instrument, positionAt(instrument, number)).map((p) => p.number)
  const ids = numbers.map((one) => positionId(stored, one))
  if (hasHistory(store, ids))
    throw new Refusal(
      409,
      `Strings ${numbers.join(' and ')} of ${instrument.name} have a history. Copy ${instrument.name}, and change the copy.`,
      'string',
    )
  const summary = `Strings ${numbers.join(' and ')} of ${instrument.name}: ${asOne ? 'one wire' : 'two wires'}`
  return store.act({ kind: 'chart', summary, instrumentId: stored.id }, () => {
    const remembered = store.rows
      .select({ agedMs: fittedStrings.agedMs, since: fittedStrings.since })
      .from(fittedStrings)
      .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
      .where(and(inArray(fittedPositions.positionId, ids), isNull(fittedStrings.endedAt)))
      .all()
    const about = remembered.filter(({ since }) => since === 'about').map(({ agedMs }) => agedMs)
    forgetOnAlready(store, ids)
    writePair(store, stored, changed, numbers)
    if (remembered.length > 0) stringNew(store, slug)
    if (about.length === 0) return
    const now = store.rows
      .select({ id: fittedPositions.fittedId })
      .from(fittedPositions)
      .where(inArray(fittedPositions.positionId, ids))
      .all()
      .map(({ id }) => id)
    store.rows
      .update(fittedStrings)
      .set({ since: 'about', agedMs: Math.max(...about) })
      .where(inArray(fittedStrings.id, now))
      .run()
  })
}

/** Numbers of pieces move on for all; of the pair itself string and fastening change too. */
function writePair(
  store: Store,
  stored: StoredInstrument,
  changed: ChangedStrings,
  numbers: readonly number[],
): void {
  writeStrings(store, stored, changed)
  for (const number of numbers)
    store.rows
      .update(positions)
      .set(positionRow(stored.id, positionAt(changed.instrument, number)))
      .where(eq(positions.id, positionId(stored, number)))
      .run()
}
