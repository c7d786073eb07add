/**
 * At the pin: setting it, cutting, threading, slack, winding.
 */
import type { Bearing } from '../../instrument/instrument'
import { lockSentence, type HeadFastening } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import { fromBare, holdOf, inBox, onePin, only, step, type FittingContext, type StepMaker } from '../context'
import type { StringFigures } from '../figures'
import type { SlackRule } from '../slack-figures'
import { turnerOf } from '../hands'
import { isCutFlush } from '../head-way'
import type { Step } from '../step'
import { topHeight } from '../../winding/pin'

/** Seconds to let a pin cool between spells of turning. */
export const REST = 20

/** A turn less than this is none. */
const NO_TURN = 0.02

/** Turns of the pin that are still to be given before it stands where it must; negative where it was given more. */
export function turnsStillOut({ figures, state }: Pick<FittingContext, 'figures' | 'state'>): number {
  return Math.max(...figures.strings.map((s) => s.turnsOut)) - state.turnsGiven
}

export const setPin: StepMaker = (context) => {
  if (holdOf(context) === 'foot') return null
  const { figures, position } = context
  const { pin } = position.head
  const both = figures.strings.length > 1
  const threaded = pin.threadPitch !== null
  const across = pin.setting === 'across a scroll'
  const blocked = fromBare(context) && pin.turnedBy !== 'hand'
  return step({
    key: 'set-pin',
    phase: 'in',
    title: both ? 'Set both pins' : 'Set the pin',
    todo: [
      ...(blocked ? blockSentences(context) : threaded ? heightSentences(context, both) : []),
      across
        ? say`Turn the string hole across the string. The string will go over the top of the pin and back through, so that it is plain which way it comes off.`
        : say`Turn the string hole in line with the string.`,
    ],
    figures: blocked
      ? [{ label: 'Stop block', measure: measure('width', blockOf(context)) }]
      : threaded
        ? heightFigures(context)
        : [],
    right: across
      ? say`Looking along the string, you see the side of the pin and no hole.`
      : say`Looking along the string, you see daylight through the hole.`,
    mistake: threaded
      ? say`Starting too low: the pin then jams or cracks the wood before the string is up. Too high, it bends.`
      : across
        ? say`Threading with the hole in line: the string can then come off either way.`
        : say`Threading with the hole across the string; the becket then starts a quarter turn late.`,
    picture: 'pin',
  })
}

/** How high the block is that a pin of a bare instrument is set against, m. */
const blockOf = (context: FittingContext) =>
  topHeight(context.position.head.pin) + (only(context).standHigher ?? 0)

/** All pins of a bare instrument to one height, each against a block on the wood. */
function blockSentences(context: FittingContext): readonly Phrase[] {
  const block = measure('width', blockOf(context))
  const wound = measure('width', topHeight(context.position.head.pin))
  return [
    context.position.head.pin.threadPitch === null
      ? say`Where the pin is not in yet, drive it in along its hole until a stop block ${block} high, laid on the wood beside it, stops the hammer. Where it is in, hold it against the block.`
      : say`Screw the pin in, or out, until the key meets a stop block ${block} high on the wood beside it. Winding sinks it to ${wound}.`,
    say`A new pin that can be turned by hand does not hold: stop, and ask the maker.`,
  ]
}

function heightFigures(context: FittingContext): Step['figures'] {
  const { standHigher, standsAt } = only(context)
  const still = turnsStillOut(context)
  return [
    {
      label: still < -NO_TURN ? 'Turn it back in' : 'Still to turn out',
      measure: measure('turns', Math.abs(still)),
    },
    { label: 'Then stands higher by', measure: measure('width', standHigher ?? 0) },
    { label: 'Above the wood', measure: measure('width', standsAt ?? 0) },
  ]
}

