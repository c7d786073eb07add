/**
 * The range of an instrument as people write it.
 */
import { itemAt } from '../list/item-at'
import { scaleDown, semitoneNumber, type Note } from '../pitch/note'
import { parseNote } from '../pitch/parse-note'

/** The most strings an instrument here can have. */
const MAX_STRINGS = 120

/**
 * Reads the notes of an instrument: a range such as `C2 to C7`, which runs by the scale, or the notes one by one from
 * the shortest. Where any is written with a sharp or a flat, all are kept as written; bare letters alone follow the rest
 * tuning.
 *
 * @throws RangeError with a sentence that can be shown
 */
export function readNotes(text: string): readonly Note[] {
  const words = text
    .trim()
    .split(/\s*(?:,|;|\s)\s*/)
    .filter((word) => word !== '')
  const range = /^(\p{L}{1,3}-?\d)\s*(?:to|bis|à|a|-|–|…|\.\.)\s*(\p{L}{1,3}-?\d)$/iu.exec(text.trim())
  const notes = range
    ? inOrder(parseNote(itemAt(range, 1)), parseNote(itemAt(range, 2)))
    : words.map((word) => parseNote(word))
  if (notes.length === 0)
    throw new RangeError('Expected the notes, such as “C2 to C7”, or one by one from the shortest.')
  if (notes.length > MAX_STRINGS)
    throw new RangeError(`That would be ${notes.length} strings; expected ${MAX_STRINGS} at most.`)
  return notes
}

function inOrder(a: Note, b: Note): readonly Note[] {
  return semitoneNumber(a) >= semitoneNumber(b) ? scaleDown(a, b) : scaleDown(b, a)
}
