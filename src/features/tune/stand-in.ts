/**
 * A string that stands in for one of wood and gut: turned by a key that does not exist, plucked, heard and, when it is
 * turned too far, broken.
 */
import { pitchTurned } from '@/core/ear/key-between'
import { addPluck } from '@/core/ear/pluck'
import { voiceOf } from '@/core/ear/string-voice'
import type { StringPosition } from '@/core/instrument/instrument'

export const STAND_IN_RATE = 48_000
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
 */
export function standInPluck(
  position: StringPosition,
  turned: number,
  stiffness: number,
  referenceA: number,
  fallen: number,
): Float32Array | 'broken' | 'slack' {
  const turnedTo = pitchTurned(position, turned, stiffness)
  const hz = turnedTo === null ? null : turnedTo * 2 ** (-fallen / 1200)
  if (hz === null) return 'broken'
  if (hz < FLAPS) return 'slack'
  return pluckedSound(position, referenceA, hz)
}

/** A string plucked somewhere along its length, in a quiet room. */
export function pluckedSound(position: StringPosition, referenceA: number, hz: number): Float32Array {
  const samples = new Float64Array(RINGS * STAND_IN_RATE)
  const pluck = {
    voice: voiceOf(position, referenceA, hz),
    at: 0.15 + 0.2 * Math.random(),
    loudness: LOUDNESS,
  }
  addPluck(samples, STAND_IN_RATE, pluck, QUIET * STAND_IN_RATE, Math.random)
  return Float32Array.from(samples, (sample) => sample + ROOM * (Math.random() + Math.random() - 1))
}

/** Lets it be heard, where the machine has a loudspeaker; silently not, where it has none. */
export function play(samples: Float32Array): void {
  try {
    const context = new AudioContext()
    const buffer = context.createBuffer(1, samples.length, STAND_IN_RATE)
    buffer.copyToChannel(new Float32Array(samples), 0)
    const source = context.createBufferSource()
    source.buffer = buffer
    source.connect(context.destination)
    source.addEventListener('ended', () => void context.close())
    source.start()
  } catch {
    // It is seen all the same.
  }
}
