/**
 * Where a string will stand, and how sure that is.
 */
import { chanceBelow } from '../random/normal'
import type { Share } from './belief'
import { driftCents, FOR_EVER, type DriftModel } from './drift'
import type { Sure } from './room'
import { LAW_OFF, READING_OFF, weatherOff, type Weather } from './weather'

/** What is known of a settling string. */
export interface Known {
  /** The law that it starts from. */
  readonly start: DriftModel
  readonly share: Share
  readonly weather: Weather
}

/** Four readings of five lie within so many standard deviations. */
const EIGHTY = 1.2816

/** Where it should stand, cents, and its standard deviation. */
export interface Expected {
  readonly cents: number
  readonly off: number
}

/**
 * Where a string stands at an age when it was left at some cents at an earlier one.
 *
 * @param weather - what the weather is known to have raised it by, cents; what is usual where nothing is known
 */
export function expectedAt(
  known: Known,
  tuned: number,
  left: number,
  age: number,
  weather: Sure | null = null,
): Expected {
  const fall = -driftCents(known.start, tuned, age)
  const { mean, off } = weather ?? { mean: 0, off: weatherOff(known.weather, age - tuned) }
  return {
    cents: left - known.share.mean * fall + mean,
    off: Math.hypot(known.share.off * fall, LAW_OFF * fall, off),
  }
}

/** The band that four readings of five lie in: what a tuner and a hand are off by is in it. */
export function bandAt(known: Known, tuned: number, left: number, age: number): readonly [number, number] {
  const { cents, off } = expectedAt(known, tuned, left, age)
  const reach = EIGHTY * Math.hypot(off, READING_OFF)
  return [cents - reach, cents + reach]
}

/**
 * The chance that a string stays within a tolerance until the end of a window, when it is tuned at its beginning.
 *
 * @param age - at the beginning, h
 * @param hours - of the window
 * @param tolerance - cents, flat and sharp
 */
export function chanceItHolds(known: Known, age: number, hours: number, tolerance: number): number {
  return chanceItStays(known, age, 0, age + hours, tolerance)
}

/**
 * The chance that a string stays within a tolerance until an age, when it is left sharp by some cents at an earlier one.
 *
 * @param left - cents, within the tolerance
 */
export function chanceItStays(
  known: Known,
  tuned: number,
  left: number,
  until: number,
  tolerance: number,
): number {
  const { cents, off } = expectedAt(known, tuned, left, until)
  return chanceBelow((tolerance - cents) / off) - chanceBelow((-tolerance - cents) / off)
}

/** A chance that a house can rely on. */
export const SURE = 0.9

/**
 * The age from which a string holds within a tolerance through a window with a chance, tuned at its beginning.
 *
 * @returns h; {@link FOR_EVER} where the weather alone is too much
 */
export function holdsFromAge(known: Known, hours: number, tolerance: number, chance = SURE): number {
  const holds = (age: number) => chanceItHolds(known, age, hours, tolerance) >= chance
  if (!holds(FOR_EVER)) return FOR_EVER
  let [young, old] = [0, FOR_EVER]
  if (holds(young)) return young
  // It falls the less the older it is: the ages at which it holds begin somewhere and never end.
  while (old - young > Math.max(0.02, old * 1e-4)) {
    const middle = Math.sqrt(Math.max(0.01, young) * old)
    if (holds(middle)) old = middle
    else young = middle
  }
  return old
}
