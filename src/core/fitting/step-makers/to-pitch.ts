/**
 * Up to pitch and after: tuning, putting back what lay over it, helping it settle, trimming, looking inside, logging.
 */
import { comparedWith, FIFTH, OCTAVE } from '../../instrument/compared-with'
import type { Instrument, StringPosition } from '../../instrument/instrument'
import { theName } from '../../instrument/names'
import { itemAt } from '../../list/item-at'
import { measure, say, type Phrase } from '../../measure'
import { semitoneNumber } from '../../pitch/note'
import { AGES_BY, type Stretching } from '../../settle/stretching'
import { isCutFlush, windsOnPin } from '../head-way'
import { cutterFor, turnerOf, turningOf } from '../hands'
import {
  holdOf,
  inBox,
  numberOf,
  only,
  step,
  strings,
  wired,
  type FittingContext,
  type StepMaker,
} from '../context'
import type { StringFigures } from '../figures'
import type { Step } from '../step'
import { ruleOfTail } from '../tail'

/** Two strings of one wire that differ by less sound one note, as a share. */
const SAME_NOTE = 1e-4

/** The strings that have a note of their own: of two that sound one note the first stands for both. */
function ownNotes({ figures: { strings: all } }: FittingContext): readonly StringFigures[] {
  return all.filter(
    (one, i) => all.findIndex((other) => Math.abs(other.pitch / one.pitch - 1) < SAME_NOTE) === i,
  )
}

export const toPitch: StepMaker = (context) => {
  const first = only(context)
  const feet = holdOf(context) === 'foot'
  const { pin } = first.position.head
  const { name, turn, seenFrom } = turnerOf(pin)
  const { strings: all } = context.figures
  const notes = ownNotes(context)
  const several = notes.length > 1
  return step({
    key: 'to-pitch',
    phase: 'tune',
    title: feet ? 'Up to pitch with the peg' : 'Up to pitch',
    todo: feet
      ? pegTodo(context)
      : [
          say`${turn} ${pin.tightens}, ${seenFrom}.`,
          say`Bring ${all.length > 1 ? 'each string' : 'it'} to a low, clear note.`,
          ...notes.flatMap((one) => [
            ...(several ? [say`Now string ${numberOf(one.position)}.`] : []),
            ...compareSentences(context, one.position),
          ]),
          ...(several ? [say`Go from one to the other by turns until both stay.`] : []),
          say`Then the tuner. Never guess upward.`,
          ...pluckSentences(context),
          say`It falls straight away. Tune it again.`,
          ...(holdOf(context) === 'posts' ? [say`Give it a day to settle.`] : []),
          ...spacingSentence(context),
        ],
    figures: feet
      ? [{ label: 'Pitch', measure: measure('frequency', first.pitch) }]
      : notes.flatMap((one) => pitchFigures(one, name, several)),
    others: feet
      ? [
          { label: 'One turn draws', measure: measure('length', first.drawnPerTurn) },
          {
            label: 'One semitone draws',
            measure: measure('length', (first.key.perSemitone / 360) * first.drawnPerTurn),
          },
          { label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) },
        ]
      : [
          { label: 'One semitone', measure: measure('angle', first.key.perSemitone) },
          { label: 'From pitch to breaking', measure: measure('angle', first.key.toBreaking) },
          { label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) },
        ],
    right: feet
      ? say`The other strings of this foot have not moved, or are tuned again.`
      : say`The pitch follows ${name}. Nothing creaks or jumps.`,
    mistake: feet
      ? say`Turning a peg that is at its stop: the cord tears. Wrap the foot again.`
      : say`Turning on when the pitch does not rise: the string is caught somewhere.`,
    turning: turningOf(pin, 'tightens'),
    picture: 'key',
    asks: 'cents',
  })
}

