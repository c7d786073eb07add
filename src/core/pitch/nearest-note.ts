/**
 * The note of equal temperament that a frequency comes nearest to.
 */
import { itemAt } from '../list/item-at'
import { note, noteAtStep, scientificWord, semitoneNumber, type Note } from './note'

export interface NearestNote {
  readonly note: Note
  /** In scientific pitch: `F-sharp 3`. */
  readonly word: string
  /** How far above it, −50 to 50. */
  readonly cents: number
}

/** Letters of the twelve semitones of an octave, sharps for the raised ones. */
const STEPS = [
  [0, 0],
  [0, 1],
  [1, 0],
  [1, 1],
  [2, 0],
  [3, 0],
  [3, 1],
  [4, 0],
  [4, 1],
  [5, 0],
  [5, 1],
  [6, 0],
] as const

/**
 * @param frequency - Hz
 * @param referenceA - frequency of A4, Hz
 */
export function nearestNote(frequency: number, referenceA: number): NearestNote {
  const semitones = 12 * Math.log2(frequency / referenceA) + semitoneNumber(note('A', 4))
  const nearest = Math.round(semitones)
  const octave = Math.floor(nearest / 12) - 1
  const [step, accidental] = itemAt(STEPS, nearest - 12 * (octave + 1))
  const nearestOf: Note = { ...noteAtStep(7 * octave + step), accidental }
  return { note: nearestOf, word: scientificWord(nearestOf), cents: (semitones - nearest) * 100 }
}
