/**
 * Reads a string's name over several instruments: `Fennel 4A`, `third-octave G of Lovage`, or a name alone.
 */
import type { Instrument } from './instrument'
import { readName, type NameReading } from './read-name'

export interface ShelfReading extends NameReading {
  readonly slug: string
  readonly instrument: string
}

/**
 * @param text - a name in any scheme, with or without the instrument's own name before or after it
 * @param instruments - those to look on
 * @returns every reading; strings of one piece are read once
 * @throws RangeError with a sentence that can be shown, when the text is a name in no scheme
 */
export function findOnShelf(text: string, instruments: readonly Instrument[]): readonly ShelfReading[] {
  const named = namedInstrument(text, instruments)
  if (named) return readingsOn(named.rest, named.instrument)
  return instruments.flatMap((instrument) => readingsOn(text, instrument))
}

/** The instrument that a text names, and what is left of the text; null when it names none. */
export function namedInstrument(text: string, instruments: readonly Instrument[]): { readonly instrument: Instrument; readonly rest: string } | null {
  const plain = text.trim().replace(/\s+/g, ' ')
  const lower = plain.toLowerCase()
  // The longest name first: “Lovage the Second” is not “Lovage”.
  for (const instrument of [...instruments].sort((a, b) => b.name.length - a.name.length)) {
    const name = instrument.name.toLowerCase()
    if (lower.startsWith(`${name} `) || lower.startsWith(`${name}: `)) return { instrument, rest: plain.slice(name.length).replace(/^:? /, '') }
    const ending = [` of ${name}`, ` on ${name}`].find((end) => lower.endsWith(end))
    if (ending) return { instrument, rest: plain.slice(0, -ending.length) }
  }
  return null
}

function readingsOn(text: string, instrument: Instrument): readonly ShelfReading[] {
  const readings = readName(text, instrument)
  const pieceOf = (number: number) => instrument.positions[number - 1]?.piece
  return readings
    .filter((reading, i) => readings.findIndex((other) => pieceOf(other.number) === pieceOf(reading.number)) === i)
    .map((reading) => ({ ...reading, slug: instrument.slug, instrument: instrument.name }))
}
