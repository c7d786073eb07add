/**
 * The normal distribution.
 */

/** Density of the standard normal distribution. */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)

/**
 * The chance that a standard normal number is less than `z`: complementary error function by Chebyshev fit, off by less than
 * 1.2·10⁻⁷ everywhere (Press et al., Numerical Recipes, 6.2).
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + x / 2)
  const series = CHEBYSHEV.reduceRight((sum, c) => sum * t + c, 0)
  const tail = (t * Math.exp(-x * x + series)) / 2
  return z > 0 ? 1 - tail : tail
}

const CHEBYSHEV = [
  -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587,
  -0.82215223, 0.17087277,
] as const
