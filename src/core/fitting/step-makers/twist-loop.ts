/** A loop twisted at the end of a wire that came without one. */
import { measure, say } from '../../measure'
import { step, type StepMaker } from '../context'

export const twistLoop: StepMaker = ({ figures: { twist }, state }) => {
  if (!twist || state.sameString) return null
  return step({
    key: 'twist-loop',
    phase: 'in',
    title: 'Twist the loop',
    todo: [
      say`Put on eye protection.`,
      say`Bend the wire back round a rod, this far from its end.`,
      say`Hold the two legs apart with pliers, at a right angle.`,
      say`Turn the rod ${measure('turns', twist.openTurns)}. Both legs must cross at the same slope.`,
      say`Wind the short leg round the string ${measure('turns', twist.closeTurns)}, each turn close to the last.`,
      say`Hold the short end in pliers and cut it off close. Slip the rod out.`,
    ],
    figures: [
      { label: 'Bend it at', measure: measure('length', twist.bendAt) },
      { label: 'Rod', measure: measure('length', twist.eye) },
    ],
    right: say`Both legs wind round each other alike, like a rope.`,
    mistake: say`Winding one leg round a straight one: the eye draws shut under tension.`,
    picture: 'twist',
  })
}
