/**
 * What a reading tells of: settling, a slip at knot or pin, or weather, each with its odds.
 */
import { chanceBelow, normalDensity } from '../random/normal'
import type { Expected } from './band'
import { READING_OFF } from './weather'

export interface Odds {
  readonly settling: number
  readonly slip: number
  readonly weather: number
}

/** How often each is met before a reading is looked at: estimates. */
const BEFORE: Odds = { settling: 0.95, slip: 0.02, weather: 0.03 }
/** A slip is so deep on the average, cents: an estimate, half a millimetre or so on a middle string. */
const SLIP_DEPTH = 40
/** Weather out of the ordinary strays so far, cents, standard deviation. */
const WILD_WEATHER = 15

/**
 * @param expected - where the string should stand, with the weather that is usual
 * @param cents - where it was read
 */
export function oddsOf({ cents: mean, off }: Expected, cents: number): Odds {
  const usual = Math.hypot(off, READING_OFF)
  const wild = Math.hypot(usual, WILD_WEATHER)
  const weights: Odds = {
    settling: BEFORE.settling * normalDensity(cents, mean, usual),
    weather: BEFORE.weather * normalDensity(cents, mean, wild),
    slip: BEFORE.slip * slipDensity(mean - cents, usual),
  }
  const all = weights.settling + weights.weather + weights.slip
  // So far off that every weight is nothing: only a slip goes on for ever, and only downward.
  if (!(all > 0)) return cents < mean ? ONLY.slip : ONLY.weather
  return {
    settling: weights.settling / all,
    slip: weights.slip / all,
    weather: weights.weather / all,
  }
}

const ONLY = {
  slip: { settling: 0, slip: 1, weather: 0 },
  weather: { settling: 0, slip: 0, weather: 1 },
} as const

/** Density of a fall that is a slip's, exponential, and what is usual, normal, together. */
function slipDensity(deeper: number, usual: number): number {
  const rate = 1 / SLIP_DEPTH
  const exponent = rate * ((rate * usual ** 2) / 2 - deeper)
  return rate * Math.exp(Math.min(50, exponent)) * chanceBelow(deeper / usual - rate * usual)
}
