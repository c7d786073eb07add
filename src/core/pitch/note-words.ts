/**
 * Notes as players of other languages write them: `H5`, `Es4`, `fis3`, `La6`, `do#5`, `si bémol 4`. Octaves count as in scientific
 * pitch: A4, La4 and a′ are one.
 */
import { itemAt } from '../list/item-at'
import type { Accidental, Letter } from './letters'

export interface WrittenNote {
  readonly letter: Letter
  readonly accidental: Accidental
  readonly octave: number
}

/** Solfège, in French, Italian and Spanish. */
const SOLFEGE: ReadonlyMap<string, Letter> = new Map([
  ['do', 'C'],
  ['ut', 'C'],
  ['re', 'D'],
  ['ré', 'D'],
  ['mi', 'E'],
  ['fa', 'F'],
  ['sol', 'G'],
  ['la', 'A'],
  ['si', 'B'],
])

/** German letters with their endings; `B` alone is read as in English, for a list without an H can’t tell. */
const GERMAN: ReadonlyMap<string, readonly [Letter, Accidental]> = new Map<
  string,
  readonly [Letter, Accidental]
>([
  ['h', ['B', 0]],
  ['his', ['B', 1]],
  ['es', ['E', -1]],
  ['as', ['A', -1]],
  ['ces', ['C', -1]],
  ['des', ['D', -1]],
  ['fes', ['F', -1]],
  ['ges', ['G', -1]],
  ['cis', ['C', 1]],
  ['dis', ['D', 1]],
  ['eis', ['E', 1]],
  ['fis', ['F', 1]],
  ['gis', ['G', 1]],
  ['ais', ['A', 1]],
])

const SIGNS: ReadonlyMap<string, Accidental> = new Map<string, Accidental>([
  ['', 0],
  ['#', 1],
  ['♯', 1],
  ['dièse', 1],
  ['diese', 1],
  ['diesis', 1],
  ['sostenido', 1],
  ['b', -1],
  ['♭', -1],
  ['bémol', -1],
  ['bemol', -1],
  ['bemolle', -1],
])

const WRITTEN = /^(\p{L}+?)\s*-?\s*(#|♯|b|♭|dièse|diese|diesis|sostenido|bémol|bemol|bemolle)?\s*(-?\d)$/iu

/**
 * Reads a note of another language than English.
 *
 * @returns null where it is none; the octave may be any digit
 * @example noteInWords('Es4') // E-flat 4
 */
export function noteInWords(text: string): WrittenNote | null {
  const found = WRITTEN.exec(text.trim())
  if (!found) return null
  const name = itemAt(found, 1).toLowerCase()
  const sign = SIGNS.get((found[2] ?? '').toLowerCase())
  const octave = Number(found[3])
  const letter = SOLFEGE.get(name)
  if (letter !== undefined && sign !== undefined) return { letter, accidental: sign, octave }
  const german = found[2] === undefined ? GERMAN.get(name) : undefined
  return german ? { letter: german[0], accidental: german[1], octave } : null
}
