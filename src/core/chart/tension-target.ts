/**
 * The tension each string should come near: a smooth line through the tensions of the strings that are known.
 */

/** Tension of the shortest and the longest string, N. */
export interface UsualTension {
  readonly treble: number
  readonly bass: number
}

/** Known strings that weigh on a place. */
const REACH = 6

/**
 * Local straight lines through the logarithms of the known tensions, the nearest known strings weighing most (tricube).
 *
 * @param known - tensions by number, N
 * @param count - of strings
 * @param usual - evenly by ratio from one end to the other, where nothing is known at all
 * @returns targets of strings 1 to count, N
 */
export function tensionTarget(
  known: ReadonlyMap<number, number>,
  count: number,
  usual: UsualTension,
): readonly number[] {
  const points = [...known].map(([number, force]) => ({ x: number, y: Math.log(force) }))
  return Array.from({ length: count }, (_, i) =>
    points.length === 0
      ? usual.treble * (usual.bass / usual.treble) ** (count > 1 ? i / (count - 1) : 0)
      : Math.exp(localLine(points, i + 1)),
  )
}

function localLine(points: readonly { readonly x: number; readonly y: number }[], at: number): number {
  const byDistance = [...points].sort((a, b) => Math.abs(a.x - at) - Math.abs(b.x - at)).slice(0, REACH)
  const width = Math.abs((byDistance.at(-1)?.x ?? at) - at) * 1.05 + 0.5
  const weighted = byDistance.map(({ x, y }) => ({
    x: x - at,
    y,
    w: (1 - (Math.abs(x - at) / width) ** 3) ** 3,
  }))
  const sum = (of: (p: (typeof weighted)[number]) => number) =>
    weighted.reduce((total, p) => total + of(p), 0)
  const w = sum((p) => p.w)
  const [x, y] = [sum((p) => p.w * p.x) / w, sum((p) => p.w * p.y) / w]
  const spread = sum((p) => p.w * (p.x - x) ** 2)
  const slope = spread > 1e-9 ? sum((p) => p.w * (p.x - x) * (p.y - y)) / spread : 0
  return y - slope * x
}
