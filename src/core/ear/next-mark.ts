/**
 * What a string that is being raised is held against next: a low clear note, the string below, its octave, and at last its
 * own pitch.
 */
import { comparedWith, OCTAVE } from '../instrument/compared-with'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { semitoneNumber } from '../pitch/note'

export interface NextMark {
  readonly mark: 'clear note' | 'string below' | 'octave below' | 'pitch'
  /** The string that it is held against; null where it is none. */
  readonly against: StringPosition | null
}

/** A string sounds clear from about so far below its pitch, cents. */
const CLEAR = -1200
/** From here up it is held against its octave, cents. */
const NEAR_OCTAVE = -240
/** Nearer than this only a tuner tells, cents. */
const EXACT = -8

/** @param cents - where it stands, from its own pitch */
export function nextMark(instrument: Instrument, position: StringPosition, cents: number): NextMark {
  if (cents < CLEAR) return { mark: 'clear note', against: null }
  const { below, at } = comparedWith(instrument.positions, position)
  if (below && cents < 100 * (semitoneNumber(below.note) - semitoneNumber(position.note)))
    return { mark: 'string below', against: below }
  const octave = at(-OCTAVE)
  if (octave && cents >= NEAR_OCTAVE && cents < EXACT) return { mark: 'octave below', against: octave }
  return { mark: 'pitch', against: null }
}
