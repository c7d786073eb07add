/**
 * The sound of a plucked string, worked out partial by partial: the string stand-in, and what the ear is tried on.
 */
import { sampleAt } from './sample-at'
import { partialDecay, partialHz, type StringVoice } from './string-voice'

export interface Pluck {
  readonly voice: StringVoice
  /** Where it is plucked, as a share of its length from one end. */
  readonly at: number
  /** Amplitude of the whole, full scale being 1. */
  readonly loudness: number
}

/** Below this a small soundboard gives little, Hz: the lowest strings are heard by their upper partials. */
const BOARD = 140
/** Above this nobody hears a string's partials, Hz. */
const HIGHEST = 12_000
const MOST_PARTIALS = 40

export interface PluckedPartial {
  readonly n: number
  readonly hz: number
  /** 1/s */
  readonly decay: number
  readonly amplitude: number
}

/** The partials of a pluck that lie below half the sample rate. */
export function partialsOf({ voice, at, loudness }: Pluck, rate: number): readonly PluckedPartial[] {
  const top = Math.min(HIGHEST, rate * 0.45)
  const all: PluckedPartial[] = []
  for (let n = 1; n <= MOST_PARTIALS; n += 1) {
    const hz = partialHz(voice, n)
    if (hz > top) break
    // A string drawn aside at one place, and a board that gives little of what is low.
    const drawn = Math.abs(Math.sin(n * Math.PI * at)) / n
    const board = (hz / BOARD) ** 2 / (1 + (hz / BOARD) ** 2)
    all.push({ n, hz, decay: partialDecay(voice, n), amplitude: drawn * board })
  }
  const sum = Math.sqrt(all.reduce((total, { amplitude }) => total + amplitude ** 2, 0)) || 1
  return all.map((one) => ({ ...one, amplitude: (one.amplitude / sum) * loudness }))
}

/** The finger leaves the string in so long, s. */
const LETS_GO = 0.002

/**
 * Adds a pluck to samples.
 *
 * @param samples - added to
 * @param rate - samples a second
 * @param onset - sample at which the finger lets go; may lie before the first, where a neighbour rings on
 * @param random - for the phases of the partials, in [0, 1)
 */
export function addPluck(
  samples: Float64Array,
  rate: number,
  pluck: Pluck,
  onset: number,
  random: () => number,
): void {
  for (const { hz, decay, amplitude } of partialsOf(pluck, rate)) {
    const phase = 2 * Math.PI * random()
    const turn = (2 * Math.PI * hz) / rate
    // One turn after the other, by a rotation: a sine for each sample would take ten times as long.
    const [c, s] = [Math.cos(turn), Math.sin(turn)]
    const fade = Math.exp(-decay / rate)
    const first = Math.max(0, Math.ceil(onset))
    const since = first - onset
    const risen = onset + LETS_GO * rate
    let size = amplitude * Math.exp((-decay * since) / rate)
    let x = Math.cos(phase + turn * since)
    let y = Math.sin(phase + turn * since)
    for (let i = first; i < samples.length; i += 1) {
      const rise = i < risen ? (i - onset) / (LETS_GO * rate) : 1
      samples[i] = sampleAt(samples, i) + size * rise * x
      const next = x * c - y * s
      y = x * s + y * c
      x = next
      size *= fade
    }
  }
}
