/**
 * What the shelf holds for each position of an instrument.
 */
import { NO_CORRECTIONS } from '@/core/fitting/corrections'
import { fittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { soldByClass, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { offersFor, type Offer } from '@/core/stores/offers'
import type { Coil } from './coils'

/** Coils that fit a position, best first, each with what its own cut would leave. */
export function offersAt(
  coils: readonly Coil[],
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
  corrections = NO_CORRECTIONS,
): readonly Offer<Coil>[] {
  return offersFor(
    coils,
    position,
    soldByClass(instrument),
    (coil) => fittingFigures(instrument, position, habits, coil.construction, corrections).cut.total,
  )
}

/** A few words for each position: the coil to cut, how many cuts it holds. */
export function sparesOf(
  coils: readonly Coil[],
  instrument: Instrument,
  habits: Habits,
): Readonly<Record<number, string>> {
  return Object.fromEntries(
    instrument.positions.map((position) => {
      const [best] = offersAt(coils, instrument, position, habits)
      if (!best || best.leaves < 0) return [position.number, 'nothing long enough that fits']
      const cuts = best.yields === 1 ? 'one cut' : `${best.yields} cuts`
      const note = best.fit.grade === 'exact' ? '' : ` (${best.fit.grade})`
      return [position.number, `${best.coil.label}, ${best.coil.place}: ${cuts}${note}`]
    }),
  )
}
