/**
 * At the pin: setting it, cutting, threading, slack, winding.
 */
import { lockSentence } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import { holdOf, inBox, onePin, only, step, type FittingContext, type StepMaker } from '../context'
import type { StringFigures } from '../figures'

/** Seconds to let a pin cool between spells of turning. */
const REST = 20

export const setPin: StepMaker = (context) => {
  if (holdOf(context) === 'foot') return null
  const { figures, position, state } = context
  const { pin } = position.head
  const both = figures.strings.length > 1
  const raise = Math.max(0, ...figures.strings.map((s) => (s.standHigher ?? 0) - (pin.threadPitch ?? 0) * state.turnsGiven))
  const threaded = pin.threadPitch !== null
  const across = pin.setting === 'across a scroll'
  return step({
    key: 'set-pin', phase: 'in',
    title: both ? 'Set both pins' : 'Set the pin',
    todo: [
      ...(threaded ? [say`Turn ${both ? 'each' : 'the'} pin out until it stands ${measure('gauge', raise)} higher than its neighbours in playing state: winding sinks it by its thread. ${state.turnsGiven > 0 ? 'The turns you gave while letting the old string down are taken off already.' : 'A string lifted off by hand gave no turns; turns you gave while letting it down count.'}`] : []),
      across ? say`Turn the string hole across the string, so that it is plain which way the string comes off.` : say`Turn the string hole in line with the string.`,
    ],
    figures: threaded ? [{ label: 'Stands higher by', measure: measure('gauge', raise) }] : [],
    right: across ? say`Looking along the string, you see the side of the pin and no hole.` : say`Looking along the string, you see daylight through the hole.`,
    mistake: threaded ? say`Starting too low: the pin then jams or cracks the wood before the string is up. Too high, it bends.` : across ? say`Threading with the hole in line: the string can then come off either way.` : say`Threading with the hole across the string; the becket then starts a quarter turn late.`,
    picture: 'pin',
  })
}

export const cutAtPin: StepMaker = (context) => {
  const { figures, habits, state } = context
  if (!onePin(context) || habits.cutting === 'set slack, take out, cut, thread again') return null
  const long = habits.cutting === 'wind, trim later' || state.sameString
  return step({
    key: 'mark', phase: 'wind',
    title: long ? 'Check the length at the pin' : 'Mark and cut',
    todo: [
      say`Bring the string to its pin, snug. The length is set here, on the instrument; the sum is the check.`,
      long
        ? say`From its fastening to its tip it must be at least ${measure('length', figures.cut.total)}. If it is, leave it long: you trim later.`
        : say`Mark ${measure('length', only(context).slack.length + habits.tail)} past the pin, and cut there. Wind with the end flush in the hole.`,
    ],
    figures: [{ label: 'Cut from the coil', measure: measure('length', figures.cut.total) }],
    right: say`The mark falls where the sum says, give or take a finger’s breadth.`,
    mistake: say`Cutting by the sum alone, before the ${inBox(context) ? 'knot has drawn up' : 'loop has drawn tight'}.`,
    picture: 'cut',
    asks: state.sameString ? null : 'cut',
  })
}

/** The slack as the house judges it first, the other ways after. */
function slackSentence(context: FittingContext): Phrase {
  const { habits } = context
  const { slack } = only(context)
  if (slack.stretchAloneIsMore) return say`Leave no slack: the stretch alone winds on more than ${measure('wraps', only(context).wrapsWanted)}.`
  const past = say`${measure('length', slack.length)} past the pin`
  const pins = say`pinched at its own pin, the pinch reaches ${measure('pins', slack.reach.pins)} ${habits.spacing} ${slack.reach.direction}`
  const pull = say`at mid-length it pulls ${measure('length', slack.pull)} sideways, ${measure('strings', slack.pullInStrings)} away`
  switch (habits.slackBy) {
    case 'length past the pin': return [...say`Give back `, ...past, ...say`: `, ...pins, ...say`, or `, ...pull, ...say`.`]
    case 'pins': return [...say`Give back slack until, `, ...pins, ...say`: `, ...past, ...say`; or `, ...pull, ...say`.`]
    case 'sideways pull': return [...say`Give back slack until `, ...pull, ...say`: `, ...past, ...say`; or, `, ...pins, ...say`.`]
  }
}

export const threadPin: StepMaker = (context) => {
  if (!onePin(context)) return null
  const { habits } = context
  const { slack, head, wrapsWanted } = only(context)
  const length = { label: 'Slack', measure: measure('length', slack.length) }
  const pins = { label: 'By pins', measure: measure('pins', slack.reach.pins) }
  const pull = { label: 'Sideways', measure: measure('length', slack.pull) }
  const becket = head === 'kinked both sides'
    ? say`Kink the tail on both sides of the pin, an S: it needs no lock.`
    : habits.becket === 'before turning' ? say`Set the becket: kink the tail sharply where it comes out of the hole, before you turn.` : say`Turn the pin half round, then set the becket: kink the tail sharply where it comes out of the hole.`
  return step({
    key: 'thread-pin', phase: 'wind',
    title: 'Thread the pin and leave the slack',
    todo: [say`Put the end through the string hole and draw the string snug.`, slackSentence(context), ...(cutsAgain(context) ? [] : [becket])],
    figures: { 'length past the pin': [length, pull], pins: [length, pins], 'sideways pull': [length, pull] }[habits.slackBy],
    right: say`The same slack judged two ways agrees within a pin.`,
    mistake: slack.rule.within
      ? say`Losing the slack while setting the becket: hold the tail.`
      : say`Leaving ${habits.slackInterval} by habit: here that winds ${measure('wraps', slack.rule.wraps)}, and ${measure('wraps', wrapsWanted)} are wanted.`,
    picture: 'slack',
  })
}

