/**
 * Since when a string is on, where nobody noted the day. What is not known is not taken for young: its age is spread over all
 * that it may be, and every chance is reckoned over that spread.
 */
import { requireValue } from '../list/require-value'
import { gammaPoints } from '../random/gamma'
import { ageing, chanceBand } from './life'
import type { Rate } from './life-class'
import { YEAR } from './period'

/** How well the day is known: it was noted, somebody remembers the year, or nobody knows. */
export const SINCE = ['dated', 'about', 'unknown'] as const
export type Since = (typeof SINCE)[number]

/** What somebody says of the strings of an instrument that is entered. */
export const ON_ALREADY = ['unknown', 'about', 'none'] as const
export type OnAlready = (typeof ON_ALREADY)[number]

/** A string that is on, as far as its age goes. */
export interface OnSince {
  readonly since: Since
  /** ms; of a string that was on already, when it was entered. */
  readonly fittedAt: number
  /** How old it was then, ms; of a string of which nobody knows, what strings of its kind usually are. */
  readonly agedBefore: number
}

/** An age that a string may have, years, and how likely that is. */
export interface LikelyAge {
  readonly age: number
  readonly weight: number
}

/** A remembered year is off by one either way in half of all cases, years. */
const YEAR_OFF = 1
const YEAR_WEIGHTS = [0.25, 0.5, 0.25] as const
/** No string is younger than this when somebody enters it as one that is on already, years. */
const YOUNGEST = 1 / 24

/**
 * Since when an instrument of which nothing is known was last strung whole: equally likely years ago, quantiles of a lognormal
 * with median 4 and spread 1. Our own estimate, wide on purpose: from last year’s set to one of sixteen years.
 */
const WHOLE_SETS_AGO = [1, 2.04, 3.24, 4.93, 7.85, 15.9] as const
/** A string that broke since then was changed at any time since, as shares of it. */
const CHANGED_SINCE = [1 / 6, 1 / 2, 5 / 6] as const
/** Points that a mean over the rate is taken at. */
const RATES = 8

/** Its age at a time, years; the likeliest where it is not known. */
export const yearsOn = ({ fittedAt, agedBefore }: OnSince, at: number): number =>
  (Math.max(0, at - fittedAt) + agedBefore) / YEAR

/**
 * The ages that a string may have had when it was entered.
 *
 * @param hazard - rate times pace, per year^shape: where strings break soon, few are old
 */
export function agesWhenEntered(
  { since, agedBefore }: OnSince,
  hazard: number,
  shape: number,
): readonly LikelyAge[] {
  const nominal = agedBefore / YEAR
  if (since === 'dated') return [{ age: nominal, weight: 1 }]
  if (since === 'about')
    return YEAR_WEIGHTS.map((weight, i) => ({
      age: Math.max(YOUNGEST, nominal + (i - 1) * YEAR_OFF),
      weight,
    }))
  const each = 1 / WHOLE_SETS_AGO.length
  return WHOLE_SETS_AGO.flatMap((ago) => {
    const holds = Math.exp(-hazard * ago ** shape)
    return [
      { age: ago, weight: each * holds },
      ...renewedSince(ago, hazard, shape).map(({ age, weight }) => ({
        age,
        weight: each * (1 - holds) * weight,
      })),
    ]
  })
}

/** Ages of a string that was changed since the whole set was put on: any time since, as far as it has lived through it. */
function renewedSince(ago: number, hazard: number, shape: number): readonly LikelyAge[] {
  const ages = CHANGED_SINCE.map((share) => {
    const age = ago * share
    return { age, weight: Math.exp(-hazard * age ** shape) }
  })
  const all = ages.reduce((sum, { weight }) => sum + weight, 0)
  // Where none lives so long the youngest of them stands for all.
  return all > 1e-12
    ? ages.map(({ age, weight }) => ({ age, weight: weight / all }))
    : [{ age: Math.min(ages[0]?.age ?? ago, hazard ** (-1 / shape)), weight: 1 }]
}

/** The age that a string of which nobody knows usually has, ms: the mean of all that it may have. */
export function usualAge({ shape, alpha, beta }: Rate, pace: number): number {
  const unknown: OnSince = { since: 'unknown', fittedAt: 0, agedBefore: 0 }
  return (
    YEAR *
    gammaPoints(alpha, RATES).reduce(
      (sum, { at, weight }) =>
        sum +
        weight *
          agesWhenEntered(unknown, (at / beta) * pace, shape).reduce(
            (mean, one) => mean + one.weight * one.age,
            0,
          ),
      0,
    )
  )
}

/** A break’s chance at one rate and one age that may be, and how likely they are together. */
interface MayBreakBy {
  readonly chance: number
  readonly weight: number
}

