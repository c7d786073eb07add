/**
 * Reads a string's name on one instrument: its players' roles, its maker's labels, and the grammar that all names share.
 */
import { isMadeOf, isMaterialWord } from './made-of'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { readNamed, type Named } from './grammar'
import { nearestTo, resolve, type NameReading } from './resolve'
import { plainWords } from './words'
import { leadingNames } from '../instrument/names'

/** What a text says before any instrument is looked at, so that a whole shelf is searched with one reading of it. */
export interface SaidName {
  readonly text: string
  readonly named: Named | null
  /** For roles: the words without fillers. */
  readonly words: string
  /** Words that say what it is made of. */
  readonly made: readonly string[]
}

const NOT_A_ROLE = new Set(['the', 'string', 'one', 'of', 'on', 'a'])

/** Takes a text in. */
export function said(text: string): SaidName {
  const plain = plainWords(text.slice(0, 200))
  return {
    text: text.trim(),
    named: readNamed(text),
    words: plain.filter((word) => !NOT_A_ROLE.has(word) && !isMaterialWord(word)).join(' '),
    made: plain.filter(isMaterialWord),
  }
}

const NONE: readonly NameReading[] = []
const OWN = new WeakMap<Instrument, readonly StringPosition[]>()

/** Strings that their maker or their players give a name of its own; most instruments have none. */
function ownNames(instrument: Instrument): readonly StringPosition[] {
  const known = OWN.get(instrument)
  if (known) return known
  const own = instrument.positions.filter((p) => p.makerLabel !== null || p.called.role !== null)
  OWN.set(instrument, own)
  return own
}

/** Every string of an instrument that a name can mean, the likeliest first; each once. */
export function readingsOf(name: SaidName, instrument: Instrument): readonly NameReading[] {
  const all = readingsOfName(name, instrument)
  if (name.made.length === 0) return all
  return all.filter(({ number }) => {
    const position = instrument.positions[number - 1]
    return position !== undefined && isMadeOf(name.made, position)
  })
}

function readingsOfName(name: SaidName, instrument: Instrument): readonly NameReading[] {
  const resolved = name.named ? resolve(name.named, instrument) : NONE
  const own = ownNames(instrument)
  if (own.length === 0) return resolved
  const label = name.text.toLowerCase()
  // As it is told elsewhere: “maker’s 22” is the string that its maker calls 22.
  const makers = /^(?:the )?maker[’']s (?:label )?(.+)$/.exec(label)?.[1]
  const labelled = own
    .filter((p) => p.makerLabel !== null && [label, makers].includes(p.makerLabel.toLowerCase()))
    .map((p) => ({ number: p.number, means: `the maker's own label ${p.makerLabel}` }))
  const roles =
    name.words === ''
      ? NONE
      : byRole(name.words, own, instrument).map((p) => ({
          number: p.number,
          means: `the ${leadingNames(p).name}`,
        }))
  // “The middle string” is the one whose role that is, where one has it.
  const isRole = roles.length > 0 && name.named?.is === 'number' && name.named.from === 'middle'
  const all = [...labelled, ...roles, ...(isRole ? NONE : resolved)]
  return all.filter((reading, i) => all.findIndex((other) => other.number === reading.number) === i)
}

/** Strings by their role: `bass`, `first melody`, `melody` for each of them, `outer melody` for the one nearest an edge. */
function byRole(
  words: string,
  own: readonly StringPosition[],
  { positions }: Instrument,
): readonly StringPosition[] {
  const [, side, of] = /^(outer|inner) (.+)$/.exec(words) ?? []
  const asked = of ?? words
  const found = own.filter(
    ({ called: { role } }) => role !== null && (role === asked || role.endsWith(` ${asked}`)),
  )
  if (side === undefined || found.length < 2) return side === undefined ? found : NONE_OWN
  const inward = ({ number }: StringPosition) => Math.min(number - 1, positions.length - number)
  const sorted = [...found].sort((a, b) => inward(a) - inward(b))
  const end = side === 'outer' ? sorted[0] : sorted.at(-1)
  return found.filter((p) => end !== undefined && inward(p) === inward(end))
}

const NONE_OWN: readonly StringPosition[] = []

/** Whether an instrument's players would know what is meant, be there such a string or not. */
export function isName(name: SaidName): boolean {
  return name.named !== null
}

/** The sentence for a text that is a name in no scheme. */
export function notAName(text: string): RangeError {
  const shown = text.trim().length > 60 ? `${text.trim().slice(0, 60)}…` : text.trim()
  return new RangeError(
    `“${shown}” is not a string's name. Try “4th-octave A”, “A3”, “second F from the top” or a number.`,
  )
}

/**
 * @param text - as people say it: `4th-octave A`, `A: fourth octave`, `A3 scientific`, `#12`, `third red from the top`, `just below middle C`, `220 Hz`, `the bass`
 * @returns every reading on this instrument, the likeliest first; empty when the text names no string here
 * @throws RangeError with a sentence that can be shown, when the text is not a name in any scheme
 */
export function readName(text: string, instrument: Instrument): readonly NameReading[] {
  const name = said(text)
  const readings = readingsOf(name, instrument)
  if (readings.length === 0 && !isName(name)) throw notAName(text)
  return readings
}

/** `Lovage has no such string; the nearest is its 7th-octave A.` */
export function nearestSentence({ text, named }: SaidName, instrument: Instrument): string {
  const near = named && nearestTo(named, instrument)
  return `${instrument.name} has no string called “${text}”${near ? `; the nearest is its ${leadingNames(near).name}` : ''}.`
}
