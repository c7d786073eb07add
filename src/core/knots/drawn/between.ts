/**
 * States of a knot being drawn down as they are kept and shown: what hangs below the board, evenly spaced, and the way from
 * one state to the next.
 */
import { itemAt } from '../../list/item-at'
import { parted } from '../rope/parted'
import type { Drawn } from '../rope/draw-down'
import type { Rod } from '../rope/rod'
import { blend, lengthOf, resample, type Polyline, type Vec3 } from '../topology/curve'

export interface Hanging {
  /** From the hole in the board to the tag. */
  readonly curve: Polyline
  /** The share of the whole string that has been drawn up through the hole. */
  readonly up: number
  /** Where its rod has come to; null where there is none. */
  readonly rod: Vec3 | null
}

/** The place in the hole from which a knot hangs. */
export const HANGS_FROM: Vec3 = [0, 1, 0]
/** Of the points of the open knot, in gauges. */
const SPACING = 0.35

/** How many points it takes to keep a knot that is this open. */
export function pointsFor(open: Polyline): number {
  return Math.ceil(lengthOf(below(open)) / SPACING)
}

/** What hangs below the board. */
export function hanging({ curve, rod }: Drawn, points: number): Hanging {
  const under = below(curve)
  return {
    curve: resample(under, points),
    up: Math.max(0, 1 - lengthOf(under) / lengthOf(curve)),
    rod: rod && rod.at,
  }
}

function below(curve: Polyline): Polyline {
  return [
    HANGS_FROM,
    ...curve.slice(
      Math.max(
        1,
        curve.findIndex(([, y]) => y < HANGS_FROM[1]),
      ),
    ),
  ]
}

/** The state at a share of the way from one to the next, 0 to 1; at both ends too what packing has brought too near is parted. */
export function between(a: Hanging, b: Hanging, t: number, rod: Rod | null): Hanging {
  const at = a.rod && b.rod && itemAt(blend([a.rod], [b.rod], t), 0)
  return {
    curve: parted(blend(a.curve, b.curve, t), rod && at && { ...rod, at }),
    up: a.up + (b.up - a.up) * t,
    rod: at,
  }
}

/** The same in a mirror that lies in the plane of the drawing. */
export function inMirror({ curve, up, rod }: Hanging): Hanging {
  return { curve: curve.map(([x, y, z]) => [x, y, -z]), up, rod: rod && [rod[0], rod[1], -rod[2]] }
}
