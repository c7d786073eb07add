/**
 * How long strings last: Weibull lives whose rate is uncertain and shared by all strings of a class. Ages are in years; how
 * much a string has aged is `pace · (to^shape − from^shape)`, in years^shape.
 */
import { gammaQuantile } from '../random/gamma'
import { LIFE_CLASSES, lifeFacts, type LifeClass, type Rate } from './life-class'

export const CONDITIONS = ['fresh', 'sound', 'worn', 'fraying'] as const
export type Condition = (typeof CONDITIONS)[number]

/** How much faster a string ages by how it looks; estimates. */
export const BY_CONDITION: Readonly<Record<Condition, number>> = {
  fresh: 0.7,
  sound: 1,
  worn: 1.5,
  fraying: 3,
}

/** Load counts by its fourth power, within these bounds. */
const LOAD_POWER = 4
const LEAST_BY_LOAD = 0.3
const MOST_BY_LOAD = 4

/**
 * How much faster than usual for its class a sound string ages.
 *
 * @param use - share of its strength that it works at
 */
export function paceByLoad(lifeClass: LifeClass, use: number): number {
  const byLoad = (use / lifeFacts(lifeClass).usualUse) ** LOAD_POWER
  return Math.max(LEAST_BY_LOAD, Math.min(MOST_BY_LOAD, byLoad))
}

/** A stretch of a string's life at one pace. */
export interface Aged {
  readonly from: number
  readonly to: number
  readonly pace: number
}

/** How much a string aged over stretches of its life, years^shape. */
export function ageing(shape: number, spans: readonly Aged[]): number {
  return spans.reduce((sum, { from, to, pace }) => sum + pace * (to ** shape - from ** shape), 0)
}

/** A string that was watched: one that was taken off whole, slipped or is still on has not broken of itself. */
export interface WatchedString {
  readonly lifeClass: LifeClass
  readonly aged: readonly Aged[]
  readonly broke: boolean
}

export type Rates = Readonly<Record<LifeClass, Rate>>

/** The rates of all classes, by every string that was watched. */
export function learnRates(watched: readonly WatchedString[]): Rates {
  const sums = Object.fromEntries(
    LIFE_CLASSES.map((one) => {
      const { shape, alpha, beta } = lifeFacts(one)
      return [one, { shape, alpha, beta }]
    }),
  ) as Record<LifeClass, { shape: number; alpha: number; beta: number }>
  for (const { lifeClass, aged, broke } of watched) {
    const sum = sums[lifeClass]
    sum.beta += ageing(sum.shape, aged)
    if (broke) sum.alpha += 1
  }
  return sums
}

/** Chance that no string of a class breaks while together they age by so much. */
export function chanceOfNone({ alpha, beta }: Rate, aged: number): number {
  return Math.exp(-alpha * Math.log1p(aged / beta))
}

export const chanceItBreaks = (rate: Rate, aged: number): number =>
  -Math.expm1(-rate.alpha * Math.log1p(aged / rate.beta))

/** Within what the chance of a break lies as far as its rate is known, by the share of all rates that the band holds. */
export function chanceBand({ alpha, beta }: Rate, aged: number, holds = 0.8): readonly [number, number] {
  const at = (share: number) => -Math.expm1((-gammaQuantile(alpha, share) / beta) * aged)
  return [at((1 - holds) / 2), at((1 + holds) / 2)]
}

/** The age by which half of the strings that age at the usual pace have broken, years. */
export function medianLife({ shape, alpha, beta }: Rate): number {
  // β / (β + t^k) to the α is one half.
  return (beta * (2 ** (1 / alpha) - 1)) ** (1 / shape)
}
