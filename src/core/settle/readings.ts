/**
 * What logged cents say about one string.
 */
import { expectedAt, type Known } from './band'
import type { CentsReading } from './cents-reading'
import { oddsOf, type Odds } from './odds'

/** What a reading is taken for: `left at` is where the string was left when it was fitted, and says nothing of its settling. */
export const READING_KINDS = ['settling', 'slip', 'rise', 'left at'] as const
export type ReadingKind = (typeof READING_KINDS)[number]

export interface Verdict {
  /** What the law led one to expect, cents. */
  readonly expected: number
  readonly odds: Odds
  readonly kind: Exclude<ReadingKind, 'left at'>
}

/** A slip as likely as this is worth a look at knot and pin: looking costs a minute, a slip not seen costs a string. */
export const WORTH_A_LOOK = 0.12

/** A rise that a tuner and a hand may be off by, cents: three standard deviations. */
const RISE = 6

/**
 * Judges a reading. One that is likelier a slip than anything else is to be looked at before the string is tuned again; a rise
 * is odd, since a string only falls by itself, and the weather's.
 *
 * @param known - of the string before this reading
 */
export function judgeReading(known: Known, { tuned, left, age, cents, weather }: CentsReading): Verdict {
  const expected = expectedAt(known, tuned, left, age, weather)
  const odds = oddsOf(expected, cents)
  const kind =
    odds.slip > WORTH_A_LOOK
      ? 'slip'
      : cents > left + RISE + Math.max(0, weather?.mean ?? 0)
        ? 'rise'
        : 'settling'
  return { expected: expected.cents, odds, kind }
}