/** What is left to turn, and where the pin then stands: turns that were given come off the turns, never off the height. */
function heightSentences(context: FittingContext, both: boolean): readonly Phrase[] {
  const { figures, position, state } = context
  const { heightDatum } = position.head.pin
  const { standHigher, standsAt } = only(context)
  const still = turnsStillOut(context)
  const [pin, it, stands] = both ? ['each pin', 'each', 'stands'] : ['the pin', 'it', 'stands']
  const there = say`${it} then ${stands} ${measure('width', standHigher ?? 0)} above its neighbours, ${measure('width', standsAt ?? 0)} above the wood, measured to the ${heightDatum === 'top of pin' ? 'pin’s top' : 'string hole'}.`
  const turns = measure('turns', Math.abs(still))
  const first =
    Math.abs(still) <= NO_TURN
      ? [...say`Leave ${pin} as it is: `, ...there]
      : still < 0
        ? [...say`Turn ${pin} back in by ${turns}, which were given too many; `, ...there]
        : [...say`Turn ${pin} out ${turns}${state.turnsGiven > 0 ? ' more' : ''}; `, ...there]
  const wraps = measure('wraps', Math.max(...figures.strings.map((s) => s.wraps)))
  return [
    first,
    state.turnsGiven > 0
      ? say`Winding ${wraps} sinks it back by its thread. What you gave while letting the old string down is taken off the turns.`
      : say`Winding ${wraps} sinks it back by its thread. A string that was lifted off by hand gave no turns.`,
  ]
}

export const cutAtPin: StepMaker = (context) => {
  const { figures, habits, state, position } = context
  if (!onePin(context) || habits.cutting === 'set slack, take out, cut, thread again') return null
  const flush = isCutFlush(position, habits) && !state.sameString
  const past = measure('length', only(context).slack.length + position.head.pin.diameter)
  return step({
    key: 'mark',
    phase: 'wind',
    title: flush ? 'Mark and cut' : 'Check the length at the pin',
    todo: [
      say`Bring the string to its pin, snug. The length is set here, on the instrument; the sum is the check.`,
      flush
        ? say`Mark ${past} past the pin, slack and hole and nothing more, and cut there.`
        : say`From its fastening to its tip it must be at least ${measure('length', figures.cut.total)}. If it is, leave it long: you trim later.`,
    ],
    figures: [
      ...(flush ? [{ label: 'Past the pin', measure: past }] : []),
      { label: 'Cut from the coil', measure: measure('length', figures.cut.total) },
    ],
    right: say`The mark falls where the sum says, give or take a finger’s breadth.`,
    mistake: flush
      ? say`Adding a tail to hold by: it is wound on as well, and gives too many wraps.`
      : say`Cutting by the sum alone, before the ${inBox(context) ? 'knot has drawn up' : 'loop has drawn tight'}.`,
    picture: 'cut',
    asks: state.sameString ? null : 'cut',
  })
}

/** The slack as the house judges it first, the other ways after. */
function slackSentence(context: FittingContext): Phrase {
  const { habits } = context
  const { slack } = only(context)
  if (slack.stretchAloneIsMore)
    return say`Leave no slack: the stretch alone winds on more than ${measure('wraps', only(context).wrapsWanted)}.`
  const past = say`${measure('length', slack.length)} past the pin`
  const pins = say`pinched at its own pin, the pinch reaches ${measure('pins', slack.reach.pins)} ${habits.spacing} ${slack.reach.direction}`
  const pull = say`at mid-length it pulls ${measure('length', slack.pull)} sideways, ${measure('strings', slack.pullInStrings)} away`
  switch (habits.slackBy) {
    case 'length past the pin':
      return [...say`Give back `, ...past, ...say`: `, ...pins, ...say`, or `, ...pull, ...say`.`]
    case 'pins':
      return [
        ...say`Give back slack until, `,
        ...pins,
        ...say`: `,
        ...past,
        ...say`; or `,
        ...pull,
        ...say`.`,
      ]
    case 'sideways pull':
      return [
        ...say`Give back slack until `,
        ...pull,
        ...say`: `,
        ...past,
        ...say`; or, `,
        ...pins,
        ...say`.`,
      ]
  }
}

