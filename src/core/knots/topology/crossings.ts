/**
 * Where a curve crosses itself as it is seen from somewhere, and what passes in front.
 */
import { itemAt } from '../../list/item-at'
import type { Polyline } from './curve'

/** A way of looking: turned about the upright axis and then tilted, degrees. Zero is from outside the box, 180 from inside. */
export interface View {
  readonly turn: number
  readonly tilt: number
}

export const FROM_OUTSIDE: View = { turn: 0, tilt: 0 }
export const FROM_INSIDE: View = { turn: 180, tilt: 0 }

/** The curve as that eye has it: x to the right, y up, z toward it. */
export function seenFrom(curve: Polyline, { turn, tilt }: View): Polyline {
  const [a, b] = [(turn * Math.PI) / 180, (tilt * Math.PI) / 180]
  const [ca, sa, cb, sb] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)]
  return curve.map(([x, y, z]) => {
    const [x1, z1] = [ca * x - sa * z, sa * x + ca * z]
    return [x1, cb * y - sb * z1, sb * y + cb * z1]
  })
}

export interface Crossing {
  /** Where along the curve, in points from its beginning, fractions allowed: the part in front, and the part behind it. */
  readonly over: number
  readonly under: number
  /** In the eye's plane. */
  readonly x: number
  readonly y: number
  /** +1 where the front part turns to the left across the one behind, −1 to the right. */
  readonly sign: 1 | -1
  /** How far the one lies before the other, in gauges. */
  readonly gap: number
}

/**
 * Every crossing of a curve that is already turned to the eye, in the order in which they are first met along it.
 *
 * @param curve - as from {@link seenFrom}
 */
export function crossingsOf(curve: Polyline): readonly Crossing[] {
  const n = curve.length
  // Flat arrays: every piece is held against every other, some tens of thousands of pairs.
  const x = Float64Array.from(curve, (p) => p[0])
  const y = Float64Array.from(curve, (p) => p[1])
  const z = Float64Array.from(curve, (p) => p[2])
  const at = (of: Float64Array, i: number) => itemAt(of, i)
  let widest = 0
  for (let i = 0; i + 1 < n; i += 1)
    widest = Math.max(widest, Math.hypot(at(x, i + 1) - at(x, i), at(y, i + 1) - at(y, i)))
  const found: Crossing[] = []
  for (let i = 0; i + 1 < n; i += 1) {
    const ax = at(x, i)
    const ay = at(y, i)
    const rx = at(x, i + 1) - ax
    const ry = at(y, i + 1) - ay
    for (let j = i + 2; j + 1 < n; j += 1) {
      const wx = at(x, j) - ax
      const wy = at(y, j) - ay
      // Two pieces that begin further apart than both are long can't cross, nor can those that follow until they have come near.
      const away = Math.sqrt(wx * wx + wy * wy) - 2 * widest
      if (away > widest) {
        j += Math.floor(away / widest) - 1
        continue
      }
      const sx = at(x, j + 1) - at(x, j)
      const sy = at(y, j + 1) - at(y, j)
      const turn = rx * sy - ry * sx
      if (turn === 0) continue
      const t = (wx * sy - wy * sx) / turn
      if (t < 0 || t >= 1) continue
      const u = (wx * ry - wy * rx) / turn
      if (u < 0 || u >= 1) continue
      const gap = at(z, i) + (at(z, i + 1) - at(z, i)) * t - (at(z, j) + (at(z, j + 1) - at(z, j)) * u)
      const first = gap > 0
      found.push({
        over: first ? i + t : j + u,
        under: first ? j + u : i + t,
        x: ax + rx * t,
        y: ay + ry * t,
        sign: (first ? turn : -turn) > 0 ? 1 : -1,
        gap: Math.abs(gap),
      })
    }
  }
  return found.sort((p, q) => Math.min(p.over, p.under) - Math.min(q.over, q.under))
}
