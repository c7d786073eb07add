/**
 * House habits that change a fitting's steps and figures. None is wrong; each has a default.
 */
import type { SpacingRule } from '../instrument/neck'

export const SLACK_INTERVALS = { 'a fifth': 4, 'half an octave': 3.5, 'an octave': 7 } as const
export type SlackInterval = keyof typeof SLACK_INTERVALS

export const TAIL_TRIMS = ['at once', 'after hours', 'after settling'] as const
export type TailTrim = (typeof TAIL_TRIMS)[number]

export const KNOT_SETTINGS = ['hard pull at once', 'drawn up by tuning'] as const
export const THREADINGS = ['from inside, knot first', 'from the front, knot after'] as const
export const CUTTINGS = ['on the instrument, then wind', 'set slack, take out, cut, thread again', 'wind, trim later'] as const
export const BECKETS = ['before turning', 'after half a turn'] as const
export const ANCHOR_PLACES = ['in front of the bight', 'behind the bight'] as const
export const SPACING_RULES = ['along the neck', 'square across'] as const satisfies readonly SpacingRule[]

export interface Habits {
  /** Wraps wanted on the pin at pitch. */
  readonly wraps: number
  /** The house's rule of thumb for slack. */
  readonly slackInterval: SlackInterval
  readonly spacing: SpacingRule
  readonly becket: (typeof BECKETS)[number]
  readonly knotSet: (typeof KNOT_SETTINGS)[number]
  readonly threading: (typeof THREADINGS)[number]
  readonly cutting: (typeof CUTTINGS)[number]
  readonly anchorPlace: (typeof ANCHOR_PLACES)[number]
  readonly tailTrim: TailTrim
  /** String left beyond the hole to hold while winding, m. */
  readonly tail: number
}

export const DEFAULT_HABITS: Habits = {
  wraps: 3,
  slackInterval: 'a fifth',
  spacing: 'along the neck',
  becket: 'before turning',
  knotSet: 'hard pull at once',
  threading: 'from inside, knot first',
  cutting: 'wind, trim later',
  anchorPlace: 'behind the bight',
  tailTrim: 'after settling',
  tail: 0.06,
}

/** Wraps that hold without being untidy. */
export const WRAPS_BAND = { least: 2, most: 4 } as const
