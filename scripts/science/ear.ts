/**
 * How well the ear reads: plucks of every string of the shelf, worked out with the chart's own inharmonicity and decay, in
 * noise and with neighbours ringing, held against the least error that anything could have.
 */
import { PitchDetector } from 'pitchy'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { readShelf } from '@/data/demo/shelf-files'
import { addPluck, partialsOf, type Pluck } from '@/core/ear/pluck'
import { firstLook, PASSES } from '@/core/ear/listener'
import { INHARMONICITY_SPREAD, readPitch } from '@/core/ear/read-pitch'
import { byInharmonicity, voiceOf, type StringVoice } from '@/core/ear/string-voice'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { centsAbove } from '@/core/pitch/cents'
import { seeded } from '@/core/random/seeded'
import { normal } from './measuring'

export const RATE = 48_000

interface Trial {
  readonly cents: number
  /** Told, one standard deviation, cents; null where it told that it does not know. */
  readonly told: number | null
  readonly bound: number
  readonly library: number | null
}

/** One pluck, somewhat out of tune, in noise at so many dB below it. */
function tryOne(
  instrument: Instrument,
  position: StringPosition,
  dB: number,
  neighbours: number,
  random: () => number,
): Trial {
  const { referenceA, positions } = instrument
  const nominal = voiceOf(position, referenceA)
  const off = 40 * normal(random)
  // A chart's modulus is an estimate.
  const voice: StringVoice = {
    ...nominal,
    hz: nominal.hz * 2 ** (off / 1200),
    inharmonicity: nominal.inharmonicity * Math.exp(0.3 * normal(random)),
  }
  const pluck: Pluck = { voice, at: 0.12 + 0.3 * random(), loudness: 0.3 }
  const samples = new Float64Array(Math.round(RATE * firstLook(nominal.hz)))
  addPluck(samples, RATE, pluck, -PASSES * RATE, random)
  const power = samples.reduce((sum, x) => sum + x * x, 0) / samples.length
  const noise = Math.sqrt(power / 10 ** (dB / 10))
  for (let i = 0; i < samples.length; i += 1) samples[i] = itemAt(samples, i) + noise * normal(random)
  for (let k = 0; k < neighbours; k += 1) {
    const beside = positions[position.number - 1 + (k % 2 === 0 ? 1 : -1)]
    if (!beside || beside.piece === position.piece) continue
    const ringing = voiceOf(beside, referenceA)
    addPluck(
      samples,
      RATE,
      { voice: ringing, at: 0.12 + 0.3 * random(), loudness: 0.09 },
      -(0.05 + 0.3 * random()) * RATE,
      random,
    )
  }
  const read = readPitch(samples, RATE, { hz: nominal.hz, inharmonicity: nominal.inharmonicity, spread: 3 })
  const [guess, clarity] = PitchDetector.forFloat64Array(samples.length).findPitch(samples, RATE)
  const centsOff = (hz: number) => centsAbove(hz, voice.hz)
  return {
    cents: read.hz === null ? Number.NaN : centsOff(read.hz),
    told: read.hz === null ? null : read.error,
    bound: boundOf(pluck, samples.length, noise),
    library: clarity > 0.5 ? centsOff(guess) : null,
  }
}

/**
 * The Cramér–Rao bound of the first partial's frequency, cents: from each partial's information on its frequency, its
 * amplitude, phase and decay unknown, and one B for all, as known beforehand as the ear takes it to be.
 */
function boundOf(pluck: Pluck, count: number, noise: number): number {
  let [ff, fb, bb] = [0, 0, INHARMONICITY_SPREAD ** -2]
  const b = pluck.voice.inharmonicity
  for (const { n, hz, decay, amplitude } of partialsOf(pluck, RATE)) {
    const from = amplitude * Math.exp(-decay * PASSES)
    // Sums of e^(−2αt) and its first two moments, by integrals: the sound is long beside a sample.
    const T = count / RATE
    const q = 2 * decay
    const e = Math.exp(-q * T)
    const s0 = (1 - e) / q
    const s1 = (1 - e * (1 + q * T)) / q ** 2
    const s2 = (2 - e * (2 + 2 * q * T + (q * T) ** 2)) / q ** 3
    // Frequency and phase are told apart, decay and amplitude likewise; of a real sine half the power counts each way.
    const information = (RATE * from ** 2 * (s2 - s1 ** 2 / s0)) / (2 * noise ** 2)
    const weight = information * (2 * Math.PI * hz) ** 2
    const byB = byInharmonicity(b, n)
    ff += weight
    fb += weight * byB
    bb += weight * byB * byB
  }
  return (Math.sqrt(bb / (ff * bb - fb * fb)) * 1200) / Math.LN2
}

export interface EarRow {
  readonly name: string
  readonly plucks: number
  /** Root of the mean squared ratio of the error to its bound, without the worst percent. */
  readonly overBound: number
  /** Half of the plucks are off by less, cents. */
  readonly median: number
  /** Of those that were told, so many lie within twice what was told. */
  readonly within: number
  readonly octaves: number
  readonly libraryMedian: number
  readonly libraryOctaves: number
}

export function earRow(
  name: string,
  positions: readonly { readonly instrument: Instrument; readonly position: StringPosition }[],
  plucks: number,
  dB: number,
  neighbours: number,
  random = seeded(14),
): EarRow {
  const trials = Array.from({ length: plucks }, (_, i) => {
    const { instrument, position } = itemAt(positions, i % positions.length)
    return tryOne(instrument, position, dB, neighbours, random)
  })
  const read = trials.filter(({ told }) => told !== null)
  const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b)
  const ratios = sorted(read.map(({ cents, bound }) => Math.abs(cents) / bound))
  const kept = ratios.slice(0, Math.ceil(ratios.length * 0.99))
  const guesses = trials.flatMap(({ library }) => (library === null ? [] : [library]))
  const wide = (cents: number) => Math.abs(cents) > 600
  return {
    name,
    plucks,
    overBound: Math.sqrt(kept.reduce((sum, r) => sum + r * r, 0) / kept.length),
    median: sorted(read.map(({ cents }) => Math.abs(cents)))[read.length >> 1] ?? Number.NaN,
    within:
      read.filter(({ cents, told }) => Math.abs(cents) <= 2 * requireValue(told)).length /
      Math.max(1, read.length),
    octaves: read.filter(({ cents }) => wide(cents)).length,
    libraryMedian: sorted(guesses.map(Math.abs))[guesses.length >> 1] ?? Number.NaN,
    libraryOctaves: guesses.filter(wide).length + plucks - guesses.length,
  }
}

/** Every string of the shelf. */
export function everyString() {
  return readShelf('demo').instruments.flatMap((instrument) =>
    instrument.positions.map((position) => ({ instrument, position })),
  )
}
