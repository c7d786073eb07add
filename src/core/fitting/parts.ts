/**
 * Which parts an instrument has at a string: one predicate a part. No sentence, figure, cause or drawing names a part that
 * is not there.
 */
import type { StringPosition } from '../instrument/instrument'
import { isInBox, isOnFoot, tailFacts } from '../knots/fastenings'
import type { TuningPin } from '../winding/pin'

/** A pin that a loop hangs on. */
export const hasHitchPin = ({ tail }: StringPosition): boolean => tail.fastening === 'loop on a hitch pin'

/** A bushed hole in a soundboard that a knot rests on. */
export const hasEyelet = ({ tail }: StringPosition): boolean =>
  tail.eyeletBore !== null && tailFacts(tail.fastening).hold === 'knot'

/** A bridge that the string runs over, and no soundboard that it comes out of. */
export const hasBridge = (position: StringPosition): boolean =>
  position.tail.bearing !== null || !isInBox(position)

/** A nut with slots, at a scroll. */
export const hasNut = ({ head }: StringPosition): boolean => head.pin.setting === 'across a scroll'

/** A grooved pin in the neck that ends the speaking length. */
export const hasBridgePin = (position: StringPosition): boolean =>
  position.head.pin.setting === 'through the neck' && isInBox(position) && position.tail.bearing === null

/** What ends the speaking length by the pins. A long zither has one bridge, and that is by its pegs. */
export function upperRest(position: StringPosition): 'nut slot' | 'bridge pin' | 'bridge' | 'upper bridge' {
  if (hasNut(position)) return 'nut slot'
  if (hasBridgePin(position)) return 'bridge pin'
  return isOnFoot(position) ? 'bridge' : 'upper bridge'
}

/**
 * Whether a pin is driven or screwed into its block: the upright pins of zithers. A geared tuner, a peg and a taper through
 * a neck are fitted from their own side and turned, and never meet a hammer.
 */
export const isDriven = ({ setting, turnedBy, gearRatio }: TuningPin): boolean =>
  setting === 'upright' && turnedBy === 'key' && gearRatio === 1
