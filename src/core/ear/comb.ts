/**
 * Where in a spectrum a string's partials stand: how well each frequency near the expected one explains what is heard.
 */
import FFT from 'fft.js'
import { sampleAt } from './sample-at'
import { partialHz } from './string-voice'

export interface Spectrum {
  /** Power at each bin over that of the noise around it. */
  readonly over: Float64Array
  /** Hz from one bin to the next. */
  readonly step: number
}

/** Bins over which the noise is taken to be alike. */
const NOISE_BAND = 96
/** A quarter of the bins of noise alone have less than this share of its mean power: −ln ¾. */
const A_QUARTER = 0.2877

const TRANSFORMS = new Map<number, FFT>()

/** Its tables are worked out once for each size; there are few. */
function transformOf(size: number): FFT {
  const known = TRANSFORMS.get(size) ?? new FFT(size)
  TRANSFORMS.set(size, known)
  return known
}

/** The spectrum of a sound under a Hann window, each bin over the noise around it. */
export function spectrumOf(samples: Float64Array, rate: number): Spectrum {
  const size = 2 ** Math.ceil(Math.log2(samples.length * 2))
  const fft = transformOf(size)
  const shaped = new Float64Array(size)
  const last = samples.length - 1
  for (let i = 0; i <= last; i += 1)
    shaped[i] = sampleAt(samples, i) * (0.5 - 0.5 * Math.cos((2 * Math.PI * i) / last))
  const out = fft.createComplexArray()
  fft.realTransform(out, shaped)
  const bins = Math.min(size / 2, Math.ceil((HIGHEST * size) / rate) + NOISE_BAND)
  const power = new Float64Array(bins)
  for (let k = 0; k < bins; k += 1) power[k] = (out[2 * k] as number) ** 2 + (out[2 * k + 1] as number) ** 2
  const over = new Float64Array(bins)
  for (let from = 0; from < bins; from += NOISE_BAND) {
    const band = power.subarray(from, Math.min(bins, from + NOISE_BAND))
    const noise = sampleAt(Float64Array.from(band).sort(), band.length >> 2) / A_QUARTER + 1e-300
    for (let k = 0; k < band.length; k += 1) over[from + k] = sampleAt(band, k) / noise
  }
  return { over, step: rate / size }
}

export interface Expected {
  /** Hz */
  readonly hz: number
  readonly inharmonicity: number
  /** One standard deviation, semitones. */
  readonly spread: number
}

export interface Candidate {
  readonly hz: number
  /** The logarithm of how likely it is. */
  readonly score: number
}

/** Looked for so far from what is expected, semitones: an octave and a little more, so that an octave error can be seen. */
const REACH = 14
const STEP = 0.03
const PARTIALS = 12
const HIGHEST = 7000
/** What a partial must rise above the noise to count for itself, as a logarithm. */
const WORTH = 1.6
/** Candidates nearer than this are one, semitones. */
const APART = 0.5

/** The likeliest frequencies, the first the best. */
export function candidatesIn({ over, step }: Spectrum, expected: Expected): readonly Candidate[] {
  const reach = Math.min(REACH, 6 * expected.spread)
  const all: Candidate[] = []
  for (let semitones = -reach; semitones <= reach; semitones += STEP) {
    const hz = expected.hz * 2 ** (semitones / 12)
    let score = -((semitones / expected.spread) ** 2) / 2
    for (let n = 1; n <= PARTIALS; n += 1) {
      const bin = partialHz({ hz, inharmonicity: expected.inharmonicity }, n) / step
      const at = Math.round(bin)
      if (at + 1 >= over.length || bin * step > HIGHEST) break
      const near = Math.max(over[at - 1] ?? 0, sampleAt(over, at), sampleAt(over, at + 1))
      score += Math.log1p(near) - WORTH
    }
    all.push({ hz, score })
  }
  const best: Candidate[] = []
  for (const one of [...all].sort((a, b) => b.score - a.score)) {
    if (best.some(({ hz }) => Math.abs(12 * Math.log2(hz / one.hz)) < APART)) continue
    best.push(one)
    if (best.length === 3) break
  }
  return best
}
