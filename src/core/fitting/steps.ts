/**
 * The steps of a fitting in order, from the instrument, the position, the string and the house's habits.
 */
import { layersOver } from '../instrument/layers'
import { tailFacts, type TailHold } from '../knots/fastenings'
import { measure, say, type Phrase } from '../measure'
import { harpOctaveWord } from '../pitch/harp-octave'
import { coreMaterial } from '../strings/construction'
import { siteFacts } from '../wear/break-sites'
import { listed, plain, wired, WIRE, type FittingContext, type StepMaker } from './context'
import type { StringFigures } from './figures'
import { bringUp, knotInCord, wrapFoot } from './foot-steps'
import { cutAtPin, lookInside, seat, threadPin, tieKnot, wind } from './knotted-steps'
import { hookLoop } from './loop-steps'
import { cutToLength, roundPosts, windPair } from './paired-steps'
import type { Step } from './step'

/** The steps that apply, first to last. */
export function fittingSteps(context: FittingContext): readonly Step[] {
  return makersOf(holdOf(context)).flatMap((make) => make(context) ?? [])
}

function makersOf(hold: TailHold): readonly StepMaker[] {
  switch (hold) {
    case 'posts': return [makeReady, takeOff, inspect, prove, cutToLength, setPin, roundPosts, windPair, upToPitch, trim, log]
    case 'loop': return [makeReady, takeOff, inspect, prove, setPin, hookLoop, cutAtPin, threadPin, wind, upToPitch, trim, log]
    case 'foot': return [makeReady, takeOff, inspect, prove, knotInCord, wrapFoot, bringUp, log]
    default: return [makeReady, takeOff, inspect, prove, setPin, tieKnot, seat, cutAtPin, threadPin, wind, upToPitch, trim, lookInside, log]
  }
}

const holdOf = ({ position }: FittingContext) => tailFacts(position.tail.fastening).hold

/** What the string's end rests on, to lay out beside it. */
const REST: Record<TailHold, readonly string[]> = { knot: [], bead: ['its bead'], toggle: ['its toggle'], loop: [], posts: [], foot: ['a cloth to pull with'] }

/** How the old string is taken from its lower end. */
const LOOSEN: Record<TailHold, string> = {
  knot: 'Push the knot back into the box and take it out through the access hole. Keep the anchor.',
  bead: 'Push the knot back into the box and take it out with its bead. Keep the bead.',
  toggle: 'Push the string back into the box and take it out with its toggle. Keep the toggle if it is sound.',
  loop: 'Lift the loop off its hitch pin.',
  posts: 'Lift the wire off both hitch posts. It served two strings, so both are gone now.',
  foot: 'Unwrap it from its foot, and take its stopper loop out of the peg’s cord. The cord stays.',
}

/** What the string lay against at its lower end, to be felt for a burr. */
const FOUND_AT: Record<TailHold, string> = { knot: 'the eyelet', bead: 'the hole in the board', toggle: 'the hole in the board', loop: 'the hitch pin', posts: 'both hitch posts', foot: 'the foot' }

function makeReady(context: FittingContext): Step {
  const { instrument, position, figures } = context
  const wire = wired(context)
  const things = [
    'the new string', 'the tuning key', 'a cutter',
    ...(figures.needsAnchor ? ['an anchor'] : []), ...REST[holdOf(context)],
    ...(wire ? ['pliers', 'eye protection'] : []),
  ]
  const atRest: Phrase[] = instrument.family === 'pedal harp'
    ? [say`Put every pedal in flat, so that no disc touches the string.`]
    : position.mechanism === 'lever' ? [say`Disengage every lever.`] : []
  return {
    ...plain,
    key: 'make-ready',
    title: 'Make ready',
    todo: [say`Lay out ${listed(things)}.`, ...atRest, say`Place the instrument ${instrument.lies}, so that it can’t fall.`],
    right: position.mechanism ? say`Nothing touches the speaking length between soundboard and bridge pin.` : say`You can reach both ends of the string without leaning over the others.`,
    mistake: position.mechanism ? say`A ${position.mechanism} left engaged shortens the string, and it is then tuned too low.` : say`Working over the other strings with tools in hand.`,
    caution: wire ? WIRE : null,
  }
}

