/**
 * Making ready, taking the old string off, and looking at what it touched.
 */
import type { TailHold } from '../../knots/fastenings'
import { measure, say } from '../../measure'
import { materialWord } from '../../strings/construction'
import { harpOctaveWord } from '../../pitch/harp-octave'
import { siteFacts } from '../../wear/break-sites'
import { holdOf, inBox, isWhole, listed, only, step, strings, wired, type FittingContext, type StepMaker } from '../context'
import { isGlued } from '../cautions'
import type { Habits } from '../habits'

/** What the string's end rests on, to lay out beside it. */
const REST: Record<TailHold, readonly string[]> = { knot: [], bead: ['its bead'], toggle: ['its toggle'], loop: [], posts: [], foot: ['a cloth to pull with'] }

/** The anchor as it is laid out. */
export const ANCHORS: Record<Habits['anchor'], string> = { 'old gut': 'an anchor of old gut', dowel: 'a dowel anchor', 'bead and glue': 'a bead', toggle: 'a toggle' }

/** How the old string is taken from its lower end. */
const LOOSEN: Record<TailHold, string> = {
  knot: 'Push the knot back into the box and take it out through the access hole. Keep the anchor.',
  bead: 'Push the knot back into the box and take it out with its bead. Keep the bead.',
  toggle: 'Push the string back into the box and take it out with its toggle. Keep the toggle if it is sound.',
  loop: 'Lift the loop off its hitch pin.',
  posts: 'Lift the wire off both hitch posts. It served two strings, so both are gone now.',
  foot: 'Unwrap it from its foot, and take its stopper loop out of the peg’s cord. The cord stays.',
}

const PIN_AND_GROOVE = ['the edge of the string hole', 'the bridge pin’s groove']
const PIN_AND_SLOTS = ['the edge of the string hole', 'nut and bridge']
/** What the string lay against above its lower end. */
const UPPER: Record<TailHold, readonly string[]> = { knot: PIN_AND_GROOVE, bead: PIN_AND_GROOVE, toggle: PIN_AND_GROOVE, loop: PIN_AND_SLOTS, posts: PIN_AND_SLOTS, foot: ['the cord of its peg', 'the bridge'] }

/** What the string lay against at its lower end, to be felt for a burr. */
const FOUND_AT: Record<TailHold, string> = { knot: 'the eyelet', bead: 'the hole in the board', toggle: 'the hole in the board', loop: 'the hitch pin', posts: 'both hitch posts', foot: 'the foot' }

export const makeReady: StepMaker = (context) => {
  const { instrument, position, figures, habits, state } = context
  const wire = wired(context)
  const things = [
    state.sameString ? 'the string that came off' : 'the new string', ...(holdOf(context) === 'foot' ? [] : ['the tuning key']), 'a cutter',
    ...(figures.needsAnchor ? [ANCHORS[habits.anchor]] : []), ...REST[holdOf(context)],
    ...(isGlued(context) ? ['thin cyanoacrylate'] : []),
    ...(inBox(context) ? ['a rubber-faced clip'] : []),
    ...(wire ? ['pliers', 'eye protection'] : []),
  ]
  const atRest = position.mechanism === 'disc'
    ? [say`Put every pedal in flat, so that no disc touches the string.`]
    : position.mechanism === 'lever' ? [say`Disengage every lever.`] : []
  return step({
    key: 'make-ready', phase: 'ready',
    title: 'Make ready',
    todo: [say`Lay out ${listed(things)}.`, ...atRest, say`The instrument lies ${instrument.lies}.`],
    right: position.mechanism ? say`Nothing touches the speaking length between soundboard and bridge pin.` : say`You can reach both ends of the string without leaning over the others.`,
    mistake: position.mechanism ? say`A ${position.mechanism} left engaged shortens the string, and it is then tuned too low.` : say`Working over the other strings with tools in hand.`,
    picture: 'ready',
  })
}

