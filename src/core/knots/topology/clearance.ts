/**
 * Whether a string passes through itself: how near two parts of its centreline come that are not neighbours along it.
 */
import { itemAt } from '../../list/item-at'
import { alongOf, dot, lengthOf, minus, norm, plus, times, type Polyline, type Vec3 } from './curve'

export interface Nearest {
  /** Centre to centre, in gauges: 1 is touching. */
  readonly distance: number
  /** Points from the beginning of the curve. */
  readonly at: readonly [number, number]
}

/**
 * The nearest two parts of a curve that lie further apart along it than the string could bend.
 *
 * @param apart - parts nearer along the curve than this are neighbours, in gauges
 */
export function nearest(curve: Polyline, apart = 2.5): Nearest {
  const along = alongOf(curve)
  const step = lengthOf(curve) / (curve.length - 1)
  let best: Nearest = { distance: Infinity, at: [0, 0] }
  for (let i = 0; i + 1 < curve.length; i += 1) {
    const [a, b] = [itemAt(curve, i), itemAt(curve, i + 1)]
    for (let j = i + 1; j + 1 < curve.length; j += 1) {
      if (itemAt(along, j) - itemAt(along, i + 1) < apart) continue
      const c = itemAt(curve, j)
      // What is further off than the best so far by more than the two pieces' lengths can't be nearer.
      const rough = norm(minus(a, c))
      if (rough > best.distance + 2 * step + 1e-9) {
        j += Math.max(0, Math.floor((rough - best.distance) / step) - 3)
        continue
      }
      const distance = betweenPieces(a, b, c, itemAt(curve, j + 1))
      if (distance < best.distance) best = { distance, at: [i, j] }
    }
  }
  return best
}

/** Nearest distance between two straight pieces. */
function betweenPieces(a: Vec3, b: Vec3, c: Vec3, d: Vec3): number {
  const [u, v, w] = [minus(b, a), minus(d, c), minus(a, c)]
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)]
  const det = uu * vv - uv * uv
  const clamp = (t: number) => Math.min(1, Math.max(0, t))
  let s = det > 1e-12 ? clamp((uv * vw - vv * uw) / det) : 0
  const t = clamp(vv > 0 ? (uv * s + vw) / vv : 0)
  s = clamp(uu > 0 ? (uv * t - uw) / uu : 0)
  return norm(minus(plus(a, times(u, s)), plus(c, times(v, t))))
}
