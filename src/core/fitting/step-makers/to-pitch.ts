/**
 * Up to pitch and after: tuning, putting back what lay over it, helping it settle, trimming, looking inside, logging.
 */
import { comparedWith, FIFTH, OCTAVE } from '../../instrument/compared-with'
import type { StringPosition } from '../../instrument/instrument'
import { theName } from '../../instrument/names'
import { measure, say, type Phrase } from '../../measure'
import { AGES_BY, type Stretching } from '../../settle/stretching'
import { isCutFlush, windsOnPin } from '../head-way'
import { cutterFor, turnerOf } from '../hands'
import { holdOf, inBox, only, step, strings, wired, type FittingContext, type StepMaker } from '../context'
import { ruleOfTail } from '../tail'

export const toPitch: StepMaker = (context) => {
  const { strings: all } = context.figures
  const first = only(context)
  const feet = holdOf(context) === 'foot'
  const { name } = turnerOf(first.position.head.pin)
  return step({
    key: 'to-pitch',
    phase: 'tune',
    title: feet ? 'Up to pitch with the peg' : 'Up to pitch',
    todo: feet
      ? pegTodo(context)
      : [
          say`Bring ${all.length > 1 ? 'each string' : 'it'} to a low, clear note. Snug to pitch is ${measure('angle', first.key.snugToPitch)} of ${name}.`,
          compareSentence(context),
          say`Pluck with one hand and rest the thumb of the other on the neighbour, so that only this string sounds.`,
          say`One semitone is ${measure('angle', first.key.perSemitone)} of ${name} here; from pitch to breaking, ${measure('angle', first.key.toBreaking)}.`,
          ...spacingSentence(context),
        ],
    figures: [
      ...(feet
        ? []
        : [
            { label: 'Snug to pitch', measure: measure('angle', first.key.snugToPitch) },
            { label: 'One semitone', measure: measure('angle', first.key.perSemitone) },
          ]),
      { label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) },
    ],
    right: feet
      ? say`The other strings of this foot have not moved, or are tuned again.`
      : say`The pitch follows ${name}; nothing creaks or jumps.`,
    mistake: feet
      ? say`Turning a peg that is at its stop: the cord tears. Wrap the foot again instead.`
      : say`Turning on when the pitch does not rise: look for the string caught short of its groove.`,
    picture: 'key',
    asks: 'cents',
  })
}

/** A bridge without notches leaves the spacing to the eye. Where nobody said what the bridge is like, it is said with an if. */
function spacingSentence(context: FittingContext): readonly Phrase[] {
  const hold = holdOf(context)
  switch (context.position.tail.bearing) {
    case 'plain bridge':
      return [say`Slide it to even spacing by eye once it is up.`]
    case null:
      return hold === 'loop' || hold === 'posts'
        ? [say`On a bridge without notches, slide it to even spacing by eye once it is up.`]
        : []
    case 'saddle':
    case 'notched bridge':
      return []
  }
}

/** What it is brought up against: the string below and its octave below, or what lies above where there is none. */
function compareSentence(context: FittingContext): Phrase {
  const {
    instrument: { positions },
    position,
    habits,
  } = context
  const pitch = measure('frequency', only(context).pitch)
  const { below, above, at } = comparedWith(positions, position)
  const named = (p: StringPosition) => theName(p, habits.octaveNames)
  const never = say` Never guess upward.`
  if (below) {
    const octave = at(-OCTAVE)
    const last = octave
      ? say`Level with the string below, ${named(below)}; then its octave below, ${named(octave)}; then the tuner: ${pitch}.`
      : say`Level with the string below, ${named(below)}; then the tuner: ${pitch}.`
    return [...last, ...never]
  }
  const octave = at(OCTAVE)
  const fifth = at(FIFTH)
  const told = octave
    ? `its octave above, ${named(octave)}`
    : fifth
      ? `the fifth above, ${named(fifth)}`
      : above
        ? `the string above, ${named(above)}`
        : null
  if (told === null)
    return [...say`Nothing lies below it to compare it with: bring it up with the tuner, ${pitch}.`, ...never]
  return [...say`Nothing lies below it: bring it up against ${told}, then the tuner: ${pitch}.`, ...never]
}

function pegTodo(context: FittingContext): readonly Phrase[] {
  const first = only(context)
  return [
    say`Turn the peg by hand, by small steps, to ${measure('frequency', first.pitch)}: the lower strings first, roughly from the lowest layer up, then exactly, by harmonics.`,
    say`One semitone lengthens the string by ${measure('length', (first.key.perSemitone / 360) * first.drawnPerTurn)}; one turn of the peg draws ${measure('length', first.drawnPerTurn)}.`,
  ]
}

export const putBack: StepMaker = (context) => {
  const { above, state } = context
  if (above.length === 0 || state.redoesAbove) return null
  const back = [...above].reverse()
  const feet = holdOf(context) === 'foot'
  return step({
    key: 'put-back',
    phase: 'wind',
    title: 'Put back what lay over it',
    todo: [
      feet
        ? say`Wrap ${strings(back)} on the foot again${back.length > 1 ? ', in that order, the lower first, each' : ','} pulled down hard to somewhat below pitch.`
        : say`Lay ${strings(back)} back over it${back.length > 1 ? ' in that order' : ''}, into ${back.length > 1 ? 'their' : 'its'} slots, and take up the slack.`,
      say`Tune ${back.length > 1 ? 'them' : 'it'} again after this string: what was loosened settles once more.`,
    ],
    right: feet
      ? say`The layers press each other tight; none rides up.`
      : say`Each string comes off its pin where it did before.`,
    mistake: say`Laying them back in any other order than the reverse of how they came off.`,
    picture: feet ? 'foot' : 'off',
  })
}

