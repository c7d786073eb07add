/** The bench of an instrument's restring, from what a house allows and at how much it retunes. */
import type { Instrument } from '../instrument/instrument'
import { startingYields } from '../rounds/board'
import type { Bench } from './batch'
import { MOST_SHIFT } from './frame'
import { lostBetween } from './lost'
import { piecesOf, piecesToChange } from './piece'

/** What of a house's settings a restring is reckoned by. */
export interface RestringBy {
  /** The least share of the load that the frame keeps. */
  readonly loadShare: number
  /** The house retunes at so many cents. */
  readonly retuneAtCents: number
  /** How much each string feels of the others, as a factor on what is reckoned: what rounds of tuning have taught. */
  readonly senses?: readonly number[]
}

/**
 * @param numbers - of the strings to change
 * @throws RangeError with a sentence where a string is named twice or layers run in a circle
 */
export function restringBench(
  instrument: Instrument,
  numbers: readonly number[],
  { loadShare, retuneAtCents, senses }: RestringBy,
): Bench {
  const pieces = piecesOf(instrument)
  return {
    pieces,
    changed: piecesToChange(instrument, pieces, numbers),
    allowed: { share: loadShare, shift: MOST_SHIFT },
    tolerance: retuneAtCents,
    lost: lostBetween(instrument, pieces, startingYields(instrument), senses),
  }
}
