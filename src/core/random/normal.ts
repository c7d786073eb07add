/**
 * The normal distribution: its density, and the chance below a value (Abramowitz and Stegun 7.1.26, error below 1.5e-7).
 */

/** Density at x of a normal distribution with a mean and a standard deviation. */
export function normalDensity(x: number, mean: number, deviation: number): number {
  const z = (x - mean) / deviation
  return Math.exp(-0.5 * z * z) / (deviation * Math.sqrt(2 * Math.PI))
}

/** Chance that a standard normal value lies below z. */
export function chanceBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x)
  return z >= 0 ? 1 - tail / 2 : tail / 2
}
