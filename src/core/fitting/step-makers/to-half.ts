/** Half way up: all new strings of a go, or of a bare instrument, before any goes on to its pitch. */
import { measure, say } from '../../measure'
import { holdOf, only, step, type StepMaker } from '../context'
import { turnerOf } from '../hands'

export const toHalf: StepMaker = (context) => {
  const { restring } = context.state
  if (restring === null) return null
  if (holdOf(context) === 'foot') return roughly(context)
  const { strings: all } = context.figures
  const { pitch, key, position } = only(context)
  const { name } = turnerOf(position.head.pin)
  return step({
    key: 'to-half',
    phase: 'half',
    title: 'Up to half its pitch',
    todo: [
      say`Bring ${all.length > 1 ? 'each string' : 'it'} up to ${measure('frequency', pitch / 2)}, the octave below its pitch: from snug ${measure('angle', key.snugToHalf)} of ${name}.`,
      restring === 'from bare'
        ? say`Bring up no string further before all that are on stand so: the frame takes its load little by little.`
        : say`Bring up none of this go further before all of it stands so.`,
      say`It pulls a quarter of what it will. You may leave it so overnight.`,
    ],
    figures: [
      { label: 'Half its pitch', measure: measure('frequency', pitch / 2) },
      { label: 'Snug to there', measure: measure('angle', key.snugToHalf) },
    ],
    right: say`It gives a low, dull note, and its wraps lie where they should.`,
    mistake: say`Leaving it slack overnight: wraps and knots come loose.`,
    picture: 'key',
  })
}

/** A layered foot is tuned roughly from its lowest layer up before any of it is tuned exactly: each layer presses those below it. */
const roughly: StepMaker = (context) => {
  const { pitch } = only(context)
  return step({
    key: 'to-half',
    phase: 'half',
    title: 'Roughly to pitch',
    todo: [
      say`From the lowest layer up: turn the peg by hand until it is within a semitone of ${measure('frequency', pitch)}, then go on to the next.`,
      say`Tune none exactly yet. Each layer that tightens presses those below it, and they move.`,
    ],
    figures: [{ label: 'Pitch', measure: measure('frequency', pitch) }],
    right: say`Plucked while you turn, it sounds clear: no layer has slipped.`,
    mistake: say`Tuning the lowest exactly at once: it must be done again after every layer.`,
    picture: 'key',
  })
}