export const moveAside: StepMaker = (context) => {
  const { above, state, position } = context
  if (above.length === 0) return null
  const feet = holdOf(context) === 'foot'
  const many = above.length > 1
  const how = feet
    ? say`Unwrap ${strings(above)} from the foot${many ? ', in that order: the outermost comes first.' : '.'}`
    : say`Loosen ${strings(above)}${many ? ' in that order' : ''}, and move ${many ? 'them' : 'it'} aside. Leave at least two wraps on ${many ? 'each pin' : 'the pin'}.`
  return step({
    key: 'move-aside', phase: 'off',
    title: `Uncover string ${position.number}`,
    todo: [
      how,
      state.redoesAbove
        ? say`${many ? 'They come' : 'It comes'} off for good: new ones go on in this job.`
        : feet ? say`Leave each in its peg’s cord, and tape it aside in the order it came off.` : say`Keep the loops on their hitch pins with a strip of tape.`,
    ],
    right: feet ? say`The turns of string ${String(position.number)} lie bare on the foot.` : say`Nothing crosses string ${String(position.number)} between its pin and the nut.`,
    mistake: feet ? say`Pulling the lower string out from under the layers: they lose their pull and shift.` : say`Letting a string down so far that its wraps come off the pin: wire that is kinked goes on no more.`,
    picture: 'off',
  })
}

export const takeOff: StepMaker = (context) => {
  const hold = holdOf(context)
  const { pin } = context.position.head
  const whole = isWhole(context)
  const wire = wired(context)
  const counted = whole && pin.threadPitch !== null
  return step({
    key: 'take-off', phase: 'off',
    title: 'Take off the old string',
    todo: [
      ...(whole ? [say`Let the tension down with the key before anything is cut.`] : []),
      ...(counted ? [say`Count the turns of the pin that you give: they raise it, and are spared later.`] : []),
      ...(wire && inBox(context) ? [say`Cut old wire back to a straight end before you draw it out, so that it doesn’t scar the hole.`] : []),
      say`${LOOSEN[hold]}`,
      hold === 'foot' ? say`Keep the pieces: the gauge and the place of the break are on them.` : say`Unwind what is left from ${hold === 'posts' ? 'both pins' : 'the pin'}. Keep the pieces: the gauge and the place of the break are on them.`,
    ],
    right: inBox(context) ? say`No piece of string is left in the box; it would buzz.` : say`Nothing of the old string is left at either end.`,
    mistake: say`Pulling a kinked end through a hole.`,
    picture: 'off',
    asks: counted ? 'turns' : null,
  })
}

export const inspect: StepMaker = (context) => {
  const { position, state: { site } } = context
  const touched = [
    ...UPPER[holdOf(context)],
    ...(position.mechanism ? [`the ${position.mechanism}`] : []),
    FOUND_AT[holdOf(context)],
  ]
  return step({
    key: 'inspect', phase: 'off',
    title: 'Inspect what it touched',
    todo: [
      ...(site ? [say`It gave way here: ${siteFacts(site).suspect.toLowerCase()} ${siteFacts(site).remedy}`] : []),
      say`Feel ${listed(touched)} for a burr. Polish one away with soft cord and a mild abrasive along the string’s own path.`,
    ],
    right: say`A thread drawn along the path does not catch.`,
    mistake: say`Fitting the next string over the edge that cut the last one.`,
    picture: 'path',
  })
}

export const prove: StepMaker = (context) => {
  const { position, figures, instrument, state } = context
  const { gauge } = only(context)
  if (state.sameString) return proveAgain(context)
  return step({
    key: 'prove', phase: 'off',
    title: 'Prove the new string',
    todo: [
      say`Check the packet: ${materialWord(figures.construction)}, ${measure('gauge', gauge)}, ${instrument.tensionClass} tension, for the ${harpOctaveWord(position.note)}.`,
      say`Measure it. It lies not outside its neighbours of the same material. Leave its tag on until the end is cut.`,
    ],
    figures: [{ label: 'Gauge', measure: measure('gauge', gauge) }],
    right: say`The calliper reads ${measure('gauge', gauge)}; the old one may read a little thinner than new.`,
    mistake: say`A packet of another tension class with the same note on it.`,
    picture: 'gauge',
    asks: 'gauge',
  })
}

function proveAgain({ figures }: FittingContext): ReturnType<StepMaker> {
  return step({
    key: 'prove', phase: 'off',
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
