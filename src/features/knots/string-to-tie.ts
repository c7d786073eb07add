/**
 * The string of a job as far as its knots need to know it.
 */
import { knotsFor, type KnotChoice } from '@/core/fitting/choose-knot'
import type { TailFastening } from '@/core/knots/fastenings'
import { drawnPin, type DrawnPin } from '@/core/knots/heads/heads'
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
  readonly pin: DrawnPin
  /** What is tied now, and which knots suit, best first. */
  readonly tied: TailFastening
  readonly choices: readonly KnotChoice[]
}

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
    pin: drawnPin(position.head.pin, gauge),
    tied: position.tail.fastening,
    choices: knotsFor(job.instrument, position, construction, job.habits),
  }
}
