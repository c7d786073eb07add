/**
 * What a house's own fittings say of its predictions: the average by which its wraps and cuts came out otherwise.
 */

/** One fitting: what was worked out before any correction, and what was measured. Lengths in m. */
export interface Measured {
  readonly predictedWraps: number | null
  readonly wraps: number | null
  readonly predictedCut: number | null
  readonly cut: number | null
}

export interface Corrections {
  /** Wraps that come out more than worked out; negative for fewer. */
  readonly wraps: number
  /** Fittings that the wraps were learned from. */
  readonly wrapsFrom: number
  /** Length really cut beyond what was worked out, m; negative for less. */
  readonly cut: number
  readonly cutFrom: number
}

export const NO_CORRECTIONS: Corrections = { wraps: 0, wrapsFrom: 0, cut: 0, cutFrom: 0 }

/** Fittings that agree with the sum, which the first measured ones are weighed against. */
const PRIOR = 3
/** An error further out than this is a slip of the pen, not a habit: wraps, and m. */
const SANE = { wraps: 3, cut: 0.15 } as const

/**
 * The house's corrections, shrunk toward none while there are few fittings: n / (n + 3) of the mean error.
 *
 * @param fittings - of one house; those that lack a figure are left out for it
 */
export function correctionsFrom(fittings: readonly Measured[]): Corrections {
  const wraps = fittings.flatMap((f) => difference(f.wraps, f.predictedWraps, SANE.wraps))
  const cut = fittings.flatMap((f) => difference(f.cut, f.predictedCut, SANE.cut))
  return { wraps: shrunkMean(wraps), wrapsFrom: wraps.length, cut: shrunkMean(cut), cutFrom: cut.length }
}

function difference(measured: number | null, predicted: number | null, sane: number): readonly number[] {
  if (measured === null || predicted === null) return []
  const off = measured - predicted
  return Math.abs(off) <= sane ? [off] : []
}

function shrunkMean(errors: readonly number[]): number {
  return errors.reduce((sum, error) => sum + error, 0) / (errors.length + PRIOR)
}
