/**
 * One step of a fitting, ready to be shown: nothing in it depends on a screen or a unit.
 */
import type { Measure, Phrase } from '../measure'

export type StepPicture = 'cut' | 'pin' | 'key' | 'slack'

export interface StepFigure {
  readonly label: string
  readonly measure: Measure
}

export interface Step {
  /** Stays the same while the wording changes, so that a job can be left and taken up again. */
  readonly key: string
  readonly title: string
  /** What to do, in order; a sentence each. */
  readonly todo: readonly Phrase[]
  readonly figures: readonly StepFigure[]
  /** What right looks like. */
  readonly right: Phrase
  readonly mistake: Phrase
  readonly caution: string | null
  readonly picture: StepPicture | null
}
