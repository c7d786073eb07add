/**
 * One grammar of all that people call a string by; what it yields knows no instrument.
 */
import type { Letter } from '../pitch/note'
import { noteInWords } from '../pitch/note-words'
import { wordsOf, type Word } from './words'

/** Which strings are counted: of a letter, of a colour, or all. */
export type Kind = Letter | 'red' | 'dark' | 'any'

export type Named =
  | {
      readonly is: 'note'
      readonly letter: Letter
      readonly accidental: -1 | 0 | 1 | null
      readonly octave: number
      readonly counted: 'harp' | 'scientific' | 'unsaid'
    }
  | {
      readonly is: 'number'
      readonly number: number
      readonly from: 'own' | 'top' | 'bottom' | 'last' | 'middle'
    }
  | { readonly is: 'nth'; readonly nth: number; readonly kind: Kind; readonly from: 'top' | 'bottom' }
  | {
      readonly is: 'away'
      readonly nth: number
      readonly kind: Kind
      readonly way: 'above' | 'below'
      readonly anchor: Anchor
    }
  | {
      readonly is: 'interval'
      readonly steps: number
      readonly way: 'above' | 'below'
      readonly anchor: Anchor
    }
  | { readonly is: 'sound'; readonly hertz: number }
  | { readonly is: 'thickness'; readonly most: 'thick' | 'thin' }

/** A string that another is told from: a named one, or any of a kind. */
export type Anchor = Named | { readonly is: 'any of'; readonly kind: Kind }

const MIDDLE_C: Named = { is: 'note', letter: 'C', accidental: null, octave: 4, counted: 'harp' }

/**
 * Reads what a person calls a string by.
 *
 * @param text - without the instrument's own name: `A, fourth octave`, `first red above middle C`, `12th from the top`
 * @returns what was said; null when it is no name in any scheme
 */
export function readNamed(text: string): Named | null {
  // A note as another language writes it: `Es4`, `La6`.
  const foreign = noteInWords(text)
  // A bare name is the string’s letter, whatever it sounds at rest.
  if (foreign) return { is: 'note', ...foreign, accidental: foreign.accidental || null, counted: 'unsaid' }
  const words = wordsOf(text)
  return words === null || words.length === 0 ? null : named(words)
}

function named(words: readonly Word[]): Named | null {
  const at = words.findIndex((word) => word.is === 'way')
  if (at >= 0) return away(words.slice(0, at), (words[at] as Word & { is: 'way' }).way, words.slice(at + 1))
  return sound(words) ?? note(words) ?? ends(words) ?? counted(words)
}

/** `two below a blue one`, `first red above middle C`, `A below middle C`, `an octave above middle C`. */
function away(before: readonly Word[], way: 'above' | 'below', after: readonly Word[]): Named | null {
  const anchor = anchorOf(after)
  if (!anchor) return null
  const [first, second] = before
  if (first?.is === 'interval' && before.length === 1)
    return { is: 'interval', steps: first.steps, way, anchor }
  if (first?.is === 'octave' && before.length === 1) return { is: 'interval', steps: 7, way, anchor }
  if (first?.is === 'number' && second?.is === 'octave' && before.length === 2)
    return { is: 'interval', steps: 7 * first.value, way, anchor }
  let nth = 1
  let kind: Kind = 'any'
  for (const word of before) {
    if (word.is === 'number') nth = word.value
    else if (word.is === 'colour') kind = word.colour
    else if (word.is === 'letter') kind = word.letter
    else if (word.is !== 'string' && word.is !== 'next') return null
  }
  return nth < 1 || before.filter((word) => word.is === 'number').length > 1
    ? null
    : { is: 'away', nth, kind, way, anchor }
}

function anchorOf(words: readonly Word[]): Anchor | null {
  const [first, ...rest] = words
  if (!first) return null
  const said = first.is === 'any' ? rest : words
  const [colour] = said
  if (colour?.is === 'colour' && said.slice(1).every((word) => word.is === 'string'))
    return { is: 'any of', kind: colour.colour }
  if (first.is === 'letter' && rest.every((word) => word.is === 'string'))
    return { is: 'any of', kind: first.letter }
  return first.is === 'any' || words.some((word) => word.is === 'way') ? null : named(words)
}

