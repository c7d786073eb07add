/**
 * The one tone that dies away which is most like an envelope, and how sure its frequency is.
 */
import { sampleAt } from './sample-at'
import { requireValue } from '../list/require-value'
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

/**
 * Gauss and Newton over how fast it dies and how fast it turns; its amplitude and phase are the best for both each time, so
 * that their doubt is taken out of that of the frequency: only the time from the tone's own middle tells of it.
 *
 * @returns null where there are too few blocks, or nothing in them dies away like a tone
 */
export function dampedTone({ at, re, im }: Envelope): DampedTone | null {
  const count = at.length
  if (count < FEWEST_BLOCKS) return null
  const t0 = sampleAt(at, 0)
  const most = 4 / Math.max(1e-4, sampleAt(at, count - 1) - t0)
  const [eRe, eIm] = [new Float64Array(count), new Float64Array(count)]
  let { decay, turn } = startOf({ at, re, im })
  let [a, b, information, left] = [0, 0, 0, 0]
  for (let round = 0; round < ROUNDS; round += 1) {
    let [weight, moment, sumRe, sumIm] = [0, 0, 0, 0]
    for (let k = 0; k < count; k += 1) {
      const t = sampleAt(at, k) - t0
      const fade = Math.exp(-decay * t)
      const [x, y] = [fade * Math.cos(turn * t), fade * Math.sin(turn * t)]
      eRe[k] = x
      eIm[k] = y
      weight += fade * fade
      moment += t * fade * fade
      sumRe += x * sampleAt(re, k) + y * sampleAt(im, k)
      sumIm += x * sampleAt(im, k) - y * sampleAt(re, k)
    }
    a = sumRe / weight
    b = sumIm / weight
    const middle = moment / weight
    let [slower, faster] = [0, 0]
    information = 0
    left = 0
    for (let k = 0; k < count; k += 1) {
      const t = sampleAt(at, k) - t0 - middle
      const mRe = a * sampleAt(eRe, k) - b * sampleAt(eIm, k)
      const mIm = a * sampleAt(eIm, k) + b * sampleAt(eRe, k)
      const rRe = sampleAt(re, k) - mRe
      const rIm = sampleAt(im, k) - mIm
      left += rRe * rRe + rIm * rIm
      information += t * t * (mRe * mRe + mIm * mIm)
      slower -= t * (mRe * rRe + mIm * rIm)
      faster += t * (mRe * rIm - mIm * rRe)
    }
    if (!(information > 0)) return null
    const [dies, turns] = [slower / information, faster / information]
    decay += within(dies, most)
    turn += within(turns, most)
    if (Math.abs(turns) < STILL * most && Math.abs(dies) < STILL * most) break
  }
  if (!Number.isFinite(turn)) return null
  const noise = Math.sqrt(left / Math.max(1, 2 * count - 4))
  let total = 0
  for (let k = 0; k < count; k += 1) total += sampleAt(re, k) ** 2 + sampleAt(im, k) ** 2
  return {
    off: turn / (2 * Math.PI),
    error: noise / Math.sqrt(information) / (2 * Math.PI),
    decay,
    re: a,
    im: b,
    from: t0,
    strength: Math.max(0, total - left) / Math.max(1e-300, noise * noise),
  }
}

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value))

/** A start near enough for Gauss and Newton: from each block to the next it turns and fades by about as much. */
function startOf({ at, re, im }: Envelope): { readonly decay: number; readonly turn: number } {
  let [sumRe, sumIm] = [0, 0]
  for (let k = 1; k < at.length; k += 1) {
    sumRe += sampleAt(re, k) * sampleAt(re, k - 1) + sampleAt(im, k) * sampleAt(im, k - 1)
    sumIm += sampleAt(im, k) * sampleAt(re, k - 1) - sampleAt(re, k) * sampleAt(im, k - 1)
  }
  const step = (requireValue(at.at(-1)) - sampleAt(at, 0)) / (at.length - 1)
  const half = Math.floor(at.length / 2)
  const power = (from: number, to: number) => {
    let sum = 1e-300
    for (let k = from; k < to; k += 1) sum += sampleAt(re, k) ** 2 + sampleAt(im, k) ** 2
    return sum / (to - from)
  }
  return {
    turn: Math.atan2(sumIm, sumRe) / step,
    decay: Math.max(0.1, Math.log(power(0, half) / power(half, at.length)) / (step * at.length)),
  }
}
