/**
 * The string of a job as far as its knots need to know it.
 */
import { knotsFor, type KnotChoice } from '@/core/fitting/choose-knot'
import type { TailFastening } from '@/core/knots/fastenings'
import { outerGauge } from '@/core/strings/construction'
import type { Job } from '@/data/jobs/job'
import { lookOf, type StringLook } from '@/drawings/knot/string-look'

export interface StringToTie {
  readonly jobId: number
  /** Of its instrument. */
  readonly slug: string
  /** `3rd-octave G of Lovage` */
  readonly name: string
  /** m */
  readonly gauge: number
  readonly look: StringLook
  /** Of its tuning pin, in gauges. */
  readonly pinRadius: number
  /** What is tied now, and which knots suit, best first. */
  readonly tied: TailFastening
  readonly choices: readonly KnotChoice[]
}

/** A pin is drawn no thinner and no thicker than this, in gauges. */
const PIN = { least: 3.2, most: 6 } as const

export function stringToTie(job: Job, name: string): StringToTie {
  const { construction } = job.figures
  const { position } = job.context
  const gauge = outerGauge(construction)
  return {
    jobId: job.jobId,
    slug: job.instrument.slug,
    name,
    gauge,
    look: lookOf(construction, position.tail.eyeletBore),
    pinRadius: Math.max(PIN.least, Math.min(PIN.most, position.head.pin.diameter / (2 * gauge))),
    tied: position.tail.fastening,
    choices: knotsFor(job.instrument, position, construction, job.habits),
  }
}
