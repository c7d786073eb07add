/**
 * Finds strings over several instruments: `Fennel 4A`, `third-octave G of Lovage`, or a name alone.
 */
import { NoSuchString, type Instrument } from '../instrument/instrument'
import { isName, nearestSentence, notAName, readingsOf, said } from './read-name'
import { MOST } from './most-readings'
import type { NameReading } from './resolve'

export interface ShelfReading extends NameReading {
  readonly slug: string
  readonly instrument: string
}

/** Leads from a string to its instrument, or follows an instrument's name. */
const LINKS = /(?:[\s,:;]+(?:of|on|for|at|from)(?: the)?|[\s,:;]+the)?[\s,:;]*$/i

/**
 * @param text - a name in any scheme, with or without the instrument's own name before or after it
 * @param instruments - those to look on
 * @returns the readings, {@link MOST} or a few more; strings of one piece are read once
 * @throws RangeError with a sentence that can be shown, when the text is a name in no scheme; NoSuchString when it is of no string there is
 */
export function findOnShelf(text: string, instruments: readonly Instrument[]): readonly ShelfReading[] {
  const named = namedInstrument(text, instruments)
  const where = named ? [named.instrument] : instruments
  const name = said(named ? named.rest : text)
  const readings: ShelfReading[] = []
  for (const instrument of where) {
    if (readings.length >= MOST) break
    const here = readingsOf(name, instrument)
    const pieceOf = (number: number) => instrument.positions[number - 1]?.piece
    here.forEach(({ number, means }, i) => {
      if (here.findIndex((other) => pieceOf(other.number) === pieceOf(number)) === i)
        readings.push({ number, means, slug: instrument.slug, instrument: instrument.name })
    })
  }
  if (readings.length > 0) return readings
  if (!isName(name)) throw notAName(text)
  const [only] = where
  throw new NoSuchString(
    where.length === 1 && only
      ? nearestSentence(name, only)
      : `No instrument on the shelf has a string called “${name.text}”.`,
  )
}

export interface NamedInstrument {
  readonly instrument: Instrument
  /** What is left of the text. */
  readonly rest: string
}

/** The instrument that a text names at its beginning or end, and what is left of the text; null when it names none. */
export function namedInstrument(text: string, instruments: readonly Instrument[]): NamedInstrument | null {
  const plain = text.trim().replace(/\s+/g, ' ')
  const lower = plain.toLowerCase()
  let best: (NamedInstrument & { readonly length: number }) | null = null
  for (const instrument of instruments) {
    // The longest name is meant: “Lovage the Second” is not “Lovage”.
    const { length } = instrument.name
    if (length === 0 || length >= lower.length || (best && best.length >= length)) continue
    const name = instrument.name.toLowerCase()
    if (lower.startsWith(name) && /^(?:['’]s)?[\s,:;#]/.test(lower.slice(name.length))) {
      best = {
        instrument,
        length: name.length,
        rest: plain.slice(name.length).replace(/^(?:['’]s)?[\s,:;]+/, ''),
      }
    } else if (lower.endsWith(name) && /[\s,:;]$/.test(lower.slice(0, -name.length))) {
      best = { instrument, length: name.length, rest: plain.slice(0, -name.length).replace(LINKS, '') }
    }
  }
  return best && { instrument: best.instrument, rest: best.rest }
}
