/**
 * Notes in scientific pitch. The octave belongs to the letter: C-flat 4 sounds a semitone below C4.
 */

import { itemAt } from '../list/item-at'
import { LETTERS, type Accidental, type Letter } from './letters'

export { LETTERS, type Accidental, type Letter }

declare const scientific: unique symbol
/** An octave number of scientific pitch, where 4 begins at middle C. */
export type ScientificOctave = number & { readonly [scientific]: true }

export interface Note {
  readonly letter: Letter
  readonly accidental: Accidental
  readonly octave: ScientificOctave
}

const SEMITONES: Record<Letter, number> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 }

/**
 * @param value - a whole number from −1 to 9
 * @throws RangeError otherwise
 */
export function scientificOctave(value: number): ScientificOctave {
  if (!Number.isInteger(value) || value < -1 || value > 9) {
    throw new RangeError(`octave: expected a whole number from -1 to 9, got ${value}.`)
  }
  return value as ScientificOctave
}

/** A note from its parts; throws RangeError for an octave outside −1 to 9. */
export function note(letter: Letter, octave: number, accidental: Accidental = 0): Note {
  return { letter, octave: scientificOctave(octave), accidental }
}

/** Semitones above C−1, so that A4 is 69. */
export function semitoneNumber({ letter, accidental, octave }: Note): number {
  return 12 * (octave + 1) + SEMITONES[letter] + accidental
}

/** Place in the row of letters, counted in steps of the scale: C4 is 28, D4 29. Accidentals do not count. */
export function letterStep({ letter, octave }: Pick<Note, 'letter' | 'octave'>): number {
  return 7 * octave + LETTERS.indexOf(letter)
}

/** The natural note at a place in the row of letters; the inverse of {@link letterStep}. */
export function noteAtStep(step: number): Note {
  const letter = itemAt(LETTERS, ((step % 7) + 7) % 7)
  return note(letter, Math.floor(step / 7))
}

/** Every natural note from one down to another, both included: as the strings of a diatonic instrument run. */
export function scaleDown(top: Note, bottom: Note): readonly Note[] {
  const first = letterStep(top)
  return Array.from({ length: Math.max(0, first - letterStep(bottom) + 1) }, (_, i) => noteAtStep(first - i))
}

/**
 * Frequency in equal temperament.
 *
 * @param n - the note
 * @param referenceA - frequency of A4, Hz
 * @returns Hz
 */
export function frequency(n: Note, referenceA = 440): number {
  return referenceA * 2 ** ((semitoneNumber(n) - 69) / 12)
}

const ACCIDENTAL_WORDS: Record<Accidental, string> = { [-1]: '-flat', 0: '', 1: '-sharp' }

/** The letter with its accidental in words: `C-flat`, `G`. */
export function noteWord({ letter, accidental }: Pick<Note, 'letter' | 'accidental'>): string {
  return letter + ACCIDENTAL_WORDS[accidental]
}

/** Scientific pitch without the label that must stand beside it: `G4`, `C-flat 4`. */
export function scientificWord(n: Note): string {
  return n.accidental === 0 ? `${n.letter}${n.octave}` : `${noteWord(n)} ${n.octave}`
}
