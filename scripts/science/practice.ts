/** How the schedule of practice bears learners who do not exist, over sixty days. */
import { readShelf } from '@/data/demo/shelf-files'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { cardsOf } from '@/core/practice/cards'
import { LEARNERS, reportOf, simulateLearner, type ScheduleReport } from '@/core/practice/learner'
import { seeded } from '@/core/random/seeded'

export const DAYS = 60
const SEED = 18

/** One harp of the demo, its long zither, and all of it. */
const WORKSHOPS = { Lovage: ['lovage'], Yarrow: ['yarrow'], 'all ten': null } as const

export interface Learned extends ScheduleReport {
  readonly workshop: string
  readonly learner: string
}

export function learnerReports(): readonly Learned[] {
  const { instruments } = readShelf('demo')
  return Object.entries(WORKSHOPS).flatMap(([workshop, slugs]) => {
    const owns = instruments
      .filter(({ slug }) => slugs === null || (slugs as readonly string[]).includes(slug))
      .map((instrument) => ({ instrument, habits: DEFAULT_HABITS }))
    const cards = cardsOf(owns)
    return Object.entries(LEARNERS).map(([learner, kind]) => ({
      workshop,
      learner,
      ...reportOf(cards, simulateLearner(cards, kind, DAYS, seeded(SEED)), DAYS),
    }))
  })
}
