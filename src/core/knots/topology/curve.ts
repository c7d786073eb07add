/**
 * A string's centreline as a curve in space. Lengths are in gauges of the string: 1 is its diameter. Seen from outside
 * the box x runs to the right, y up toward the pin, z toward the eye.
 */
import { itemAt } from '../../list/item-at'

export type Vec3 = readonly [x: number, y: number, z: number]

/** Points along a curve, close enough together to be taken as straight between. */
export type Polyline = readonly Vec3[]

export const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const plus = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
export const times = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k]
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const norm = (a: Vec3): number => Math.hypot(a[0], a[1], a[2])
const between = (a: Vec3, b: Vec3, t: number): Vec3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]

/**
 * A smooth curve through points: the centripetal Catmull-Rom spline, which neither loops nor overshoots between them.
 *
 * @param points - at least two, none on the next
 * @param perSpan - pieces between one point and the next
 * @see Yuksel, Schaefer, Keyser, Parameterization and applications of Catmull-Rom curves, CAD 43 (2011)
 */
export function smooth(points: Polyline, perSpan: number): Polyline {
  const n = points.length
  if (n < 2) throw new RangeError(`A curve: expected at least two points, got ${n}.`)
  const first = itemAt(points, 0)
  const last = itemAt(points, n - 1)
  const at = (i: number): Vec3 =>
    i < 0
      ? minus(times(first, 2), itemAt(points, 1))
      : i >= n
        ? minus(times(last, 2), itemAt(points, n - 2))
        : itemAt(points, i)
  const curve: Vec3[] = [first]
  for (let i = 0; i + 1 < n; i += 1) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    const knots = [
      0,
      Math.sqrt(norm(minus(b, a))),
      Math.sqrt(norm(minus(c, b))),
      Math.sqrt(norm(minus(d, c))),
    ]
    const [t0, t1] = [0, itemAt(knots, 1)]
    const t2 = t1 + itemAt(knots, 2)
    const t3 = t2 + itemAt(knots, 3)
    const mix = (p: Vec3, q: Vec3, from: number, to: number, t: number) =>
      between(p, q, to === from ? 0 : (t - from) / (to - from))
    for (let step = 1; step <= perSpan; step += 1) {
      const t = t1 + ((t2 - t1) * step) / perSpan
      const a1 = mix(a, b, t0, t1, t)
      const a2 = mix(b, c, t1, t2, t)
      const a3 = mix(c, d, t2, t3, t)
      curve.push(mix(mix(a1, a2, t0, t2, t), mix(a2, a3, t1, t3, t), t1, t2, t))
    }
  }
  return curve
}

/** How far along the curve each of its points lies from the first, in gauges. */
export function alongOf(curve: Polyline): readonly number[] {
  const along = [0]
  for (let i = 1; i < curve.length; i += 1)
    along.push(itemAt(along, i - 1) + norm(minus(itemAt(curve, i), itemAt(curve, i - 1))))
  return along
}

/** Length of a curve, in gauges. */
export function lengthOf(curve: Polyline): number {
  let length = 0
  for (let i = 1; i < curve.length; i += 1) length += norm(minus(itemAt(curve, i), itemAt(curve, i - 1)))
  return length
}

/** The point of a curve that lies so far along it, in gauges. */
function pointAt(curve: Polyline, along: readonly number[], wanted: number): Vec3 {
  const found = along.findIndex((far) => far >= wanted)
  const next = found < 0 ? curve.length - 1 : Math.max(1, found)
  const [a, b] = [itemAt(along, next - 1), itemAt(along, next)]
  return between(
    itemAt(curve, next - 1),
    itemAt(curve, next),
    b === a ? 1 : Math.min(1, Math.max(0, wanted - a) / (b - a)),
  )
}

/**
 * What lies between two places along a curve; two points at least.
 *
 * @param along - as from {@link alongOf}
 * @param from - gauges along it, as `to` is
 */
export function stretch(curve: Polyline, along: readonly number[], from: number, to: number): Polyline {
  const inside = curve.filter((_, i) => itemAt(along, i) > from && itemAt(along, i) < to)
  return [pointAt(curve, along, from), ...inside, pointAt(curve, along, to)]
}

/** The first share of a curve by its length, 0 to 1; two points at least. */
export function upTo(curve: Polyline, share: number): Polyline {
  const along = alongOf(curve)
  return stretch(curve, along, 0, share * itemAt(along, along.length - 1))
}

/** The same curve with its points evenly spaced along it. */
export function resample(curve: Polyline, count: number): Polyline {
  const total = lengthOf(curve)
  const result: Vec3[] = [itemAt(curve, 0)]
  let i = 1
  let passed = 0
  for (let k = 1; k < count - 1; k += 1) {
    const wanted = (total * k) / (count - 1)
    let piece = norm(minus(itemAt(curve, i), itemAt(curve, i - 1)))
    while (passed + piece < wanted && i < curve.length - 1) {
      passed += piece
      i += 1
      piece = norm(minus(itemAt(curve, i), itemAt(curve, i - 1)))
    }
    result.push(between(itemAt(curve, i - 1), itemAt(curve, i), piece === 0 ? 0 : (wanted - passed) / piece))
  }
  result.push(itemAt(curve, curve.length - 1))
  return result
}

/** Two curves of as many points, mixed: 0 is the first, 1 the second. */
export function blend(a: Polyline, b: Polyline, t: number): Polyline {
  return a.map((p, i) => between(p, itemAt(b, i), t))
}

/** Mirrored for whoever works with the other hand. */
export function mirrored(curve: Polyline): Polyline {
  return curve.map(([x, y, z]) => [-x, y, z])
}
