/**
 * The gamma distribution: the chance below a value, its quantiles, and the points that a mean over it is taken at.
 */
import { EigenvalueDecomposition, Matrix } from 'ml-matrix'

const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** Logarithm of the gamma function for x > 0 (Lanczos, g = 7; error below 1e-13 of it). */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const z = x - 1
  const t = z + 7.5
  const sum = LANCZOS.reduce((all, term, i) => (i === 0 ? term : all + term / (z + i)), 0)
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}

/** Chance that a value of Gamma(alpha, 1) lies below x: a series below alpha + 1, a continued fraction above. */
export function gammaBelow(alpha: number, x: number): number {
  if (x <= 0) return 0
  const front = Math.exp(alpha * Math.log(x) - x - logGamma(alpha))
  if (x < alpha + 1) {
    let term = 1 / alpha
    let sum = term
    for (let n = 1; term > sum * 1e-16; n++) {
      term *= x / (alpha + n)
      sum += term
    }
    return Math.min(1, front * sum)
  }
  // Lentz's way through x + 1 − a − 1(1 − a)/(x + 3 − a − …).
  const TINY = 1e-300
  let b = x + 1 - alpha
  let c = 1 / TINY
  let d = 1 / b
  let h = d
  for (let n = 1; n < 10_000; n++) {
    const a = -n * (n - alpha)
    b += 2
    d = 1 / (Math.abs(a * d + b) < TINY ? TINY : a * d + b)
    c = Math.abs(b + a / c) < TINY ? TINY : b + a / c
    h *= d * c
    if (Math.abs(d * c - 1) < 1e-16) break
  }
  return Math.max(0, 1 - front * h)
}

/** What was asked for before is remembered: a page asks for the same few over and over. */
const MOST_REMEMBERED = 4000
const quantiles = new Map<string, number>()

/** The value of Gamma(alpha, 1) that lies above a share of all. */
export function gammaQuantile(alpha: number, share: number): number {
  const key = `${alpha} ${share}`
  const found = quantiles.get(key) ?? halved(alpha, share)
  if (quantiles.size > MOST_REMEMBERED) quantiles.clear()
  quantiles.set(key, found)
  return found
}

function halved(alpha: number, share: number): number {
  let low = 0
  let high = alpha + 1
  while (gammaBelow(alpha, high) < share) high *= 2
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i++) {
    const middle = (low + high) / 2
    if (gammaBelow(alpha, middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}

export interface WeightedPoint {
  readonly at: number
  /** All weights make one. */
  readonly weight: number
}

const known = new Map<string, readonly WeightedPoint[]>()

/**
 * Points and weights that give the mean over Gamma(alpha, 1) of any polynomial of degree below 2 · points exactly: Gauss and
 * Laguerre's, from the eigenvalues of the recurrence (Golub and Welsch 1969).
 */
export function gammaPoints(alpha: number, points: number): readonly WeightedPoint[] {
  const key = `${alpha} ${points}`
  let found = known.get(key)
  if (!found) {
    const recurrence = Matrix.zeros(points, points)
    for (let i = 0; i < points; i++) {
      recurrence.set(i, i, 2 * i + alpha)
      if (i === 0) continue
      const beside = Math.sqrt(i * (i + alpha - 1))
      recurrence.set(i, i - 1, beside)
      recurrence.set(i - 1, i, beside)
    }
    const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(recurrence, {
      assumeSymmetric: true,
    })
    found = realEigenvalues.map((at, i) => ({ at, weight: eigenvectorMatrix.get(0, i) ** 2 }))
    if (known.size > MOST_REMEMBERED) known.clear()
    known.set(key, found)
  }
  return found
}