/** Each half of a wire has its own pitch and its own key angle. */
const pitchFigures = (one: StringFigures, name: string, several: boolean): Step['figures'] => {
  const of = several ? `, string ${numberOf(one.position)}` : ''
  return [
    { label: `Pitch${of}`, measure: measure('frequency', one.pitch) },
    { label: `Turn ${name} from snug${of}`, measure: measure('angle', one.key.snugToPitch) },
  ]
}

/** The hand that plucks also steadies itself; the other never leaves the key. */
function pluckSentences({ habits, position }: FittingContext): readonly Phrase[] {
  const plucks = habits.hand === 'right' ? 'left' : 'right'
  return [
    say`Pluck with the second finger of your ${plucks} hand.`,
    say`Rest that hand’s own thumb on a neighbouring string.`,
    say`Your ${habits.hand} hand stays on ${turnerOf(position.head.pin).name}.`,
  ]
}

/** A bridge without notches leaves the spacing to the eye. Where nobody said what the bridge is like, it is said with an if. */
function spacingSentence(context: FittingContext): readonly Phrase[] {
  const hold = holdOf(context)
  switch (context.position.tail.bearing) {
    case 'plain bridge':
      return [say`When all are on, slide it to even spacing by eye.`]
    case null:
      return hold === 'loop' || hold === 'posts'
        ? [say`Has the bridge no notches? Slide it to even spacing by eye.`]
        : []
    case 'saddle':
    case 'notched bridge':
      return []
  }
}

/** What it is brought up against: the string below and its octave below, or what lies above where there is none. */
function compareSentences({ instrument: { positions }, habits }: FittingContext, position: StringPosition) {
  const { below, above, at } = comparedWith(positions, position)
  const named = (p: StringPosition) => theName(p, habits.octaveNames)
  if (below) {
    const octave = at(-OCTAVE)
    return [
      say`Match the string below, ${named(below)}, then go on up to pitch.`,
      ...(octave ? [say`Compare it with its octave below, ${named(octave)}.`] : []),
    ]
  }
  const octave = at(OCTAVE)
  const fifth = at(FIFTH)
  const told = octave
    ? say`Compare it with its octave above, ${named(octave)}.`
    : fifth
      ? say`Compare it with the fifth above, ${named(fifth)}.`
      : above
        ? say`Compare it with the string above, ${named(above)}.`
        : null
  return told === null
    ? [say`No other string helps here. Go by the tuner.`]
    : [say`No string is lower.`, told]
}

const INTERVALS: Readonly<Record<number, string>> = {
  1: 'half a tone',
  2: 'tone',
  3: 'minor third',
  4: 'major third',
  5: 'fourth',
  7: 'fifth',
}
/** More intervals than this are not kept in mind. */
const MOST_INTERVALS = 6

/** The intervals from the lowest string up, as they are tuned by ear; nothing where they are too many, or no such steps. */
function intervalsUp({ positions }: Instrument): readonly Phrase[] {
  const up = positions.map(({ note }) => semitoneNumber(note)).sort((a, b) => a - b)
  const steps = up.slice(1).map((pitch, i) => INTERVALS[pitch - itemAt(up, i)])
  if (steps.length === 0 || steps.length > MOST_INTERVALS || steps.some((step) => step === undefined))
    return []
  return [say`From the lowest: ${steps.join(', ')}.`]
}

/** Silk breaks sooner than metal, which is tuned a fourth above it. */
function pegTodo(context: FittingContext): readonly Phrase[] {
  const { pin } = only(context).position.head
  const { turn, seenFrom } = turnerOf(pin)
  return [
    say`${turn} ${pin.tightens}, ${seenFrom}, in small steps.`,
    say`Go through once from the lowest layer to the highest, roughly, by intervals.`,
    ...intervalsUp(context.instrument),
    say`Then go through exactly, by harmonics.`,
    say`For a low string, touch it at its half and listen there.`,
    ...(wired(context) && context.figures.construction.kind === 'wound'
      ? [say`A metal set is tuned a fourth higher. Silk would break there.`]
      : []),
  ]
}

