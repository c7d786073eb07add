/**
 * Making ready, taking the old string off, and looking at what it touched.
 */
import { isHarp, soldByClass } from '../../instrument/instrument'
import { sameLayers } from '../../instrument/layers'
import { theName } from '../../instrument/names'
import type { TailHold } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import { materialWord } from '../../strings/construction'
import { siteFacts } from '../../wear/break-sites'
import {
  fromBare,
  holdOf,
  inBox,
  isWhole,
  listed,
  numberOf,
  only,
  step,
  strings,
  wired,
  type FittingContext,
  type StepMaker,
} from '../context'
import { isGlued } from '../cautions'
import { cutterFor, turnerOf } from '../hands'
import { ANCHORS } from '../knot-words'

/** What the string's end rests on, to lay out beside it. */
const REST: Record<TailHold, readonly string[]> = {
  knot: [],
  bead: ['its bead'],
  toggle: ['its toggle'],
  loop: [],
  posts: [],
  foot: ['a cloth to pull with'],
}

/** How the old string is taken from its lower end. */
const LOOSEN: Record<TailHold, string> = {
  knot: 'Push the knot back into the box and take it out through the access hole.',
  bead: 'Push the knot back into the box and take it out with its bead. Keep the bead.',
  toggle:
    'Push the string back into the box and take it out with its toggle. Keep the toggle if it is sound.',
  loop: 'Lift the loop off its hitch pin.',
  posts: 'Lift the wire off both hitch posts. It served two strings, so both are gone now.',
  foot: 'Unwrap it from its foot, and take its stopper loop out of the peg’s cord. The cord stays.',
}

const PIN_AND_GROOVE = ['the edge of the string hole', 'the bridge pin’s groove']
const PIN_AND_SLOTS = ['the edge of the string hole', 'nut and bridge']
/** What the string lay against above its lower end. */
const UPPER: Record<TailHold, readonly string[]> = {
  knot: PIN_AND_GROOVE,
  bead: PIN_AND_GROOVE,
  toggle: PIN_AND_GROOVE,
  loop: PIN_AND_SLOTS,
  posts: PIN_AND_SLOTS,
  foot: ['the cord of its peg', 'the bridge'],
}

/** What the string lay against at its lower end, to be felt for a burr. */
const FOUND_AT: Record<TailHold, string> = {
  knot: 'the eyelet',
  bead: 'the hole in the board',
  toggle: 'the hole in the board',
  loop: 'the hitch pin',
  posts: 'both hitch posts',
  foot: 'the foot',
}

/** Where a harp is worked on from inside and from above. */
const BOTH_PLACES = say`Work inside with the harp on a table, its back opening free over the edge; for the pins stand it on the floor, where it can’t fall.`

export const makeReady: StepMaker = (context) => {
  const { instrument, position, figures, habits, state } = context
  const wire = wired(context)
  const things = [
    ...(state.forPractice ? [] : [state.sameString ? 'the string that came off' : 'the new string']),
    ...(position.head.pin.turnedBy === 'key' ? ['the tuning key'] : []),
    cutterFor(figures.construction),
    ...(figures.needsAnchor ? [ANCHORS[habits.anchor]] : []),
    ...REST[holdOf(context)],
    ...(isGlued(context) ? ['thin cyanoacrylate'] : []),
    ...(inBox(context) ? ['a rubber-faced clip'] : []),
    ...(wire ? ['pliers', 'eye protection'] : []),
  ]
  const atRest =
    position.mechanism === 'disc'
      ? [say`Put every pedal in flat, so that no disc touches the string.`]
      : position.mechanism === 'lever'
        ? [say`Disengage every lever.`]
        : []
  return step({
    key: 'make-ready',
    phase: 'ready',
    title: 'Make ready',
    todo: [
      say`Lay out ${listed(things)}.`,
      ...atRest,
      say`The instrument lies ${instrument.lies}.`,
      ...(isHarp(instrument) && holdOf(context) === 'knot' ? [BOTH_PLACES] : []),
    ],
    right: position.mechanism
      ? say`Nothing touches the speaking length between soundboard and bridge pin.`
      : say`You can reach both ends of the string without leaning over the others.`,
    mistake: position.mechanism
      ? say`A ${position.mechanism} left engaged shortens the string, and it is then tuned too low.`
      : say`Working over the other strings with tools in hand.`,
    picture: 'ready',
  })
}

export const moveAside: StepMaker = (context) => {
  const { above, state, position } = context
  if (above.length === 0) return null
  const feet = holdOf(context) === 'foot'
  const many = above.length > 1
  const how = feet
    ? [
        ...footLetDown(context),
        say`Unwrap ${strings(above)} from the foot${many ? ', in that order: the outermost comes first.' : '.'}`,
      ]
    : [
        say`Loosen ${strings(above)}${many ? ' in that order' : ''}, and move ${many ? 'them' : 'it'} aside. Leave at least two wraps on ${many ? 'each pin' : 'the pin'}.`,
      ]
  return step({
    key: 'move-aside',
    phase: 'off',
    title: `Uncover string ${numberOf(position)}`,
    todo: [
      ...how,
      state.redoesAbove
        ? say`${many ? 'They come' : 'It comes'} off for good: new ones go on in this job.`
        : feet
          ? say`Leave each in its peg’s cord, and tape it aside in the order it came off.`
          : say`Keep the loops on their hitch pins with a strip of tape.`,
    ],
    right: feet
      ? say`The turns of string ${numberOf(position)} lie bare on the foot.`
      : say`Nothing crosses the pin of string ${numberOf(position)}.`,
    mistake: feet
      ? say`Pulling the lower string out from under the layers: they lose their pull and shift.`
      : say`Letting a string down so far that its wraps come off the pin: wire that is kinked goes on no more.`,
    picture: 'off',
  })
}

