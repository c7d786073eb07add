/**
 * Finds strings over several instruments: `Fennel 4A`, `third-octave G of Lovage`, or a name alone.
 */
import { NoSuchString, type Instrument } from '../instrument/instrument'
import { isName, nearestSentence, notAName, readingsOf, said } from './read-name'
import { MAX_READINGS } from './most-readings'
import type { NameReading } from './resolve'

export interface ShelfReading extends NameReading {
  readonly slug: string
  readonly instrument: string
}

/** Leads from a string to its instrument, or follows an instrument's name. */
const LINKS = /(?:(?:^|[\s,:;]+)(?:of|on|for|at|from)(?: the| my| a)?|(?:^|[\s,:;]+)(?:the|my|a))?[\s,:;]*$/i

/**
 * @param text - a name in any scheme, with or without the instrument's own name before or after it
 * @param instruments - those to look on
 * @returns the readings, {@link MAX_READINGS} or a few more; strings of one piece are read once
 * @throws RangeError with a sentence that can be shown, when the text is a name in no scheme; NoSuchString when it is of no string there is
 */
export function findOnShelf(text: string, instruments: readonly Instrument[]): readonly ShelfReading[] {
  const named = namedInstruments(text, instruments)
  const where = named ? named.instruments : instruments
  const name = said(named ? named.rest : text)
  const readings: ShelfReading[] = []
  for (const instrument of where) {
    if (readings.length >= MAX_READINGS) break
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

export interface NamedInstruments {
  /** Several where they share a model. */
  readonly instruments: readonly Instrument[]
  /** What is left of the text. */
  readonly rest: string
}

const CALLS = new WeakMap<Instrument, readonly string[]>()

/** What an instrument may be called by: its name, its model, its maker and model, its kind. Made once: a shelf has hundreds. */
function callsOf(instrument: Instrument): readonly string[] {
  const known = CALLS.get(instrument)
  if (known) return known
  const { name, maker, model, family } = instrument
  const all = [name, model, `${maker} ${model}`, `${maker}, ${model}`, family]
  const calls = [...new Set(all.map((call) => call.trim().toLowerCase()))]
  CALLS.set(instrument, calls)
  return calls
}

/** The instruments that a text names at its beginning, its end or in between, and what is left of the text; null when it names none. */
export function namedInstruments(text: string, instruments: readonly Instrument[]): NamedInstruments | null {
  const plain = text.trim().replace(/\s+/g, ' ')
  const lower = plain.toLowerCase()
  let best: { readonly call: string; readonly rest: string } | null = null
  for (const instrument of instruments)
    for (const call of callsOf(instrument)) {
      // The longest name is meant: “Lovage the Second” is not “Lovage”.
      if (
        call.length < MIN_MODEL_LENGTH ||
        call.length >= lower.length ||
        (best && best.call.length >= call.length)
      )
        continue
      const rest = without(plain, lower, call)
      if (rest !== null) best = { call, rest }
    }
  if (!best) return null
  const { call, rest } = best
  return { instruments: instruments.filter((one) => callsOf(one).includes(call)), rest }
}

/** A model of one letter or figure is one that names of strings are full of. */
const MIN_MODEL_LENGTH = 3

/** A text without a call that stands in it as words of its own; null where it does not. */
function without(plain: string, lower: string, call: string): string | null {
  const at = lower.indexOf(call)
  if (at < 0) return null
  const [before, after] = [plain.slice(0, at), plain.slice(at + call.length)]
  if (before !== '' && !/[\s,:;]$/.test(before)) return null
  if (after !== '' && !/^(?:['’]s)?[\s,:;#]/.test(after)) return null
  const head = before.replace(LINKS, '')
  const tail = after.replace(/^(?:['’]s)?[\s,:;]+/, '')
  return `${head} ${tail}`.trim()
}
