/**
 * One partial of a sound, as a slow complex envelope: turned down by its expected frequency and averaged over whole
 * periods, in which its fellow partials cancel.
 */
import { sampleAt } from './sample-at'

export interface Envelope {
  /** Middles of the blocks, s from the first sample. */
  readonly at: Float64Array
  readonly re: Float64Array
  readonly im: Float64Array
}

/** A block is at least so many samples: shorter ones are cut too roughly to cancel anything. */
const SHORTEST_BLOCK = 48
const LONGEST_BLOCK = 320

/** So many whole periods that they are as nearly as can be a whole number of samples. */
function blockLength(period: number): number {
  const least = Math.max(1, Math.ceil(SHORTEST_BLOCK / period))
  const most = Math.max(least, Math.floor(LONGEST_BLOCK / period))
  let best = least * period
  let rest = 1
  for (let periods = least; periods <= most; periods += 1) {
    const length = periods * period
    const off = Math.abs(length - Math.round(length)) / length
    // Longer blocks are worth it only where they cut cleaner.
    if (off < rest * 0.7) [best, rest] = [length, off]
  }
  return best
}

/**
 * @param samples - the sound
 * @param rate - samples a second
 * @param hz - the frequency that is expected of the partial
 * @param fundamental - of the string, Hz: blocks are whole periods of it
 */
export function envelopeOf(samples: Float64Array, rate: number, hz: number, fundamental: number): Envelope {
  const length = blockLength(rate / fundamental)
  const blocks = Math.floor(samples.length / length)
  const [at, re, im] = [new Float64Array(blocks), new Float64Array(blocks), new Float64Array(blocks)]
  const turn = (-2 * Math.PI * hz) / rate
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  let [x, y] = [1, 0]
  let i = 0
  for (let k = 0; k < blocks; k += 1) {
    const end = Math.round((k + 1) * length)
    const from = i
    let [sumRe, sumIm] = [0, 0]
    for (; i < end; i += 1) {
      const sample = sampleAt(samples, i)
      sumRe += sample * x
      sumIm += sample * y
      const next = x * c - y * s
      y = x * s + y * c
      x = next
    }
    const count = end - from
    at[k] = (from + (count - 1) / 2) / rate
    re[k] = (2 * sumRe) / count
    im[k] = (2 * sumIm) / count
  }
  return { at, re, im }
}
