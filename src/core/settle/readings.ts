/**
 * What logged cents say about one string: its own drift per decade, and whether it is slipping.
 */
import { decadesBetween, driftCents, type DriftLaw } from './drift'

/** A reading of how far a string stood from pitch. Ages of the string in hours. */
export interface CentsReading {
  /** Age when it was last brought to pitch. */
  readonly tuned: number
  readonly age: number
  /** Cents against the target; negative is flat. */
  readonly cents: number
}

/** How many readings the starting value is worth. */
const PRIOR_READINGS = 3

/**
 * Least-squares drift per decade from readings, with the starting value as a prior worth three readings of the same
 * spread. τ is kept.
 *
 * @param start - the material's starting law
 * @param readings - of one fitted string, none of them a slip
 * @returns the law with its own drift per decade, never below a twentieth of the starting one
 */
export function refitDrift(start: DriftLaw, readings: readonly CentsReading[]): DriftLaw {
  const usable = readings.map((r) => ({ decades: decadesBetween(r.tuned, r.age, start.tau), fall: -r.cents })).filter((r) => r.decades > 0)
  if (usable.length === 0) return start
  const squares = usable.reduce((sum, r) => sum + r.decades ** 2, 0)
  const products = usable.reduce((sum, r) => sum + r.decades * r.fall, 0)
  const prior = (PRIOR_READINGS * squares) / usable.length
  const perDecade = (products + prior * start.perDecade) / (squares + prior)
  return { ...start, perDecade: Math.max(start.perDecade / 20, perDecade) }
}

export interface Verdict {
  /** What the law led one to expect, cents. */
  readonly expected: number
  /** The largest fall that still counts as settling, cents; negative. */
  readonly deepest: number
  readonly slip: boolean
}

/** How much the drift of one string may exceed its law, and what a reading itself may be off by, cents. */
const BAND_FACTOR = 1.9
const READING_ERROR = 6

/**
 * Judges a reading: a fall deeper than the band is a slip at the knot or the pin, to be looked at before retuning.
 * The band reaches to 1.9 times the expected fall (two standard deviations of a drift uncertain by a third) and
 * 6 cents of reading error.
 */
export function judgeReading(law: DriftLaw, reading: CentsReading): Verdict {
  const expected = driftCents(law, reading.tuned, reading.age)
  const deepest = BAND_FACTOR * expected - READING_ERROR
  return { expected, deepest, slip: reading.cents < deepest }
}
