/**
 * One wire that is two strings: wound on its first pin and led round the posts, or cut to length and laid round them by its middle.
 */
import { measure, say, type Phrase } from '../../measure'
import { holdOf, numberOf, step, type FittingContext, type StepMaker } from '../context'
import type { StringFigures } from '../figures'
import { turnerOf, turningOf } from '../hands'
import { handSentences, REST, RESTS } from './upper-end'

const isPair = (context: FittingContext) => holdOf(context) === 'posts'
const firstPinFirst = ({ habits }: FittingContext) =>
  habits.pairedWire === 'first pin wound, then round the posts'
const both = ({ figures }: FittingContext) => figures.strings as readonly [StringFigures, StringFigures]

/** What goes through a pin’s hole and is bent aside, so that the end holds itself, m. */
export const END_THROUGH = 6e-3

export const cutWire: StepMaker = (context) => {
  // What goes on again is as long as it is.
  if (!isPair(context) || context.state.sameString) return null
  const { total } = context.figures.cut
  return step({
    key: 'mark',
    phase: 'in',
    title: 'Cut the wire',
    todo: firstPinFirst(context)
      ? [
          say`Cut this much or a little more. One wire goes there and back.`,
          say`The second end is set at its pin, so more does no harm.`,
        ]
      : [
          say`Cut this much. One wire goes there and back.`,
          say`Mark its middle. It goes midway between the two posts.`,
        ],
    figures: [
      { label: 'Cut from the coil', measure: measure('length', total) },
      ...(firstPinFirst(context) ? [] : [{ label: 'Middle at', measure: measure('length', total / 2) }]),
    ],
    right: firstPinFirst(context)
      ? say`Laid along its way, it reaches past the second pin.`
      : say`Laid round the posts by its middle, both ends pass their pins alike.`,
    mistake: say`Cutting for one string only: one wire is two strings here.`,
    picture: 'cut',
    asks: 'cut',
  })
}

/** Turns on the first pin before the wire is under pull: the stretch winds the rest on. */
export function turnsOnFirst(first: StringFigures): number {
  return Math.max(0, first.wraps - first.key.snugToPitchTurns)
}

/** How a pin is turned, with where to look from. */
const turnSentence = ({ position: { head } }: StringFigures): Phrase =>
  say`${turnerOf(head.pin).turn} ${head.pin.tightens}, ${turnerOf(head.pin).seenFrom}.`

export const windFirst: StepMaker = (context) => {
  if (!isPair(context) || !firstPinFirst(context)) return null
  const [first] = both(context)
  return step({
    key: 'wind-first',
    phase: 'in',
    title: `Wind the first pin, string ${numberOf(first.position)}`,
    todo: [
      say`Put an end through the pin of string ${numberOf(first.position)}, this far.`,
      say`Bend it aside. It holds itself.`,
      turnSentence(first),
      say`Press the wire low with a fingertip, under the hole.`,
      ...handSentences(context),
    ],
    figures: [
      { label: 'End through the hole', measure: measure('length', END_THROUGH) },
      { label: 'Turns on it now', measure: measure('turns', turnsOnFirst(first)) },
    ],
    right: say`The wraps lie side by side under the hole.`,
    mistake: say`Letting go: the wraps spring open. Keep the pull from here on.`,
    turning: turningOf(first.position.head.pin, 'tightens'),
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
          say`Keep the pull. Lead the wire across the bridge and round both posts, low down.`,
          say`Bring it back over the bridge to the pin of string ${numberOf(second.position)}.`,
        ]
      : [
          say`Lay the middle of the wire round both posts, low down.`,
          say`Bring both ends over the bridge to their pins.`,
          say`Thread string ${numberOf(first.position)} first, then string ${numberOf(second.position)}. Leave the slack at each.`,
        ],
    figures: firstPinFirst(context)
      ? []
      : [first, second].map(({ position, slack }) => ({
          label: `Slack of string ${numberOf(position)}`,
          measure: measure('length', slack.length),
        })),
    right: firstPinFirst(context)
      ? say`The wire lies round the posts without a kink.`
      : say`The wire lies round the posts without a kink, and pulls equally to both sides.`,
    mistake: say`A kink at a post: the wire breaks there. Wire goes on once.`,
    picture: 'posts',
  })
}

export const pullAside: StepMaker = (context) => {
  if (!isPair(context) || !firstPinFirst(context)) return null
  const [first, second] = both(context)
  const byLength = { label: 'Pull it down by', measure: measure('length', second.pair?.pull ?? 0) }
  const byStrings = { label: 'Pull it down by', measure: measure('strings', second.pair?.pullInStrings ?? 0) }
  // Strings are counted only where so many are there.
  const counts = second.pair?.pullIsThere ?? false
  return step({
    key: 'pull-aside',
    phase: 'wind',
    title: `The slack of string ${numberOf(second.position)}`,
    todo: [
      say`Pull string ${numberOf(first.position)} aside at its middle, this far. Hold it with a finger.`,
      say`That is the slack of string ${numberOf(second.position)}.`,
      say`One hand holds, the other threads.`,
      say`Put the end through the pin of string ${numberOf(second.position)}. Pull it tight.`,
      say`Bend the end back, so that it holds. Trim it only if it is in the way.`,
    ],
    figures: [counts ? byStrings : byLength],
    others: [
      ...(counts ? [{ ...byLength, label: 'In length' }] : []),
      { label: 'Slack', measure: measure('length', second.slack.length) },
    ],
    right: say`Let go, and the wire hangs loose by that much and no more.`,
    mistake: say`Threading before the first string is pulled aside: the second pin gets too few wraps.`,
    picture: 'slack',
  })
}

export const windPair: StepMaker = (context) => {
  if (!isPair(context)) return null
  const [first, second] = both(context)
  const up = say`Bring both up by turns, a little each.`
  return step({
    key: 'wind',
    phase: 'wind',
    title: firstPinFirst(context) ? 'Wind the second pin, then both up' : 'Wind one pin, then the other',
    todo: firstPinFirst(context)
      ? [
          turnSentence(second),
          say`Wind the pin of string ${numberOf(second.position)} until the held slack is gone.`,
          say`Keep the wraps low, under the hole.`,
          ...handSentences(context),
          up,
          ...RESTS,
        ]
      : [
          say`Bend the end of string ${numberOf(first.position)} downward at its hole.`,
          turnSentence(first),
          say`Stop when the wire is just snug. The wraps go under the hole.`,
          say`Hold the wire tight at the posts. Wind the pin of string ${numberOf(second.position)}.`,
          ...handSentences(context),
          up,
          ...RESTS,
        ],
    figures: [
      { label: 'Wraps on each pin', measure: measure('wraps', first.wraps) },
      { label: 'Each pin sinks', measure: measure('width', first.standHigher ?? 0) },
    ],
    right: say`The wraps lie under the hole. Both pins stand as high as their neighbours.`,
    mistake: say`Winding one side right up first: it draws the slack of the other through.`,
    turning: turningOf(second.position.head.pin, 'tightens'),
    picture: 'wraps',
    asks: 'wraps',
    rest: REST,
  })
}
