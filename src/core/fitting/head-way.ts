/**
 * How a string is held on its pin: from the chart, the house's lock, and which strings the house calls thin.
 */
import { semitoneNumber } from '../pitch/note'
import type { StringPosition } from '../instrument/instrument'
import { needsAnchor, tailFacts, type HeadFastening } from '../knots/fastenings'
import { coreMaterial, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import type { WrapLay } from '../winding/lay'
import { bankRoom, straightestWraps } from '../winding/pin'
import { WRAPS_BAND, type Habits } from './habits'

const MIDDLE_C = 60

/** Whether the house calls this string thin, so that it is locked on its pin. */
export function isThin({ note, tail }: StringPosition, construction: Construction, { thin, thinBelow }: Habits): boolean {
  const gauge = outerGauge(construction)
  const surface = surfaceMaterial(construction)
  switch (thin) {
    case 'above middle C': return semitoneNumber(note) > MIDDLE_C
    case 'below a gauge': return gauge < thinBelow
    case 'all but bass gut': return construction.kind === 'plain' && !(coreMaterial(construction).name === 'gut' && semitoneNumber(note) < MIDDLE_C)
    case 'by knot against eyelet': {
      const { hold } = tailFacts(tail.fastening)
      return needsAnchor(tail.fastening, gauge, tail.eyeletBore) || ((hold === 'bead' || hold === 'toggle') && !surface.wire)
    }
  }
}

/** Winds on a pin, and is not caught in a cord. */
export function windsOnPin({ head }: StringPosition): boolean {
  return head.fastening !== 'peg cord'
}

/** The head-end way of a string. */
export function headWay(position: StringPosition, construction: Construction, habits: Habits): HeadFastening {
  const charted = position.head.fastening
  if (!windsOnPin(position)) return charted
  if (habits.lock === 'as charted' && charted !== 'plain becket') return charted
  if (habits.windToward === 'above, below, above the hole' && position.head.pin.setting !== 'upright') return 'above, below, above'
  if (!isThin(position, construction, habits) || habits.lock === 'none') return 'plain becket'
  return habits.lock === 'as charted' ? 'tail tucked, after half a turn' : habits.lock
}

/** How the wraps of a head-end way lie. Upright pins are wound downward, under the hole, whatever the house does elsewhere. */
export function layOf(way: HeadFastening, position: StringPosition, habits: Habits): WrapLay {
  if (position.head.pin.setting === 'upright') return 'toward the wood'
  if (way === 'above, below, above') return 'above, below, above'
  if (way === 'second wrap crossed') return 'second crossed over'
  return habits.windToward === 'the wood, then outward over it' ? 'then outward over it' : 'toward the wood'
}

/** Wraps that the house wants on this pin at pitch. */
export function wrapsWanted({ head: { pin } }: StringPosition, gauge: number, lay: WrapLay, { wraps, wrapsBy }: Habits): number {
  if (wrapsBy === 'a number of wraps') return wraps
  const room = Math.floor(bankRoom(pin, gauge) / gauge)
  return Math.max(WRAPS_BAND.least, Math.min(straightestWraps(pin, gauge, lay), room))
}
