/**
 * What the stores hold for each position of an instrument.
 */
import { NO_CORRECTIONS } from '@/core/fitting/corrections'
import { fittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { soldByClass, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { bestOffer, offersFor, type Offer, type SortedOut } from '@/core/stores/offers'
import type { StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { coverings, house, instruments, positions } from '../store/schema'
import { FREE_FROM, freeStores } from './set-aside'
import { withCuts, type Coil, type CutCoil } from './coils'

/** Coils that fit a position, best first, each with what its own cut would leave. */
export function offersAt(
  coils: SortedOut<Coil>,
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
  corrections = NO_CORRECTIONS,
): readonly Offer<Coil>[] {
  return offersFor(
    coils,
    position,
    soldByClass(instrument),
    ({ construction, end }) =>
      fittingFigures(instrument, position, habits, construction, corrections, end).cut.total,
  )
}

/** Coils that are long enough, and coils that are too short, that are shown for one string. */
const SHOWN = 12

/** The first of the offers, with the cuts that they are drawn with. */
export function drawnOffers(store: Store, offers: readonly Offer<Coil>[]): readonly Offer<CutCoil>[] {
  const enough = offers.filter(({ leaves }) => leaves >= 0).slice(0, SHOWN)
  const short = offers.filter(({ leaves }) => leaves < 0).slice(0, SHOWN)
  const shown = [...enough, ...short]
  const drawn = withCuts(
    store,
    shown.map(({ coil }) => coil),
  )
  return shown.map((offer, i) => ({ ...offer, coil: drawn[i] as CutCoil }))
}

/** A few words for each position of an instrument: the coil to cut, how many cuts it holds. Kept for those looked at. */
export function sparesOf(store: Store, { id, instrument, habits }: StoredInstrument): Spares {
  return store.cache.get(`spares of ${id}`, [...FREE_FROM, instruments, positions, coverings, house], () =>
    sparesIn(freeStores(store), instrument, habits),
  )
}

type Spares = Readonly<Record<number, string>>

/** The same from some stores alone. */
export function sparesIn(coils: SortedOut<Coil>, instrument: Instrument, habits: Habits): Spares {
  return Object.fromEntries(
    instrument.positions.map((position) => {
      const best = bestOffer(
        coils,
        position,
        soldByClass(instrument),
        ({ construction, end }) =>
          fittingFigures(instrument, position, habits, construction, NO_CORRECTIONS, end).cut.total,
      )
      if (!best || best.leaves < 0) return [position.number, 'nothing long enough that fits']
      const cuts = best.yields === 1 ? 'one cut' : `${best.yields} cuts`
      const note = best.fit.grade === 'exact' ? '' : ` (${best.fit.grade})`
      return [position.number, `${best.coil.label}, ${best.coil.place}: ${cuts}${note}`]
    }),
  )
}