const cutsAgain = ({ habits, state }: FittingContext) => habits.cutting === 'set slack, take out, cut, thread again' && !state.sameString

export const cutAgain: StepMaker = (context) => {
  if (!onePin(context) || !cutsAgain(context)) return null
  const { figures, habits } = context
  return step({
    key: 'cut-again', phase: 'wind',
    title: 'Take it out, cut, thread again',
    todo: [
      say`Pinch the string where it goes into the hole, take it out, and cut ${measure('length', habits.tail)} past your fingers, away from the instrument.`,
      say`Thread it again to the same place, and set the becket: kink the tail sharply where it comes out of the hole.`,
    ],
    figures: [{ label: 'Past your fingers', measure: measure('length', habits.tail) }, { label: 'Cut from the coil', measure: measure('length', figures.cut.total) }],
    right: say`The slack is the same as before.`,
    mistake: say`Cutting at your fingers: the tail is then gone.`,
    picture: 'cut',
    asks: 'cut',
  })
}

/** Which way the wraps are laid. */
function laySentence({ lay, position }: StringFigures): Phrase {
  const upright = position.head.pin.setting === 'upright'
  switch (lay) {
    case 'then outward over it': return say`Guide the wraps with a finger: the first half side by side toward the wood, the rest crossing outward over them.`
    case 'above, below, above': return say`Guide the wraps with a finger: one outside the hole, one inside it, the rest outside.`
    default: return upright ? say`Guide the wraps with a finger, side by side, downward under the hole.` : say`Guide the wraps with a finger, side by side, from the hole toward the wood.`
  }
}

/** Which hand does what. */
function handSentence({ habits }: FittingContext): Phrase {
  const other = habits.hand === 'right' ? 'left' : 'right'
  return say`Key in your ${habits.hand} hand; the ${other} keeps hold of the tail and guides the string.`
}

export const wind: StepMaker = (context) => {
  if (!onePin(context)) return null
  const figures = only(context)
  const { pin } = figures.position.head
  const lock = lockSentence(figures.head)
  const loop = holdOf(context) === 'loop'
  return step({
    key: 'wind', phase: 'wind',
    title: 'Wind',
    todo: [
      ...(lock === null || figures.head === 'kinked both sides' || figures.head === 'above, below, above' ? [] : [say`${lock}`]),
      say`Turn the key ${pin.tightens}, seen from the key’s end.`,
      ...(pin.gearRatio === 1 ? [] : [say`The pin is geared: ${measure('number', pin.gearRatio)} turns of the key are one of the pin.`]),
      handSentence(context),
      laySentence(figures),
      loop
        ? say`Lay the string in its nut and bridge slots before it gets tight, and watch the loop: it jumps off its hitch pin.`
        : say`Lay the string in its bridge pin’s groove${context.position.mechanism ? ` and clear of the ${context.position.mechanism}` : ''} before it gets tight.`,
      ...(pin.gearRatio === 1 ? [say`Slowly, with rests: friction heats the pin and loosens its fit.`] : []),
    ],
    figures: [{ label: 'Wraps at pitch', measure: measure('wraps', figures.wraps) }, { label: 'Key in all', measure: measure('turns', figures.wraps * pin.gearRatio) }],
    right: say`${measure('wraps', figures.wraps)} at pitch, ${figures.lay === 'toward the wood' ? 'side by side, ' : ''}${measure('gauge', figures.bank.width)} wide.`,
    mistake: !figures.bank.fits ? say`There is no room for so many wraps on this pin: leave less slack.` : figures.lay === 'toward the wood' ? say`A wrap crossing another: it pinches there and breaks there.` : say`A wrap that slides off the end of the pin: keep a finger on the last one.`,
    picture: 'wraps',
    asks: 'wraps',
    rest: pin.gearRatio === 1 ? REST : null,
  })
}

export const windPair: StepMaker = (context) => {
  if (holdOf(context) !== 'posts') return null
  const [first, second] = context.figures.strings as readonly [StringFigures, StringFigures]
  const { pin } = first.position.head
  return step({
    key: 'wind', phase: 'wind',
    title: 'Wind one pin, then the other',
    todo: [
      say`Becket the end of string ${String(first.position.number)} and turn its pin ${pin.tightens}, seen from the key’s end, until the wire is just snug; wraps go downward, under the hole.`,
      handSentence(context),
      say`Hold the slack of the wire tight at the posts while you wind the second pin, string ${String(second.position.number)}.`,
      say`Bring both up by turns, a little each, so that the wire does not creep round the posts.`,
      say`Slowly, with rests: friction heats the pin and loosens its fit.`,
    ],
    figures: [{ label: 'Wraps on each pin', measure: measure('wraps', first.wraps) }, { label: 'Each pin sinks', measure: measure('gauge', first.standHigher ?? 0) }],
    right: say`${measure('wraps', first.wraps)} on each pin, downward under the hole, and both pins at the height of their neighbours.`,
    mistake: say`Winding one side right up first: it draws the slack of the other through.`,
    picture: 'wraps',
    asks: 'wraps',
    rest: REST,
  })
}
