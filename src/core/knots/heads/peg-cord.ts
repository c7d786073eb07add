/**
 * A peg's cord that takes hold of a string by its stopper loop: two pieces, the string and the cord.
 */
import { resample, smooth, type Polyline } from '../topology/curve'
import type { TyingState } from '../tails/state'
import { quarterTurned } from '../tails/ways/path'
import { SLIP_LOOP_PIECES } from '../tails/ways/slip-loops'

const turned = (piece: Polyline) => quarterTurned(piece, -1, [0, -7.5], [0, -6])
const STRING: Polyline = [
  [7.6, -20, 0],
  [7.4, -14, 0],
  [7.2, -8.6, -0.4],
  ...turned(SLIP_LOOP_PIECES.flat()),
  [-1.6, -13.4, -1],
  [-2.6, -17, 0],
  [-2.8, -20, 0],
]
/** From the peg in front of the loop, through it, and up again behind. */
const CORD: Polyline = [
  [-1.4, 13, 3.4],
  [-1, 9.5, 3.6],
  [-0.4, 6, 3.6],
  [0, 3.8, 3],
  [0.1, 3, 1.4],
  [0.2, 3.6, -0.6],
  [0.6, 6.4, -1],
  [1.2, 9.5, -0.6],
  [1.6, 13, 0],
]

const STRING_LAID = resample(smooth(STRING, 12), 220)
const CORD_LAID = smooth(CORD, 12)

export const PEG_CORD_STAGES: readonly { readonly says: string }[] = [
  { says: 'Tie a small stopper loop at the string’s end: a slip loop, its bight toward the peg.' },
  { says: 'Pass the peg’s cord through the stopper loop, from in front, and back up to the peg.' },
  {
    says: 'Turn the peg until the cord is drawn up and the stopper loop is caught. Look at it again while the foot is wrapped.',
  },
]

/** How string and cord lie when so many stages are done. */
export function pegCordState(at: number): TyingState {
  const laid = Math.min(1, Math.max(0, at - 1))
  // The peg draws both up by the cord.
  const up = 1.6 * Math.min(1, Math.max(0, at - 2))
  const raised = (curve: Polyline): Polyline => curve.map(([x, y, z]) => [x, y + up, z])
  const shown = at < 1 ? STRING_LAID.slice(0, Math.max(2, Math.round(at * STRING_LAID.length))) : STRING_LAID
  return {
    curve: raised(shown),
    cord: at <= 1 ? null : raised(CORD_LAID.slice(0, Math.max(2, Math.round(laid * CORD_LAID.length)))),
    parts: shown.map((_, i) => (i < 40 ? 'standing part' : i > 190 ? 'tag' : 'working end')),
    fresh: at <= 1 ? [0, shown.length - 1] : [0, 0],
    fixtures: [{ kind: 'tuning pin', at: [0, 14.4, 1.6], axis: [1, 0, 0], radius: 1.6, half: 7, since: 0 }],
    leads: 'working end',
    whole: true,
  }
}