/** The chance of a break between two times, over every rate and age that may be, given that it lives at the first. */
function chancesOf(
  { shape, alpha, beta }: Rate,
  pace: number,
  on: OnSince,
  from: number,
  to: number,
): readonly MayBreakBy[] {
  const gone = Math.max(0, from - on.fittedAt) / YEAR
  const ahead = Math.max(0, to - Math.max(from, on.fittedAt)) / YEAR
  const breaksFrom = (age: number, hazard: number) =>
    -Math.expm1(-hazard * ((age + ahead) ** shape - age ** shape))
  if (on.since === 'about')
    // One that has lived for years that somebody remembers tells of a slow rate: Gamma(α, β + what it aged by).
    return agesWhenEntered(on, 0, shape).flatMap(({ age, weight: likely }) => {
      const aged = beta + pace * age ** shape
      return gammaPoints(alpha, RATES).map(({ at, weight }) => ({
        chance: breaksFrom(age + gone, (at / aged) * pace),
        weight: likely * weight * (beta / aged) ** alpha,
      }))
    })
  // One of any age tells nothing of the rate: there always is some string on.
  return gammaPoints(alpha, RATES).flatMap(({ at, weight }) => {
    const hazard = (at / beta) * pace
    const alive = agesWhenEntered(on, hazard, shape).map(({ age, weight: likely }) => ({
      age: age + gone,
      weight: likely * Math.exp(-hazard * ((age + gone) ** shape - age ** shape)),
    }))
    const all = Math.max(
      Number.MIN_VALUE,
      alive.reduce((sum, one) => sum + one.weight, 0),
    )
    return alive.map(({ age, weight: likely }) => ({
      chance: breaksFrom(age, hazard),
      weight: (weight * likely) / all,
    }))
  })
}

/**
 * What a string ages by between two times, years^shape of its class. Of one whose age is not known, so much that a string which
 * surely ages by it breaks as likely as this one, over every age that it may have.
 *
 * @param pace - how much faster than usual it ages
 * @param from - ms; where it is earlier than the string, from then on
 */
export function agesOver(rate: Rate, pace: number, on: OnSince, from: number, to: number): number {
  if (on.since === 'dated')
    return ageing(rate.shape, [{ from: yearsOn(on, from), to: yearsOn(on, to), pace }])
  const holds = 1 - meanOf(chancesOf(rate, pace, on, from, to))
  // β / (β + ages) to the α is the chance that it holds.
  return rate.beta * (Math.max(holds, 1e-12) ** (-1 / rate.alpha) - 1)
}

/** Within what the chance of a break lies, as far as neither its rate nor its age is known, by the share that the band holds. */
export function chanceBetween(
  rate: Rate,
  pace: number,
  on: OnSince,
  from: number,
  to: number,
  holds = 0.8,
): readonly [number, number] {
  if (on.since === 'dated') return chanceBand(rate, agesOver(rate, pace, on, from, to), holds)
  const sorted = [...chancesOf(rate, pace, on, from, to)].sort((a, b) => a.chance - b.chance)
  const all = sorted.reduce((sum, { weight }) => sum + weight, 0)
  const at = (share: number) => {
    let sum = 0
    return sorted.find(({ weight }) => (sum += weight) >= share * all)?.chance ?? 1
  }
  return [at((1 - holds) / 2), at((1 + holds) / 2)]
}

/** Within what its age lies now, years, four times of five. */
export function ageBetween(rate: Rate, pace: number, on: OnSince, now: number): readonly [number, number] {
  const gone = Math.max(0, now - on.fittedAt) / YEAR
  const ages = gammaPoints(rate.alpha, RATES)
    .flatMap(({ at, weight }) =>
      agesWhenEntered(on, (at / rate.beta) * pace, rate.shape).map((one) => ({
        age: one.age + gone,
        weight: weight * one.weight,
      })),
    )
    .sort((a, b) => a.age - b.age)
  const at = (share: number) => {
    let sum = 0
    return ages.find(({ weight }) => (sum += weight) >= share)?.age ?? requireValue(ages.at(-1)?.age)
  }
  return [at(0.1), at(0.9)]
}

/** The mean of all that may be; where nothing lives so long, one that breaks at once. */
function meanOf(chances: readonly MayBreakBy[]): number {
  const all = chances.reduce((sum, { weight }) => sum + weight, 0)
  return all <= 0 ? 1 : chances.reduce((sum, { chance, weight }) => sum + chance * weight, 0) / all
}

/**
 * What is kept of a string that was on when its instrument was entered.
 *
 * @param year - of which somebody says that it was put on about then; null where nobody knows
 * @param now - when it is entered, ms
 * @throws RangeError where the year lies ahead, or no string is so old
 */
export function onAlready(year: number | null, now: number): Pick<OnSince, 'since' | 'agedBefore'> {
  if (year === null) return { since: 'unknown', agedBefore: 0 }
  const thisYear = new Date(now).getUTCFullYear()
  if (!Number.isInteger(year) || year > thisYear || year < thisYear - OLDEST)
    throw new RangeError(`The year must be between ${thisYear - OLDEST} and ${thisYear}. You typed ${year}.`)
  const from = Date.UTC(year, 0)
  const to = Math.min(now, Date.UTC(year + 1, 0))
  return { since: 'about', agedBefore: now - (from + to) / 2 }
}

/** Strings of which nobody knows fail for reasons that no law of ages has: a nick, a bad knot, a drop. Our own estimate. */
const SUREST_OF_UNKNOWN = 0.99

/**
 * A chance that nothing breaks as it may be stated: never surer than this where ages are not known.
 *
 * @param unknown - how many of the strings have no known age
 */
export const statedHolds = (holds: number, unknown: number): number =>
  unknown === 0 ? holds : Math.min(holds, SUREST_OF_UNKNOWN)

/** No string on an instrument is older, years. */
export const OLDEST = 100