/** The layers of a foot hold one another: before any is unwrapped, all of its pegs are let down. */
function footLetDown({ instrument, position }: FittingContext): readonly Phrase[] {
  const others = sameLayers(instrument, position)
  if (others.length < 2) return []
  return [
    say`Let the pegs of ${strings([...others].sort((a, b) => a.called.number - b.called.number))} down, all that share this foot: its layers hold one another.`,
  ]
}

export const takeOff: StepMaker = (context) => {
  if (fromBare(context)) return null
  const hold = holdOf(context)
  const { pin } = context.position.head
  const { forPractice } = context.state
  const whole = isWhole(context)
  const wire = wired(context)
  const counted = whole && pin.threadPitch !== null
  const { needsAnchor } = context.figures
  return step({
    key: 'take-off',
    phase: 'off',
    title: forPractice ? 'Take it off whole' : 'Take off the old string',
    todo: [
      ...(hold === 'foot' && context.above.length === 0 ? footLetDown(context) : []),
      ...(whole ? [say`Let the tension down with ${turnerOf(pin).name} before anything is cut.`] : []),
      ...(counted
        ? [say`Count the turns of the pin that you give: they raise it, and are spared later.`]
        : []),
      ...(wire && inBox(context)
        ? [say`Cut old wire back to a straight end before you draw it out, so that it doesn’t scar the hole.`]
        : []),
      say`${LOOSEN[hold]}${hold === 'knot' && needsAnchor ? ' Keep its anchor.' : ''}`,
      forPractice
        ? say`Unwind it from the pin, and keep it whole: it goes on again.`
        : hold === 'foot'
          ? say`Keep the pieces: the gauge and the place of the break are on them.`
          : say`Unwind what is left from ${hold === 'posts' ? 'both pins' : 'the pin'}. Keep the pieces: the gauge and the place of the break are on them.`,
    ],
    right: inBox(context)
      ? say`No piece of string is left in the box; it would buzz.`
      : say`Nothing of the old string is left at either end.`,
    mistake: say`Pulling a kinked end through a hole.`,
    picture: 'off',
    asks: counted ? 'turns' : null,
  })
}

export const inspect: StepMaker = (context) => {
  const {
    position,
    state: { site },
  } = context
  const touched = [
    ...UPPER[holdOf(context)],
    ...(position.mechanism ? [`the ${position.mechanism}`] : []),
    FOUND_AT[holdOf(context)],
  ]
  return step({
    key: 'inspect',
    phase: 'off',
    title: 'Inspect what it touched',
    todo: [
      ...(site
        ? [say`It gave way here: ${siteFacts(site).suspect.toLowerCase()} ${siteFacts(site).remedy}`]
        : []),
      say`Feel ${listed(touched)} for a burr. Polish one away with soft cord and a mild abrasive along the string’s own path.`,
    ],
    right: say`A thread drawn along the path does not catch.`,
    mistake: say`Fitting the next string over the edge that cut the last one.`,
    picture: 'path',
  })
}

export const prove: StepMaker = (context) => {
  const { position, figures, habits, instrument, state } = context
  const { gauge } = only(context)
  if (state.sameString) return proveAgain(context)
  const tensionClass = soldByClass(instrument)
  return step({
    key: 'prove',
    phase: 'off',
    title: 'Prove the new string',
    todo: [
      say`Check the packet: ${materialWord(figures.construction)}, ${measure('gauge', gauge)}, ${tensionClass === null ? '' : `${tensionClass} tension, `}for ${theName(position, habits.octaveNames)}.`,
      say`Measure it. It is no thicker and no thinner than its neighbours of the same material allow. Leave its tag on until the end is cut.`,
      say`Uncoil it end over end, gently, and smooth the curl out by hand.`,
    ],
    figures: [{ label: 'Gauge', measure: measure('gauge', gauge) }],
    right: say`The calliper reads ${measure('gauge', gauge)}; the old one may read a little thinner than new.`,
    mistake:
      tensionClass === null
        ? say`A packet of the right gauge with the wrong end.`
        : say`A packet of another tension class with the same note on it.`,
    picture: 'gauge',
    asks: 'gauge',
  })
}

function proveAgain({ figures }: FittingContext): ReturnType<StepMaker> {
  return step({
    key: 'prove',
    phase: 'off',
    title: 'Look the string over',
    todo: [
      say`Run it between your fingers: no whitening, no nick, no kink in the standing part.`,
      say`Lay it along the sum: from knot to tip it still needs ${measure('length', figures.cut.total)}, less what the trimmed tail can spare.`,
    ],
    right: say`It is sound from end to end, and its tail reaches past the pin.`,
    mistake: say`Setting a string again that was kinked where it slipped: it breaks there.`,
    picture: 'gauge',
  })
}
