/** What a picture would change of lengths that are known already, for somebody to agree to. */
import type { Instrument } from '../instrument/instrument'
import type { Measured } from '../measuring/quantity'
import { takeLengths, type ReadLength } from '../measuring/take-lengths'

export interface KnownChange {
  /** Of the string. */
  readonly number: number
  /** Speaking lengths, m. */
  readonly old: number
  readonly becomes: number
  /** One standard deviation of what is known, m. */
  readonly oldError: number
  /** Whether the picture is the surer of the two: then it is taken unless somebody says no. */
  readonly isSurer: boolean
}

/** Lengths that differ by less are one, m: nobody reads a tape closer. */
const SAME = 0.5e-3

/**
 * @param measured - what is known of the instrument; what was measured by tape a picture never changes
 * @returns the instrument as the picture has it, with every reading taken, and what of it was known before
 * @param readings - of the picture, which {@link takeLengths} takes
 * @throws RangeError with a sentence that can be shown, as {@link takeLengths} does
 */
export function knownChanges(
  instrument: Instrument,
  measured: readonly Measured[],
  readings: readonly ReadLength[],
): { readonly after: Instrument; readonly changes: readonly KnownChange[] } {
  const known = new Map(
    measured.flatMap(({ key, error }) =>
      key.startsWith('speaking') && error !== null ? [[key, error]] : [],
    ),
  )
  const numbers = readings.map(({ number }) => number)
  const after = takeLengths(instrument, measured, readings, numbers).instrument
  const changes = readings.flatMap(({ number, error }): KnownChange[] => {
    const oldError = known.get(`speaking ${number}`)
    const old = instrument.positions[number - 1]?.speakingLength
    const becomes = after.positions[number - 1]?.speakingLength
    if (oldError === undefined || old === undefined || becomes === undefined) return []
    return Math.abs(becomes - old) < SAME
      ? []
      : [{ number, old, becomes, oldError, isSurer: error < oldError }]
  })
  return { after, changes }
}
