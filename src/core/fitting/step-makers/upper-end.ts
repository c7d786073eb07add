/**
 * At the pin: setting it, cutting, threading, slack, winding.
 */
import { isHarp, type Bearing } from '../../instrument/instrument'
import { ordinal } from '../../pitch/harp-octave'
import { isLockedFirst, lockSentences } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import {
  fromBare,
  holdOf,
  inBox,
  onePin,
  only,
  step,
  wired,
  type FittingContext,
  type StepMaker,
} from '../context'
import type { StringFigures } from '../figures'
import type { SlackRule } from '../slack-figures'
import { looser, turnerOf, turningOf } from '../hands'
import { BY_TAIL, isCutFlush, isThreadedTwice } from '../head-way'
import { hasBridgePin, hasHitchPin, isDriven } from '../parts'
import type { Step } from '../step'
import { topHeight } from '../../winding/pin'

/** Seconds to let a pin cool between spells of turning. */
export const REST = 20
export const RESTS: readonly Phrase[] = [say`Go slowly, with rests. Friction heats the pin and loosens it.`]

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
  const blocked = fromBare(context) && isDriven(pin)
  const still = turnsStillOut(context)
  return step({
    key: 'set-pin',
    phase: 'in',
    title: both ? 'Set both pins' : 'Set the pin',
    todo: [
      ...(blocked
        ? blockSentences(context)
        : [
            ...(fromBare(context) && !isDriven(pin) ? [fittedSentence(pin.turnedBy === 'key')] : []),
            ...(threaded ? heightSentences(context, both) : []),
          ]),
      ...(across
        ? [
            say`Turn ${turnerOf(pin).name} until the hole lies along the instrument, level with it.`,
            say`Tip the hole up a little to catch the end.`,
          ]
        : [say`Turn the string hole in line with the string.`]),
    ],
    figures: blocked
      ? [{ label: 'Stop block', measure: measure('width', blockOf(context)) }]
      : threaded
        ? heightFigures(context)
        : [],
    right: across
      ? say`From the side you see the hole’s two ends level, one toward the body.`
      : say`Looking along the string, you see daylight through the hole.`,
    mistake: threaded
      ? say`Starting too low: the pin jams, or breaks the wood, before the string is up.`
      : across
        ? say`Leaving the hole up and down: the string then comes off either way.`
        : say`Threading with the hole across the string: the bend starts a quarter turn late.`,
    turning:
      threaded && !blocked && Math.abs(still) > NO_TURN
        ? turningOf(pin, still > 0 ? 'turns it out' : 'turns it in')
        : null,
    picture: 'pin',
  })
}

/** How high the block is that a pin of a bare instrument is set against, m. */
const blockOf = (context: FittingContext) =>
  topHeight(context.position.head.pin) + (only(context).standHigher ?? 0)

/** Pins that are no wrest pins are fitted from their own side, and never hammered. */
const fittedSentence = (isTaper: boolean): Phrase =>
  isTaper
    ? say`No pin in yet? Push it in from its own side and turn it until it holds.`
    : say`No tuner in yet? Fit it from its own side. It is never hammered.`

