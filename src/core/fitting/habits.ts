/**
 * The habits of a house: where practitioners differ, one choice each. None is wrong; each has a default, and an
 * instrument or a single job may have its own.
 */
import { ANCHOR_PLACES } from '../knots/tails/tail-end'
import { KNOTS, type KnotsMeasured } from '../knots/fastenings'
import { NAME_SCHEMES } from '../instrument/names'
import { NECK_DIRECTIONS, SPACING_RULES } from '../instrument/neck'
import { STRETCHINGS } from '../settle/stretching'

export const SLACK_INTERVALS = { 'a fifth': 4, 'half an octave': 3.5, 'an octave': 7 } as const
export type SlackInterval = keyof typeof SLACK_INTERVALS

/** Every habit that is one of a few ways. */
export const WAYS = {
  wrapsBy: ['a number of wraps', 'in line with the bridge pin'],
  slackBy: ['length past the pin', 'pins', 'sideways pull'],
  slackInterval: ['a fifth', 'half an octave', 'an octave'],
  slackToward: NECK_DIRECTIONS,
  spacing: SPACING_RULES,
  windToward: [
    'the wood',
    'the wood, then outward over it',
    'above, below, above the hole',
    'under the hole',
  ],
  becket: ['before turning', 'after half a turn'],
  lock: [
    'as charted',
    'none',
    'tail tucked, before turning',
    'tail tucked, after a quarter',
    'tail tucked, after half a turn',
    'hitched round the string',
    'second wrap crossed',
    'kinked both sides',
  ],
  thin: ['from the D above middle C', 'all but the lowest gut', 'below a gauge', 'by knot against eyelet'],
  pairedWire: ['first pin wound, then round the posts', 'cut to length, its middle at the posts'],
  knot: ['as charted', ...KNOTS],
  anchor: ['old gut', 'dowel', 'cotton', 'bead and glue', 'toggle'],
  anchorPlace: ANCHOR_PLACES,
  knotSet: ['hard pull at once', 'drawn up by tuning'],
  threading: ['from inside, knot first', 'from the front, knot after'],
  cutting: ['on the instrument, then wind', 'set slack, take out, cut, thread again', 'wind, trim later'],
  tailTrim: ['at once', 'after hours', 'after settling'],
  stretching: STRETCHINGS,
  octaveNames: NAME_SCHEMES,
  gutTop: ['as charted', 'nylon', 'gut'],
  feet: ['by thickness', 'four low and three high', 'three and four when the basses are thick'],
  covered: ['by time and retunes', 'uncover and put back', 'redo that foot', 'redo all'],
  restring: ['one for one, alternating ends', 'heaviest first', 'longest first'],
  hand: ['right', 'left'],
} as const

type Ways = { readonly [K in keyof typeof WAYS]: (typeof WAYS)[K][number] }
export type HabitKey = keyof Ways

/** Habits that are a number. */
interface Amounts {
  /** Wraps wanted on the pin at pitch. */
  readonly wraps: number
  /** Slack that the house leaves past every pin, where it judges by a length, m. */
  readonly slackLength: number
  /** Strings that the loose string is pulled aside by, where it judges by that. */
  readonly slackStrings: number
  /** Cycles of helping a string settle, each with bringing it back to pitch. */
  readonly stretchCycles: number
  /** Below this a string counts as thin where the house goes by gauge, m. */
  readonly thinBelow: number
  /** String left beyond the hole to hold while winding, m. */
  readonly tail: number
  /** What knots of the house's own have been measured to take, in gauges. */
  readonly knots: KnotsMeasured
}

export type Habits = Ways & Amounts

/** What an instrument or a job does otherwise than the house. */
export type HabitChange = Partial<Habits>

export const DEFAULT_HABITS: Habits = {
  wraps: 3,
  wrapsBy: 'a number of wraps',
  slackBy: 'pins',
  slackInterval: 'a fifth',
  slackToward: 'toward the bass',
  slackLength: 0.07,
  slackStrings: 3,
  stretchCycles: 3,
  spacing: 'along the neck',
  windToward: 'the wood',
  becket: 'before turning',
  lock: 'as charted',
  thin: 'from the D above middle C',
  pairedWire: 'first pin wound, then round the posts',
  thinBelow: 0.9e-3,
  knot: 'as charted',
  knots: {},
  anchor: 'old gut',
  anchorPlace: 'behind the bight',
  knotSet: 'hard pull at once',
  threading: 'from inside, knot first',
  cutting: 'wind, trim later',
  tailTrim: 'after settling',
  tail: 0.06,
  stretching: 'gentle pulls',
  octaveNames: 'as its players do',
  gutTop: 'as charted',
  feet: 'by thickness',
  covered: 'by time and retunes',
  restring: 'one for one, alternating ends',
  hand: 'right',
}

/** The habits that hold for a job: the house's, changed by the instrument's own, changed by the job's own. */
export function habitsFor(workshop: Habits, instrument: HabitChange, job: HabitChange): Habits {
  return { ...workshop, ...instrument, ...job }
}

/** Wraps that hold without being untidy. */
export const WRAPS_BAND = { least: 2, most: 4 } as const
