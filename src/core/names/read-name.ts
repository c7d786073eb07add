/**
 * Reads a string's name on one instrument: its players' roles, its maker's labels, and the grammar that all names share.
 */
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
}

const NOT_A_ROLE = new Set(['the', 'string', 'one', 'of', 'on', 'a'])

/** Takes a text in. */
export function said(text: string): SaidName {
  return {
    text: text.trim(),
    named: readNamed(text),
    words: plainWords(text.slice(0, 200))
      .filter((word) => !NOT_A_ROLE.has(word))
      .join(' '),
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
      : own
          .filter(
            ({ called: { role } }) =>
              role !== null && (role === name.words || role.endsWith(` ${name.words}`)),
          )
          .map((p) => ({ number: p.number, means: `the ${leadingNames(p).name}` }))
  const all = [...labelled, ...roles, ...resolved]
  return all.filter((reading, i) => all.findIndex((other) => other.number === reading.number) === i)
}

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