/** The house's rule of thumb as it is said: `a fifth`, `70 mm`, `3 strings aside`. */
export function ruleWords(rule: SlackRule, interval: string): Phrase {
  switch (rule.by) {
    case 'pins':
      return say`${interval}`
    case 'length past the pin':
      return say`${measure('length', rule.amount)} past the pin`
    case 'sideways pull':
      return say`${measure('strings', rule.amount)} aside`
  }
}

/** Which way the becket is bent, so that the first wrap lies over it. */
function becketWay({ position }: StringFigures): string {
  switch (position.head.pin.setting) {
    case 'upright':
      return 'downward'
    case 'through the neck':
      return 'toward the wood'
    case 'across a scroll':
      return 'along the pin, toward where the wraps will lie'
  }
}

/** How the end is kept in the hole, in the house's time. */
function becketSentence(context: FittingContext): Phrase {
  const figures = only(context)
  if (figures.head === 'kinked both sides') return say`${lockSentence(figures.head) ?? ''}`
  const bend = `bend it just inside the hole, ${becketWay(figures)}, so that the first wrap lies over it`
  return context.habits.becket === 'before turning'
    ? say`Set the becket before you turn: ${bend}.`
    : say`Turn the pin half round, then set the becket: ${bend}.`
}

export const threadPin: StepMaker = (context) => {
  if (!onePin(context)) return null
  const { habits, position, state } = context
  const figures = only(context)
  const { slack, wrapsWanted } = figures
  const length = { label: 'Slack', measure: measure('length', slack.length) }
  const pins = { label: 'By pins', measure: measure('pins', slack.reach.pins) }
  const pull = { label: 'Sideways', measure: measure('length', slack.pull) }
  const flush = isCutFlush(position, habits) && !state.sameString
  const over =
    position.head.pin.setting === 'across a scroll'
      ? 'over the top of the pin and back through its hole'
      : 'through the string hole'
  return step({
    key: 'thread-pin',
    phase: 'wind',
    title: flush ? 'Set the end in its hole' : 'Thread the pin and leave the slack',
    todo: flush
      ? [
          say`Put the end ${over}, flush with its far side. What you left past the pin is the slack, and nothing is given back.`,
        ]
      : [
          say`Put the end ${over} and draw the string snug.`,
          slackSentence(context),
          say`Hold the slack with an elbow, a helper or a clip.`,
          ...(cutsAgain(context) ? [] : [becketSentence(context)]),
        ],
    figures: { 'length past the pin': [length, pull], pins: [length, pins], 'sideways pull': [length, pull] }[
      habits.slackBy
    ],
    right: flush
      ? say`Nothing stands out of the hole on the far side.`
      : say`The same slack judged two ways agrees within a pin.`,
    mistake: flush
      ? say`Pushing the end on through: what stands out is slack that is lost.`
      : slack.rule.within
        ? say`Losing the slack while setting the becket: hold the tail.`
        : [
            ...say`Leaving `,
            ...ruleWords(slack.rule, habits.slackInterval),
            ...say` by habit: here that winds ${measure('wraps', slack.rule.wraps)}, and ${measure('wraps', wrapsWanted)} are wanted.`,
          ],
    picture: 'slack',
  })
}

const cutsAgain = ({ habits, state }: FittingContext) =>
  habits.cutting === 'set slack, take out, cut, thread again' && !state.sameString

