/**
 * Knots of loops that are laid and put over one another, pose by pose: the families of two loops and of three.
 */
import type { AnchorPlace } from '../tails/tail-end'
import { tailEndOf } from '../tails/tail-ends'
import { plus, type Polyline, type Vec3 } from '../topology/curve'
import {
  ABOVE,
  BEND,
  BEND_TURNED,
  beside,
  CROSSED_U,
  hangingDown,
  LIFTED,
  NOTHING_LAID,
  PLAIN,
  turnedU,
  U,
  UNLAID,
  type FirstLoop,
  type SecondLoop,
} from './loops'
import { left, right, type Film, type Posed } from './move'
import { asTied, inMirror, sections, straight, type Pose } from './pose'

/** The string before the end has come to its place, gauges to the right of it. */
const COMES_FROM = 12
const comes = (pose: Pose): Posed['poses'] => [
  pose.map((piece) => piece.map((p) => plus(p, [COMES_FROM, 0, 0]))),
  pose,
]

const pose = ({ long, ring, lead }: SecondLoop, { loop, end }: FirstLoop): Pose => [
  long,
  ring,
  lead,
  loop,
  end,
]
/** Of such a pose. */
const [LONG, RING, FIRST, END] = [0, 1, 3, 4]
const COUNTS = [36, 110, 36, 80, 40]

const BASE = left('thumb and finger', { section: FIRST, share: 0.02 })
const CROSSING = { section: RING, share: 0.88 }
const BOTH = [BASE, right('thumb and finger', CROSSING)]
const DRAWN: Posed = {
  poses: [],
  drawsDown: true,
  holds: [
    left('thumb and finger', { section: FIRST, share: 0.5 }),
    right('pulls', { section: LONG, share: 0.4 }),
  ],
}
/** The anchor through the first loop, and its end behind or before it. */
const anchored = (section: number): readonly Posed[] => {
  const holds = [left('thumb and finger', { section, share: 0.02 })]
  return [
    { poses: [], holds },
    { poses: [], holds },
  ]
}

export function openBightFilm(place: AnchorPlace): Film {
  const done = sections(asTied(tailEndOf('two-loop, open bight', place).way), [2, 11, 13, 20])
  return {
    counts: COUNTS,
    lies: 'as tied',
    lays: [
      {
        poses: comes(pose(UNLAID, NOTHING_LAID)),
        holds: [left('thumb and finger', { section: END, share: 0.3 })],
      },
      { poses: [pose(PLAIN, U)], holds: [BASE] },
      { poses: [pose(BEND, U), pose(BEND_TURNED, U), pose(beside(1), U)], holds: BOTH },
      { poses: [pose(LIFTED, U), pose(ABOVE, U), done], holds: [BASE, right('thumb', CROSSING)] },
    ],
    anchored: anchored(FIRST),
    draws: [DRAWN],
  }
}

/** Twice over; and twice behind, which is the same in a mirror. */
export function crossedFilm(place: AnchorPlace, front: boolean): Film {
  const way = tailEndOf(front ? 'two-loop, crossed' : 'two-loop, crossed, behind', place).way
  const done = sections(asTied(way), [2, 11, 13, 22])
  const seen = (one: Pose): Pose => (front ? one : one.map(inMirror))
  const second = (loop: SecondLoop) => seen(pose(loop, CROSSED_U))
  const first: Posed = {
    poses: [
      ...comes(pose(UNLAID, NOTHING_LAID)),
      ...[turnedU(1), turnedU(0), CROSSED_U].map((loop) => seen(pose(PLAIN, loop))),
    ],
    holds: [BASE],
  }
  const again: Posed = {
    poses: [hangingDown(BEND), hangingDown(BEND_TURNED), beside(1, 180)].map(second),
    holds: BOTH,
  }
  const over: Posed = {
    poses: [...[beside(1.4, 120), beside(1.4, 60), beside(1), LIFTED, ABOVE].map(second), done],
    holds: BOTH,
  }
  return {
    counts: COUNTS,
    lies: 'as tied',
    lays: front ? [first, again, over] : [first, { poses: [], holds: [BASE] }, again, over],
    anchored: anchored(FIRST),
    draws: [DRAWN],
  }
}

