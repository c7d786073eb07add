/**
 * Listens to a string as its sound comes in: finds the pluck, reads it as soon as that is of use, and again while it rings.
 */
import { sampleAt } from './sample-at'
import { readPitch, type PitchReading, type Unread } from './read-pitch'
import type { Expected } from './comb'
import { firstGuess } from './first-guess'
import { whichPlucked } from './which-plucked'

export interface Heard {
  readonly reading: PitchReading | Unread
  /** Which pluck it is of, counted from 1. */
  readonly pluck: number
  /** From the pluck to the end of what was read, s. */
  readonly after: number
  /** Which of the strings it is, where it was asked among several: its index, null where that can't be told. */
  readonly which: number | null
}

/** Strings of which any may be plucked, and whose turn it is. */
export interface Among {
  readonly strings: readonly Expected[]
  readonly next: number
}

/** The finger's own noise is let pass, s. */
export const PASSES = 0.012
/** Blocks in which loudness is watched, s. */
const WATCH = 0.008
/** A pluck is so many times louder than what rang before, as powers. */
const LOUDER = 5
const SILENT = 1e-8
/** No reading is told to be surer by more than a little, cents. */
const SURE = 0.06
/** A pluck glides into its pitch: so long it is listened to, however sure it is, s. */
const SHORTEST = 0.2
/** Kept of what was heard, s. */
const KEPT = 1.6
/** Two plucks are at least so far apart, s. */
const APART = 0.12
/** Lower than this share of where it should be, it is not yet up. */
const BELOW = 0.8
/** Which string it is, is told by so much of its beginning, s: of more the spectrum is finer than the combs that are held to it. */
const TOLD_BY = 0.3
/** A guess may be an octave off: semitones that are left open round it. */
const GUESSED = 5
/** C3, above which a figure must be there at once, Hz. */
const HIGH = 130

/** So long is listened before the first figure, s: with the finger's noise and a block it is told within 150 ms above C3. */
export function firstLook(hz: number): number {
  return hz > HIGH ? 0.11 : Math.min(0.5, 17 / hz)
}

export class Listener {
  private readonly kept: Float64Array
  /** Samples that came in since the beginning. */
  private count = 0
  private watched = 0
  private power = 0
  /** Loudness that a pluck must rise above; nothing does before the room was heard. */
  private before = Number.POSITIVE_INFINITY
  private onset = Number.NEGATIVE_INFINITY
  private pluck = 0
  private next = 0
  /** Where this pluck is looked for; null until its sound said. */
  private sought: Expected | null = null
  /** Which string this pluck is of; null until its sound said, or where it is not asked. */
  private which: number | null = null

  /**
   * @param rate - samples a second
   * @param expected - the string that is listened for
   * @param among - all that may be heard instead; none where only that one is
   */
  constructor(
    private readonly rate: number,
    private expected: Expected,
    private among: Among | null = null,
  ) {
    this.kept = new Float64Array(Math.ceil(KEPT * rate))
  }

  /** Another string is listened for from now on; what is heard already goes on being heard. */
  turnTo(expected: Expected, among: Among | null): void {
    this.expected = expected
    this.among = among
  }

  /** Takes what came in; answers with what it read, where there was something to read. */
  hear(samples: Float32Array | Float64Array): Heard | null {
    const watch = Math.round(WATCH * this.rate)
    for (const sample of samples) {
      this.kept[this.count % this.kept.length] = sample
      this.count += 1
      this.power += sample * sample
      this.watched += 1
      if (this.watched === watch) this.watchOver()
    }
    return this.look()
  }

  private watchOver(): void {
    const power = this.power / this.watched
    if (power > LOUDER * this.before && power > 10 * SILENT && this.count - this.onset > APART * this.rate) {
      this.onset = this.count - this.watched
      this.pluck += 1
      this.next = firstLook(this.expected.hz)
      this.sought = null
      this.which = null
    }
    // It forgets slowly, so that a beat between two strings is no pluck.
    this.before = Math.max(SILENT, power, Number.isFinite(this.before) ? this.before * 0.9 : power)
    this.power = 0
    this.watched = 0
  }

  /** A string that is being raised is looked for where the sound says, its stiffness grown as its tension fell. */
  private around(sound: Float64Array): Expected | null {
    const { hz, inharmonicity } = this.expected
    const guess = firstGuess(sound, this.rate)
    if (guess === null) return null
    if (guess > hz * BELOW) return this.expected
    return { hz: guess, inharmonicity: inharmonicity * (hz / guess) ** 2, spread: GUESSED }
  }

  private look(): Heard | null {
    const after = (this.count - this.onset) / this.rate
    if (this.pluck === 0 || this.next === 0 || after < this.next + PASSES) return null
    const length = Math.min(Math.round(this.next * this.rate), this.kept.length)
    const from = this.onset + Math.round(PASSES * this.rate)
    const sound = new Float64Array(length)
    for (let i = 0; i < length; i += 1) sound[i] = sampleAt(this.kept, (from + i) % this.kept.length)
    if (this.among) {
      const { strings, next } = this.among
      this.which ??= whichPlucked(sound.subarray(0, TOLD_BY * this.rate), this.rate, strings, next)
      this.sought = this.which === null ? null : (strings[this.which] ?? null)
    } else this.sought ??= this.around(sound)
    const reading = readPitch(sound, this.rate, this.sought ?? this.expected)
    // Twice as long, twice as sure, until it is as sure as can be, or would be read from what is no longer kept.
    const isSure = reading.hz !== null && reading.error < SURE && this.next > SHORTEST
    this.next = !isSure && 2 * this.next + PASSES < KEPT ? 2 * this.next : 0
    return { reading, pluck: this.pluck, after, which: this.which }
  }
}
