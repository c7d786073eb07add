/**
 * Whether strings break at one place more often than chance would have it. A place is a site of a position: the bridge pin of
 * string 12. Breaks there are Poisson; the rate of its like on the instrument is a gamma distribution that leans on the house's;
 * a place is either as its like or sharper by a factor. How many places are sharp is not known either, and is learned from all
 * that were looked at: among three hundred, one with two breaks is bound to be there.
 */
import { itemAt } from '../list/item-at'
import { gammaPoints, logGamma } from '../random/gamma'
import type { BreakSite } from './break-sites'

/** What happened at a place. */
export interface PlaceSeen {
  readonly position: number
  readonly site: BreakSite
  readonly breaks: number
  /** String-years, weighed by the retunes that dragged a string over it. */
  readonly exposure: number
}

export interface SharpPlace extends PlaceSeen {
  /** Breaks that its like would have brought in that time. */
  readonly expected: number
  /** Chance that it is sharper than its like. */
  readonly chance: number
  /** How many places were looked at, this one among them. */
  readonly looked: number
}

/** The rate of a site in the house leans on this many breaks’ worth; an instrument’s on as many of the house’s. */
const LEANS_ON = 2
/** Breaks in a string-year at a site of which nobody knows anything, an estimate. */
const RATE_AT_FIRST = 0.02
/** By how much a sharp place may be sharper, each as likely as the next. */
const FACTORS = [3, 6, 12, 25, 50]
const POINTS = 16
/** Shares of places that may be sharp, and the belief in each before anything broke: Beta(1, 80) over a log-spaced grid. */
const SHARES = Array.from({ length: 25 }, (_, i) => 10 ** (-4 + (i / 24) * 3.3))
const SHARE_BELIEF = SHARES.map((share) => share * (1 - share) ** 79)

/** Breaks per string-year at each site over all instruments of a house, leaning on what is usual. */
export function siteRates(places: readonly Omit<PlaceSeen, 'position'>[]): ReadonlyMap<BreakSite, number> {
  return new Map(
    [...sumsBySite(places)].map(([site, { breaks, exposure }]) => [
      site,
      (LEANS_ON + breaks) / (LEANS_ON / RATE_AT_FIRST + exposure),
    ]),
  )
}

/**
 * The chance of each place of an instrument to be sharper than its like.
 *
 * @param places - all of the instrument, those without a break too
 * @param rates - of the sites in the house
 */
export function sharpPlaces(
  places: readonly PlaceSeen[],
  rates: ReadonlyMap<BreakSite, number>,
): readonly SharpPlace[] {
  const sums = sumsBySite(places)
  const weighed = places.map((place) => weigh(place, sums, rates))
  const belief = SHARES.map((share, i) =>
    weighed.reduce(
      (log, { alike, sharp }) => log + Math.log((1 - share) * alike + share * sharp),
      Math.log(itemAt(SHARE_BELIEF, i)),
    ),
  )
  const top = Math.max(...belief)
  const weights = belief.map((log) => Math.exp(log - top))
  const all = weights.reduce((a, b) => a + b, 0)
  return places.map((place, p) => {
    const { alike, sharp, expected } = itemAt(weighed, p)
    const chance = SHARES.reduce(
      (sum, share, i) =>
        sum + (itemAt(weights, i) / all) * ((share * sharp) / ((1 - share) * alike + share * sharp)),
      0,
    )
    return { ...place, expected, chance, looked: places.length }
  })
}

/** What happened at a place since it was polished. */
export interface SincePolish {
  readonly breaks: number
  readonly exposure: number
}

/** The chance that a polish did something, before anybody looks at what came of it. */
const HELPS_AT_FIRST = 0.6

/**
 * The chance that a place that was polished is as its like now.
 *
 * @param before - the place until it was polished
 * @param places - all of the instrument
 */
export function chanceItHelped(
  before: PlaceSeen,
  since: SincePolish,
  places: readonly PlaceSeen[],
  rates: ReadonlyMap<BreakSite, number>,
): number {
  const { alpha, beta } = leaning(before, sumsBySite(places), rates)
  let helped = 0
  let same = 0
  for (const { at, weight } of gammaPoints(alpha, POINTS)) {
    const rate = at / beta
    for (const factor of FACTORS) {
      const was = weight * poisson(before.breaks, factor * rate * before.exposure)
      helped += was * poisson(since.breaks, rate * since.exposure)
      same += was * poisson(since.breaks, factor * rate * since.exposure)
    }
  }
  return (HELPS_AT_FIRST * helped) / (HELPS_AT_FIRST * helped + (1 - HELPS_AT_FIRST) * same)
}

interface Weighed {
  readonly alike: number
  readonly sharp: number
  readonly expected: number
}

function weigh(
  place: PlaceSeen,
  sums: ReadonlyMap<BreakSite, SincePolish>,
  rates: ReadonlyMap<BreakSite, number>,
): Weighed {
  const { breaks, exposure } = place
  const { alpha, beta } = leaning(place, sums, rates)
  return {
    alike: counted(breaks, alpha, beta, exposure),
    sharp:
      FACTORS.reduce((sum, factor) => sum + counted(breaks, alpha, beta, factor * exposure), 0) /
      FACTORS.length,
    expected: (alpha / beta) * exposure,
  }
}

/** Chance of a count where the rate is Gamma(alpha, beta): negative binomial. */
function counted(count: number, alpha: number, beta: number, exposure: number): number {
  const none = -alpha * Math.log1p(exposure / beta)
  if (count === 0) return Math.exp(none)
  if (exposure <= 0) return 0
  const ways = logGamma(alpha + count) - logGamma(alpha) - logGamma(count + 1)
  return Math.exp(ways + none + count * Math.log(exposure / (beta + exposure)))
}

/** What is known of the rate of a place's like: the other positions' same site, leaning on the house's. */
function leaning(
  { site, breaks, exposure }: PlaceSeen,
  sums: ReadonlyMap<BreakSite, SincePolish>,
  rates: ReadonlyMap<BreakSite, number>,
): { readonly alpha: number; readonly beta: number } {
  const all = sums.get(site) ?? { breaks, exposure }
  return {
    alpha: LEANS_ON + all.breaks - breaks,
    beta: LEANS_ON / (rates.get(site) ?? RATE_AT_FIRST) + all.exposure - exposure,
  }
}

function sumsBySite(places: readonly Omit<PlaceSeen, 'position'>[]): ReadonlyMap<BreakSite, SincePolish> {
  const sums = new Map<BreakSite, { breaks: number; exposure: number }>()
  for (const { site, breaks, exposure } of places) {
    const sum = sums.get(site) ?? { breaks: 0, exposure: 0 }
    sums.set(site, { breaks: sum.breaks + breaks, exposure: sum.exposure + exposure })
  }
  return sums
}

/** Chance of a count where so many are expected. */
function poisson(count: number, expected: number): number {
  return expected <= 0
    ? Number(count === 0)
    : Math.exp(count * Math.log(expected) - expected - logGamma(count + 1))
}