function takeOff(context: FittingContext): Step {
  const { instrument, position, site } = context
  const whole = site === null || !siteFacts(site).broke
  const hold = holdOf(context)
  const inBox = hold === 'knot' || hold === 'bead' || hold === 'toggle'
  const above = layersOver(instrument, position)
  const down = whole ? [say`Let the tension down with the key before anything is cut.`] : []
  const wire = wired(context)
  return {
    ...plain,
    key: 'take-off',
    title: 'Take off the old string',
    todo: [
      ...down,
      ...(wire ? [say`Cut old wire back to a straight end before you draw it out, so that it doesn’t scar the hole.`] : []),
      ...(above.length > 0 ? [say`${above.length > 1 ? 'Strings' : 'String'} ${listed(above.map((p) => String(p.number)))} lie${above.length > 1 ? '' : 's'} over it: loosen and move aside, in that order, before you reach for this one.`] : []),
      say`${LOOSEN[hold]}`,
      hold === 'foot' ? say`Keep the pieces: the gauge and the place of the break are on them.` : say`Unwind what is left from the pin. Keep the pieces: the gauge and the place of the break are on them.`,
    ],
    right: inBox ? say`No piece of string is left in the box; it would buzz.` : say`Nothing of the old string is left at either end.`,
    mistake: say`Pulling a kinked end through a hole.`,
    caution: whole ? 'Keep the key on the pin and a thumb over the string until it is slack.' : wire ? WIRE : null,
  }
}

function inspect(context: FittingContext): Step {
  const { position, site } = context
  const touched = [
    'the edge of the string hole', 'the bridge pin’s groove',
    ...(position.mechanism ? [`the ${position.mechanism}`] : []),
    FOUND_AT[holdOf(context)],
  ]
  return {
    ...plain,
    key: 'inspect',
    title: 'Inspect what it touched',
    todo: [
      ...(site ? [say`It gave way here: ${siteFacts(site).suspect.toLowerCase()} ${siteFacts(site).remedy}`] : []),
      say`Feel ${listed(touched)} for a burr. Polish one away with soft cord and a mild abrasive along the string’s own path.`,
    ],
    right: say`A thread drawn along the path does not catch.`,
    mistake: say`Fitting the next string over the edge that cut the last one.`,
    caution: 'A cracked neck, board or pin block, a rising seam, or a pin that won’t hold: stop, and ask the maker or a qualified repairer.',
  }
}

function prove({ position, figures, instrument, sameString }: FittingContext): Step {
  const first = figures.strings[0] as StringFigures
  if (sameString) {
    return {
      ...plain,
      key: 'prove',
      title: 'Look the string over',
      todo: [
        say`Run it between your fingers: no whitening, no nick, no kink in the standing part.`,
        say`Lay it along the sum: from knot to tip it still needs ${measure('length', figures.cut.total)}, less what the trimmed tail can spare.`,
      ],
      right: say`It is sound from end to end, and its tail reaches past the pin.`,
      mistake: say`Setting a string again that was kinked where it slipped: it breaks there.`,
    }
  }
  return {
    ...plain,
    key: 'prove',
    title: 'Prove the new string',
    todo: [
      say`Check the packet: ${coreMaterial(figures.construction).name}, ${measure('gauge', first.gauge)}, ${instrument.tensionClass} tension, for the ${harpOctaveWord(position.note)}.`,
      say`Measure it. It lies not outside its neighbours of the same material. Leave its tag on until the end is cut.`,
    ],
    figures: [{ label: 'Gauge', measure: measure('gauge', first.gauge) }],
    right: say`The calliper reads ${measure('gauge', first.gauge)}; the old one may read a little thinner than new.`,
    mistake: say`A packet of another tension class with the same note on it.`,
  }
}

