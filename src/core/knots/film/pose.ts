/**
 * How the whole string lies while a knot is laid with the hands: in sections that keep their points from pose to pose, so
 * that the way from one to the next carries every point of the string to its own place.
 */
import { itemAt } from '../../list/item-at'
import { blend, resample, smooth, type Polyline, type Vec3 } from '../topology/curve'

/** The string's way from the long part to the end, one piece a section; in gauges. */
export type Pose = readonly Polyline[]

/** Pieces between one point of a way and the next. */
export const PER_SPAN = 12

/** A way cut into the sections that begin at these of its points. */
export function sections(way: Polyline, begins: readonly number[]): Pose {
  return [0, ...begins].map((from, k) => way.slice(from, begins[k]))
}

/** A pose as points, so many of each section. */
export function laidOut(pose: Pose, counts: readonly number[]): Polyline {
  const fine = smooth(pose.flat(), PER_SPAN)
  let reached = 0
  return pose.flatMap((section, k) => {
    const from = reached
    // A section ends where the next begins.
    reached += (k === pose.length - 1 ? section.length - 1 : section.length) * PER_SPAN
    const points = resample(fine.slice(from, reached + 1), itemAt(counts, k) + 1)
    return k === pose.length - 1 ? points : points.slice(0, -1)
  })
}

/** The string on its way through poses, 0 to 1; each takes as long as the next. */
export function onTheWay(laid: readonly Polyline[], t: number): Polyline {
  const at = Math.min(1, Math.max(0, t)) * (laid.length - 1)
  const from = Math.min(laid.length - 2, Math.floor(at))
  return laid.length === 1 ? itemAt(laid, 0) : blend(itemAt(laid, from), itemAt(laid, from + 1), at - from)
}

/** What hangs below its board, turned to lie before whoever ties it: the long part to the right, the first bend away. */
export const asTied = (hanging: Polyline): Polyline => hanging.map(([x, y, z]): Vec3 => [y, -x, z])

/** And back. */
export const asHung = (tied: Polyline): Polyline => tied.map(([x, y, z]): Vec3 => [-y, x, z])

/** The same in a mirror that lies in the plane of the drawing. */
export const inMirror = (piece: Polyline): Polyline => piece.map(([x, y, z]): Vec3 => [x, y, -z])

/** Turned over about a line that runs from left to right at this height, degrees toward the eye. */
export function turnedOver(piece: Polyline, height: number, degrees: number): Polyline {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  return piece.map(([x, y, z]): Vec3 => [x, height + (y - height) * c - z * s, (y - height) * s + z * c])
}

/** Points in a straight line, its ends among them. */
export function straight(from: Vec3, to: Vec3, count: number): Polyline {
  return Array.from({ length: count }, (_, i) => itemAt(blend([from], [to], i / (count - 1)), 0))
}
