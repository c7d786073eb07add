/**
 * The slip loop: a first loop, an ear of the short end beside it, and the ear put through from behind. As it hangs: the long
 * part comes from above.
 */
import { tailEndOf } from '../tails/tail-ends'
import type { AnchorPlace } from '../tails/tail-end'
import type { Polyline } from '../topology/curve'
import { left, right, type Film } from './move'
import { sections, straight, type Pose } from './pose'

/** The long part, the first loop up to its crossing, what leads to the ear, the ear, the end. */
const COUNTS = [24, 90, 24, 100, 40]
const [LONG, FIRST, EAR, END] = [0, 1, 3, 4]
/** The way's points where each section begins. */
const BEGINS = [3, 11, 13, 22]

const DOWN: Polyline = [
  [0, 12, 0],
  [0, 6, 0],
  [0, 1, 0],
]
const NOTHING_LAID: Pose = [
  DOWN,
  straight([0, -2.6, 0], [0, -16, 0], 8),
  straight([0, -18, 0], [0, -20, 0], 2),
  straight([0, -22, 0], [0, -38, 0], 9),
  straight([0, -40, 0], [0, -48, 0], 4),
]
/** Bent back upward on the left, nothing crossed yet. */
const BENT: Pose = [
  DOWN,
  [
    [0.2, -2.6, -0.4],
    [1.6, -5.4, 0],
    [2.2, -8, 0],
    [0.4, -10.6, 0],
    [-3, -10.4, 0],
    [-4, -7.4, 0.3],
    [-3.8, -4.2, 0.8],
    [-4, -2, 1.2],
  ],
  straight([-4.6, 0, 1.4], [-5.2, 2, 1.6], 2),
  straight([-6, 4, 2], [-13, 18, 2], 9),
  straight([-14, 20, 2], [-18, 28, 2], 4),
]
/** The short end on its way across, in front of the long part. */
const CROSSING: Pose = [
  DOWN,
  [
    [0, -2.6, -0.9],
    [1.6, -5.4, 0],
    [2.2, -8, 0],
    [0.4, -10.6, 0],
    [-3, -10.4, 0],
    [-4, -7.4, 0.2],
    [-3, -4.2, 1.4],
    [-1.4, -2, 3],
  ],
  straight([0.4, -0.4, 4], [2, 1, 4.4], 2),
  straight([4, 2.6, 4.6], [16, 10, 4.6], 9),
  straight([18, 11.4, 4.6], [26, 17, 4.6], 4),
]

const EAR_BESIDE: Polyline = [
  [9, -5.2, 0],
  [11, -4, 0],
  [13.4, -3.6, 0],
  [15.6, -4.6, 0],
  [16.4, -6.6, 0],
  [15.4, -8.4, 0],
  [13.2, -9.2, 0],
  [11, -9, 0],
  [8.6, -9.4, 0],
]
const EAR_AWAY: Polyline = [
  [6, -5.6, -1.5],
  [6.5, -5.6, -3],
  [7, -5.8, -5],
  [7.2, -6.2, -7],
  [7.2, -7.2, -8],
  [7.2, -8.2, -7],
  [7, -8.6, -5],
  [6.5, -8.8, -3],
  [6, -9, -1.5],
]
const EAR_BEHIND: Polyline = [
  [3.6, -6.4, -2.6],
  [2.6, -6.3, -3],
  [1.4, -6.4, -3.2],
  [0.2, -6.6, -3.2],
  [-0.6, -7.4, -3.2],
  [0.2, -8.2, -3.2],
  [1.4, -8.5, -3.2],
  [2.6, -8.6, -3],
  [3.6, -8.6, -2.6],
]
const EAR_BETWEEN: Polyline = [
  [3.4, -6.6, -2.3],
  [2, -6.5, -1.6],
  [0.6, -6.4, -0.6],
  [-0.6, -6.5, 0.4],
  [-1.6, -7.4, 1.2],
  [-0.6, -8.3, 0.4],
  [0.6, -8.4, -0.6],
  [2, -8.4, -1.6],
  [3.2, -8.4, -2.3],
]
const EAR_OVER: Polyline = [
  [3.4, -6.6, -2.3],
  [1.4, -6.5, -1.2],
  [-0.6, -6.4, 0.6],
  [-2.6, -6.4, 2.4],
  [-4, -7.4, 3],
  [-2.6, -8.5, 2.4],
  [-0.6, -8.4, 0.6],
  [1.4, -8.4, -1.2],
  [3.2, -8.4, -2.3],
]

export function slipLoopFilm(place: AnchorPlace): Film {
  const done = sections(tailEndOf('slip loop', place).way, BEGINS)
  const [long, first, lead, , end] = done as readonly [Polyline, Polyline, Polyline, Polyline, Polyline]
  const across: Pose = [
    long,
    first,
    straight([3.4, -3, 0.4], [5.4, -3.4, 0.2], 2),
    straight([7.5, -3.8, 0], [24, -6, 0], 9),
    straight([26, -6.4, 0], [34, -7.4, 0], 4),
  ]
  const eared: Pose = [
    long,
    first,
    [
      [3.4, -3, 0.4],
      [6.4, -4, 0],
    ],
    EAR_BESIDE,
    [
      [8, -11.4, 0],
      [10.4, -12.8, 0],
      [13.4, -12.4, 0],
      [15.4, -11, 0],
    ],
  ]
  const ear = (piece: Polyline): Pose => [long, first, lead, piece, end]
  const pinch = left('thumb and finger', { section: FIRST, share: 0.86 })
  const holdsEar = right('thumb and finger', { section: EAR, share: 0.5 })
  return {
    counts: COUNTS,
    lies: 'as hung',
    lays: [
      {
        poses: [NOTHING_LAID, BENT, CROSSING, across],
        holds: [right('thumb and finger', { section: END, share: 0.5 })],
      },
      { poses: [], holds: [pinch] },
      { poses: [eared], holds: [pinch, holdsEar] },
      {
        poses: [ear(EAR_AWAY), ear(EAR_BEHIND), ear(EAR_BETWEEN), ear(EAR_OVER), done],
        holds: [pinch, holdsEar],
      },
      { poses: [], holds: [left('thumb and finger', { section: EAR, share: 0.5 })] },
    ],
    anchored: [
      { poses: [], holds: [left('thumb and finger', { section: EAR, share: 0.5 })] },
      {
        poses: [],
        drawsDown: true,
        holds: [right('pulls', { section: LONG, share: 0.5 })],
      },
      { poses: [], holds: [] },
    ],
    draws: [],
  }
}
