/**
 * The one tone that dies away which is most like an envelope, and how sure its frequency is.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import type { Envelope } from './envelope'

export interface DampedTone {
  /** Above the frequency that the envelope was turned down by, Hz. */
  readonly off: number
  /** One standard deviation of it, Hz. */
  readonly error: number
  /** How fast it dies away, 1/s. */
  readonly decay: number
  /** What is real and imaginary of it at the middle of the first block. */
  readonly re: number
  readonly im: number
  readonly from: number
  /** What it explains over what it leaves, as powers, summed over the blocks. */
  readonly strength: number
}

const FEWEST_BLOCKS = 6
const ROUNDS = 6
/** A step so small changes nothing that matters. */
const STILL = 1e-4

/** Null where there are too few blocks, or nothing in them dies away like a tone. */
export function dampedTone({ at, re, im }: Envelope): DampedTone | null {
  const count = at.length
  if (count < FEWEST_BLOCKS) return null
  const t0 = at[0] as number
  const start = startOf({ at, re, im })
  let { a, b, decay, turn } = start
  let covariance: Matrix | null = null
  let left = 0
  for (let round = 0; round < ROUNDS; round += 1) {
    // Gauss and Newton over what is real, what is imaginary, how fast it dies and how fast it turns.
    const n = [0, 1, 2, 3].map(() => [0, 0, 0, 0])
    const g = [0, 0, 0, 0]
    left = 0
    for (let k = 0; k < count; k += 1) {
      const t = (at[k] as number) - t0
      const fade = Math.exp(-decay * t)
      const [c, s] = [fade * Math.cos(turn * t), fade * Math.sin(turn * t)]
      const [mRe, mIm] = [a * c - b * s, a * s + b * c]
      const [rRe, rIm] = [(re[k] as number) - mRe, (im[k] as number) - mIm]
      left += rRe * rRe + rIm * rIm
      const jRe = [c, -s, -t * mRe, -t * mIm]
      const jIm = [s, c, -t * mIm, t * mRe]
      for (let i = 0; i < 4; i += 1) {
        g[i] = (g[i] as number) + (jRe[i] as number) * rRe + (jIm[i] as number) * rIm
        const row = n[i] as number[]
        for (let j = 0; j < 4; j += 1)
          row[j] =
            (row[j] as number) +
            (jRe[i] as number) * (jRe[j] as number) +
            (jIm[i] as number) * (jIm[j] as number)
      }
    }
    covariance = inverse(n)
    if (!covariance) return null
    const step = covariance.mmul(Matrix.columnVector(g)).to1DArray()
    const most = 0.5 / Math.max(1e-4, (at[count - 1] as number) - t0)
    a += step[0] as number
    b += step[1] as number
    decay += within(step[2] as number, 8 * most)
    turn += within(step[3] as number, 8 * most)
    if (Math.abs(step[3] as number) < STILL * most && Math.abs(step[2] as number) < STILL * most) break
  }
  if (!Number.isFinite(turn) || !covariance) return null
  const noise = Math.sqrt(left / Math.max(1, 2 * count - 4))
  const total = re.reduce((sum, x, k) => sum + x * x + (im[k] as number) ** 2, 0)
  return {
    off: turn / (2 * Math.PI),
    error: (noise * Math.sqrt(Math.max(0, covariance.get(3, 3)))) / (2 * Math.PI),
    decay,
    re: a,
    im: b,
    from: t0,
    strength: Math.max(0, total - left) / Math.max(1e-300, noise * noise),
  }
}

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value))

/** A start near enough for Gauss and Newton: from each block to the next it turns and fades by about as much. */
function startOf({ at, re, im }: Envelope) {
  let [sumRe, sumIm] = [0, 0]
  for (let k = 1; k < at.length; k += 1) {
    sumRe += (re[k] as number) * (re[k - 1] as number) + (im[k] as number) * (im[k - 1] as number)
    sumIm += (im[k] as number) * (re[k - 1] as number) - (re[k] as number) * (im[k - 1] as number)
  }
  const step = ((at.at(-1) as number) - (at[0] as number)) / (at.length - 1)
  const turn = Math.atan2(sumIm, sumRe) / step
  const half = Math.floor(at.length / 2)
  const power = (from: number, to: number) => {
    let sum = 1e-300
    for (let k = from; k < to; k += 1) sum += (re[k] as number) ** 2 + (im[k] as number) ** 2
    return sum / (to - from)
  }
  const decay = Math.max(
    0.1,
    Math.log(power(0, half) / power(half, at.length)) / (2 * step * Math.max(1, at.length / 2)),
  )
  let [a, b, weight] = [0, 0, 0]
  for (let k = 0; k < at.length; k += 1) {
    const t = (at[k] as number) - (at[0] as number)
    const fade = Math.exp(-decay * t)
    const [c, s] = [fade * Math.cos(turn * t), fade * Math.sin(turn * t)]
    a += c * (re[k] as number) + s * (im[k] as number)
    b += c * (im[k] as number) - s * (re[k] as number)
    weight += fade * fade
  }
  return { a: a / weight, b: b / weight, decay, turn }
}

/** Null where a matrix is not positive. */
function inverse(rows: number[][]): Matrix | null {
  const parts = new CholeskyDecomposition(new Matrix(rows))
  return parts.isPositiveDefinite() ? parts.solve(Matrix.eye(rows.length)) : null
}
