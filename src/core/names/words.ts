/**
 * What a person types, cut into words that mean something: articles and fillers go, numbers, letters, colours and ends are told.
 */
import { itemAt } from '../list/item-at'
import { isMaterialWord } from './made-of'
import type { Letter } from '../pitch/note'
import { spokenNumber } from './number-words'

export type Word =
  | { readonly is: 'number'; readonly value: number; readonly ordinal: boolean }
  | { readonly is: 'letter'; readonly letter: Letter; readonly accidental: -1 | 0 | 1 | null }
  | { readonly is: 'colour'; readonly colour: 'red' | 'dark' }
  | { readonly is: 'end'; readonly end: 'top' | 'bottom' }
  /** A step up or down from another string, or the very next one. */
  | { readonly is: 'way'; readonly way: 'above' | 'below' }
  | { readonly is: 'interval'; readonly steps: number }
  | { readonly is: 'any' }
  | { readonly is: 'hertz'; readonly value: number }
  | {
      readonly is:
        | 'octave'
        | 'middle C'
        | 'string'
        | 'from'
        | 'last'
        | 'next'
        | 'named number'
        | 'scientific'
        | 'harp'
        | 'thickest'
        | 'thinnest'
        | 'outermost'
        | 'innermost'
        | 'middle'
    }

/** Says nothing of which string is meant. */
const FILLERS = new Set([
  'the',
  'of',
  'in',
  'on',
  'at',
  'it',
  'is',
  'its',
  'that',
  'which',
  'to',
  'with',
  'my',
  'this',
  'sounds',
  'sounding',
  'sound',
  'counting',
  'counted',
  'please',
  'pitch',
  'tuned',
  'an',
])

const PLAIN: Readonly<Record<string, Word>> = {
  octave: { is: 'octave' },
  octaves: { is: 'octave' },
  oct: { is: 'octave' },
  'oct.': { is: 'octave' },
  red: { is: 'colour', colour: 'red' },
  blue: { is: 'colour', colour: 'dark' },
  black: { is: 'colour', colour: 'dark' },
  dark: { is: 'colour', colour: 'dark' },
  reds: { is: 'colour', colour: 'red' },
  blues: { is: 'colour', colour: 'dark' },
  blacks: { is: 'colour', colour: 'dark' },
  // Colours and the string itself in German, French, Italian and Spanish.
  rot: { is: 'colour', colour: 'red' },
  rote: { is: 'colour', colour: 'red' },
  rouge: { is: 'colour', colour: 'red' },
  rosso: { is: 'colour', colour: 'red' },
  rossa: { is: 'colour', colour: 'red' },
  rojo: { is: 'colour', colour: 'red' },
  roja: { is: 'colour', colour: 'red' },
  blau: { is: 'colour', colour: 'dark' },
  blaue: { is: 'colour', colour: 'dark' },
  schwarz: { is: 'colour', colour: 'dark' },
  schwarze: { is: 'colour', colour: 'dark' },
  bleu: { is: 'colour', colour: 'dark' },
  bleue: { is: 'colour', colour: 'dark' },
  noir: { is: 'colour', colour: 'dark' },
  noire: { is: 'colour', colour: 'dark' },
  blu: { is: 'colour', colour: 'dark' },
  nero: { is: 'colour', colour: 'dark' },
  nera: { is: 'colour', colour: 'dark' },
  azul: { is: 'colour', colour: 'dark' },
  negro: { is: 'colour', colour: 'dark' },
  negra: { is: 'colour', colour: 'dark' },
  saite: { is: 'string' },
  corde: { is: 'string' },
  corda: { is: 'string' },
  cuerda: { is: 'string' },
  top: { is: 'end', end: 'top' },
  highest: { is: 'end', end: 'top' },
  shortest: { is: 'end', end: 'top' },
  uppermost: { is: 'end', end: 'top' },
  topmost: { is: 'end', end: 'top' },
  high: { is: 'end', end: 'top' },
  bottom: { is: 'end', end: 'bottom' },
  lowest: { is: 'end', end: 'bottom' },
  longest: { is: 'end', end: 'bottom' },
  bottommost: { is: 'end', end: 'bottom' },
  lowermost: { is: 'end', end: 'bottom' },
  low: { is: 'end', end: 'bottom' },
  middle: { is: 'middle' },
  middlemost: { is: 'middle' },
  above: { is: 'way', way: 'above' },
  over: { is: 'way', way: 'above' },
  below: { is: 'way', way: 'below' },
  under: { is: 'way', way: 'below' },
  string: { is: 'string' },
  strings: { is: 'string' },
  ones: { is: 'string' },
  note: { is: 'string' },
  from: { is: 'from' },
  last: { is: 'last' },
  next: { is: 'next' },
  just: { is: 'next' },
  right: { is: 'next' },
  no: { is: 'named number' },
  'no.': { is: 'named number' },
  nr: { is: 'named number' },
  'nr.': { is: 'named number' },
  number: { is: 'named number' },
  '#': { is: 'named number' },
  scientific: { is: 'scientific' },
  spn: { is: 'scientific' },
  harp: { is: 'harp' },
  thickest: { is: 'thickest' },
  fattest: { is: 'thickest' },
  thinnest: { is: 'thinnest' },
  finest: { is: 'thinnest' },
  outermost: { is: 'outermost' },
  innermost: { is: 'innermost' },
}

