/**
 * Finds strings of the shelf by a name as typed.
 */
import { findOnShelf, namedInstrument, type ShelfReading } from '@/core/instrument/find-on-shelf'
import type { Store } from './database'
import { allInstruments, instrumentBySlug } from './instruments'
import { Refusal } from './refusal'

/**
 * @param store - open
 * @param name - in any scheme, with an instrument's name or without
 * @param at - address of the instrument at hand, which is meant unless the text names another; null for the whole shelf
 * @throws Refusal 404 with a sentence when nothing is called that
 * @throws RangeError with a sentence when the text is a name in no scheme
 */
export function findString(store: Store, name: string, at: string | null): readonly ShelfReading[] {
  const here = at === null ? null : instrumentBySlug(store, at).instrument
  const shelf = allInstruments(store).map(({ instrument }) => instrument)
  const where = here && !namedInstrument(name, shelf) ? [here] : shelf
  const readings = findOnShelf(name, where)
  if (readings.length === 0) throw new Refusal(404, `${where.length === 1 ? `${where[0]?.name} has no string` : 'No instrument on the shelf has a string'} called “${name.trim()}”.`, 'name')
  return readings
}