interface School {
  readonly title: string
  readonly how: Phrase
  readonly costs: Phrase
  readonly mistake: Phrase
}

/** Each way of helping it settle: how it is done, and what it costs. None is wrong. */
const SCHOOLS: Readonly<Record<Exclude<Stretching, 'leave it alone'>, School>> = {
  'gentle pulls': {
    title: 'Draw it gently',
    how: say`Pull the string gently along its length, from one end to the other, and bring it back to pitch.`,
    costs: say`It costs the string little.`,
    mistake: say`Pulling sideways at one place: it thins there.`,
  },
  'bending aside': {
    title: 'Bend it aside',
    how: say`Bend the string aside by a finger’s breadth here and there along its length, and bring it back to pitch.`,
    costs: say`It costs the string a little of its life.`,
    mistake: say`Bending it at one place each time: it thins there.`,
  },
  'rubbing warm': {
    title: 'Rub it warm',
    how: say`Rub the string along its length with a cloth until it is warm, let it cool, and bring it back to pitch.`,
    costs: say`It costs the string a little of its life, and gut its varnish.`,
    mistake: say`Bringing it to pitch while it is warm: it goes sharp as it cools.`,
  },
  'big sideways motions': {
    title: 'Move it far aside',
    how: say`Pull the string far out and let it back, from board to far out, some ten times, as playing would do; bring it back to pitch.`,
    costs: say`It costs some of the string’s life: it is for a string that broke at an interval, not for every day.`,
    mistake: say`Doing it to a string that has weeks to settle by itself.`,
  },
}

export const stretch: StepMaker = (context) => {
  const { habits } = context
  if (habits.stretching === 'leave it alone' || wired(context)) return null
  const { title, how, costs, mistake } = SCHOOLS[habits.stretching]
  const { settlingAfter } = only(context).key
  const cycles = settlingAfter.length - 1
  const left = (after: number) => measure('angle', settlingAfter[after] as number)
  return step({
    key: 'stretch',
    phase: 'tune',
    title,
    todo: [
      [...how, ...say` That is one cycle; give ${measure('number', cycles)}.`],
      say`Each makes it about ${measure('number', AGES_BY[habits.stretching])} times as old. Left alone it would settle by another ${left(0)} of ${turnerOf(only(context).position.head.pin).name} in two weeks; after ${measure('number', cycles)} cycles, by ${left(cycles)}.`,
      costs,
    ],
    figures: [
      { label: 'Left alone', measure: left(0) },
      { label: `After ${cycles}`, measure: left(cycles) },
    ],
    right: say`Each time it falls by less.`,
    mistake,
    picture: 'pulls',
    asks: 'cycles',
  })
}

/** What stands out of the hole once it is trimmed, m. */
const STUB = 6e-3
const WHEN = {
  'at once': 'Now',
  'after hours': 'In a few hours',
  'after settling': 'Once it has settled, in a week or two',
} as const

export const trim: StepMaker = (context) => {
  const { habits, state, position, figures } = context
  // A string cut on the instrument is wound with its end flush in the hole, an S is snipped before it is wound, and both ends of a wire on two pins are cut as they are threaded.
  const flush = isCutFlush(position, habits) && !state.sameString
  const snipped =
    only(context).head === 'kinked both sides' ||
    (holdOf(context) === 'posts' && habits.pairedWire === 'first pin wound, then round the posts')
  if (holdOf(context) === 'foot' || flush || snipped) return null
  const cutter = cutterFor(figures.construction)
  const parked = ruleOfTail(context) === 'parked'
  return step({
    key: 'trim',
    phase: 'after',
    title: parked ? 'Park the tail' : 'Trim the tail',
    todo: wired(context)
      ? [say`Cut the end close now with ${cutter}, and bend it in.`]
      : [
          say`${WHEN[habits.tailTrim]}, cut the tail with ${cutter} to a stub of about ${measure('length', STUB)} that points in toward the neck.`,
          ...(parked
            ? [
                say`Park it on the far side of the neck until then. It stays on Today until it is trimmed, and only then is what is left of the packet booked.`,
              ]
            : []),
        ],
    figures: wired(context) ? [] : [{ label: 'Stub', measure: measure('length', STUB) }],
    right: say`No end stands out where a hand or another string can catch on it.`,
    mistake: say`Trimming so short that the becket can pull out of the hole.`,
    picture: 'stub',
  })
}

export const lookInside: StepMaker = (context) => {
  if (!inBox(context)) return null
  return step({
    key: 'look-inside',
    phase: 'after',
    title: 'Look inside',
    todo: [
      say`With a light through the access hole: the knot against the board, what it rests on level, the tag not touching box or rod.`,
    ],
    right: say`Plucked hard, the string does not buzz.`,
    mistake: say`A long tag left lying against the box.`,
    picture: 'inside',
  })
}

export const log: StepMaker = (context) => {
  const { figures, state, position } = context
  const parked = ruleOfTail(context) === 'parked'
  return step({
    key: 'log',
    phase: 'log',
    title: 'Log it',
    todo: state.sameString
      ? [say`Enter the wraps you got. The retuning times follow from that.`]
      : [
          parked
            ? say`If the rest of the packet hangs parked on the neck, leave the cut empty: it is booked when you trim.`
            : say`What is left of the coil goes back in its packet with its tag, closed against air and damp.`,
          windsOnPin(position)
            ? say`Enter what you cut and the wraps you got. The retuning times follow from that.`
            : say`Enter what you cut. The retuning times follow from that.`,
        ],
    figures: state.sameString
      ? []
      : [{ label: 'Worked out to cut', measure: measure('length', figures.cut.total) }],
    right: say`The coil in the stores shows what is really left.`,
    mistake: say`Leaving it for later: the first retune is due within the hour.`,
  })
}
