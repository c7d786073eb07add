/**
 * The knot that a house ties where the chart names another.
 */
import { KNOTS } from '../knots/fastenings'
import type { StringPosition } from '../instrument/instrument'
import type { Habits } from './habits'

/** The position with the knot that is tied on it: the house's own in place of any knot that rests on an eyelet, else the chart's. */
export function tiedBy(position: StringPosition, { knot }: Pick<Habits, 'knot'>): StringPosition {
  if (knot === 'as charted' || knot === position.tail.fastening || !(KNOTS as readonly string[]).includes(position.tail.fastening)) return position
  return { ...position, tail: { ...position.tail, fastening: knot } }
}
