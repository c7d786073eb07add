/**
 * What logged cents say about one string: its own drift per decade, and whether it is slipping.
 */
import { decadesBetween, driftCents, type DriftLaw } from './drift'

/** A reading of how far a string stood from pitch. Ages of the string in hours. */
export interface CentsReading {
  /** Age when it was last brought to pitch. */
  readonly tuned: number
  /** Cents that it was left at then; zero where it was brought to pitch. */
  readonly left: number
  readonly age: number
  /** Cents against the target; negative is flat. */
  readonly cents: number
}

/** What a reading is taken for: `left at` is where the string was left when it was fitted, and says nothing of its settling. */
export const READING_KINDS = ['settling', 'slip', 'rise', 'left at'] as const
export type ReadingKind = (typeof READING_KINDS)[number]

/** How many readings the starting value is worth. */
const PRIOR_READINGS = 3

/** No string's drift is taken to be less or more than its material's by more than these, whatever was typed. */
const WITHIN = { least: 0.2, most: 5 } as const

/**
 * Least-squares drift per decade from readings, with the starting value as a prior worth three readings of the same
 * spread. τ is kept.
 *
 * @param start - the law to start from: the material's, for a string that was helped or moved as it was
 * @param readings - of one fitted string that are of its settling
 * @returns the law with its own drift per decade, within a fifth and five times of the starting one
 */
export function refitDrift(start: DriftLaw, readings: readonly CentsReading[]): DriftLaw {
  const usable = readings
    .map((r) => ({ decades: decadesBetween(r.tuned, r.age, start.tau), fall: r.left - r.cents }))
    .filter((r) => r.decades > 0)
  if (usable.length === 0) return start
  const squares = usable.reduce((sum, r) => sum + r.decades ** 2, 0)
  const products = usable.reduce((sum, r) => sum + r.decades * r.fall, 0)
  const prior = (PRIOR_READINGS * squares) / usable.length
  const perDecade = (products + prior * start.perDecade) / (squares + prior)
  return {
    ...start,
    perDecade: Math.min(WITHIN.most, Math.max(WITHIN.least, perDecade / start.perDecade)) * start.perDecade,
  }
}

export interface Verdict {
  /** What the law led one to expect, cents. */
  readonly expected: number
  /** The largest fall that still counts as settling, cents. */
  readonly deepest: number
  /** The largest rise that a reading itself may be off by, cents. */
  readonly highest: number
  readonly kind: Exclude<ReadingKind, 'left at'>
}

/** How much the drift of one string may exceed its law, and what a reading itself may be off by, cents. */
const BAND_FACTOR = 1.9
const READING_ERROR = 6

/**
 * Judges a reading: a fall deeper than the band is a slip at the knot or the pin, to be looked at before retuning; a rise is
 * odd, since a string only falls by itself. The band reaches to 1.9 times the expected fall (two standard deviations of a
 * drift uncertain by a third) and 6 cents of reading error.
 */
export function judgeReading(law: DriftLaw, reading: CentsReading): Verdict {
  const fall = driftCents(law, reading.tuned, reading.age)
  const deepest = reading.left + BAND_FACTOR * fall - READING_ERROR
  const highest = reading.left + READING_ERROR
  return {
    expected: reading.left + fall,
    deepest,
    highest,
    kind: reading.cents < deepest ? 'slip' : reading.cents > highest ? 'rise' : 'settling',
  }
}
