/**
 * A string that stands in for one of wood and gut: turned by a key that does not exist, plucked, heard and, when it is
 * turned too far, broken.
 */
import type { TunedString } from './beats'
import { pitchTurned } from './key-between'
import { addPluck } from './pluck'
import { voiceOf } from './string-voice'
import type { StringPosition } from '../instrument/instrument'

export const SIMULATED_RATE = 48_000
/** It rings so long before one stops it, s. */
const RINGS = 1.2
const QUIET = 0.1
const LOUDNESS = 0.3
/** Hiss of a quiet room, full scale being 1. */
const ROOM = 8e-4

/** Slower than this it only flaps, Hz. */
const FLAPS = 16

/**
 * Its sound when it is plucked now, or why there is none.
 *
 * @param fallen - cents that it has settled by
 * @param random - from 0 up to 1
 */
export function simulatedPluck(
  position: StringPosition,
  turned: number,
  stiffness: number,
  referenceA: number,
  fallen: number,
  random: () => number,
): Float32Array | 'broken' | 'slack' {
  const turnedTo = pitchTurned(position, turned, stiffness)
  const hz = turnedTo === null ? null : turnedTo * 2 ** (-fallen / 1200)
  if (hz === null) return 'broken'
  if (hz < FLAPS) return 'slack'
  return pluckedSound(position, referenceA, hz, random)
}

/** A string plucked somewhere along its length, in a quiet room. @param random - from 0 up to 1 */
export function pluckedSound(
  position: StringPosition,
  referenceA: number,
  hz: number,
  random: () => number,
): Float32Array {
  const samples = new Float64Array(RINGS * SIMULATED_RATE)
  const pluck = {
    voice: voiceOf(position, referenceA, hz),
    at: 0.15 + 0.2 * random(),
    loudness: LOUDNESS,
  }
  addPluck(samples, SIMULATED_RATE, pluck, QUIET * SIMULATED_RATE, random)
  return Float32Array.from(samples, (sample) => sample + ROOM * (random() + random() - 1))
}

/** Two strings ring together long enough for slow beats, s, and die away more slowly than one that is only read. */
const TOGETHER = { rings: 4, loss: 0.5 } as const

/** Two strings plucked at one moment. @param random - from 0 up to 1 */
export function twoPlucked(
  strings: readonly TunedString[],
  referenceA: number,
  random: () => number,
): Float32Array {
  const samples = new Float64Array(TOGETHER.rings * SIMULATED_RATE)
  for (const { position, hz } of strings)
    addPluck(
      samples,
      SIMULATED_RATE,
      { voice: { ...voiceOf(position, referenceA, hz), loss: TOGETHER.loss }, at: 0.2, loudness: LOUDNESS },
      QUIET * SIMULATED_RATE,
      random,
    )
  return Float32Array.from(samples)
}