export const cutAgain: StepMaker = (context) => {
  if (!onePin(context) || !cutsAgain(context)) return null
  const { figures, position } = context
  // The hole lies between the fingers and the tail.
  const past = measure('length', figures.tail + position.head.pin.diameter)
  return step({
    key: 'cut-again',
    phase: 'wind',
    title: 'Take it out, cut, thread again',
    todo: [
      say`Pinch the string where it goes into the hole, take it out, and cut ${past} past your fingers, away from the instrument.`,
      [...say`Thread it again to the same place. `, ...becketSentence(context)],
    ],
    figures: [
      { label: 'Past your fingers', measure: past },
      { label: 'Cut from the coil', measure: measure('length', figures.cut.total) },
    ],
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
    case 'then outward over it':
      return say`Guide the wraps with a finger: the first half side by side toward the wood, the rest crossing outward over them.`
    case 'above, below, above':
      return say`Guide the wraps with a finger: one outside the hole, one inside it, the rest outside.`
    default:
      return upright
        ? say`Guide the wraps with a finger, side by side, downward under the hole.`
        : say`Guide the wraps with a finger, side by side, from the hole toward the wood.`
  }
}

/** Which hand does what. */
export function handSentence({ habits, position, figures }: FittingContext): Phrase {
  const other = habits.hand === 'right' ? 'left' : 'right'
  const tool = turnerOf(position.head.pin).name.replace('the ', '')
  return say`${tool[0]?.toUpperCase() ?? ''}${tool.slice(1)} in your ${habits.hand} hand; the ${other} ${figures.tail > 0 ? 'keeps hold of the tail and guides the string' : 'guides the string'}.`
}

/** Ways whose sentence belongs to the winding; an S is said where the end is kinked, a lay where the wraps are laid. */
const SAID_ELSEWHERE: ReadonlySet<HeadFastening> = new Set(['kinked both sides', 'above, below, above'])

const BEARING_WORDS: Record<Bearing, string> = {
  saddle: 'over the same saddle, ',
  'notched bridge': 'through its notch in the bridge, ',
  'plain bridge': 'over the bridge, ',
}

/** Where the string goes before it gets tight. */
function waySentence(context: FittingContext): Phrase {
  const { bearing } = context.position.tail
  if (holdOf(context) === 'loop')
    return say`Lay the string in its nut and bridge slots before it gets tight, and watch the loop: it jumps off its hitch pin.`
  const way =
    context.position.mechanism === 'disc'
      ? 'through the middle between the forks of both discs, '
      : context.position.mechanism === 'lever'
        ? 'under its lever, '
        : ''
  const over = bearing === null ? '' : BEARING_WORDS[bearing]
  return say`Lead it where its neighbours go, ${over}${way}and into its bridge pin’s groove on their side, before it gets tight.`
}

export const wind: StepMaker = (context) => {
  if (!onePin(context)) return null
  const figures = only(context)
  const { pin } = figures.position.head
  const { turn, seenFrom, name } = turnerOf(pin)
  const lock = lockSentence(figures.head)
  return step({
    key: 'wind',
    phase: 'wind',
    title: 'Wind',
    todo: [
      ...(lock === null || SAID_ELSEWHERE.has(figures.head) ? [] : [say`${lock}`]),
      say`${turn} ${pin.tightens}, ${seenFrom}.`,
      ...(pin.gearRatio === 1
        ? []
        : [say`The pin is geared: ${measure('number', pin.gearRatio)} turns of ${name} are one of the pin.`]),
      handSentence(context),
      laySentence(figures),
      waySentence(context),
      ...(pin.gearRatio === 1 ? [say`Slowly, with rests: friction heats the pin and loosens its fit.`] : []),
    ],
    figures: [
      { label: 'Wraps at pitch', measure: measure('wraps', figures.wraps) },
      {
        label: `${name.replace('the ', '').replace(/^./, (c) => c.toUpperCase())} in all`,
        measure: measure('turns', figures.wraps * pin.gearRatio),
      },
    ],
    right: say`${measure('wraps', figures.wraps)} at pitch, ${figures.lay === 'toward the wood' ? 'side by side, ' : ''}${measure('width', figures.bank.width)} wide.`,
    mistake: !figures.bank.fits
      ? say`There is no room for so many wraps on this pin: leave less slack.`
      : figures.lay === 'toward the wood'
        ? say`A wrap crossing another: it pinches there and breaks there.`
        : say`A wrap that slides off the end of the pin: keep a finger on the last one.`,
    picture: 'wraps',
    asks: 'wraps',
    rest: pin.gearRatio === 1 ? REST : null,
  })
}
