/**
 * What a string that is being raised is held against next: a low clear note, the string below, its octave, and at last its
 * own pitch.
 */
import { samePiece, type Instrument, type StringPosition } from '../instrument/instrument'
import { letterStep, semitoneNumber } from '../pitch/note'

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

const STEPS_OF_OCTAVE = 7

/** @param cents - where it stands, from its own pitch */
export function nextMark(instrument: Instrument, position: StringPosition, cents: number): NextMark {
  if (cents < CLEAR) return { mark: 'clear note', against: null }
  const own = letterStep(position.note)
  const piece = samePiece(instrument, position)
  const others = instrument.positions.filter((other) => !piece.includes(other))
  // The longer neighbour, where it sounds lower: the scale's own step.
  const below = others.find((other) => other.number > position.number && letterStep(other.note) < own)
  const at = below && 100 * (semitoneNumber(below.note) - semitoneNumber(position.note))
  if (below && at !== undefined && cents < at) return { mark: 'string below', against: below }
  const octave = others.find((other) => letterStep(other.note) === own - STEPS_OF_OCTAVE)
  if (octave && cents >= NEAR_OCTAVE && cents < EXACT) return { mark: 'octave below', against: octave }
  return { mark: 'pitch', against: null }
}
