/**
 * Knots of a loop with a bight put through it: slip loop, slip knot on a toggle.
 */
import type { Polyline } from '../../topology/curve'
import { anchorAt, type AnchorPlace, type TailEnd } from '../tail-end'
import { DOWN, path, quarterTurned } from './path'

/** A first loop that crosses itself, and the working end brought to its right side. */
const ROUND: Polyline = [
  [0, -2.6, -0.9],
  [1.6, -5.4, 0],
  [2.2, -8, 0],
  [0.4, -10.6, 0],
  [-3, -10.4, 0],
  [-4, -7.4, 0],
  [-2.6, -4.2, 0.6],
]
const ACROSS: Polyline = [
  [0, -2.6, 1.1],
  [3.4, -3, 0.4],
  [5.4, -5.4, -0.9],
]
/** A bight of the working end put through the first loop, from behind or from in front; its bend at the given distance. */
const bightThrough = (side: 1 | -1, bend = 11): Polyline => {
  const leg = bend - 2
  return [
    [3.4, -6.6, -2.3 * side],
    [-0.6, -6.4, 0.2 * side],
    [-4.1, -6.2, 1.9 * side],
    [-leg, -6, 1.5 * side],
    [-bend, -7.4, 1.2 * side],
    [-leg, -8.8, 1.5 * side],
    [-4.1, -8.6, 1.9 * side],
    [-0.6, -8.4, 0.2 * side],
    [3.2, -8.4, -2.3 * side],
  ]
}
/** A slip loop without what leads to it: its first loop, the way across, and its bight. */
export const SLIP_LOOP_PIECES: readonly Polyline[] = [ROUND, ACROSS, bightThrough(1)]
const tag = (side: 1 | -1): Polyline => [
  [7.5, -8.8, -side],
  [11, -9.8, -0.6 * side],
  [13.4, -8.8, 0],
  [14, -5.8, 0],
]

/**
 * @param side - 1 puts the bight through from behind, which is right; −1 from in front
 */
export function slipLoop(place: AnchorPlace, side: 1 | -1 = 1): TailEnd {
  const { way, begins, ends } = path(DOWN, ROUND, ACROSS, bightThrough(side), tag(side))
  const [from, toward] =
    side === 1
      ? ['behind', 'so that it comes out toward you']
      : ['in front', 'so that it comes out away from you']
  return {
    fastening: 'slip loop',
    way,
    leads: 'working end',
    onBight: true,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchorAt([-8.3, -7.4, 1.4 * side], 3, place)],
    standingTo: ends[0] + 2,
    tagFrom: begins[4],
    stages: [
      { says: 'Make a loop of the working end: down, round to the left, and up.', reaches: ends[1] },
      {
        says: `Bring it across in front of the standing part, round to the right, and ${side === 1 ? 'behind' : 'in front of'} the loop.`,
        reaches: ends[4],
      },
      {
        says: `Double it into a second loop and put that through the first from ${from}, ${toward}. Leave it standing.`,
        reaches: ends[4],
        bight: [begins[3], ends[3]],
      },
      { says: 'Put the anchor through the standing loop. The tag stays to the right.', reaches: ends[4] },
      {
        says: 'Hold the standing loop, pull the standing part, and the first loop closes on it.',
        reaches: ends[4],
      },
    ],
  }
}

export function slipKnotOnToggle(): TailEnd {
  const turned = (piece: Polyline) => quarterTurned(piece, 1, [0, -7.5], [-1.2, -11.5])
  const enter = turned([[7.5, -8.8, -1]])
  const bight = turned([...bightThrough(1, 9)].reverse())
  const loop = turned([...ROUND, ...ACROSS].reverse())
  const out: Polyline = [
    [-8.6, -11.4, -0.8],
    [-11.6, -12, 0],
    [-13.6, -9.6, 0],
    [-13.2, -6, 0],
    [-10.6, -4.4, 0],
  ]
  const { way, begins, ends } = path(DOWN, enter, bight, loop, out)
  return {
    fastening: 'slip knot on a toggle',
    way,
    leads: 'working end',
    onBight: true,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [
      { kind: 'toggle', at: [-1.3, -18.4, 1.4], axis: [0.5, 0, 0.866], radius: 0.65, half: 3.4, since: 2 },
    ],
    standingTo: ends[1],
    tagFrom: begins[4],
    stages: [
      {
        says: 'Make a loop with the working end behind the standing part, and bring the tag out to the left.',
        reaches: ends[4],
      },
      {
        says: 'Double the standing part into a bight and put it down through the loop, so that it comes out toward you: it slides.',
        reaches: ends[4],
        bight: [begins[2], ends[2]],
      },
      { says: 'Put the toggle through the bight at its middle.', reaches: ends[4] },
      {
        says: 'Hold the tag and pull the standing part: the bight draws up on the toggle, then the loop closes on both.',
        reaches: ends[4],
      },
    ],
  }
}
