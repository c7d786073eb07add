/**
 * Two points of a string that have come too near.
 */
import { itemAt } from '../../list/item-at'

/**
 * Pushes two points apart, each by half of what they lack.
 *
 * @param p - coordinates of all points, one after the other
 * @param a - where the first one's begin
 * @param b - where the second one's begin
 * @param apart - how far apart they must lie, in gauges
 * @returns how much they lacked; 0 where they lay far enough apart
 */
export function pushPair(p: Float64Array, a: number, b: number, apart: number): number {
  const dx = itemAt(p, b) - itemAt(p, a)
  const dy = itemAt(p, b + 1) - itemAt(p, a + 1)
  const dz = itemAt(p, b + 2) - itemAt(p, a + 2)
  const d = Math.sqrt(dx * dx + dy * dy + dz * dz)
  if (d >= apart || d < 1e-6) return 0
  const f = ((apart - d) / d) * 0.5
  p[a] = itemAt(p, a) - f * dx
  p[a + 1] = itemAt(p, a + 1) - f * dy
  p[a + 2] = itemAt(p, a + 2) - f * dz
  p[b] = itemAt(p, b) + f * dx
  p[b + 1] = itemAt(p, b + 1) + f * dy
  p[b + 2] = itemAt(p, b + 2) + f * dz
  return apart - d
}