function sound(words: readonly Word[]): Named | null {
  const heard = words.filter((word) => word.is !== 'string')
  const [only] = heard
  return heard.length === 1 && only?.is === 'hertz' ? { is: 'sound', hertz: only.value } : null
}

/** A letter with an octave, whichever stands first and however it is said. */
function note(words: readonly Word[]): Named | null {
  if (words.some((word) => word.is === 'middle C'))
    return words.every((word) => word.is === 'middle C' || word.is === 'string') ? MIDDLE_C : null
  const letters = words.filter((word) => word.is === 'letter')
  const numbers = words.filter((word) => word.is === 'number')
  const allowed: readonly Word['is'][] = ['letter', 'number', 'octave', 'string', 'scientific', 'harp']
  const [letter] = letters
  const [number] = numbers
  if (
    letters.length !== 1 ||
    numbers.length !== 1 ||
    !letter ||
    !number ||
    !words.every((word) => allowed.includes(word.is))
  )
    return null
  const said = (is: Word['is']) => words.some((word) => word.is === is)
  const harp =
    said('octave') || said('harp') || number.ordinal || words.indexOf(number) < words.indexOf(letter)
  // A flat or sharp with a bare figure after it is written music, and that counts in scientific pitch.
  const counted = said('scientific')
    ? 'scientific'
    : harp
      ? 'harp'
      : letter.accidental !== null
        ? 'scientific'
        : 'unsaid'
  return { is: 'note', letter: letter.letter, accidental: letter.accidental, octave: number.value, counted }
}

/** `top red`, `the lowest string`, `thickest`, `last C`. */
function ends(words: readonly Word[]): Named | null {
  const [first, ...rest] = words
  if (!first) return null
  const kind = kindOf(rest)
  switch (first.is) {
    case 'thickest':
      return kind === 'any' ? { is: 'thickness', most: 'thick' } : null
    case 'thinnest':
      return kind === 'any' ? { is: 'thickness', most: 'thin' } : null
    case 'outermost':
      return kind === 'any' ? { is: 'number', number: 1, from: 'own' } : null
    case 'innermost':
      return kind === 'any' ? { is: 'number', number: 1, from: 'last' } : null
    case 'middle':
      // The word alone is no name: it may be a role, or a place on the string.
      return kind === 'any' && rest.length > 0 ? { is: 'number', number: 1, from: 'middle' } : null
    case 'end':
      return kind === null
        ? null
        : kind === 'any'
          ? { is: 'number', number: 1, from: first.end }
          : { is: 'nth', nth: 1, kind, from: first.end }
    case 'last':
      return kind === null
        ? null
        : kind === 'any'
          ? { is: 'number', number: 1, from: 'last' }
          : { is: 'nth', nth: 1, kind, from: 'bottom' }
    case 'next':
      return rest.length === 1 && rest[0]?.is === 'end'
        ? { is: 'number', number: 2, from: rest[0].end }
        : null
    default:
      return null
  }
}

/** What a few words say of the kind: none at all is any; null when they say something else. */
function kindOf(words: readonly Word[]): Kind | null {
  const said = words.filter((word) => word.is !== 'string')
  const [only] = said
  if (!only) return 'any'
  if (said.length > 1) return null
  return only.is === 'colour'
    ? only.colour
    : only.is === 'letter' && only.accidental === null
      ? only.letter
      : null
}

/** `number 12`, `third red from the top`, `third to last`, `12th string from the bass`. */
function counted(words: readonly Word[]): Named | null {
  const said = words.filter(
    (word) => word.is !== 'string' && word.is !== 'named number' && word.is !== 'from',
  )
  const [number, ...rest] = said
  if (number?.is !== 'number') return null
  const end = rest.find((word) => word.is === 'end')
  const last = rest.some((word) => word.is === 'last')
  const kind = kindOf(rest.filter((word) => word.is !== 'end' && word.is !== 'last'))
  if (kind === null || number.value < (last || end || kind !== 'any' ? 1 : 0) || (end && last)) return null
  if (kind !== 'any')
    return { is: 'nth', nth: number.value, kind, from: end?.end ?? (last ? 'bottom' : 'top') }
  return { is: 'number', number: number.value, from: end?.end ?? (last ? 'last' : 'own') }
}
