/**
 * Making ready, taking the old string off, and looking at what it touched.
 */
import { isHarp, soldByClass, type Instrument, type StringPosition } from '../../instrument/instrument'
import { sameLayers } from '../../instrument/layers'
import { theName } from '../../instrument/names'
import type { TailHold } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import { materialWord, outerGauge } from '../../strings/construction'
import { suspectedAt } from '../../wear/break-sites'
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
import { cutterFor, looser, turnerOf, turningOf } from '../hands'
import { ANCHORS } from '../knot-words'
import { hasEyelet, hasHitchPin } from '../parts'
import { placesTouched } from '../places-touched'

/** What the string's end rests on, to lay out beside it. */
const REST: Record<TailHold, readonly string[]> = {
  knot: [],
  bead: ['its bead'],
  toggle: ['its toggle'],
  loop: [],
  posts: [],
  foot: ['a glove or a winding stick'],
}

/** How the old string is taken from its lower end. */
function loosenSentences(context: FittingContext): readonly Phrase[] {
  const { needsAnchor } = context.figures
  switch (holdOf(context)) {
    case 'knot':
      return [
        say`Find the knot through the access hole. Draw the lower piece out.`,
        ...(needsAnchor ? [say`Keep its anchor.`] : []),
      ]
    case 'bead':
      return [say`Find the bead through the access hole. Draw the lower piece out and keep the bead.`]
    case 'toggle':
      return [say`Find the toggle through the access hole. Draw the lower piece out and keep the toggle.`]
    case 'loop':
      return hasHitchPin(context.position)
        ? [say`Lift the loop off its hitch pin.`]
        : [say`Slide the loop down, and draw the wire out from under the bridge.`]
    case 'posts':
      return [say`Lift the wire off both posts. It was two strings, so both are off now.`]
    case 'foot':
      return [
        say`Unwrap it from its foot. Take its stopper loop out of the cord.`,
        say`The cord stays in its hole, at its length.`,
      ]
  }
}

/** Lays things out, few to a sentence. */
function layOut(things: readonly string[]): readonly Phrase[] {
  const AT_ONCE = 3
  return Array.from({ length: Math.ceil(things.length / AT_ONCE) }, (_, i) => {
    const some = listed(things.slice(i * AT_ONCE, (i + 1) * AT_ONCE))
    return i === 0 ? say`Lay out ${some}.` : say`Add ${some}.`
  })
}

/** Where off is on this model. */
function leversOffOn({ leversOff = 'not said' }: Instrument): Phrase {
  return leversOff === 'not said'
    ? say`Put every lever off. Off is down on most harps.`
    : say`Put every lever off. Off is ${leversOff} on this harp.`
}

export const makeReady: StepMaker = (context) => {
  const { instrument, position, figures, habits, state } = context
  const wire = wired(context)
  const cuts = !state.forPractice
  const things = [
    state.sameString ? (state.forPractice ? null : 'the string that came off') : 'the new string',
    position.head.pin.turnedBy === 'key' ? 'the tuning key' : null,
    cuts ? cutterFor(figures.construction) : null,
    figures.needsAnchor ? ANCHORS[habits.anchor] : null,
    ...REST[holdOf(context)],
    isGlued(context) ? 'thin cyanoacrylate' : null,
    inBox(context) ? 'a rubber-faced clip' : null,
    ...(wire ? ['pliers', 'eye protection'] : []),
  ].flatMap((thing) => thing ?? [])
  const atRest =
    position.mechanism === 'disc'
      ? [say`Put every pedal in flat, the top notch.`]
      : position.mechanism === 'lever'
        ? [leversOffOn(instrument)]
        : []
  return step({
    key: 'make-ready',
    phase: 'ready',
    title: 'Make ready',
    todo: [
      ...layOut(things),
      ...atRest,
      say`Place the instrument ${instrument.lies}.`,
      ...(isHarp(instrument) && inBox(context)
        ? [
            say`For work inside, lay the harp on a table, its back open over the edge.`,
            say`For the pins, stand it on the floor where it can’t fall.`,
          ]
        : []),
    ],
    right: position.mechanism
      ? say`Nothing touches the string between soundboard and bridge pin.`
      : say`You reach both ends of the string without leaning over the others.`,
    mistake: position.mechanism
      ? say`One ${position.mechanism} left on: the string is then tuned too low.`
      : say`Working over the other strings with tools in hand.`,
    picture: 'ready',
  })
}