/** All pins of a bare instrument to one height, each against a block on the wood. */
function blockSentences({ position: { head } }: FittingContext): readonly Phrase[] {
  const threaded = head.pin.threadPitch !== null
  return [
    say`Lay a stop block of this height on the wood beside the pin’s hole.`,
    threaded
      ? say`Drive the pin in, threaded end first, until the hammer meets the block.`
      : say`Drive the pin in until the hammer meets the block.`,
    ...(threaded ? [say`Or start it with the hammer, and screw it in.`] : []),
    say`Is it in already? Turn it until its top meets the block.`,
    say`A new pin that your fingers can turn does not hold. Ask the maker.`,
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

/** Which way it is turned, and why: turns that were given come off the turns, never off the height. */
function heightSentences({ position, figures, state }: FittingContext, both: boolean): readonly Phrase[] {
  const { pin } = position.head
  const { seenFrom } = turnerOf(pin)
  const still = turnsStillOut({ figures, state })
  const it = both ? 'each pin' : 'the pin'
  const first =
    Math.abs(still) <= NO_TURN
      ? say`Leave ${it} as it is.`
      : still < 0
        ? say`Turn ${it} back in, ${pin.tightens}, ${seenFrom}.`
        : say`Turn ${it} out, ${looser(pin)}, ${seenFrom}.`
  return [
    first,
    say`Measure its height to ${pin.heightDatum === 'top of pin' ? 'the pin’s top' : 'the string hole'}.`,
    say`Winding sinks it back by its thread.`,
    ...(state.turnsGiven > 0 ? [say`Turns you gave while letting down are taken off.`] : []),
  ]
}

/** What knot, tag or loop has used up by the time the string is at its pin, m. */
const usedUp = ({ figures }: FittingContext) =>
  figures.cut.parts
    .filter(({ what }) => what === 'tag and knot' || what === 'twisted loop')
    .reduce((sum, { length }) => sum + length, 0)

export const cutAtPin: StepMaker = (context) => {
  const { figures, habits, state, position } = context
  if (!onePin(context) || habits.cutting === 'set slack, take out, cut, thread again') return null
  // What goes on again is not cut: it is as long as it is.
  if (state.sameString) return null
  const flush = isCutFlush(position, habits)
  const past = measure('length', only(context).slack.length + position.head.pin.diameter)
  const [from, drawn] = inBox(context)
    ? ['its knot', 'knot has drawn up']
    : ['its loop', 'loop has drawn tight']
  return step({
    key: 'mark',
    phase: 'wind',
    title: flush ? 'Mark and cut' : 'Check the length at the pin',
    todo: flush
      ? [say`Bring the string to its pin, snug.`, say`Mark it this far past the pin. Cut there.`]
      : [
          say`Bring the string to its pin, snug.`,
          say`Measure from ${from} to its tip. It needs this much or more.`,
          say`Leave it long. You trim it later.`,
        ],
    figures: flush
      ? [
          { label: 'Past the pin', measure: past },
          { label: 'Cut from the coil', measure: measure('length', figures.cut.total) },
        ]
      : [
          {
            label: 'From there to the tip',
            measure: measure('length', figures.cut.total - usedUp(context)),
          },
        ],
    right: flush
      ? say`The mark falls where the sum says, give or take a finger’s breadth.`
      : say`The tip reaches well past the pin.`,
    mistake: flush
      ? say`Adding a tail to hold by: it is wound on too, and gives too many wraps.`
      : say`Cutting by the sum alone, before the ${drawn}.`,
    picture: 'cut',
    asks: 'cut',
  })
}

/** Pins that a pinch is let out by, as a person counts them: `the fourth pin`. */
function pinsWord(pins: number): string {
  const nearest = Math.max(1, Math.round(pins))
  const words = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth']
  return words[nearest - 1] ?? ordinal(nearest)
}

/** The slack as it is judged here: by one figure, the workshop’s way where the instrument has so many pins or strings. */
interface SlackWay {
  readonly todo: readonly Phrase[]
  readonly figures: Step['figures']
  readonly others: Step['others']
}

export function slackWay(context: FittingContext): SlackWay {
  const { habits } = context
  const { slack } = only(context)
  if (slack.stretchAloneIsMore)
    return {
      todo: [say`Leave no slack. The stretch alone winds on more wraps than are wanted.`],
      figures: [],
      others: [],
    }
  const length = { label: 'Slack past the pin', measure: measure('length', slack.length) }
  const pull = { label: 'Sideways at mid-length', measure: measure('length', slack.pull) }
  const counted = { label: 'Strings away', measure: measure('strings', slack.pullInStrings) }
  const pins = { label: `Pins ${slack.reach.direction}`, measure: measure('pins', slack.reach.pins) }
  const otherPins = slack.reach.isThere ? [pins] : []
  const otherStrings = slack.pullIsThere ? [counted] : []
  if (habits.slackBy === 'pins' && slack.reach.isThere)
    return {
      todo: [
        say`Pinch the string where it enters the pin.`,
        say`Let it out until your pinch reaches the ${pinsWord(slack.reach.pins)} pin ${slack.reach.direction}.`,
      ],
      figures: [length],
      others: [pins, pull, ...otherStrings],
    }
  if (habits.slackBy === 'sideways pull' && slack.pullIsThere)
    return {
      todo: [say`Let it out until its middle can be pulled so far aside.`],
      figures: [counted],
      others: [pull, length, ...otherPins],
    }
  return {
    todo: [say`Let it out by this much past the pin.`],
    figures: [length],
    others: [...otherPins, pull, ...otherStrings],
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
      return 'toward the neck'
    case 'across a scroll':
      return 'along the pin'
  }
}

/** Whether the end is bent at its hole before the pin turns: where a lock holds by the tail, bend and tuck have one order. */
const bendsFirst = (context: FittingContext) =>
  context.habits.becket === 'before turning' || BY_TAIL.has(only(context).head)

/** How the end is kept in the hole before the pin turns; nothing where that comes with the turning. */
function becketFirst(context: FittingContext): readonly Phrase[] {
  const figures = only(context)
  // An S is bent as it is made.
  const bend =
    bendsFirst(context) && figures.head !== 'kinked both sides'
      ? [say`Bend the end sharply at the hole, ${becketWay(figures)}. The first wrap lies over it.`]
      : []
  return isLockedFirst(figures.head) ? [...bend, ...lockSaid(figures)] : bend
}

const lockSaid = ({ head }: StringFigures): readonly Phrase[] => lockSentences(head).map((one) => say`${one}`)

/** The same once the pin has begun to turn. */
function becketAfter(context: FittingContext): readonly Phrase[] {
  if (only(context).head === 'kinked both sides' || bendsFirst(context)) return []
  return [say`After half a turn, stop. Pull the string taut, so that the end bends at its hole.`]
}

export const threadPin: StepMaker = (context) => {
  if (!onePin(context)) return null
  const { habits, position, state } = context
  const { slack, head } = only(context)
  const flush = isCutFlush(position, habits) && !state.sameString
  const across = position.head.pin.setting === 'across a scroll'
  const in_ = across
    ? say`Put the end over the top of the pin and back through, toward the body.`
    : say`Put the end through the string hole.`
  const way = slackWay(context)
  return step({
    key: 'thread-pin',
    phase: 'wind',
    title: flush ? 'Set the end in its hole' : 'Thread the pin and leave the slack',
    todo: flush
      ? [
          in_,
          say`Stop when it is flush with the far side. You cut the slack with it.`,
          ...(isThreadedTwice(context) ? [] : becketFirst(context)),
        ]
      : [
          in_,
          say`Draw it snug.`,
          ...way.todo,
          say`Hold the slack: an elbow, a friend or the other hand.`,
          ...(isThreadedTwice(context) ? [] : becketFirst(context)),
        ],
    figures: flush ? [] : way.figures,
    others: flush ? [] : way.others,
    right: flush
      ? say`Nothing stands out of the hole on the far side.`
      : head === 'kinked both sides'
        ? say`The end makes an S round the pin, and is snipped close.`
        : say`The slack stays as you set it while you bend the end.`,
    mistake: flush
      ? say`Pushing the end on through: what stands out is slack that is lost.`
      : slack.rule.within || (slack.rule.by === 'pins' && !slack.reach.isThere)
        ? say`Losing the slack while you bend the end: hold the tail.`
        : [
            ...say`Leaving `,
            ...ruleWords(slack.rule, habits.slackInterval),
            ...say` by habit: here that gives ${measure('wraps', slack.rule.wraps)}.`,
          ],
    picture: 'slack',
  })
}

export const cutAgain: StepMaker = (context) => {
  if (!onePin(context) || !isThreadedTwice(context)) return null
  const { figures, position } = context
  // The hole lies between the fingers and the tail.
  const past = measure('length', figures.tail + position.head.pin.diameter)
  return step({
    key: 'cut-again',
    phase: 'wind',
    title: 'Take it out, cut, thread again',
    todo: [
      say`Pinch the string where it enters the hole. Take it out.`,
      say`Cut it this far past your fingers, away from the instrument.`,
      say`Thread it again to the same place.`,
      ...becketFirst(context),
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

/** Which way the wraps are laid: what is said agrees with how the string is locked. */
function laySentences({ lay, head, position }: StringFigures): readonly Phrase[] {
  const upright = position.head.pin.setting === 'upright'
  if (head === 'second wrap crossed' || lay === 'above, below, above') return []
  if (lay === 'then outward over it')
    return [
      say`Lay the first half of the wraps side by side, toward the wood.`,
      say`The rest cross outward over them.`,
    ]
  return upright
    ? [say`The first wrap goes over the tail. The rest lie side by side, downward.`]
    : [
        say`Lay each wrap beside the last, toward the ${position.head.pin.setting === 'across a scroll' ? 'wood' : 'neck'}.`,
      ]
}

/** Which hand does what. */
export function handSentences({ habits, position, figures }: FittingContext): readonly Phrase[] {
  const other = habits.hand === 'right' ? 'left' : 'right'
  const tool = turnerOf(position.head.pin).name.replace('the ', '')
  return [
    say`${tool[0]?.toUpperCase() ?? ''}${tool.slice(1)} in your ${habits.hand} hand.`,
    figures.tail > 0
      ? say`Your ${other} keeps the tail out of the way and guides the string.`
      : say`Your ${other} guides the string.`,
  ]
}

const BEARING_WORDS: Record<Bearing, string> = {
  saddle: 'the same saddle',
  'notched bridge': 'its notch in the bridge',
  'plain bridge': 'the bridge',
}

/** Where the string goes before it gets tight: only over what is there. */
function waySentences({ position, instrument }: FittingContext): readonly Phrase[] {
  const scroll = position.head.pin.setting === 'across a scroll'
  const over = position.tail.bearing === null ? null : BEARING_WORDS[position.tail.bearing]
  return [
    ...(scroll ? [say`Lay the string in its nut slot and its bridge slot before it is tight.`] : []),
    ...(position.mechanism === 'disc'
      ? [say`Lead it between the forks of both discs.`]
      : position.mechanism === 'lever'
        ? [say`Lead it past its lever. The lever stays off.`]
        : []),
    ...(!scroll && over ? [say`Lead it over ${over}, as its neighbours go.`] : []),
    ...(hasBridgePin(position)
      ? [
          isHarp(instrument)
            ? say`Put it on its bridge pin, on the side its neighbours use.`
            : say`Lead it as its neighbours go.`,
        ]
      : []),
    ...(hasHitchPin(position) ? [say`Watch the loop. It jumps off its hitch pin.`] : []),
  ]
}

export const wind: StepMaker = (context) => {
  if (!onePin(context)) return null
  const figures = only(context)
  const { pin } = figures.position.head
  const { turn, seenFrom, name } = turnerOf(pin)
  const awayFromYou = isHarp(context.instrument) && pin.tightens === 'clockwise' && pin.turnedBy === 'key'
  return step({
    key: 'wind',
    phase: 'wind',
    title: 'Wind',
    todo: [
      ...waySentences(context),
      say`${turn} ${pin.tightens}, ${seenFrom}.`,
      ...(awayFromYou ? [say`On a harp that is away from you, as for a higher note.`] : []),
      ...(pin.gearRatio === 1
        ? []
        : [say`It is geared: ${measure('number', pin.gearRatio)} turns of ${name} are one of the pin.`]),
      ...handSentences(context),
      ...becketAfter(context),
      ...(wired(context) && pin.setting === 'upright' ? [say`Press the wire low, under the hole.`] : []),
      ...(isLockedFirst(figures.head) ? [] : lockSaid(figures)),
      ...laySentences(figures),
      ...(inBox(context) ? [say`Take the clip off once two wraps are on. It marks the string.`] : []),
      ...(pin.gearRatio === 1 ? RESTS : []),
    ],
    figures: [
      { label: 'Wraps at pitch', measure: measure('wraps', figures.wraps) },
      ...(pin.gearRatio === 1
        ? []
        : [
            {
              label: `${name.replace('the ', '').replace(/^./, (c) => c.toUpperCase())} in all`,
              measure: measure('turns', figures.wraps * pin.gearRatio),
            },
          ]),
    ],
    right: !figures.bank.fits
      ? say`The wraps lie close and none rides on another.`
      : figures.lay === 'toward the wood'
        ? say`The wraps lie side by side, ${measure('width', figures.bank.width)} wide.`
        : say`The wraps hold each other. The bank is ${measure('width', figures.bank.width)} wide.`,
    mistake: !figures.bank.fits
      ? say`There is no room for so many wraps on this pin: leave less slack.`
      : figures.lay === 'toward the wood'
        ? say`A wrap crossing another: it pinches there and breaks there.`
        : say`A wrap slides off the end of the pin: keep a finger on it.`,
    turning: turningOf(pin, 'tightens'),
    picture: 'wraps',
    asks: 'wraps',
    rest: pin.gearRatio === 1 ? REST : null,
  })
}
