/**
 * One step of a fitting, ready to be shown: nothing in it depends on a screen or a unit.
 */
import type { Measure, Phrase } from '../measure'
import type { Caution } from './caution'

/** Every step that a fitting can have. A key stays the same while the wording changes, so that a job can be left and taken up again. */
export const STEP_KEYS = [
  'make-ready',
  'move-aside',
  'take-off',
  'inspect',
  'prove',
  'set-pin',
  'tie-knot',
  'through-board',
  'seat',
  'twist-loop',
  'hook-loop',
  'mark',
  'wind-first',
  'round-posts',
  'pull-aside',
  'peg-cord',
  'thread-pin',
  'cut-again',
  'wind',
  'wrap-foot',
  'put-back',
  'to-half',
  'to-pitch',
  'stretch',
  'trim',
  'look-inside',
  'log',
] as const
export type StepKey = (typeof STEP_KEYS)[number]

/** Parts of the work; where several strings are fitted together, each part is done for all of them. */
export const PHASES = ['ready', 'off', 'in', 'wind', 'half', 'tune', 'after', 'log'] as const
export type Phase = (typeof PHASES)[number]

export type StepPicture =
  | 'ready'
  | 'off'
  | 'path'
  | 'gauge'
  | 'pin'
  | 'knot'
  | 'through'
  | 'seat'
  | 'twist'
  | 'loop'
  | 'posts'
  | 'cord'
  | 'cut'
  | 'slack'
  | 'wraps'
  | 'foot'
  | 'key'
  | 'pulls'
  | 'stub'
  | 'inside'

/** What a person measures in a step. */
export const ASKED = ['turns', 'gauge', 'cut', 'wraps', 'cents', 'cycles'] as const
export type Asked = (typeof ASKED)[number]

export interface StepFigure {
  readonly label: string
  readonly measure: Measure
}

/** Which way something is turned, for its word and its arrow. */
export interface Turning {
  readonly way: 'clockwise' | 'anticlockwise'
  readonly does: 'tightens' | 'loosens' | 'turns it out' | 'turns it in'
  /** Where to look from: `seen from the key’s end`. */
  readonly seenFrom: string
}

export interface Step {
  readonly key: StepKey
  readonly phase: Phase
  readonly title: string
  /** What to do, in order; a sentence each. */
  readonly todo: readonly Phrase[]
  /** What the hand needs, large. A figure stands here or in a sentence, and nowhere twice. */
  readonly figures: readonly StepFigure[]
  /** The same judged in other ways, one tap away. */
  readonly others: readonly StepFigure[]
  readonly turning: Turning | null
  /** What right looks like. */
  readonly right: Phrase
  readonly mistake: Phrase
  readonly cautions: readonly Caution[]
  readonly picture: StepPicture | null
  /** What is measured here; null where nothing is. */
  readonly asks: Asked | null
  /** A pause to make while doing it, s; null where there is none. */
  readonly rest: number | null
}

/** A step before its cautions are laid on. */
export type PlainStep = Omit<Step, 'cautions'>
