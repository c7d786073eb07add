/**
 * One wire that is two strings: wound on its first pin and led round the posts, or cut to length and laid round them by its middle.
 */
import { measure, say } from '../../measure'
import { holdOf, numberOf, step, type FittingContext, type StepMaker } from '../context'
import type { StringFigures } from '../figures'
import { turnerOf } from '../hands'
import { handSentence, REST } from './upper-end'

const isPair = (context: FittingContext) => holdOf(context) === 'posts'
const firstPinFirst = ({ habits }: FittingContext) =>
  habits.pairedWire === 'first pin wound, then round the posts'
const both = ({ figures }: FittingContext) => figures.strings as readonly [StringFigures, StringFigures]

export const cutWire: StepMaker = (context) => {
  if (!isPair(context)) return null
  const { total } = context.figures.cut
  const whole = say`twice the way from a pin to its post, the way round both posts, and slack, hole and tail at both ends.`
  return step({
    key: 'mark',
    phase: 'in',
    title: 'Cut the wire',
    todo: firstPinFirst(context)
      ? [
          [...say`Cut at least ${measure('length', total)}: `, ...whole],
          say`The second end is cut at its pin, so a little more does no harm.`,
        ]
      : [
          [...say`Cut ${measure('length', total)}: `, ...whole],
          say`Mark its middle: it goes midway between the two posts.`,
        ],
    figures: [
      { label: 'Cut from the coil', measure: measure('length', total) },
      ...(firstPinFirst(context) ? [] : [{ label: 'Middle at', measure: measure('length', total / 2) }]),
    ],
    right: firstPinFirst(context)
      ? say`Laid along its way, it reaches past the second pin.`
      : say`Laid round the posts by its middle, both ends pass their pins by the same length.`,
    mistake: say`Cutting for one string only: one wire is two strings here.`,
    picture: 'cut',
    asks: 'cut',
  })
}

/** Turns on the first pin before the wire is under pull: the stretch winds the rest on. */
export function turnsOnFirst(first: StringFigures): number {
  return Math.max(0, first.wraps - first.key.snugToPitchTurns)
}

export const windFirst: StepMaker = (context) => {
  if (!isPair(context) || !firstPinFirst(context)) return null
  const [first] = both(context)
  const { pin } = first.position.head
  const turns = measure('turns', turnsOnFirst(first))
  return step({
    key: 'wind-first',
    phase: 'in',
    title: `Wind the first pin, string ${numberOf(first.position)}`,
    todo: [
      say`Put one end through the pin of string ${numberOf(first.position)}, bend the becket downward, and trim the end.`,
      say`${turnerOf(pin).turn} ${pin.tightens}, ${turnerOf(pin).seenFrom}: ${turns}, laid downward under the hole while you hold the wire.`,
      handSentence(context),
    ],
    figures: [{ label: 'Turns on it now', measure: turns }],
    right: say`The wraps lie side by side under the hole, and the wire leaves straight toward its post.`,
    mistake: say`Letting go: the wraps spring open. Keep the wire under pull from here on.`,
    picture: 'wraps',
  })
}

export const roundPosts: StepMaker = (context) => {
  if (!isPair(context)) return null
  const [first, second] = both(context)
  return step({
    key: 'round-posts',
    phase: 'in',
    title: 'Round the two posts',
    todo: firstPinFirst(context)
      ? [
          say`Under pull, lead the wire over the bridge, round both hitch posts, low down, and back over the bridge to the pin of string ${numberOf(second.position)}.`,
        ]
      : [
          say`Lay the middle of the wire round both hitch posts, low down, and bring both ends over the bridge to their pins.`,
          say`Thread string ${numberOf(first.position)} first and leave ${measure('length', first.slack.length)} of slack; the other pin’s slack is ${measure('length', second.slack.length)}.`,
        ],
    figures: firstPinFirst(context)
      ? []
      : [{ label: 'Slack at each pin', measure: measure('length', first.slack.length) }],
    right: say`The wire lies round the posts without a kink${firstPinFirst(context) ? '' : ' and pulls equally to both sides'}.`,
    mistake: say`A kink at a post: the wire breaks there. Wire goes on once.`,
    picture: 'posts',
  })
}

export const pullAside: StepMaker = (context) => {
  if (!isPair(context) || !firstPinFirst(context)) return null
  const [first, second] = both(context)
  const { pair } = second
  const pull = measure('length', pair?.pull ?? 0)
  const inStrings = measure('strings', pair?.pullInStrings ?? 0)
  return step({
    key: 'pull-aside',
    phase: 'wind',
    title: `The slack of string ${numberOf(second.position)}`,
    todo: [
      say`Pull string ${numberOf(first.position)} aside at mid-length by ${pull}, ${inStrings} away: that is the slack of the second, ${measure('length', second.slack.length)}. Hold it there.`,
      say`Meanwhile put the other end through the pin of string ${numberOf(second.position)}, bend the becket downward, and trim it.`,
    ],
    figures: [
      { label: 'Pull the first aside', measure: pull },
      { label: 'In strings', measure: inStrings },
    ],
    right: say`With the first string let go, the wire hangs loose by that much and no more.`,
    mistake: say`Trimming before the first string is pulled aside: too few wraps are left for the second pin.`,
    picture: 'slack',
  })
}

export const windPair: StepMaker = (context) => {
  if (!isPair(context)) return null
  const [first, second] = both(context)
  const { pin } = first.position.head
  const up = say`Bring both up by turns, a little each, so that the wire does not creep round the posts.`
  const rests = say`Slowly, with rests: friction heats the pin and loosens its fit.`
  const turn = `${turnerOf(pin).turn} ${pin.tightens}, ${turnerOf(pin).seenFrom}`
  return step({
    key: 'wind',
    phase: 'wind',
    title: firstPinFirst(context) ? 'Wind the second pin, then both up' : 'Wind one pin, then the other',
    todo: firstPinFirst(context)
      ? [
          say`${turn}: wind the pin of string ${numberOf(second.position)} until its slack is taken, wraps downward under the hole.`,
          handSentence(context),
          up,
          rests,
        ]
      : [
          say`Becket the end of string ${numberOf(first.position)} downward. ${turn}, until the wire is just snug; wraps go downward, under the hole.`,
          handSentence(context),
          say`Hold the slack of the wire tight at the posts while you wind the second pin, string ${numberOf(second.position)}.`,
          up,
          rests,
        ],
    figures: [
      { label: 'Wraps on each pin', measure: measure('wraps', first.wraps) },
      { label: 'Each pin sinks', measure: measure('width', first.standHigher ?? 0) },
    ],
    right: say`${measure('wraps', first.wraps)} on each pin, downward under the hole, and both pins at the height of their neighbours.`,
    mistake: say`Winding one side right up first: it draws the slack of the other through.`,
    picture: 'wraps',
    asks: 'wraps',
    rest: REST,
  })
}
