/**
 * A learner who does not exist, to try the schedule on: forgets by another law than the schedule reckons with, and comes on
 * some days only.
 */
import { DAY } from '../units/time'
import type { Card } from './cards'
import { DRILLS } from './drill'
import { toPractise } from './due'
import type { Answer } from './question'
import { afterAnswer, recallOf, type Remembered } from './schedule'

/** How well a learner keeps what was learned: what is kept halves with every so many days, and that grows with each success. */
export interface LearnerKind {
  /** After the first time, days. */
  readonly halfLife: number
  /** Times as long after a right answer; after a wrong one it is told anew, and begins again. */
  readonly right: number
  /** Chance of knowing what was never asked. */
  readonly guesses: number
  /** Chance of coming on a day. */
  readonly comes: number
}

export const LEARNERS = {
  steady: { halfLife: 6, right: 2.2, guesses: 0.35, comes: 0.9 },
  'twice a week': { halfLife: 6, right: 2.2, guesses: 0.35, comes: 0.28 },
  forgetful: { halfLife: 2.5, right: 1.6, guesses: 0.25, comes: 0.9 },
} as const satisfies Record<string, LearnerKind>

/** One card as it was asked on one day. */
export interface AskedOn {
  readonly day: number
  readonly card: string
  readonly isRight: boolean
  readonly isNew: boolean
  /** The chance that the schedule gave it; null where it was new. */
  readonly recall: number | null
  readonly stability: number
  readonly answer: Answer
}

const IN_A_GO = 8

/**
 * Goes through so many days of practice, one go on each day that the learner comes.
 *
 * @param random - from 0 up to 1
 * @param from - ms since 1970
 */
export function simulateLearner(
  cards: readonly Card[],
  kind: LearnerKind,
  days: number,
  random: () => number,
  from = 0,
): readonly AskedOn[] {
  const remembered = new Map<string, Remembered>()
  const truth = new Map<string, { readonly halfLife: number; readonly at: number }>()
  const asked: AskedOn[] = []
  for (let day = 0; day < days; day += 1) {
    if (random() >= kind.comes) continue
    const now = from + day * DAY
    for (const card of toPractise(cards, remembered, { now, count: IN_A_GO, seed: day })) {
      const known = truth.get(card.id)
      const chance = known ? 2 ** (-(now - known.at) / DAY / known.halfLife) : kind.guesses
      const isRight = random() < chance
      const halfLife = known && isRight ? known.halfLife * kind.right : kind.halfLife
      truth.set(card.id, { halfLife, at: now })
      const before = remembered.get(card.id) ?? null
      const answer: Answer = {
        card: card.id,
        drill: card.drill,
        isRight,
        took: Math.round(4000 + 9000 * random() * (isRight ? 1 : 1.5)),
        mistake: isRight ? null : 'forgotten',
        off: null,
      }
      const after = afterAnswer(before, answer, now)
      remembered.set(card.id, after)
      asked.push({
        day,
        card: card.id,
        isRight,
        isNew: before === null,
        recall: before && recallOf(before, now),
        stability: after.stability,
        answer,
      })
    }
  }
  return asked
}

/** What a schedule came to, in figures. */
export interface ScheduleReport {
  readonly goes: number
  readonly asked: number
  /** The most and the middle of a go. */
  readonly most: number
  readonly cardsSeen: number
  readonly ofCards: number
  /** Share right of those that were asked again, and what the schedule expected of them. */
  readonly rightAgain: number
  readonly expected: number
  /** Days between two askings of a card, in the middle, in the first third of the time and in the last. */
  readonly gaps: readonly [early: number, late: number]
  readonly drillsSeen: number
}

export function reportOf(cards: readonly Card[], asked: readonly AskedOn[], days: number): ScheduleReport {
  const again = asked.filter(({ isNew }) => !isNew)
  const perDay = new Map<number, number>()
  for (const { day } of asked) perDay.set(day, (perDay.get(day) ?? 0) + 1)
  const last = new Map<string, number>()
  const gaps: { readonly day: number; readonly gap: number }[] = []
  for (const { card, day } of asked) {
    const before = last.get(card)
    if (before !== undefined) gaps.push({ day, gap: day - before })
    last.set(card, day)
  }
  const middle = (of: readonly number[]) => [...of].sort((a, b) => a - b)[of.length >> 1] ?? 0
  const drills = new Set(cards.filter(({ id }) => last.has(id)).map(({ drill }) => drill))
  return {
    goes: perDay.size,
    asked: asked.length,
    most: Math.max(0, ...perDay.values()),
    cardsSeen: last.size,
    ofCards: cards.length,
    rightAgain: again.filter(({ isRight }) => isRight).length / Math.max(1, again.length),
    expected: again.reduce((sum, { recall }) => sum + (recall ?? 0), 0) / Math.max(1, again.length),
    gaps: [
      middle(gaps.filter(({ day }) => day < days / 3).map(({ gap }) => gap)),
      middle(gaps.filter(({ day }) => day >= (2 * days) / 3).map(({ gap }) => gap)),
    ],
    drillsSeen: DRILLS.filter((drill) => drills.has(drill)).length,
  }
}
