/**
 * The steps of a fitting in order, from the instrument, the position, the string and the house's habits.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { harpOctaveWord } from '../pitch/harp-octave'
import { isKnotted, tailFacts } from '../knots/fastenings'
import { coreMaterial, surfaceMaterial } from '../strings/construction'
import { measure, say, type Phrase } from '../measure'
import { siteFacts, type BreakSite } from '../wear/break-sites'
import type { FittingFigures, StringFigures } from './figures'
import type { Habits } from './habits'
import type { Step } from './step'

export interface FittingContext {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly figures: FittingFigures
  readonly habits: Habits
  /** Where the old string gave way; null when it was taken off whole. */
  readonly site: BreakSite | null
}

type StepMaker = (context: FittingContext) => Step | readonly Step[] | null

/** The steps that apply, first to last. */
export function fittingSteps(context: FittingContext): readonly Step[] {
  const makers: readonly StepMaker[] = isKnotted(context.position.tail.fastening)
    ? [makeReady, takeOff, inspect, prove, setPin, tieKnot, seat, cutAtPin, threadPin, wind, upToPitch, trim, lookInside, log]
    : [makeReady, takeOff, inspect, prove, cutToLength, setPin, roundPosts, windPair, upToPitch, trim, log]
  return makers.flatMap((make) => make(context) ?? [])
}

const wired = ({ figures }: FittingContext) => surfaceMaterial(figures.construction).wire
const only = ({ figures }: FittingContext) => figures.strings[0] as StringFigures
const plain = { figures: [], caution: null, picture: null } as const
const WIRE = 'Wire whips when it lets go and its ends fly: wear eye protection, and hold the off-cut.'

function makeReady(context: FittingContext): Step {
  const { instrument, position, figures } = context
  const wire = wired(context)
  const things = [
    'the new string', 'the tuning key', 'a cutter',
    ...(figures.needsAnchor ? ['an anchor'] : []),
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
    right: position.mechanism ? say`Nothing touches the speaking length between soundboard and bridge pin.` : say`You can reach both tuning pins and the hitch posts without leaning over the strings.`,
    mistake: position.mechanism ? say`A ${position.mechanism} left engaged shortens the string, and it is then tuned too low.` : say`Working over the other wires with pliers in hand.`,
    caution: wire ? WIRE : null,
  }
}

function takeOff(context: FittingContext): Step {
  const { position, site } = context
  const whole = site === null || !siteFacts(site).broke
  const knotted = isKnotted(position.tail.fastening)
  const down = whole ? [say`Let the tension down with the key before anything is cut.`] : []
  const wire = wired(context)
  return {
    ...plain,
    key: 'take-off',
    title: 'Take off the old string',
    todo: [
      ...down,
      ...(wire ? [say`Cut old wire back to a straight end before you draw it out, so that it doesn’t scar the hole.`] : []),
      knotted
        ? say`Push the knot back into the box and take it out through the access hole. Keep the anchor.`
        : say`Lift the wire off both hitch posts. It served two strings, so both are gone now.`,
      say`Unwind what is left from the pin. Keep the pieces: the gauge and the place of the break are on them.`,
    ],
    right: knotted ? say`No piece of string is left in the box; it would buzz.` : say`Both pins are bare and both posts are clear.`,
    mistake: say`Pulling a kinked end through a hole.`,
    caution: whole ? 'Keep the key on the pin and a thumb over the string until it is slack.' : wire ? WIRE : null,
  }
}

