import { PitchDetector } from 'pitchy'

/** A guess is worth something from this clarity, of 1. */
const CLEAR = 0.85

/**
 * Where a pitch may lie, by the sound's likeness to itself a period later: good enough to begin with where nothing is known
 * of the string but that it is not yet up. May be an octave off.
 *
 * @returns Hz; null where nothing is clear
 */
export function firstGuess(samples: Float64Array, rate: number): number | null {
  const [hz, clarity] = PitchDetector.forFloat64Array(samples.length).findPitch(samples, rate)
  return clarity >= CLEAR && hz > 0 ? hz : null
}