function setPin(context: FittingContext): Step {
  const { figures, position } = context
  const { pin } = position.head
  const raise = Math.max(...figures.strings.map((s) => s.standHigher ?? 0))
  const threaded = pin.threadPitch !== null
  return {
    ...plain,
    key: 'set-pin',
    title: figures.strings.length > 1 ? 'Set both pins' : 'Set the pin',
    todo: [
      ...(threaded ? [say`Turn ${figures.strings.length > 1 ? 'each' : 'the'} pin out until it stands ${measure('gauge', raise)} higher than its neighbours in playing state: winding sinks it by its thread. A string lifted off by hand gave no turns; turns you gave while letting it down count.`] : []),
      say`Turn the string hole in line with the string.`,
    ],
    figures: threaded ? [{ label: 'Stands higher by', measure: measure('gauge', raise) }] : [],
    right: say`Looking along the string, you see daylight through the hole.`,
    mistake: threaded ? say`Starting too low: the pin then jams or cracks the wood before the string is up.` : say`Threading with the hole across the string; the becket then starts a quarter turn late.`,
    picture: 'pin',
  }
}

function upToPitch(context: FittingContext): Step {
  const { strings } = context.figures
  const first = strings[0] as StringFigures
  return {
    ...plain,
    key: 'to-pitch',
    title: 'Up to pitch',
    todo: [
      say`Bring ${strings.length > 1 ? 'each string' : 'it'} to a low, clear note. Snug to pitch is ${measure('angle', first.key.snugToPitch)} of the key.`,
      say`Level with the string below, then its octave below, then the tuner: ${measure('frequency', first.pitch)}. Never guess upward.`,
      say`One semitone is ${measure('angle', first.key.perSemitone)} of the key here.`,
    ],
    figures: [
      { label: 'Snug to pitch', measure: measure('angle', first.key.snugToPitch) },
      { label: 'One semitone', measure: measure('angle', first.key.perSemitone) },
      { label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) },
    ],
    right: say`The pitch follows the key; nothing creaks or jumps.`,
    mistake: say`Turning on when the pitch does not rise: look for the string caught short of its groove.`,
    caution: first.utilisation > 0.75 || (first.knotUtilisation ?? 0) > 1 ? 'This string stands close to its breaking pitch: keep your face away from its line.' : wired(context) ? WIRE : null,
    picture: 'key',
  }
}

function trim(context: FittingContext): Step {
  const { habits } = context
  const wire = wired(context)
  const when = { 'at once': 'Now', 'after hours': 'In a few hours', 'after settling': 'Once it has settled, in a week or two' }[habits.tailTrim]
  return {
    ...plain,
    key: 'trim',
    title: 'Trim the tail',
    todo: [
      wire
        ? say`Cut the end close now, held so that it can’t fly, and bend it in.`
        : say`${when}, cut the tail to a short stub that points in toward the neck.${habits.tailTrim === 'at once' ? '' : ' Park it on the far side of the neck until then.'}`,
      say`What is left of the coil goes back in its packet with its tag, closed against air and damp.`,
    ],
    right: say`No end stands out where a hand or another string can catch on it.`,
    mistake: say`Trimming so short that the becket can pull out of the hole.`,
    caution: wire ? WIRE : 'Keep the cutter away from the soundboard and the other strings.',
  }
}

function log({ figures }: FittingContext): Step {
  return {
    ...plain,
    key: 'log',
    title: 'Log it',
    todo: [say`Enter what you cut and the wraps you got. The retuning times follow from that.`],
    figures: [{ label: 'Worked out to cut', measure: measure('length', figures.cut.total) }],
    right: say`The coil in the stores shows what is really left.`,
    mistake: say`Leaving it for later: the first retune is due within the hour.`,
  }
}