function inspect({ position, site }: FittingContext): Step {
  const touched = [
    'the edge of the string hole', 'the bridge pin’s groove',
    ...(position.mechanism ? [`the ${position.mechanism}`] : []),
    ...(position.tail.eyeletBore === null ? ['both hitch posts'] : ['the eyelet']),
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

function prove({ position, figures, instrument }: FittingContext): Step {
  const first = figures.strings[0] as StringFigures
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
    title: threaded ? 'Set both pins' : 'Set the pin',
    todo: [
      ...(threaded ? [say`Turn each pin out until it stands ${measure('gauge', raise)} higher than its neighbours in playing state: winding sinks it by its thread. A string lifted off by hand gave no turns; turns you gave while letting it down count.`] : []),
      say`Turn the string hole in line with the string.`,
    ],
    figures: threaded ? [{ label: 'Stands higher by', measure: measure('gauge', raise) }] : [],
    right: say`Looking along the string, you see daylight through the hole.`,
    mistake: threaded ? say`Starting too low: the pin then jams or cracks the wood before the string is up.` : say`Threading with the hole across the string; the becket then starts a quarter turn late.`,
    picture: 'pin',
  }
}

function tieKnot(context: FittingContext): readonly Step[] {
  const { figures, position, habits } = context
  const anchor = figures.needsAnchor
  const inside = habits.threading === 'from inside, knot first'
  const gut = coreMaterial(figures.construction).name === 'gut'
  const tie: Step = {
    ...plain,
    key: 'tie-knot',
    title: 'Tie the end knot',
    todo: [
      ...(gut ? [say`Work the end supple between your fingers where it will be bent. A white mark is damaged fibre: in the standing part, cut it off.`] : []),
      say`Tie the ${position.tail.fastening} knot (${tailFacts(position.tail.fastening).usedFor}) at the end that has no label on it. It takes ${measure('length', knotLength(context))}, tag and all.`,
      ...(anchor ? [say`Lay the anchor ${habits.anchorPlace}: this knot is not clearly wider than the eyelet, which has a bore of ${measure('gauge', position.tail.eyeletBore ?? 0)}.`] : [say`It needs no anchor: the tightened knot is clearly wider than the eyelet.`]),
    ],
    figures: [{ label: 'Knot and tag', measure: measure('length', knotLength(context)) }],
    right: say`The loops lie side by side and the tag points away from the string.`,
    mistake: say`Making the second loop with the working end instead of the standing part; it slips.`,
  }
  const through: Step = {
    ...plain,
    key: 'through-board',
    title: inside ? 'Thread it up from inside' : 'Thread it down from the front',
    todo: inside
      ? [say`Reach in through the access hole and feed the free end up through the eyelet. Hold the eyelet down from the front; feeding can lift it.`]
      : [say`Feed one end down through the eyelet and bring it out of the access hole, to be knotted there.`],
    right: say`The eyelet sits flat on the board and the string runs free in it.`,
    mistake: say`The anchor falls out on the way: keep it level, and keep a light pull on the string.`,
  }
  return inside ? [tie, through] : [through, tie]
}

function knotLength({ figures }: FittingContext): number {
  return figures.cut.parts.find((part) => part.what === 'tag and knot')?.length ?? 0
}

function seat({ habits }: FittingContext): Step {
  return {
    ...plain,
    key: 'seat',
    title: 'Seat the knot against the board',
    todo: [
      habits.knotSet === 'hard pull at once'
        ? say`Pull hard by hand until the knot sits against the board and gives no more.`
        : say`Draw it up by hand until it touches; tuning will set it.`,
      say`Keep it under pull until the pin has taken over.`,
    ],
    right: say`The string does not creep when you lean on it.`,
    mistake: say`Letting go here: the anchor drops out and the knot falls through.`,
  }
}

function cutAtPin(context: FittingContext): Step {
  const { figures, habits } = context
  return {
    ...plain,
    key: 'mark',
    title: habits.cutting === 'wind, trim later' ? 'Check the length at the pin' : 'Mark and cut',
    todo: [
      say`Bring the string to its pin, snug. The length is set here, on the instrument; the sum is the check.`,
      habits.cutting === 'wind, trim later'
        ? say`From knot to tip it must be at least ${measure('length', figures.cut.total)}. If it is, leave it long: you trim later.`
        : say`Mark ${measure('length', only(context).slack.length + habits.tail)} past the pin, and cut there.`,
    ],
    figures: [{ label: 'Cut from the coil', measure: measure('length', figures.cut.total) }],
    right: say`The mark falls where the sum says, give or take a finger’s breadth.`,
    mistake: say`Cutting by the sum alone, before the knot has drawn up.`,
    caution: wired(context) ? WIRE : 'Keep the cutter away from the soundboard and the other strings.',
    picture: 'cut',
  }
}

function threadPin(context: FittingContext): Step {
  const { habits } = context
  const { slack } = only(context)
  return {
    ...plain,
    key: 'thread-pin',
    title: 'Thread the pin and leave the slack',
    todo: [
      say`Put the end through the string hole and draw the string snug.`,
      slack.stretchAloneIsMore
        ? say`Leave no slack: the stretch alone winds on more than ${measure('wraps', habits.wraps)}.`
        : say`Give back ${measure('length', slack.length)}: pinched at its own pin, the pinch reaches ${measure('pins', slack.reach.pins)} along the neck ${slack.reach.direction}, or the string pulls ${measure('length', slack.pull)} sideways at mid-length.`,
      habits.becket === 'before turning'
        ? say`Set the becket: kink the tail sharply where it comes out of the hole, before you turn.`
        : say`Turn the pin half round, then set the becket: kink the tail sharply where it comes out of the hole.`,
    ],
    figures: [{ label: 'Slack', measure: measure('length', slack.length) }, { label: 'Sideways at mid-length', measure: measure('length', slack.pull) }],
    right: say`The same slack judged two ways agrees within a pin.`,
    mistake: slack.rule.within
      ? say`Losing the slack while setting the becket: hold the tail.`
      : say`Leaving ${measure('pins', slack.rule.pins)} by habit: here that winds ${measure('wraps', slack.rule.wraps)}.`,
    picture: 'slack',
  }
}

function wind(context: FittingContext): Step {
  const figures = only(context)
  const { pin } = figures.position.head
  const turns = figures.wraps * pin.gearRatio
  return {
    ...plain,
    key: 'wind',
    title: 'Wind',
    todo: [
      say`Turn the key ${pin.tightens}, seen from the key’s end. Guide the wraps with a finger, side by side, from the hole toward the wood.`,
      say`Lay the string in its bridge pin’s groove${context.position.mechanism ? ` and clear of the ${context.position.mechanism}` : ''} before it gets tight.`,
      say`Slowly, with rests: friction heats the pin and loosens its fit.`,
    ],
    figures: [{ label: 'Wraps at pitch', measure: measure('wraps', figures.wraps) }, { label: 'Key in all', measure: measure('turns', turns) }],
    right: say`${measure('wraps', figures.wraps)} at pitch, side by side, ${measure('gauge', figures.bank.width)} wide.`,
    mistake: figures.bank.fits ? say`A wrap crossing another: it pinches there and breaks there.` : say`There is no room for so many wraps on this pin: leave less slack.`,
    caution: 'Never let go of the key on a pin under tension.',
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

function lookInside(): Step {
  return {
    ...plain,
    key: 'look-inside',
    title: 'Look inside',
    todo: [say`With a light through the access hole: the knot against the board, the anchor level, the tag not touching box or rod.`],
    right: say`Plucked hard, the string does not buzz.`,
    mistake: say`A long tag left lying against the box.`,
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

function cutToLength(context: FittingContext): Step {
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

function roundPosts(context: FittingContext): Step {
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

function windPair(context: FittingContext): Step {
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

function listed(things: readonly string[]): string {
  return things.length < 2 ? things.join('') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)}`
}
