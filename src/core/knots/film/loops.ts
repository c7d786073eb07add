/**
 * Loops as hands lay them, in gauges: the end to the left, the first loop standing up from it, the long part to the right.
 * Of two parts that cross, the one with the greater z lies in front.
 */
import { straight, turnedOver } from './pose'
import type { Polyline, Vec3 } from '../topology/curve'

/** The first loop, and the end that comes out of it. */
export interface FirstLoop {
  readonly loop: Polyline
  readonly end: Polyline
}

/** A loop in the long part: what leads to it from outside, the loop from crossing to crossing, and what leads on to the first loop. */
export interface SecondLoop {
  readonly long: Polyline
  readonly ring: Polyline
  readonly lead: Polyline
}

const END: Polyline = [
  [-11, -8, 0],
  [-16, -9.4, 0],
  [-24, -9.6, 0],
]

/** The string before anything is laid in it. */
export const NOTHING_LAID: FirstLoop = {
  loop: straight([3, -9, 0], [-12, -9, 0], 7),
  end: straight([-16, -9, 0], [-30, -9, 0], 3),
}

/** A U that crosses nothing. */
export const U: FirstLoop = {
  loop: [
    [-5.4, -3, 0],
    [-5.4, 2, 0],
    [-5.4, 6.5, 0],
    [-7, 9, 0],
    [-8.6, 6.5, 0],
    [-8.6, 2, 0],
    [-8.6, -3, 0],
  ],
  end: END,
}

/** The same with the long part laid over the short end. */
export const CROSSED_U: FirstLoop = {
  loop: [
    [-6.4, -5, 1.3],
    [-8.4, -2.6, 0.4],
    [-8.8, 2, 0],
    [-8.6, 6.5, 0],
    [-7, 9, 0],
    [-5.4, 6.5, 0],
    [-5.2, 2, 0],
    [-5.4, -2.4, -0.4],
    [-6.6, -5.2, -1.3],
  ],
  end: [[-9.2, -7.6, -0.8], ...END.slice(1)],
}

/** On the way to it the loop is turned, its sides passing each other: 1 is still a U, 0 seen from its edge. */
export const turnedU = (open: number): FirstLoop => {
  const side = (width: number, y: number, z: number): Vec3 => [-7 + width * open, y, z * (1 - open)]
  return {
    loop: [
      side(1.6, -5, 1.8),
      side(1.8, -2.6, 2.2),
      side(1.8, 2, 2),
      side(1.6, 6.5, 1.6),
      side(0, 9, 0),
      side(-1.6, 6.5, -1.6),
      side(-1.8, 2, -2),
      side(-1.8, -2.4, -2.2),
      side(-1.6, -5.2, -1.8),
    ],
    end: [[-10, -8, open - 1], ...END.slice(1)],
  }
}

/** The long part before a loop is laid in it. */
export const PLAIN: SecondLoop = {
  long: [
    [60, -7, 0],
    [48, -7.2, 0],
  ],
  ring: straight([38, -7.3, 0], [4, -8.3, 0], 8),
  lead: [[-2, -8.2, 0]],
}

/** The same while nothing at all is laid. */
export const UNLAID: SecondLoop = {
  long: straight([60, -9, 0], [48, -9, 0], 2),
  ring: straight([42, -9, 0], [14, -9, 0], 8),
  lead: [[8, -9, 0]],
}

/** A bend in the long part that does not cross itself yet. */
export const BEND: SecondLoop = {
  long: [
    [40, -5, 0],
    [24, -5, 0],
    [17, -5.4, 0],
  ],
  ring: [
    [13, -4.6, -0.5],
    [12, -1.6, -0.6],
    [11.4, 2, -0.4],
    [9.5, 4.6, 0],
    [7, 5.4, 0],
    [4.6, 4, 0],
    [3.4, 0, 0.3],
    [3, -4.6, 0.5],
  ],
  lead: [
    [1.6, -6.6, 0.4],
    [-1.4, -8, 0.2],
  ],
}

/** That bend being turned, seen from its edge. */
export const BEND_TURNED: SecondLoop = {
  long: [
    [40, -4, 0],
    [24, -4, 0],
    [16, -4.2, -1],
  ],
  ring: [
    [11.4, -4, -2.6],
    [9, -3, -3.6],
    [7.4, -0.5, -3.6],
    [7, 3, -2],
    [7, 5.4, 0],
    [7, 3.6, 2],
    [7, 0, 3.4],
    [6.6, -4, 3],
  ],
  lead: [
    [5, -7, 2],
    [0, -8.4, 0.4],
  ],
}

/** Where a loop beside the first one crosses itself. */
const CROSSING = -4

/**
 * A loop that crosses itself, beside the first one: what leads to the first loop lies in front.
 *
 * @param apart - half of how far its parts lie apart where they cross
 * @param turned - turned over about its own string, degrees: at 180 it hangs below, and the long part lies in front
 */
export function beside(apart: number, turned = 0): SecondLoop {
  const [c, s] = [Math.cos((turned * Math.PI) / 180), Math.sin((turned * Math.PI) / 180)]
  return {
    long: [
      [40, CROSSING, 0],
      [24, CROSSING, 0],
      [16, CROSSING, (-apart / 2) * c],
    ],
    ring: turnedOver(
      [
        [11, -4, -apart],
        [6, -4, -apart * 0.6],
        [2.4, -1, -apart * 0.3],
        [2.6, 3, 0],
        [6.5, 5.4, 0],
        [10.4, 4, apart * 0.2],
        [11.8, 0, apart * 0.6],
        [11, -4, apart],
      ],
      CROSSING,
      turned,
    ),
    lead: [
      [8, -4.8 - 2.6 * c - 1.2 * s, apart * 0.7 * c - 0.8 * s],
      [1, -6.4 - 2.2 * c, 0.2],
    ],
  }
}

/** A bend in the long part, or that bend turned, as it hangs below the long part. */
export function hangingDown({ long, ring, lead }: SecondLoop): SecondLoop {
  const down = (piece: Polyline) => piece.map(([x, y, z]): Vec3 => [x, 2 * CROSSING - y, -z])
  return {
    long: down(long),
    ring: down(ring),
    lead: down(lead).map(([x, , z], i): Vec3 => [x, i === 0 ? -3 : -5, z]),
  }
}

/** The loop lifted higher than the first one. */
export const LIFTED: SecondLoop = {
  long: [
    [40, -2, 0],
    [24, 4, 0],
    [15, 10, 0.5],
  ],
  ring: [
    [10, 14, -1],
    [6, 14, 1],
    [1.4, 15.5, 2],
    [0.6, 19, 0],
    [4, 21.6, -2],
    [8.6, 20.5, -1],
    [10.6, 17, 1.5],
    [9.6, 13, 3.2],
  ],
  lead: [
    [6, 4, 3],
    [0, -6, 2],
  ],
}

/** The loop above the first one’s bend, its far side tipped behind it. */
export const ABOVE: SecondLoop = {
  long: [
    [40, -2, 0],
    [24, 4, 0],
    [12, 10, 0.5],
  ],
  ring: [
    [5, 12.4, 0],
    [-3, 12.6, 2.4],
    [-10, 12.6, 2],
    [-12.4, 14, 0],
    [-10, 16, -3],
    [-4, 16, -3],
    [0.6, 15.6, -0.4],
    [3, 12.2, 3.4],
  ],
  lead: [
    [2, 4, 3.6],
    [-1, -5, 2],
  ],
}