/** Steps of the scale in an interval: a fifth spans four. */
const INTERVALS: Readonly<Record<string, number>> = {
  second: 1,
  third: 2,
  fourth: 3,
  fifth: 4,
  sixth: 5,
  seventh: 6,
  octave: 7,
}
const WAYS = ['above', 'below', 'over', 'under']

/** Longest text that is read as a name: nobody says more of one string. */
const LONGEST = 120

/**
 * @param text - as typed
 * @returns the words that mean something, or null when one is not known here
 */
export function wordsOf(text: string): readonly Word[] | null {
  if (text.length > LONGEST) return null
  const plain = plainWords(text)
  const words: Word[] = []
  for (let i = 0; i < plain.length; i += 1) {
    const [here, next = '', after = ''] = plain.slice(i, i + 3) as [string, string?, string?]
    const before = words.at(-1)
    if (here === 'middle' && next === 'c') {
      words.push({ is: 'middle C' })
      i += 1
      continue
    }
    if (here === 'one' && (isNoun(before) || next === 'that' || next === 'which')) {
      words.push({ is: 'string' })
      continue
    }
    if ((here === 'a' || here === 'an') && INTERVALS[next] !== undefined && WAYS.includes(after)) {
      words.push({ is: 'interval', steps: INTERVALS[next] as number })
      i += 1
      continue
    }
    if ((here === 'a' || here === 'an') && PLAIN[next]?.is === 'colour') {
      words.push({ is: 'any' })
      continue
    }
    if (here === 'a' && next === 'note') continue
    const heard = /^(\d+(?:[.,]\d+)?)(?:hz)?$/.exec(here)
    if (heard && (here.endsWith('hz') || next === 'hz' || next === 'hertz')) {
      words.push({ is: 'hertz', value: Number(itemAt(heard, 1).replace(',', '.')) })
      if (!here.endsWith('hz')) i += 1
      continue
    }
    const letter = /^([a-g])(b|#)?$/.exec(here)
    if (letter) {
      const said = letter[2] ?? next
      const accidental =
        said === 'flat' || said === 'b'
          ? -1
          : said === 'sharp' || said === '#'
            ? 1
            : said === 'natural'
              ? 0
              : null
      // “A b” could be two letters; only a “b” that stands with its letter flattens it.
      if (letter[2] !== undefined || ['flat', 'sharp', 'natural'].includes(next)) {
        words.push({ is: 'letter', letter: itemAt(letter, 1).toUpperCase() as Letter, accidental })
        if (letter[2] === undefined) i += 1
      } else words.push({ is: 'letter', letter: itemAt(letter, 1).toUpperCase() as Letter, accidental: null })
      continue
    }
    const number = spokenNumber(here, next)
    if (number) {
      words.push({ is: 'number', value: number.value, ordinal: number.ordinal })
      i += number.words - 1
      continue
    }
    // The ends of a harp are its treble and its bass, but a bass string is one by its role.
    if ((here === 'treble' || here === 'bass') && before?.is === 'from') {
      words.push({ is: 'end', end: here === 'treble' ? 'top' : 'bottom' })
      continue
    }
    // What it is made of tells strings apart that a name leaves open; see made-of.ts.
    if (FILLERS.has(here) || isMaterialWord(here)) continue
    const known = Object.hasOwn(PLAIN, here) ? PLAIN[here] : undefined
    if (!known) return null
    words.push(known)
  }
  return words
}

/** Whether a word that says which is followed by the thing itself: `the blue one`. */
function isNoun(before: Word | undefined): boolean {
  return (
    (before !== undefined &&
      [
        'colour',
        'end',
        'letter',
        'last',
        'thickest',
        'thinnest',
        'outermost',
        'innermost',
        'middle',
      ].includes(before.is)) ||
    (before?.is === 'number' && before.ordinal)
  )
}

/** Lower case words without marks: `4A` is `4 a`, `E♭4` is `eb 4`, `F# 4` keeps its sign. */
export function plainWords(text: string): readonly string[] {
  return text
    .toLowerCase()
    .replace(/♭/g, 'b')
    .replace(/♯/g, '#')
    .replace(/['’]s\b/g, ' ')
    .replace(/(\d),(?=\d)/g, '$1\u0000')
    .replace(/[-–—,:;()"“”'’/]/g, ' ')
    .replace(/\u0000/g, ',')
    .replace(/#(?=\s*\d)/g, (sign, at: number, all: string) =>
      /[a-g]\s*$/.test(all.slice(0, at)) && !/[a-z]{2}\s*$/.test(all.slice(0, at)) ? sign : ' # ',
    )
    .replace(/\b(\d{1,3})([a-g])(b|#)?(?=\s|$)/g, '$1 $2$3')
    .replace(/\b([a-g])\s+(#)(?=\s*\d)/g, '$1$2')
    .replace(/\b([a-g][b#]?)(\d{1,2})\b/g, '$1 $2')
    .replace(/(\d)\.(?=\s|$)/g, '$1th')
    .split(/\s+/)
    .filter((word) => word !== '')
}
