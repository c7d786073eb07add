/**
 * The steps of a string that is knotted through a peg's cord at one end and wrapped on a layered foot at the other.
 */
import { layersOver } from '../instrument/layers'
import { measure, say } from '../measure'
import { listed, only, plain, type FittingContext } from './context'
import type { Step } from './step'

export function knotInCord(context: FittingContext): Step {
  return {
    ...plain,
    key: 'peg-cord',
    title: 'Catch it in the peg’s cord',
    todo: [
      say`Tie the small stopper loop at the string’s end and pass it through the cord of its peg. The cord stays on the peg: its length sets the stop.`,
      say`Bring the string over the bridge and along the board to its foot. It takes ${measure('length', context.figures.cut.total)} in all.`,
    ],
    figures: [{ label: 'Cut from the coil', measure: measure('length', context.figures.cut.total) }],
    right: say`The stopper loop sits square in the cord and cannot be drawn through.`,
    mistake: say`Losing the stopper loop while wrapping: look at it again each time you shift your grip.`,
    picture: 'cut',
  }
}

export function wrapFoot({ instrument, position }: FittingContext): Step {
  const above = layersOver(instrument, position)
  return {
    ...plain,
    key: 'wrap-foot',
    title: 'Wrap it on its foot',
    todo: [
      say`Wind a cloth round your hand and pull the string down hard toward its foot, to somewhat below pitch: by no more than the peg can bring up.`,
      say`Lay the first turns on the foot close to the board and under full pull, the later ones over them, and tuck the end under.`,
      ...(above.length > 0 ? [say`Then ${above.length > 1 ? 'strings' : 'string'} ${listed([...above].reverse().map((p) => String(p.number)))} go back over it, in that order.`] : []),
    ],
    right: say`The turns lie tight and the string holds its pitch when you let go.`,
    mistake: say`Wrapping it at pitch or above: it cannot be let down once other layers press it tight.`,
    caution: 'Silk and wire cut under such a pull: wear gloves or use a cloth.',
  }
}

export function bringUp(context: FittingContext): Step {
  const first = only(context)
  return {
    ...plain,
    key: 'to-pitch',
    title: 'Up to pitch with the peg',
    todo: [
      say`Turn the peg by small steps to ${measure('frequency', first.pitch)}, roughly from the lowest layer up, then exactly, by harmonics.`,
      say`One semitone lengthens the string by little: one turn of the peg draws ${measure('length', first.drawnPerTurn)}.`,
    ],
    figures: [{ label: 'Semitones to breaking', measure: measure('semitones', first.semitonesToBreaking) }],
    right: say`The other strings of this foot have not moved, or are tuned again.`,
    mistake: say`Turning a peg that is at its stop: the cord tears. Wrap the foot again instead.`,
    caution: first.utilisation > 0.75 ? 'This string stands close to its breaking pitch: keep your face away from its line.' : null,
  }
}