export const moveAside: StepMaker = (context) => {
  const { above, state, position } = context
  const [first] = above
  if (!first) return null
  const feet = holdOf(context) === 'foot'
  const many = above.length > 1
  const [them, are] = many ? ['them', 'their'] : ['it', 'its']
  const how: readonly Phrase[] = feet
    ? [
        ...footLetDown(context),
        say`Unwrap ${strings(above)} from the foot${many ? ', the outermost first' : ''}.`,
        say`Press each string to the board with your thumb while you lift it off. It springs.`,
      ]
    : [
        say`Loosen ${strings(above)} a few turns, ${looser(first.head.pin)}, ${turnerOf(first.head.pin).seenFrom}.`,
        say`Lay ${them} into a neighbour’s nut slot.`,
        say`Keep two wraps or more on ${many ? 'each pin' : 'the pin'}.`,
      ]
  return step({
    key: 'move-aside',
    phase: 'off',
    title: `Uncover string ${numberOf(position)}`,
    todo: [
      ...how,
      ...(state.redoesAbove
        ? [say`${many ? 'They come' : 'It comes'} off for good. This job fits new ones.`]
        : feet
          ? [say`Leave each in its cord. Tape them aside in the order they came off.`]
          : hasHitchPin(first)
            ? [say`Hold ${are} loop${many ? 's' : ''} on the hitch pin${many ? 's' : ''} with tape.`]
            : []),
    ],
    right: feet
      ? say`The turns of string ${numberOf(position)} are bare on the foot.`
      : say`Nothing crosses the pin of string ${numberOf(position)}.`,
    mistake: feet
      ? say`Pulling the lower string out from under the layers: they shift.`
      : say`Letting its wraps come off the pin: a kinked wire goes on no more.`,
    turning: feet ? null : turningOf(first.head.pin, 'loosens'),
    picture: 'off',
  })
}

/** The layers of a foot hold one another: before any is unwrapped, all of its pegs are let down. */
function footLetDown({ instrument, position }: FittingContext): readonly Phrase[] {
  const others = sameLayers(instrument, position)
  const { pin } = position.head
  const way = say`Turn each peg ${looser(pin)}, ${turnerOf(pin).seenFrom}, to its end.`
  if (others.length < 2) return [way]
  const numbers = [...others].sort((a, b) => a.called.number - b.called.number)
  return [say`Let down the pegs of ${strings(numbers)}: all share this foot.`, way]
}

export const takeOff: StepMaker = (context) => {
  if (fromBare(context)) return null
  const hold = holdOf(context)
  const { pin } = context.position.head
  const { forPractice } = context.state
  const whole = isWhole(context)
  const wire = wired(context)
  const counted = whole && pin.threadPitch !== null
  const fromFoot = hold === 'foot' && context.above.length === 0
  return step({
    key: 'take-off',
    phase: 'off',
    title: forPractice ? 'Take it off whole' : 'Take off the old string',
    todo: [
      ...(fromFoot ? footLetDown(context) : []),
      ...(whole && hold !== 'foot'
        ? [
            forPractice ? say`Let it down until it is slack.` : say`Let it down before you cut anything.`,
            say`${turnerOf(pin).turn} ${looser(pin)}, ${turnerOf(pin).seenFrom}.`,
          ]
        : []),
      ...(counted ? [say`Count the turns you give. They raise the pin, and count later.`] : []),
      ...(wire && inBox(context) && !forPractice
        ? [say`Cut old wire back to a straight end, so that it scars no hole.`]
        : []),
      ...loosenSentences(context),
      ...(hold === 'foot'
        ? []
        : [say`Unwind the rest from ${hold === 'posts' ? 'both pins' : 'the pin'} and draw it out.`]),
      ...(inBox(context) && !whole ? [say`Look for a short piece in the box and on the floor.`] : []),
      forPractice
        ? say`Keep it whole. The same string goes on again.`
        : say`Keep the pieces. They show the gauge and where it broke.`,
    ],
    right: inBox(context)
      ? say`No piece of string is left in the box. It would buzz.`
      : say`Nothing of the old string is left at either end.`,
    mistake: say`Pulling a kinked end through a hole.`,
    turning:
      (whole && hold !== 'foot') || fromFoot
        ? turningOf(pin, pin.threadPitch === null ? 'loosens' : 'turns it out')
        : null,
    picture: 'off',
    asks: counted ? 'turns' : null,
  })
}

