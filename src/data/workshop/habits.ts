/**
 * Setting a habit: for the house, for one instrument, or for one job.
 */
import { eq } from 'drizzle-orm'
import { METHODS } from '@/core/fitting/methods'
import type { HabitChange } from '@/core/fitting/habits'
import type { TailFastening } from '@/core/knots/fastenings'
import type { Done, Store } from '../store/database'
import { changeWorkshop, workshopSettings } from './settings'
import { instrumentBySlug } from '../instruments/instruments'
import { jobById, unfinished } from '../jobs/job'
import { stringOf } from '../jobs/string-of'
import { instruments, jobs } from '../store/schema'

/** Where a habit holds. */
export type HabitScope =
  | { readonly of: 'house' }
  | { readonly of: 'instrument'; readonly slug: string }
  | { readonly of: 'job'; readonly jobId: number }

const QUESTIONS = new Map(
  Object.values(METHODS)
    .flat()
    .map(({ key, question }) => [key as string, question.toLowerCase()]),
)
const AMOUNTS: Readonly<Record<string, string>> = {
  wraps: 'wraps wanted',
  thinBelow: 'gauge that counts as thin',
  tail: 'tail left beyond the hole',
  slackLength: 'slack past every pin',
  slackStrings: 'strings pulled aside by',
  stretchCycles: 'cycles of helping it settle',
}

/**
 * Changes habits, as one action.
 *
 * @param change - what is set; what is undefined goes back to what the house, or the instrument, does
 */
export function setHabits(
  store: Store,
  scope: HabitScope,
  change: { readonly [K in keyof HabitChange]: HabitChange[K] | undefined },
): Done<void> {
  const what = Object.keys(change)
    .map((key) => QUESTIONS.get(key) ?? AMOUNTS[key] ?? key)
    .join(', ')
  switch (scope.of) {
    case 'house': {
      const { habits } = workshopSettings(store)
      return changeWorkshop(store, { habits: { ...habits, ...set(change) } }, `The house’s habit: ${what}`)
    }
    case 'instrument': {
      const { id, instrument, ownHabits } = instrumentBySlug(store, scope.slug)
      return store.act(
        { kind: 'habit', summary: `${instrument.name}’s own habit: ${what}`, instrumentId: id },
        () => {
          store.rows
            .update(instruments)
            .set({ habits: JSON.stringify({ ...ownHabits, ...change }) })
            .where(eq(instruments.id, id))
            .run()
        },
      )
    }
    case 'job': {
      const job = unfinished(jobById(store, scope.jobId))
      return store.act(
        {
          kind: 'habit',
          summary: `${stringOf(job, job.position)}: another habit for this job: ${what}`,
          instrumentId: job.id,
        },
        () => {
          store.rows
            .update(jobs)
            .set({ habits: JSON.stringify({ ...job.jobHabits, ...change }) })
            .where(eq(jobs.id, job.jobId))
            .run()
        },
      )
    }
  }
}

/** Keeps what a knot of the house's own was measured to take, in gauges, or forgets it. */
export function measureKnotOfOwn(store: Store, fastening: TailFastening, gauges: number | null): Done<void> {
  const { habits } = workshopSettings(store)
  const others = Object.fromEntries(Object.entries(habits.knots).filter(([knot]) => knot !== fastening))
  const summary =
    gauges === null
      ? `${fastening}: taken as worked out again`
      : `${fastening}: measured to take ${Math.round(gauges * 10) / 10} gauges`
  return changeWorkshop(
    store,
    { habits: { ...habits, knots: gauges === null ? others : { ...others, [fastening]: gauges } } },
    summary,
  )
}

/** Only what is set: a house has a habit in everything. */
function set(change: object): HabitChange {
  return Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)) as HabitChange
}
