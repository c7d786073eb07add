/**
 * Ways put together from pieces that are each one thing the string does.
 */
import { itemAt } from '../../../list/item-at'
import type { Polyline, Vec3 } from '../../topology/curve'

export interface Path<Pieces extends readonly Polyline[]> {
  readonly way: Polyline
  /** The first and the last point of each piece. */
  readonly begins: { readonly [K in keyof Pieces]: number }
  readonly ends: { readonly [K in keyof Pieces]: number }
}

/** Pieces one after the other. */
export function path<Pieces extends readonly Polyline[]>(...pieces: Pieces): Path<Pieces> {
  let reached = -1
  const ends = pieces.map((piece) => (reached += piece.length))
  const begins = pieces.map((piece, i) => itemAt(ends, i) + 1 - piece.length)
  return { way: pieces.flat(), begins: begins as Path<Pieces>['begins'], ends: ends as Path<Pieces>['ends'] }
}

/** Down from the pin and through the board. */
export const DOWN: Polyline = [
  [0, 12, 0],
  [0, 6, 0],
  [0, 1, 0],
]

/** Turned in the plane of the drawing by quarter turns to the left about one point and set down at another. */
export function quarterTurned(
  piece: Polyline,
  quarters: 1 | -1,
  about: readonly [number, number],
  to: readonly [number, number],
): Polyline {
  return piece.map(([x, y, z]): Vec3 => [
    to[0] - quarters * (y - about[1]),
    to[1] + quarters * (x - about[0]),
    z,
  ])
}

/** An overhand in the open about a point: the (2, 3) torus knot cut at its top, its two ends led out. It begins on the right. */
export function overhand(x: number, y: number): Polyline {
  const [count, cut] = [23, 0.16]
  return Array.from({ length: count }, (_, i): Vec3 => {
    const t = cut + ((2 * Math.PI - 2 * cut) * i) / (count - 1)
    const r = 4.4 + 2.1 * Math.cos(3 * t)
    return [x + r * Math.sin(2 * t), y + r * Math.cos(2 * t), 1.7 * Math.sin(3 * t)]
  })
}
