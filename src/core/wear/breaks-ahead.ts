/**
 * What is to come for many strings at once. Strings of one class share a rate that nobody knows for sure: if one breaks
 * early, the others are likelier to. Whatever is asked is therefore reckoned at each rate, and averaged.
 */
import { itemAt } from '../list/item-at'
import { gammaPoints } from '../random/gamma'
import { chanceItBreaks, chanceOfNone, type Rates } from './life'
import type { LifeClass, Rate } from './life-class'

/** A string, and how much it will have aged by then, years^shape of its class. */
export interface AtRisk {
  readonly lifeClass: LifeClass
  readonly ages: number
}

/** Points that a mean over a rate is taken at; a test holds them against sums in closed form. */
const POINTS = 24

/** Rates of a class that may be, each with its weight. */
export function ratesAt(
  { alpha, beta }: Rate,
  most = POINTS,
): readonly { readonly rate: number; readonly weight: number }[] {
  return gammaPoints(alpha, Math.min(POINTS, most)).map(({ at, weight }) => ({ rate: at / beta, weight }))
}

/** Chance that none of these strings breaks. */
export function chanceAllHold(rates: Rates, strings: readonly AtRisk[]): number {
  let chance = 1
  for (const [lifeClass, ages] of agesOf(strings)) chance *= chanceOfNone(rates[lifeClass], ages)
  return chance
}

/** How many of them are bound to break, on average, each at most once. */
export function expectedBreaks(rates: Rates, strings: readonly AtRisk[]): number {
  return strings.reduce((sum, { lifeClass, ages }) => sum + chanceItBreaks(rates[lifeClass], ages), 0)
}

/** Chance that 0, 1, 2 … of these strings break, each at most once. */
export function howManyBreak(rates: Rates, strings: readonly AtRisk[]): readonly number[] {
  let all: readonly number[] = [1]
  for (const lifeClass of agesOf(strings).keys()) {
    const among = strings.filter((one) => one.lifeClass === lifeClass)
    const counts = new Array<number>(among.length + 1).fill(0)
    for (const { rate, weight } of ratesAt(rates[lifeClass]))
      countsAt(among.map(({ ages }) => -Math.expm1(-rate * ages))).forEach((chance, count) => {
        counts[count] = itemAt(counts, count) + weight * chance
      })
    all = bothCounts(all, counts)
  }
  return all
}

/** Chance that 0, 1, 2 … of independent things happen, each with its own chance. */
export function countsAt(chances: readonly number[]): readonly number[] {
  const counts = [1]
  for (const chance of chances) {
    counts.push(0)
    for (let n = counts.length - 1; n >= 0; n--)
      counts[n] = itemAt(counts, n) * (1 - chance) + (n > 0 ? itemAt(counts, n - 1) * chance : 0)
  }
  return counts
}

/** Chances of the sum of two independent counts. */
export function bothCounts(a: readonly number[], b: readonly number[]): readonly number[] {
  const sum = new Array<number>(a.length + b.length - 1).fill(0)
  a.forEach((p, i) => {
    b.forEach((q, j) => {
      sum[i + j] = itemAt(sum, i + j) + p * q
    })
  })
  return sum
}

function agesOf(strings: readonly AtRisk[]): ReadonlyMap<LifeClass, number> {
  const ages = new Map<LifeClass, number>()
  for (const one of strings) ages.set(one.lifeClass, (ages.get(one.lifeClass) ?? 0) + one.ages)
  return ages
}
