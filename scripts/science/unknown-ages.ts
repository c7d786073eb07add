/**
 * How well breaks are foretold where nobody recorded the ages of half the strings. Shelves are strung in ways that the program is
 * not told; it sees the ages of every second string and none of the others. Sets of four, two
 * of each, are foretold for some times ahead; of all that were given about the same chance, so many broke.
 */
import { gammaQuantile } from '@/core/random/gamma'
import { seeded } from '@/core/random/seeded'
import { chanceAllHold } from '@/core/wear/breaks-ahead'
import { learnRates, type WatchedString } from '@/core/wear/life'
import { LIFE_CLASSES, lifeFacts, type LifeClass } from '@/core/wear/life-class'
import { agesOver, usualAge, yearsOn, type OnSince } from '@/core/wear/on-since'
import { YEAR } from '@/core/wear/period'

const SHELVES = 60
const STRINGS = 8
const SET = 4

interface World {
  readonly name: string
  /** Since when the whole set is on, years; what broke since was changed. */
  readonly strungAgo: (random: () => number) => number
  /** Years that the shelf is watched after it was entered. */
  readonly watched: number
}

const WORLDS: readonly World[] = [
  { name: 'strung whole in the last fifteen years', strungAgo: (random) => 15 * random(), watched: 0 },
  { name: 'the same, then watched for three years', strungAgo: (random) => 15 * random(), watched: 3 },
  { name: 'each string changed as it broke, for ever', strungAgo: () => 80, watched: 0 },
  {
    name: 'most sets of the last three years, some of twenty',
    strungAgo: (random) => (random() < 0.7 ? 3 : 20) * random(),
    watched: 0,
  },
]

/** Times that are foretold, years. */
const AHEAD = [0.1, 0.5, 1, 3] as const
/** Chances that are taken together, by where each begins. */
export const BINS = [0, 0.2, 0.4, 0.6, 0.8] as const

export interface Foretold {
  readonly cases: number
  /** On average. */
  readonly stated: number
  readonly happened: number
}

export interface ForetoldUnknown {
  readonly name: string
  readonly bins: readonly Foretold[]
  /** Breaks that were stated in all, for one that happened: as the program does it, and were such strings taken for new. */
  readonly ratio: number
  readonly ratioAsNew: number
}

interface OnShelf {
  readonly on: OnSince
  readonly pace: number
  /** The true age now, and that at which it breaks, years. */
  readonly age: number
  readonly breaksAt: number
}

let kept: readonly ForetoldUnknown[] | null = null

export function foretoldUnknown(): readonly ForetoldUnknown[] {
  return (kept ??= WORLDS.map(foretold))
}

function foretold(world: World): ForetoldUnknown {
  const random = seeded(23)
  const bins = BINS.map(() => ({ cases: 0, stated: 0, happened: 0 }))
  let [stated, asNew, happened] = [0, 0, 0]
  const now = world.watched * YEAR
  for (let shelf = 0; shelf < SHELVES; shelf++)
    for (const lifeClass of LIFE_CLASSES) {
      const { watched, on } = aShelf(lifeClass, world, random)
      const rates = learnRates(watched)
      for (let from = 0; from + SET <= on.length; from += SET) {
        const set = on.slice(from, from + SET)
        for (const years of AHEAD) {
          const chanceOf = (known: (one: OnShelf) => OnSince) =>
            1 -
            chanceAllHold(
              rates,
              set.map((one) => ({
                lifeClass,
                ages: agesOver(rates[lifeClass], one.pace, known(one), now, now + years * YEAR),
              })),
            )
          const chance = chanceOf(({ on: one }) => one)
          const broke = set.some(({ age, breaksAt }) => breaksAt < age + years) ? 1 : 0
          const bin = bins[Math.min(BINS.length - 1, Math.floor(chance * BINS.length))]
          if (bin) {
            bin.cases += 1
            bin.stated += chance
            bin.happened += broke
          }
          stated += chance
          happened += broke
          asNew += chanceOf(({ on: one }) =>
            one.since === 'unknown' ? { since: 'dated', fittedAt: now, agedBefore: 0 } : one,
          )
        }
      }
    }
  return {
    name: world.name,
    bins: bins.map((bin) => ({
      cases: bin.cases,
      stated: bin.stated / bin.cases,
      happened: bin.happened / bin.cases,
    })),
    ratio: stated / happened,
    ratioAsNew: asNew / happened,
  }
}

/** Strings of one class as they are when the shelf was entered and watched: what was seen of them, and what is known of their ages. */
function aShelf(lifeClass: LifeClass, { strungAgo, watched: years }: World, random: () => number) {
  const facts = lifeFacts(lifeClass)
  const rate = gammaQuantile(facts.alpha, random()) / facts.beta
  const ago = strungAgo(random)
  const watched: WatchedString[] = []
  const on: OnShelf[] = []
  for (let i = 0; i < STRINGS; i++) {
    const pace = 0.6 + 1.2 * random()
    const life = () => (-Math.log(1 - random()) / (rate * pace)) ** (1 / facts.shape)
    const isKnown = i % 2 === 0
    // Before it was entered nobody watched.
    let born = -ago
    let breaksAt = life()
    while (born + breaksAt < 0) [born, breaksAt] = [born + breaksAt, life()]
    let isSeen = isKnown
    let entered = 0
    for (;;) {
      const one: OnSince = isSeen
        ? { since: 'dated', fittedAt: entered * YEAR, agedBefore: (entered - born) * YEAR }
        : { since: 'unknown', fittedAt: 0, agedBefore: usualAge(facts, pace) }
      const from = yearsOn(one, one.fittedAt)
      const ends = born + breaksAt
      const until = Math.min(ends, years)
      watched.push({ lifeClass, aged: [{ from, to: from + until - entered, pace }], broke: ends < years })
      if (ends >= years) {
        on.push({ on: one, pace, age: years - born, breaksAt })
        break
      }
      ;[born, entered, breaksAt, isSeen] = [ends, ends, life(), true]
    }
  }
  return { watched, on }
}
