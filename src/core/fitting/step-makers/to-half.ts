/** Half way up: all new strings of a stage, or of a bare instrument, before any goes on to its pitch. */
import { measure, say } from '../../measure'
import { holdOf, inBox, only, step, type StepMaker } from '../context'
import { looser, turnerOf, turningOf } from '../hands'

export const toHalf: StepMaker = (context) => {
  const { restring } = context.state
  if (restring === null) return null
  if (holdOf(context) === 'foot') return roughly(context)
  const { strings: all } = context.figures
  const { pitch, key, position } = only(context)
  const { name, turn, seenFrom } = turnerOf(position.head.pin)
  return step({
    key: 'to-half',
    phase: 'half',
    title: 'Up to half its pitch',
    todo: [
      say`${turn} ${position.head.pin.tightens}, ${seenFrom}.`,
      say`Bring ${all.length > 1 ? 'each string' : 'it'} up to the octave below its pitch.`,
      restring === 'from bare'
        ? say`Stop there until every string that is on has come so far.`
        : say`Stop there until every string of this stage has come so far.`,
      ...(restring === 'from bare' && inBox(context)
        ? [say`Stretch it once by hand. Look whether its knot slipped.`]
        : []),
      say`It pulls a quarter of what it will. It may stay so overnight.`,
    ],
    figures: [
      { label: 'Half its pitch', measure: measure('frequency', pitch / 2) },
      { label: `Turn ${name} from snug`, measure: measure('angle', key.snugToHalf) },
    ],
    right: say`It gives a low, clear note. Its wraps lie where they should.`,
    mistake: say`Leaving it slack overnight: wraps and knots come loose.`,
    turning: turningOf(position.head.pin, 'tightens'),
    picture: 'key',
  })
}

/** A layered foot is tuned roughly from its lowest layer up before any of it is tuned exactly: each layer presses those below it. */
const roughly: StepMaker = (context) => {
  const { pitch, position } = only(context)
  const { pin } = position.head
  return step({
    key: 'to-half',
    phase: 'half',
    title: 'Roughly to pitch',
    todo: [
      say`Begin with the lowest layer and work up.`,
      say`${turnerOf(pin).turn} ${pin.tightens}, ${turnerOf(pin).seenFrom}. Stop within a semitone.`,
      say`Tune none exactly yet. Each layer that tightens presses those below it.`,
      say`Too high? Turn it back, ${looser(pin)}.`,
    ],
    figures: [{ label: 'Pitch', measure: measure('frequency', pitch) }],
    right: say`Plucked while you turn, it sounds clear. No layer has slipped.`,
    mistake: say`Tuning the lowest exactly now: you do it again after every layer.`,
    turning: turningOf(pin, 'tightens'),
    picture: 'key',
  })
}