/** Of a string with two loops in its long part: the one that comes once more, and the first hitch. */
const THIRD = { long: 0, onceMore: 1, hitch: 3, first: 5, end: 6 } as const
const THIRD_COUNTS = [30, 110, 30, 110, 36, 80, 40]
const THIRD_BEGINS = [2, 11, 12, 20, 22, 29]

const wider = (ring: Polyline): Polyline => ring.map(([x, y, z]): Vec3 => [x, y, z * 2.1])

export function thirdLoopFilm(place: AnchorPlace): Film {
  const done = sections(asTied(tailEndOf('third loop', place).way), THIRD_BEGINS)
  const [long, onceMore, , hitch, lead, loop] = done as readonly [
    Polyline,
    Polyline,
    Polyline,
    Polyline,
    Polyline,
    Polyline,
  ]
  const bent: FirstLoop = { loop, end: U.end }
  /** The first hitch on its way; the loop that comes once more is straight still, far to the right. */
  const hitching = (second: SecondLoop, first: FirstLoop): Pose => {
    const y = second.long[0]?.[1] ?? 0
    return [straight([110, y, 0], [98, y, 0], 2), straight([90, y, 0], [66, y, 0], 8), ...pose(second, first)]
  }
  const hitched = (long: Polyline, ring: Polyline, between: Polyline): Pose => [
    long,
    ring,
    between,
    hitch,
    lead,
    loop,
    U.end,
  ]
  const once = ({ long, ring }: SecondLoop, ...between: Polyline) => hitched(long, ring, between)
  const base = left('thumb and finger', { section: THIRD.first, share: 0.02 })
  const both = (section: number) => [base, right('thumb and finger', { section, share: 0.88 })]
  return {
    counts: THIRD_COUNTS,
    lies: 'as tied',
    lays: [
      {
        poses: comes(hitching(UNLAID, NOTHING_LAID)),
        holds: [left('thumb and finger', { section: THIRD.end, share: 0.3 })],
      },
      { poses: [hitching(PLAIN, bent)], holds: [base] },
      { poses: [BEND, BEND_TURNED, beside(1)].map((one) => hitching(one, bent)), holds: both(THIRD.hitch) },
      {
        poses: [
          hitching(LIFTED, bent),
          hitching(ABOVE, bent),
          hitched(
            straight([60, -4, 0], [48, -4, 0], 2),
            straight([38, -4, 0], [12, -3.8, 0.4], 8),
            straight([6, -3.6, 0.8], [1.5, -3.2, 1.2], 2),
          ),
        ],
        holds: [base, right('thumb', { section: THIRD.hitch, share: 0.88 })],
      },
      { poses: [], holds: [base, right('pulls', { section: THIRD.onceMore, share: 0.9 })] },
    ],
    anchored: anchored(THIRD.first),
    draws: [
      {
        poses: [
          once(BEND, [2.4, -4.6, 0.6], [1, -3.4, 1.1]),
          once(BEND_TURNED, [5, -5.4, 2], [1.4, -3.8, 1.4]),
          once(beside(1), [8, -6.4, 0.8], [2, -4.4, 1]),
          once(LIFTED, [6, 4, 3], [1, -1.6, 2]),
          once({ ...ABOVE, ring: wider(ABOVE.ring) }, [3, 5, 4], [1, -1, 2.6]),
          // Past the anchor it goes wide.
          [long, wider(onceMore).map((p) => plus(p, [0, 2, 0])), ...done.slice(2)],
          done,
        ],
        holds: both(THIRD.onceMore),
      },
      {
        ...DRAWN,
        holds: [
          left('thumb and finger', { section: THIRD.first, share: 0.5 }),
          right('pulls', { section: THIRD.long, share: 0.4 }),
        ],
      },
    ],
  }
}
