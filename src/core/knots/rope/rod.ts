/**
 * A round rod that a string runs against: an anchor, a toggle, a bead, a pin or post. Lengths are in gauges of the string.
 */
import { dot, minus, norm, times, type Polyline, type Vec3 } from '../topology/curve'

export interface Rod {
  readonly at: Vec3
  /** Of length 1. */
  readonly axis: Vec3
  readonly radius: number
  /** From its middle to its end. */
  readonly half: number
}

/** How near a string's centreline comes to a rod's surface; half a gauge is touching. */
export function clearOfRod(curve: Polyline, { at, axis, half, radius }: Rod): number {
  let least = Infinity
  for (const point of curve) {
    const off = minus(point, at)
    const along = Math.max(-half, Math.min(half, dot(off, axis)))
    least = Math.min(least, norm(minus(off, times(axis, along))) - radius)
  }
  return least
}

/**
 * How many times a string goes round a rod that is thought to be endless, seen along the rod: the whole turns of the
 * string's direction from it. The string's two ends are joined far away.
 */
export function turnsRound(curve: Polyline, { at, axis }: Pick<Rod, 'at' | 'axis'>): number {
  const [u, v] = across(axis)
  let angle = 0
  let last: number | null = null
  for (const point of curve) {
    const off = minus(point, at)
    const now = Math.atan2(dot(off, v), dot(off, u))
    if (last !== null) angle += Math.atan2(Math.sin(now - last), Math.cos(now - last))
    last = now
  }
  return angle / (2 * Math.PI)
}

/** Two directions across an axis, at right angles to each other. */
export function across([x, y, z]: Vec3): readonly [Vec3, Vec3] {
  const flat = Math.hypot(x, z)
  const u: Vec3 = flat < 1e-9 ? [1, 0, 0] : [z / flat, 0, -x / flat]
  return [u, [y * u[2] - z * u[1], z * u[0] - x * u[2], x * u[1] - y * u[0]]]
}
