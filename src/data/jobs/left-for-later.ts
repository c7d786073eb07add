/**
 * Steps that can wait and were not ticked when their fitting was logged: in an interval they are put off, and somebody has
 * to be reminded of them.
 */
import { and, desc, eq, exists, gt, inArray, isNull, lt, sql } from 'drizzle-orm'
import { STEPS_THAT_WAIT } from '@/core/fitting/in-the-interval'
import { leadingNames } from '@/core/instrument/names'
import type { StepKey } from '@/core/fitting/step'
import { DAY } from '@/core/units/time'
import { fittedStrings, fittings, jobs, jobSteps, parkedTails } from '../store/schema'
import type { Store } from '../store/database'
import { jobById, type Job } from './job'

export interface LeftStep {
  readonly key: StepKey
  readonly title: string
}

export interface LeftForLater {
  readonly jobId: number
  readonly name: string
  readonly instrumentName: string
  readonly steps: readonly LeftStep[]
}

/** For so long somebody is reminded, ms; later nobody can tell whether it was done. */
const REMINDED = 14 * DAY

/**
 * What of a logged fitting was not ticked and can be done now. Nothing where no step was ticked: it was not walked by
 * them. A tail that is parked has its own reminder.
 */
export function leftOf(store: Store, job: Job): readonly LeftStep[] {
  if (job.finishedAt === null || job.doneSteps.length === 0) return []
  const isParked = store.rows
    .select({ id: parkedTails.id })
    .from(fittings)
    .innerJoin(parkedTails, eq(parkedTails.fittedId, fittings.fittedId))
    .where(eq(fittings.jobId, job.jobId))
    .get()
  return job.steps
    .filter(
      ({ key }) =>
        STEPS_THAT_WAIT.includes(key) && !job.doneSteps.includes(key) && !(isParked && key === 'trim'),
    )
    .map(({ key, title }) => ({ key, title }))
}

/** All that was put off at fittings of the last two weeks whose string is still on, the latest first. */
export function leftForLater(store: Store): readonly LeftForLater[] {
  // One that has them all need not be worked out. A parked tail stands for its trimming, ticked or not.
  const waits = STEPS_THAT_WAIT.filter((key) => key !== 'trim')
  const ticked = sql<number>`(select count(*) from ${jobSteps} where ${jobSteps.jobId} = ${jobs.id} and ${inArray(jobSteps.step, waits)})
    + (exists (select 1 from ${jobSteps} where ${jobSteps.jobId} = ${jobs.id} and ${jobSteps.step} = 'trim')
      or exists (select 1 from ${parkedTails} where ${parkedTails.fittedId} = ${fittings.fittedId}))`
  const walked = store.rows
    .select({ id: jobs.id })
    .from(jobs)
    .innerJoin(fittings, eq(fittings.jobId, jobs.id))
    .innerJoin(fittedStrings, eq(fittedStrings.id, fittings.fittedId))
    .where(
      and(
        gt(jobs.finishedAt, store.now() - REMINDED),
        isNull(fittedStrings.endedAt),
        exists(store.rows.select({ id: jobSteps.id }).from(jobSteps).where(eq(jobSteps.jobId, jobs.id))),
        lt(ticked, STEPS_THAT_WAIT.length),
      ),
    )
    .orderBy(desc(jobs.finishedAt), desc(jobs.id))
    .all()
  return walked.flatMap(({ id }) => {
    const job = jobById(store, id)
    const steps = leftOf(store, job)
    return steps.length === 0
      ? []
      : [
          {
            jobId: id,
            name: leadingNames(job.position, job.habits.octaveNames).name,
            instrumentName: job.instrument.name,
            steps,
          },
        ]
  })
}
