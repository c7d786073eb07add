/** Jobs as this device has them: with what was done here while the house did not answer. */
import { readMeasured } from '@/boundary/measured'
import type { Asked, StepKey } from '@/core/fitting/step'
import type { Waiting } from '@/ui/offline/outbox'
import type { JobView } from './job-view'

interface Marked {
  readonly step: StepKey
  readonly done: boolean
  readonly jobs: readonly number[]
}

interface Measured {
  readonly what: Asked
  readonly text: string
  readonly unit: 'mm' | 'in'
}

const OF_A_JOB = /^\/api\/jobs\/(\d+)\/(steps|measures)$/

/** @param waits - in the order it was done */
export function withWaiting(jobs: readonly JobView[], waits: readonly Waiting[]): readonly JobView[] {
  return waits.reduce((had, { path, json }) => {
    const [, id, what] = OF_A_JOB.exec(path) ?? []
    if (what === 'steps') return had.map((job) => marked(job, JSON.parse(json) as Marked))
    if (what === 'measures')
      return had.map((job) =>
        job.jobId === Number(id)
          ? { ...job, measured: remeasured(job.measured, JSON.parse(json) as Measured) }
          : job,
      )
    return had
  }, jobs)
}

/** What was measured on the way of a job, with what waits on this device. */
export function measuredWith(
  had: JobView['measured'],
  jobId: number,
  waits: readonly Waiting[],
): JobView['measured'] {
  return waits.reduce((now, { path, json }) => {
    const [, id, what] = OF_A_JOB.exec(path) ?? []
    return what === 'measures' && Number(id) === jobId ? remeasured(now, JSON.parse(json) as Measured) : now
  }, had)
}

function marked(job: JobView, { step, done, jobs }: Marked): JobView {
  if (!jobs.includes(job.jobId)) return job
  const others = job.done.filter((key) => key !== step)
  return { ...job, done: done ? [...others, step] : others }
}

function remeasured(had: JobView['measured'], { what, text, unit }: Measured): JobView['measured'] {
  const value = readMeasured(what, text, unit)
  const others = Object.entries(had).filter(([key]) => key !== what)
  return { ...Object.fromEntries(others), ...(value === null ? {} : { [what]: value }) }
}
