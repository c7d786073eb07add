/**
 * Up to pitch and after: tuning, putting back what lay over it, helping it settle, trimming, looking inside, logging.
 */
import { measure, say, type Phrase } from '../../measure'
import { coreMaterial } from '../../strings/construction'
import { windsOnPin } from '../head-way'
import { holdOf, inBox, only, step, strings, wired, type FittingContext, type StepMaker } from '../context'

export const toPitch: StepMaker = (context) => {
  const { strings: all } = context.figures
  const first = only(context)
  const feet = holdOf(context) === 'foot'
  return step({
    key: 'to-pitch', phase: 'tune',
    title: feet ? 'Up to pitch with the peg' : 'Up to pitch',
    todo: feet ? pegTodo(context) : [
      say`Bring ${all.length > 1 ? 'each string' : 'it'} to a low, clear note. Snug to pitch is ${measure('angle', first.key.snugToPitch)} of the key.`,
      say`Level with the string below, then its octave below, then the tuner: ${measure('frequency', first.pitch)}. Never guess upward.`,
      say`One semitone is ${measure('angle', first.key.perSemitone)} of the key here; from pitch to breaking, ${measure('angle', first.key.toBreaking)}.`,
    ],
    figures: [
      ...(feet ? [] : [{ label: 'Snug to pitch', measure: measure('angle', first.key.snugToPitch) }, { label: 'One semitone', measure: measure('angle', first.key.perSemitone) }]),
      { label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) },
    ],
    right: feet ? say`The other strings of this foot have not moved, or are tuned again.` : say`The pitch follows the key; nothing creaks or jumps.`,
    mistake: feet ? say`Turning a peg that is at its stop: the cord tears. Wrap the foot again instead.` : say`Turning on when the pitch does not rise: look for the string caught short of its groove.`,
    picture: 'key',
    asks: 'cents',
  })
}

function pegTodo(context: FittingContext): readonly Phrase[] {
  const first = only(context)
  return [
    say`Turn the peg by small steps to ${measure('frequency', first.pitch)}, roughly from the lowest layer up, then exactly, by harmonics.`,
    say`One semitone lengthens the string by ${measure('length', (first.key.perSemitone / 360) * first.drawnPerTurn)}; one turn of the peg draws ${measure('length', first.drawnPerTurn)}.`,
  ]
}

export const putBack: StepMaker = (context) => {
  const { above, state } = context
  if (above.length === 0 || state.redoesAbove) return null
  const back = [...above].reverse()
  const feet = holdOf(context) === 'foot'
  return step({
    key: 'put-back', phase: 'wind',
    title: 'Put back what lay over it',
    todo: [
      feet
        ? say`Wrap ${strings(back)} on the foot again${back.length > 1 ? ', in that order, each' : ','} pulled down hard to somewhat below pitch.`
        : say`Lay ${strings(back)} back over it${back.length > 1 ? ' in that order' : ''}, into ${back.length > 1 ? 'their' : 'its'} slots, and take up the slack.`,
      say`Tune ${back.length > 1 ? 'them' : 'it'} again after this string: what was loosened settles once more.`,
    ],
    right: feet ? say`The layers press each other tight; none rides up.` : say`Each string comes off its pin where it did before.`,
    mistake: say`Another order than the one they came off in, reversed.`,
    picture: feet ? 'foot' : 'off',
  })
}

export const stretch: StepMaker = (context) => {
  const { habits, figures } = context
  if (habits.stretching === 'leave it alone' || wired(context) || coreMaterial(figures.construction).wire) return null
  const gentle = habits.stretching === 'gentle pulls'
  return step({
    key: 'stretch', phase: 'tune',
    title: gentle ? 'Draw it gently' : 'Pluck it in',
    todo: [
      gentle ? say`Pull the string gently along its length three or four times, and bring it back to pitch.` : say`Pluck it hard for a minute, and bring it back to pitch. It costs some of the string’s life: for a show, not as routine.`,
      say`Over two weeks it settles by another ${measure('angle', only(context).key.settling)} of the key, whatever you do now.`,
    ],
    figures: [{ label: 'Settling will take', measure: measure('angle', only(context).key.settling) }],
    right: say`Each time it falls by less.`,
    mistake: gentle ? say`Pulling sideways at one place: it thins there.` : say`Doing it to a string that has weeks to settle.`,
    picture: 'pulls',
  })
}

const WHEN = { 'at once': 'Now', 'after hours': 'In a few hours', 'after settling': 'Once it has settled, in a week or two' } as const

export const trim: StepMaker = (context) => {
  const { habits, state } = context
  // A string cut on the instrument is wound with its end flush in the hole; a wire with two pins has two ends to see to.
  const flush = habits.cutting === 'on the instrument, then wind' && !state.sameString && holdOf(context) !== 'posts'
  if (holdOf(context) === 'foot' || flush) return null
  return step({
    key: 'trim', phase: 'after',
    title: 'Trim the tail',
    todo: [
      wired(context)
        ? say`Cut the end close now, and bend it in.`
        : say`${WHEN[habits.tailTrim]}, cut the tail to a short stub that points in toward the neck.${habits.tailTrim === 'at once' ? '' : ' Park it on the far side of the neck until then.'}`,
    ],
    right: say`No end stands out where a hand or another string can catch on it.`,
    mistake: say`Trimming so short that the becket can pull out of the hole.`,
    picture: 'stub',
  })
}

export const lookInside: StepMaker = (context) => {
  if (!inBox(context)) return null
  return step({
    key: 'look-inside', phase: 'after',
    title: 'Look inside',
    todo: [say`With a light through the access hole: the knot against the board, what it rests on level, the tag not touching box or rod.`],
    right: say`Plucked hard, the string does not buzz.`,
    mistake: say`A long tag left lying against the box.`,
    picture: 'inside',
  })
}

export const log: StepMaker = ({ figures, state, position }) => step({
  key: 'log', phase: 'log',
  title: 'Log it',
  todo: state.sameString ? [say`Enter the wraps you got. The retuning times follow from that.`] : [
    say`What is left of the coil goes back in its packet with its tag, closed against air and damp.`,
    windsOnPin(position) ? say`Enter what you cut and the wraps you got. The retuning times follow from that.` : say`Enter what you cut. The retuning times follow from that.`,
  ],
  figures: state.sameString ? [] : [{ label: 'Worked out to cut', measure: measure('length', figures.cut.total) }],
  right: say`The coil in the stores shows what is really left.`,
  mistake: say`Leaving it for later: the first retune is due within the hour.`,
})
