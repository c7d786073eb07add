/**
 * What the house has learned of its own predictions, from sums that are kept up to date as fittings are logged.
 */
import { eq, sql, type Column } from 'drizzle-orm'
import { fasteningNamed } from '@/core/knots/fastenings'
import { gathered, learn, type FittingKind, type Learned } from '@/core/fitting/corrections'
import type { StringPosition } from '@/core/instrument/instrument'
import type { StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { metres } from '../store/millimetres'
import { fittings, fittingSums, instruments, positions } from '../store/schema'

/** What the house's fittings so far say of its predictions; worked out anew only when one was logged since. */
export function workshopLearned(store: Store): Learned {
  return store.cache.get('learned', [fittings, positions, instruments], () => learn(gathered(sums(store))))
}

const total = (column: Column) => sql<number>`sum(${column})`

function sums(store: Store) {
  return store.rows
    .select({
      instrument: instruments.slug,
      family: instruments.family,
      head: positions.headFastening,
      tail: positions.tailFastening,
      fittings: total(fittingSums.fittings),
      wrapsCount: total(fittingSums.wrapsCount),
      wrapsOff: total(fittingSums.wrapsOff),
      cutCount: total(fittingSums.cutCount),
      cutOffMm: total(fittingSums.cutOffMm),
    })
    .from(fittingSums)
    .innerJoin(positions, eq(positions.id, fittingSums.positionId))
    .innerJoin(instruments, eq(instruments.id, positions.instrumentId))
    .groupBy(instruments.id, positions.headFastening, positions.tailFastening)
    .all()
    .map((row) => ({
      kind: {
        instrument: row.instrument,
        family: row.family,
        head: row.head,
        tail: fasteningNamed(row.tail),
      },
      fittings: row.fittings,
      wraps: { count: row.wrapsCount, off: row.wrapsOff },
      cut: { count: row.cutCount, off: metres(row.cutOffMm) },
    }))
}

/** The kind of fitting that a position's is. */
export function kindOf({ instrument }: StoredInstrument, { head, tail }: StringPosition): FittingKind {
  return {
    instrument: instrument.slug,
    family: instrument.family,
    head: head.fastening,
    tail: tail.fastening,
  }
}
