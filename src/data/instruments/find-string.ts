/**
 * Finds strings of the shelf by a name as typed.
 */
import { findOnShelf, namedInstruments, type ShelfReading } from '@/core/names/find-on-shelf'
import type { Store } from '../store/database'
import { allInstruments, instrumentBySlug } from './instruments'

/**
 * @param store - open
 * @param name - in any scheme, with an instrument's name or without
 * @param at - address of the instrument at hand, which is meant unless the text names another; null for the whole shelf
 * @throws RangeError with a sentence when the text is a name in no scheme, or of no string there is
 */
export function findString(store: Store, name: string, at: string | null): readonly ShelfReading[] {
  const here = at === null ? null : instrumentBySlug(store, at).instrument
  const shelf = allInstruments(store).map(({ instrument }) => instrument)
  const where = here && !namedInstruments(name, shelf) ? [here] : shelf
  return findOnShelf(name, where)
}
