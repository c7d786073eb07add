/**
 * Whether to change all strings of a section now or each as it breaks: what both cost over the years to come, by simulated
 * lives. The same lives are lived under both plans, so that their difference is known far better than either sum.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { gammaQuantile } from '../random/gamma'
import { seeded } from '../random/seeded'
import type { Rates } from './life'
import type { LifeClass, Rate } from './life-class'

/** A string of the section. */
export interface SectionString {
  readonly lifeClass: LifeClass
  /** Years it has been on. */
  readonly age: number
  readonly pace: number
  /** Of a new one, in the house's money. */
  readonly price: number
}

export interface Costs {
  /** Of putting one string on, in the house's money: its minutes. */
  readonly perString: number
  /** Of each time one sets out to do it: the way, and tuning the others again. */
  readonly perTime: number
}

export interface SetOrSingle {
  /** What changing all now costs over the years, and changing each as it breaks. */
  readonly set: number
  readonly single: number
  /** What changing all now saves, and the standard error of that. */
  readonly saves: number
  readonly error: number
  /** Breaks that happen under each plan. */
  readonly breaksSet: number
  readonly breaksSingle: number
}

export const LIVES = 4000

/**
 * @param years - to look ahead
 * @param lives - how many are simulated; the error falls with their root
 */
export function setOrSingle(
  rates: Rates,
  strings: readonly SectionString[],
  { perString, perTime }: Costs,
  years: number,
  lives = LIVES,
  seed = 1,
): SetOrSingle {
  const random = seeded(seed)
  const classes = [...new Set(strings.map(({ lifeClass }) => lifeClass))]
  const ratesOf = new Map(classes.map((one) => [one, likelyRates(rates[one])]))
  const setNow = perTime + strings.reduce((sum, { price }) => sum + price + perString, 0)
  let [set, single, saved, savedSquared, breaksSet, breaksSingle] = [0, 0, 0, 0, 0, 0]
  for (let life = 0; life < lives; life++) {
    const rateOf = new Map(
      classes.map((one) => {
        const likely = requireValue(ratesOf.get(one))
        return [one, itemAt(likely, Math.floor(random() * likely.length))] as const
      }),
    )
    let [ofSet, ofSingle] = [setNow, 0]
    for (const { lifeClass, age, pace, price } of strings) {
      const hazard = requireValue(rateOf.get(lifeClass)) * pace
      const { shape } = rates[lifeClass]
      // One row of chances for both plans: the first string's, then those that follow it.
      const draws: number[] = []
      const countBreaks = (from: number): number => {
        let now = 0
        let on = from
        for (let n = 0; ; n++) {
          const draw = (draws[n] ??= -Math.log(1 - random()))
          now += (on ** shape + draw / hazard) ** (1 / shape) - on
          if (now > years) return n
          on = 0
        }
      }
      const [fresh, asIs] = [countBreaks(0), countBreaks(age)]
      const each = price + perString + perTime
      ofSet += fresh * each
      ofSingle += asIs * each
      breaksSet += fresh
      breaksSingle += asIs
    }
    set += ofSet
    single += ofSingle
    saved += ofSingle - ofSet
    savedSquared += (ofSingle - ofSet) ** 2
  }
  const saves = saved / lives
  return {
    set: set / lives,
    single: single / lives,
    saves,
    error: Math.sqrt(Math.max(0, savedSquared / lives - saves ** 2) / lives),
    breaksSet: breaksSet / lives,
    breaksSingle: breaksSingle / lives,
  }
}

const LIKELY = 256

/** Rates that are each as likely as the next: the middle of so many equal shares of all that may be. */
function likelyRates({ alpha, beta }: Rate): readonly number[] {
  return Array.from({ length: LIKELY }, (_, i) => gammaQuantile(alpha, (i + 0.5) / LIKELY) / beta)
}
