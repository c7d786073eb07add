/**
 * The shelf of instruments, each with what is broken on it.
 */
import type { Instrument } from '@/core/instrument/instrument'
import type { Store } from '../store/database'
import { openJobNumbers } from './instrument-view'
import { allInstruments } from '../instruments/instruments'

export interface ShelfEntry {
  readonly instrument: Instrument
  readonly broken: readonly number[]
}

/** Every instrument, in the order they were added. */
export function shelfView(store: Store): readonly ShelfEntry[] {
  return allInstruments(store).map((stored) => ({
    instrument: stored.instrument,
    broken: [...openJobNumbers(store, stored).keys()],
  }))
}
