/**
 * What the screens of a job are given: small enough to send, and enough to work everything out again.
 */
import type { Corrections } from '@/core/fitting/corrections'
import type { FittingState } from '@/core/fitting/context'
import { fittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import type { Asked, StepKey } from '@/core/fitting/step'
import type { Member } from '@/core/fitting/together'
import type { StringEnd } from '@/core/knots/string-ends'
import { positionAt, type Instrument } from '@/core/instrument/instrument'
import type { Construction } from '@/core/strings/construction'
import type { Job } from '@/data/jobs/job'

export interface JobView {
  readonly jobId: number
  /** Of its position. */
  readonly number: number
  readonly construction: Construction
  /** Of the coil set aside; null while none is. */
  readonly end: StringEnd | null
  readonly habits: Habits
  readonly corrections: Corrections
  readonly state: FittingState
  readonly done: readonly StepKey[]
  /** Lengths in m. */
  readonly measured: Readonly<Partial<Record<Asked, number>>>
  /** The coil set aside, or the same string; null while neither is settled. */
  readonly from: string | null
  /** Whose string it is, where several are at the instrument; empty where one does all. */
  readonly hands: string
}

/** The view of one job. */
export function jobView(job: Job): JobView {
  return {
    jobId: job.jobId,
    number: job.position.number,
    construction: job.figures.construction,
    end: job.coil?.end ?? null,
    habits: job.habits,
    corrections: job.corrections,
    state: job.context.state,
    done: job.doneSteps,
    measured: job.measured,
    from: job.coil?.label ?? (job.sameString ? 'the same string' : null),
    hands: job.hands,
  }
}

/** The job with its figures and steps worked out, as it is told with others. */
export function memberOf(
  instrument: Instrument,
  { jobId, number, construction, end, habits, corrections, state }: JobView,
  turnsGiven = state.turnsGiven,
): Member {
  const position = positionAt(instrument, number)
  const context = fittingContext(
    instrument,
    position,
    fittingFigures(instrument, position, habits, construction, corrections, end ?? undefined),
    habits,
    { ...state, turnsGiven },
  )
  return { id: jobId, context, steps: fittingSteps(context) }
}
