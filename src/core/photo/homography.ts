/**
 * From a plane to its picture and back where there is no lens: a homography through four points.
 */
import { Matrix, solve } from 'ml-matrix'
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

/** A spot on a picture, pixels from its upper left corner, or a place in a plane. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/** Row by row, the last entry 1. */
export type Homography = readonly number[]

/**
 * The homography that takes each of four places to its spot.
 *
 * @throws RangeError when three of them lie on one line
 */
export function homographyOf(from: readonly Spot[], to: readonly Spot[]): Homography {
  const rows: number[][] = []
  const right: number[] = []
  for (const [i, { x, y }] of from.entries()) {
    const { x: u, y: v } = itemAt(to, i)
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y])
    right.push(u, v)
  }
  const found = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray()
  if (!found.every(Number.isFinite)) throw new RangeError('Three of the corners lie on one line.')
  return [...found, 1]
}

/** Where a homography takes a place. */
export function taken([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Spot): Spot {
  const w = requireValue(g) * x + requireValue(h) * y + requireValue(i)
  return {
    x: (requireValue(a) * x + requireValue(b) * y + requireValue(c)) / w,
    y: (requireValue(d) * x + requireValue(e) * y + requireValue(f)) / w,
  }
}

/** Whether four corners, in turn, go round a surface without crossing: every turn goes the same way. */
export function goRound(corners: readonly Spot[]): boolean {
  const turns = corners.map((p, i) => {
    const [q, r] = [corners[(i + 1) % 4], corners[(i + 2) % 4]] as [Spot, Spot]
    return Math.sign((q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x))
  })
  return turns.every((turn) => turn !== 0 && turn === turns[0])
}
