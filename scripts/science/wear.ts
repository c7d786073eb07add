/**
 * How well breaks are foretold: simulated shelves whose strings wear by rates, and partly by a shape, that the program is not
 * told; watched for some years and foretold from then on. A set of strings is asked for the time in which the program gives it
 * a chance of 10, 30, 50 and 80 % that one breaks, and then it is seen whether one did.
 */
import { itemAt } from '@/core/list/item-at'
import { gammaQuantile } from '@/core/random/gamma'
import { seeded } from '@/core/random/seeded'
import { chanceAllHold } from '@/core/wear/breaks-ahead'
import { ageing, learnRates, type WatchedString } from '@/core/wear/life'
import { LIFE_CLASSES, lifeFacts, type LifeClass } from '@/core/wear/life-class'

export const STATED = [0.1, 0.3, 0.5, 0.8] as const
const SHELVES = 120
const STRINGS = 8
const SET = 4

interface Truth {
  readonly name: string
  /** Years that it was watched. */
  readonly watched: number
  /** Added to the shape that the program takes for true. */
  readonly shapeOff: number
  /** Share of strings that are taken off sound, each year. */
  readonly takenOff: number
}

const TRUTHS: readonly Truth[] = [
  { name: 'nothing watched yet', watched: 0, shapeOff: 0, takenOff: 0 },
  { name: 'watched for six years', watched: 6, shapeOff: 0, takenOff: 0 },
  { name: 'a third taken off sound each year', watched: 6, shapeOff: 0, takenOff: 0.33 },
  { name: 'shape 0.5 lower than told', watched: 6, shapeOff: -0.5, takenOff: 0 },
  { name: 'shape 0.5 higher than told', watched: 6, shapeOff: 0.5, takenOff: 0 },
]

export interface ForetoldBreaks {
  readonly name: string
  readonly sets: number
  /** For each chance that was stated, how often one broke. */
  readonly happened: readonly number[]
}

let kept: readonly ForetoldBreaks[] | null = null

export function foretoldBreaks(): readonly ForetoldBreaks[] {
  return (kept ??= TRUTHS.map(foretold))
}

interface OneString {
  age: number
  readonly pace: number
  readonly breaksAt: number
}

function foretold(truth: Truth): ForetoldBreaks {
  const random = seeded(11)
  const happened = STATED.map(() => 0)
  let sets = 0
  for (let shelf = 0; shelf < SHELVES; shelf++)
    for (const lifeClass of LIFE_CLASSES) {
      const { watched, now } = aShelf(lifeClass, truth, random)
      const rates = learnRates(watched)
      const { shape } = rates[lifeClass]
      for (let from = 0; from + SET <= now.length; from += SET) {
        const set = now.slice(from, from + SET)
        sets += 1
        STATED.forEach((stated, i) => {
          const chanceWithin = (years: number) =>
            1 -
            chanceAllHold(
              rates,
              set.map(({ age, pace }) => ({
                lifeClass,
                ages: ageing(shape, [{ from: age, to: age + years, pace }]),
              })),
            )
          const years = timeOf(chanceWithin, stated)
          if (set.some(({ age, breaksAt }) => breaksAt < age + years)) happened[i] = itemAt(happened, i) + 1
        })
      }
    }
  return { name: truth.name, sets, happened: happened.map((count) => count / sets) }
}

/** Strings of one class on a shelf, watched for some years: what was seen of them, and those that are on now. */
function aShelf(lifeClass: LifeClass, { watched: years, shapeOff, takenOff }: Truth, random: () => number) {
  const { shape: told, alpha, beta } = lifeFacts(lifeClass)
  const shape = told + shapeOff
  const rate = gammaQuantile(alpha, random()) / beta
  // Another shape lets half of them break by the same age.
  const half = (Math.LN2 * (beta / alpha)) ** (1 / told)
  const scale = rate * half ** (told - shape)
  const watched: WatchedString[] = []
  const now: OneString[] = []
  for (let i = 0; i < STRINGS; i++) {
    const pace = 0.6 + 1.2 * random()
    const life = () => (-Math.log(1 - random()) / (scale * pace)) ** (1 / shape)
    let at = 0
    for (;;) {
      const breaksAt = life()
      const offAt = takenOff === 0 ? Infinity : -Math.log(1 - random()) / takenOff
      const ends = Math.min(breaksAt, offAt)
      const broke = breaksAt <= offAt
      if (at + ends > years) {
        const age = years - at
        watched.push({ lifeClass, aged: [{ from: 0, to: age, pace }], broke: false })
        now.push({ age, pace, breaksAt })
        break
      }
      watched.push({ lifeClass, aged: [{ from: 0, to: ends, pace }], broke })
      at += ends
    }
  }
  return { watched, now }
}

/** The time within which a chance comes to a share, years. */
function timeOf(chanceWithin: (years: number) => number, share: number): number {
  let low = 0
  let high = 1
  while (chanceWithin(high) < share) high *= 2
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (chanceWithin(middle) < share) low = middle
    else high = middle
  }
  return high
}