export const putBack: StepMaker = (context) => {
  const { above, state } = context
  if (above.length === 0 || state.redoesAbove) return null
  const back = [...above].reverse()
  const feet = holdOf(context) === 'foot'
  const many = back.length > 1
  return step({
    key: 'put-back',
    phase: 'wind',
    title: 'Put back what was over it',
    todo: feet
      ? [
          say`Wrap ${strings(back)} on the foot again${many ? ', the lower first' : ''}.`,
          say`Pull ${many ? 'each' : 'it'} hard, to a few semitones below pitch.`,
          say`Tune ${many ? 'them' : 'it'} again after this string. What was loosened settles once more.`,
        ]
      : [
          say`Lay ${strings(back)} back over it${many ? ', in that order' : ''}.`,
          say`Put ${many ? 'each into its slot' : 'it into its slot'} and take up the slack.`,
          say`Tune ${many ? 'them' : 'it'} again after this string. What was loosened settles once more.`,
        ],
    right: feet
      ? say`The layers press each other tight. None rides up.`
      : say`Each string comes off its pin where it did before.`,
    mistake: many
      ? say`Laying them back in another order than the reverse of how they came off.`
      : feet
        ? say`Wrapping it slack: its layer never presses tight, and slips.`
        : say`Leaving it out of its slot: it buzzes.`,
    picture: feet ? 'foot' : 'off',
  })
}

interface Stretch {
  readonly title: string
  readonly how: readonly Phrase[]
  readonly costs: Phrase
  readonly mistake: Phrase
}

/** Each way of helping it settle: how it is done, and what it costs. None is wrong. */
const STRETCHES: Readonly<Record<Exclude<Stretching, 'leave it alone'>, Stretch>> = {
  'gentle pulls': {
    title: 'Draw it gently',
    how: [say`Pull the string gently along its length, from one end to the other.`],
    costs: say`It costs the string little.`,
    mistake: say`Pulling sideways at one place: it thins there.`,
  },
  'bending aside': {
    title: 'Bend it aside',
    how: [say`Bend the string aside by a finger’s breadth, here and there along its length.`],
    costs: say`It costs the string a little of its life.`,
    mistake: say`Bending it at one place each time: it thins there.`,
  },
  'rubbing warm': {
    title: 'Rub it warm',
    how: [say`Rub the string along its length with a cloth until it is warm.`, say`Let it cool.`],
    costs: say`It costs the string a little of its life, and gut its varnish.`,
    mistake: say`Bringing it to pitch while it is warm: it goes sharp as it cools.`,
  },
  'big sideways motions': {
    title: 'Move it far aside',
    how: [say`Pull the string from the board to far out and back, some ten times.`],
    costs: say`It costs some of the string’s life. Keep it for a break in the interval.`,
    mistake: say`Doing it to a string that has weeks to settle.`,
  },
}

export const stretch: StepMaker = (context) => {
  const { habits } = context
  if (habits.stretching === 'leave it alone' || wired(context)) return null
  const { title, how, costs, mistake } = STRETCHES[habits.stretching]
  const { settlingAfter } = only(context).key
  const cycles = settlingAfter.length - 1
  const saves = Math.max(0, itemAt(settlingAfter, 0) - itemAt(settlingAfter, cycles))
  const { name } = turnerOf(only(context).position.head.pin)
  return step({
    key: 'stretch',
    phase: 'tune',
    title,
    todo: [
      ...how,
      say`Bring it back to pitch. Do this ${measure('number', cycles)} times.`,
      say`Each counts as ${measure('number', AGES_BY[habits.stretching])} times the waiting.`,
      costs,
    ],
    figures: [{ label: `Saves turning ${name}, in two weeks`, measure: measure('angle', saves) }],
    others: [{ label: 'Left alone it would take', measure: measure('angle', itemAt(settlingAfter, 0)) }],
    right: say`Each time it falls by less.`,
    mistake,
    picture: 'pulls',
    asks: 'cycles',
  })
}

