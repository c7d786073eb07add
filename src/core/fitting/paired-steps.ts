/**
 * The steps of one wire that goes round two posts and is two strings.
 */
import { measure, say } from '../measure'
import { WIRE, plain, type FittingContext } from './context'
import type { StringFigures } from './figures'
import type { Step } from './step'

export function cutToLength(context: FittingContext): Step {
  const { figures } = context
  return {
    ...plain,
    key: 'mark',
    title: 'Cut the wire',
    todo: [
      say`Cut ${measure('length', figures.cut.total)}: twice the way from a pin to its post, the way round both posts, and slack, hole and tail at both ends.`,
      say`Mark its middle: it goes midway between the two posts.`,
    ],
    figures: [
      { label: 'Cut from the coil', measure: measure('length', figures.cut.total) },
      { label: 'Middle at', measure: measure('length', figures.cut.total / 2) },
    ],
    right: say`Laid round the posts by its middle, both ends pass their pins by the same length.`,
    mistake: say`Cutting for one string only: one wire is two strings here.`,
    caution: WIRE,
    picture: 'cut',
  }
}

export function roundPosts(context: FittingContext): Step {
  const [first, second] = context.figures.strings as readonly [StringFigures, StringFigures]
  return {
    ...plain,
    key: 'round-posts',
    title: 'Round the two posts',
    todo: [
      say`Lay the middle of the wire round both hitch posts, low down, and bring both ends over the bridge to their pins.`,
      say`Thread string ${String(first.position.number)} first and leave ${measure('length', first.slack.length)} of slack; the other pin’s slack is ${measure('length', second.slack.length)}.`,
    ],
    figures: [{ label: 'Slack at each pin', measure: measure('length', first.slack.length) }],
    right: say`The wire lies round the posts without a kink and pulls equally to both sides.`,
    mistake: say`A kink at a post: the wire breaks there. Wire goes on once.`,
    caution: WIRE,
    picture: 'slack',
  }
}

export function windPair(context: FittingContext): Step {
  const [first, second] = context.figures.strings as readonly [StringFigures, StringFigures]
  const { pin } = first.position.head
  return {
    ...plain,
    key: 'wind',
    title: 'Wind one pin, then the other',
    todo: [
      say`Becket the end of string ${String(first.position.number)} and turn its pin ${pin.tightens} until the wire is just snug; wraps go downward, under the hole.`,
      say`Hold the slack of the wire tight at the posts while you wind the second pin, string ${String(second.position.number)}.`,
      say`Bring both up by turns, a little each, so that the wire does not creep round the posts.`,
    ],
    figures: [{ label: 'Wraps on each pin', measure: measure('wraps', first.wraps) }, { label: 'Each pin sinks', measure: measure('gauge', first.standHigher ?? 0) }],
    right: say`${measure('wraps', first.wraps)} on each pin, downward under the hole, and both pins at the height of their neighbours.`,
    mistake: say`Winding one side right up first: it draws the slack of the other through.`,
    caution: 'Never let go of the key on a pin under tension; keep a thumb over the wire.',
    picture: 'pin',
  }
}
