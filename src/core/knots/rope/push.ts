/**
 * Two points of a string that have come too near.
 */

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
  const dx = (p[b] as number) - (p[a] as number)
  const dy = (p[b + 1] as number) - (p[a + 1] as number)
  const dz = (p[b + 2] as number) - (p[a + 2] as number)
  const d = Math.sqrt(dx * dx + dy * dy + dz * dz)
  if (d >= apart || d < 1e-6) return 0
  const f = ((apart - d) / d) * 0.5
  p[a] = (p[a] as number) - f * dx
  p[a + 1] = (p[a + 1] as number) - f * dy
  p[a + 2] = (p[a + 2] as number) - f * dz
  p[b] = (p[b] as number) + f * dx
  p[b + 1] = (p[b + 1] as number) + f * dy
  p[b + 2] = (p[b + 2] as number) + f * dz
  return apart - d
}
