/**
 * A smooth curve through control points that never overshoots them (piecewise cubic with the slopes of Fritsch and
 * Butland 1984).
 */

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
  const widths = xs.slice(1).map((x, i) => x - (xs[i] as number))
  if (widths.some((w) => w <= 0)) throw new RangeError(`curve: expected rising x, got ${xs.join(', ')}.`)
  const slopes = widths.map((w, i) => ((ys[i + 1] as number) - (ys[i] as number)) / w)
  const tangents = xs.map((_, i) => tangent(slopes[i - 1], slopes[i], widths[i - 1], widths[i]))
  return (x) => {
    if (x <= (xs[0] as number)) return ys[0] as number
    const end = xs.findIndex((at) => at >= x)
    if (end < 0) return ys.at(-1) as number
    const i = end - 1
    const w = widths[i] as number
    const t = (x - (xs[i] as number)) / w
    return (
      (1 + 2 * t) * (1 - t) ** 2 * (ys[i] as number) +
      t * (1 - t) ** 2 * w * (tangents[i] as number) +
      t ** 2 * (3 - 2 * t) * (ys[end] as number) +
      t ** 2 * (t - 1) * w * (tangents[end] as number)
    )
  }
}

function tangent(before: number | undefined, after: number | undefined, wBefore = 0, wAfter = 0): number {
  if (before === undefined) return after as number
  if (after === undefined) return before
  if (before * after <= 0) return 0
  const share = (wBefore + 2 * wAfter) / (3 * (wBefore + wAfter))
  return (before * after) / (share * after + (1 - share) * before)
}
