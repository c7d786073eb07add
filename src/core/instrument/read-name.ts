/**
 * Reads a string's name as typed, in any scheme, and returns every reading that is possible on the instrument at hand.
 */
import { harpOctaveOf, harpOctaveWord } from '../pitch/harp-octave'
import { parseNote, scientificWord, semitoneNumber, type Letter } from '../pitch/note'
import type { Instrument } from './instrument'
import { readPlace } from './read-place'

export interface NameReading {
  readonly number: number
  /** How the text was understood: `4th-octave A`, `A4 in scientific pitch`, `number 25 from the top`. */
  readonly means: string
}

const ORDINAL_WORDS = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth']

type Reader = (text: string, instrument: Instrument) => readonly NameReading[]

/**
 * @param text - as typed: `4th-octave A`, `4A`, `A3`, `A3 scientific`, `25`, `no. 25`, `25 from the bottom`, `Gb4`, `second F below the top red`,
 * `two below a blue one`, a maker's label
 * @returns every reading on this instrument, the likeliest first; empty when the text names no string here
 * @throws RangeError with a sentence that can be shown, when the text is not a name in any scheme
 */
export function readName(text: string, instrument: Instrument): readonly NameReading[] {
  const plain = text.trim().toLowerCase().replace(/[-–]/g, ' ').replace(/\s+/g, ' ')
  const labelled = byMakerLabel(text.trim(), instrument)
  const place = readPlace(plain, instrument)
  const all = [...labelled, ...(place ?? []), ...[byNumber, byHarpOctave, byLetterAndDigit, bySoundingNote].flatMap((read) => read(plain, instrument))]
  if (all.length === 0 && place === null && !looksLikeName(plain)) {
    throw new RangeError(`“${text.trim()}” is not a string's name. Try “4th-octave A”, “A3”, “second F from the top” or a number counted from the top.`)
  }
  return all.filter((reading, i) => all.findIndex((r) => r.number === reading.number) === i)
}

const NUMBER = /^(?:no\.?|number|string|#)? ?(\d{1,3})(?: (?:from )?(?:the )?(top|bottom))?$/
const HARP = /^(\d|zeroth|first|second|third|fourth|fifth|sixth|seventh|eighth) ?(?:th|st|nd|rd)? ?(?:octave)? ?([a-g])$/
const LETTER_DIGIT = /^([a-g]) ?(\d)(?: ?(spn|scientific|harp|octave))?$/
const ALTERED = /^[a-g] ?(?:b|flat|#|sharp|♭|♯) ?\d$/

function looksLikeName(plain: string): boolean {
  return [NUMBER, HARP, LETTER_DIGIT, ALTERED].some((form) => form.test(plain))
}

const byNumber: Reader = (text, { positions }) => {
  const found = NUMBER.exec(text)
  if (!found) return []
  const fromBottom = found[2] === 'bottom'
  const number = fromBottom ? positions.length + 1 - Number(found[1]) : Number(found[1])
  const means = `number ${found[1]} from the ${fromBottom ? 'bottom' : 'top'}`
  return positions.filter((p) => p.number === number).map((p) => ({ number: p.number, means }))
}

const byHarpOctave: Reader = (text, instrument) => {
  const found = HARP.exec(text)
  if (!found) return []
  const word = found[1] as string
  const octave = ORDINAL_WORDS.includes(word) ? ORDINAL_WORDS.indexOf(word) : Number(word)
  return inHarpOctave(instrument, (found[2] as string).toUpperCase() as Letter, octave)
}

const byLetterAndDigit: Reader = (text, instrument) => {
  const found = LETTER_DIGIT.exec(text)
  if (!found) return []
  const letter = (found[1] as string).toUpperCase() as Letter
  const digit = Number(found[2])
  const scheme = found[3]
  const harp = scheme === 'spn' || scheme === 'scientific' ? [] : inHarpOctave(instrument, letter, digit)
  const scientific = scheme === 'harp' || scheme === 'octave' ? [] : inScientific(instrument, letter, digit)
  return [...scientific, ...harp]
}

const bySoundingNote: Reader = (text, { positions }) => {
  if (!ALTERED.test(text)) return []
  const wanted = semitoneNumber(parseNote(text))
  return positions.filter((p) => semitoneNumber(p.note) === wanted).map((p) => ({ number: p.number, means: `sounds ${scientificWord(p.note)} at rest` }))
}

const byMakerLabel: Reader = (text, { positions }) =>
  positions.filter((p) => p.makerLabel !== null && p.makerLabel.toLowerCase() === text.toLowerCase())
    .map((p) => ({ number: p.number, means: `the maker's own label ${p.makerLabel}` }))

function inHarpOctave(instrument: Instrument, letter: Letter, octave: number): readonly NameReading[] {
  return instrument.positions
    .filter(({ note }) => note.letter === letter && harpOctaveOf(note) === octave)
    .map((p) => ({ number: p.number, means: `${harpOctaveWord(p.note)}, counted from the treble` }))
}

function inScientific({ positions }: Instrument, letter: Letter, octave: number): readonly NameReading[] {
  return positions
    .filter(({ note }) => note.letter === letter && note.octave === octave)
    .map((p) => ({ number: p.number, means: `${letter}${octave} in scientific pitch, the ${harpOctaveWord(p.note)}` }))
}
