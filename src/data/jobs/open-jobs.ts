/**
 * Open jobs with what their figures are worked out from; steps and figures are left to whoever needs them.
 */
import { asc, isNull } from 'drizzle-orm'
import type { Corrections } from '@/core/fitting/corrections'
import { habitsFor, type Habits } from '@/core/fitting/habits'
import { habitChange } from '../workshop/settings'
import { byPositionId, type PositionOnShelf } from '../instruments/instruments'
import type { Store } from '../store/database'
import { jobs } from '../store/schema'
import { workshopLearned, kindOf } from './learned'

/** Jobs that are not finished, oldest first, as their rows stand. */
export function openJobs(store: Store) {
  return store
    .prepared('open jobs', (rows) =>
      rows.select().from(jobs).where(isNull(jobs.finishedAt)).orderBy(asc(jobs.openedAt)).prepare(),
    )
    .all()
}

export interface OpenJob extends PositionOnShelf {
  readonly row: ReturnType<typeof openJobs>[number]
  /** The job's own habits laid over its instrument's. */
  readonly habits: Habits
  readonly corrections: Corrections
}

/** A job's row with its string and what holds for it. */
export function onItsString(store: Store, row: OpenJob['row']): OpenJob {
  return { row, ...stringAt(store, row.positionId, row.habits) }
}

/** A string with what holds for a job on it, the job's own habits laid over its instrument's. */
export function stringAt(store: Store, positionId: number, jobHabits: string): Omit<OpenJob, 'row'> {
  const stored = byPositionId(store, positionId)
  return {
    ...stored,
    habits: habitsFor(stored.habits, {}, habitChange(jobHabits)),
    corrections: workshopLearned(store).correctionsFor(kindOf(stored, stored.position)),
  }
}

/** Jobs that are not finished, oldest first, each with its string. */
export function jobsOnStrings(store: Store): readonly OpenJob[] {
  return openJobs(store).map((row) => onItsString(store, row))
}
