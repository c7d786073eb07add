/**
 * The knot that is tied where the chart names one, or the house's own.
 */
import { KNOTS } from '../knots/fastenings'
import type { StringPosition } from '../instrument/instrument'
import type { Habits } from './habits'

/**
 * The position with the knot that is tied on it: the one the house has chosen in place of any that rests on an eyelet, else
 * the chart's. A third loop is tied only where chart or house ask for it.
 */
export function withWorkshopKnot(position: StringPosition, habits: Habits): StringPosition {
  const { fastening } = position.tail
  if (!(KNOTS as readonly string[]).includes(fastening)) return position
  const tied = habits.knot === 'as charted' ? fastening : habits.knot
  return tied === fastening ? position : { ...position, tail: { ...position.tail, fastening: tied } }
}
