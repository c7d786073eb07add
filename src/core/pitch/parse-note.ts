/** Notes as they are typed. */
import { itemAt } from '../list/item-at'
import type { Letter } from './letters'
import { note, type Note } from './note'
import { noteInWords } from './note-words'

/**
 * Reads scientific pitch: `G4`, `Cb4`, `C-flat 4`, `F#5`, `f sharp 5`; and as other languages write it, see {@link noteInWords}.
 *
 * @throws RangeError with a sentence that can be shown, when the text is not a note
 */
export function parseNote(text: string): Note {
  const found = /^([a-g])\s*-?\s*(flat|b|♭|sharp|#|♯|natural)?\s*(-?\d)$/i.exec(text.trim())
  if (!found) {
    const other = noteInWords(text)
    if (other) return note(other.letter, other.octave, other.accidental)
    throw new RangeError(`Expected a note such as “G4” or “C-flat 4”, got “${text.trim().slice(0, 60)}”.`)
  }
  const sign = (found[2] ?? '').toLowerCase()
  const accidental = ['flat', 'b', '♭'].includes(sign) ? -1 : ['sharp', '#', '♯'].includes(sign) ? 1 : 0
  return note(itemAt(found, 1).toUpperCase() as Letter, Number(found[3]), accidental)
}
