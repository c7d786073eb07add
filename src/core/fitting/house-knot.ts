/**
 * The knot that is tied where the chart names one: the house's own, and one more hitch on a thin string.
 */
import { KNOTS } from '../knots/fastenings'
import type { Instrument, StringPosition } from '../instrument/instrument'
import type { Construction } from '../strings/construction'
import type { Habits } from './habits'
import { isThin } from './thin'

/**
 * The position with the knot that is tied on it: the one the house has chosen in place of any that rests on an eyelet, else
 * the chart's. A thin string that is charted with the general knot gets its third loop.
 */
export function withHouseKnot(
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
  construction: Construction,
): StringPosition {
  const { fastening } = position.tail
  if (!(KNOTS as readonly string[]).includes(fastening)) return position
  const third =
    habits.knot === 'as charted' &&
    fastening === 'two-loop, open bight' &&
    isThin(instrument, position, construction, habits)
  const tied = third ? 'third loop' : habits.knot === 'as charted' ? fastening : habits.knot
  return tied === fastening ? position : { ...position, tail: { ...position.tail, fastening: tied } }
}