/** What stands out of the hole once it is trimmed, m. */
const STUB = 6e-3
const WHEN = {
  'at once': 'now',
  'after hours': 'in a few hours',
  'after settling': 'in a week or two',
} as const

export const trim: StepMaker = (context) => {
  const { habits, state, position, figures } = context
  // A string cut on the instrument is wound with its end flush in the hole, an S is snipped before it is wound, and what goes on again was trimmed long ago.
  const flush = isCutFlush(position, habits) && !state.sameString
  const snipped = only(context).head === 'kinked both sides'
  if (holdOf(context) === 'foot' || flush || snipped || state.forPractice) return null
  const cutter = cutterFor(figures.construction)
  const parked = ruleOfTail(context) === 'parked'
  const stub = [{ label: 'Stub', measure: measure('length', STUB) }]
  const common = { key: 'trim', phase: 'after', picture: 'stub' } as const
  if (wired(context) && figures.construction.kind === 'plain')
    return step({
      ...common,
      title: figures.strings.length > 1 ? 'Trim both ends' : 'Trim the end',
      todo: [
        say`Hold the end in pliers, so that it can’t fly.`,
        say`Cut it close with ${cutter}.`,
        say`Bend the sharp bit down and in.`,
        ...(figures.strings.length > 1 ? [say`Do the same at the other pin.`] : []),
      ],
      right: say`No end stands out where a hand can catch on it.`,
      mistake: say`Leaving the cut end up: it is as sharp as a needle.`,
    })
  if (wired(context))
    return step({
      ...common,
      title: 'Trim the end',
      todo: [say`Hold the end in pliers and cut it with ${cutter}.`, say`Bend the stub in.`],
      figures: stub,
      right: say`The winding ends on the pin and does not come loose.`,
      mistake: say`Cutting into the winding: it unwinds along the string.`,
    })
  return step({
    ...common,
    title: parked ? 'Park the tail' : 'Trim the tail',
    todo: parked
      ? [
          say`Fold the tail and lay it behind the neck.`,
          say`Trim it ${WHEN[habits.tailTrim]}, with ${cutter}.`,
          say`Leave a stub that points in toward the neck.`,
          say`Today reminds you. You enter the rest of the packet then.`,
        ]
      : [
          say`Trim the tail ${WHEN[habits.tailTrim]}, with ${cutter}.`,
          say`Leave a stub that points in toward the neck.`,
          say`What is long enough goes back in its packet.`,
        ],
    figures: stub,
    right: say`No end stands out where a hand or a string can catch on it.`,
    mistake: say`Trimming so short that the end can pull out of the hole.`,
  })
}

export const lookInside: StepMaker = (context) => {
  if (!inBox(context)) return null
  return step({
    key: 'look-inside',
    phase: 'after',
    title: 'Look inside',
    todo: [
      say`Shine a light through the access hole. The knot sits against the board.`,
      ...(context.figures.needsAnchor ? [say`The anchor lies level.`] : []),
      say`The tag touches neither box nor rod. A long tag is trimmed.`,
    ],
    right: say`Plucked hard, the string does not buzz.`,
    mistake: say`A long tag left lying against the box: it buzzes.`,
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
            ? say`Does the rest of the packet hang on the neck? Leave the cut empty.`
            : say`Put the rest of the coil back in its packet, with its tag. Close it.`,
          windsOnPin(position) ? say`Enter what you cut and the wraps you got.` : say`Enter what you cut.`,
          say`The retuning times follow from that.`,
        ],
    figures: state.sameString
      ? []
      : [{ label: 'Predicted cut', measure: measure('length', figures.cut.total) }],
    right: state.sameString
      ? say`The string stands on its place again.`
      : say`Stock shows what is really left of the coil.`,
    mistake: say`Leaving it for later: the first retune is due within the hour.`,
  })
}