export const inspect: StepMaker = (context) => {
  const { site } = context.state
  return step({
    key: 'inspect',
    phase: 'off',
    title: 'Inspect what it touched',
    todo: [
      ...(site
        ? [
            say`First suspect: ${firstLower(suspectedAt(site, context.position).suspect)}`,
            say`${suspectedAt(site, context.position).remedy}`,
          ]
        : []),
      say`Feel for burrs at ${listed(placesTouched(context.position).map(({ name }) => name))}.`,
      say`Polish a burr with a soft cord and mild polish.`,
      say`Draw the cord back and forth along the string’s own path.`,
      ...(hasEyelet(context.position) ? [say`At the eyelet, keep a hand behind the board.`] : []),
    ],
    right: say`A thread drawn along the path does not catch.`,
    mistake: say`Fitting the next string over the edge that cut the last one.`,
    picture: 'path',
  })
}

const firstLower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Whether the strings on both sides are of its make, one thinner and one thicker: then it lies between them. */
function liesBetween({ positions }: Instrument, position: StringPosition): boolean {
  const [before, after] = [positions[position.number - 2], positions[position.number]]
  if (!before || !after) return false
  const alike = [before, after].every(
    (p) => materialWord(p.construction) === materialWord(position.construction),
  )
  const [a, own, b] = [before, position, after].map((p) => outerGauge(p.construction)) as [
    number,
    number,
    number,
  ]
  return alike && Math.min(a, b) < own && own < Math.max(a, b)
}

export const prove: StepMaker = (context) => {
  const { position, figures, habits, instrument, state } = context
  if (state.sameString) return proveAgain(context)
  const tensionClass = soldByClass(instrument)
  const wire = wired(context)
  return step({
    key: 'prove',
    phase: 'off',
    title: 'Check the new string',
    todo: [
      say`Read the packet: ${materialWord(figures.construction)}${tensionClass === null ? '' : `, ${tensionClass} tension`}, for ${theName(position, habits.octaveNames)}.`,
      ...(tensionClass !== null && instrument.family !== 'pedal harp' && !wire
        ? [say`A big harp’s packet of this class may be right for a small harp.`]
        : []),
      ...(wire || context.state.restring === 'from bare'
        ? []
        : [say`Compare old and new between your fingers.`]),
      ...(liesBetween(instrument, position)
        ? [say`Compare it with the strings above and below. It lies between them.`]
        : []),
      say`Measure it. Leave its tag on until the end is cut.`,
      say`Uncoil it gently, end over end. Smooth the curl out by hand.`,
    ],
    figures: [{ label: 'Gauge', measure: measure('gauge', only(context).gauge) }],
    right: wire
      ? say`The calliper reads what the packet says.`
      : say`The calliper reads what the packet says. The old one may read thinner.`,
    mistake:
      tensionClass === null
        ? say`A packet of the right gauge with the wrong end.`
        : say`A packet of another tension class with the same note on it.`,
    picture: 'gauge',
    asks: 'gauge',
  })
}

function proveAgain(context: FittingContext): ReturnType<StepMaker> {
  return step({
    key: 'prove',
    phase: 'off',
    title: 'Look the string over',
    todo: [
      say`Run it between your fingers. Feel for a nick or a kink.`,
      ...(wired(context) ? [] : [say`A white place is cracked. In the standing part it will break.`]),
      ...(context.state.forPractice
        ? []
        : [say`Lay it along its way. Its end must still reach past the pin.`]),
    ],
    right: say`It is sound from end to end.`,
    mistake: say`Fitting a string again that is kinked where it slipped: it breaks there.`,
    picture: 'gauge',
  })
}
