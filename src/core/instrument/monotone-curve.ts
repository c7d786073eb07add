/**
 * A smooth curve through control points that never overshoots them (piecewise cubic with the slopes of Fritsch and
 * Butland 1984).
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

export type Control = readonly [x: number, y: number]

/**
 * @param controls - at least two points with rising x
 * @returns the curve; constant beyond its ends
 * @throws RangeError when there are too few points or x does not rise
 */
export function monotoneCurve(controls: readonly Control[]): (x: number) => number {
  if (controls.length < 2)
    throw new RangeError(`curve: expected at least two control points, got ${controls.length}.`)
  const xs = controls.map(([x]) => x)
  const ys = controls.map(([, y]) => y)
  const widths = xs.slice(1).map((x, i) => x - itemAt(xs, i))
  if (widths.some((w) => w <= 0)) throw new RangeError(`curve: expected rising x, got ${xs.join(', ')}.`)
  const slopes = widths.map((w, i) => (itemAt(ys, i + 1) - itemAt(ys, i)) / w)
  const tangents = xs.map((_, i) => tangent(slopes[i - 1], slopes[i], widths[i - 1], widths[i]))
  return (x) => {
    if (x <= itemAt(xs, 0)) return itemAt(ys, 0)
    const end = xs.findIndex((at) => at >= x)
    if (end < 0) return requireValue(ys.at(-1))
    const i = end - 1
    const w = itemAt(widths, i)
    const t = (x - itemAt(xs, i)) / w
    return (
      (1 + 2 * t) * (1 - t) ** 2 * itemAt(ys, i) +
      t * (1 - t) ** 2 * w * itemAt(tangents, i) +
      t ** 2 * (3 - 2 * t) * itemAt(ys, end) +
      t ** 2 * (t - 1) * w * itemAt(tangents, end)
    )
  }
}

function tangent(before: number | undefined, after: number | undefined, wBefore = 0, wAfter = 0): number {
  if (before === undefined) return requireValue(after)
  if (after === undefined) return before
  if (before * after <= 0) return 0
  const share = (wBefore + 2 * wAfter) / (3 * (wBefore + wAfter))
  return (before * after) / (share * after + (1 - share) * before)
}
