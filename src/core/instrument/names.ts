/**
 * Every name of a string, each with the scheme that it belongs to.
 */
import { harpOctaveOf, harpOctaveWord, ordinal } from '../pitch/harp-octave'
import { scientificWord } from '../pitch/note'
import { makeLine } from './about-line'
import { withThe } from './with-the'
import { endToOrder } from '../knots/fastenings'
import { materialWord } from '../strings/construction'
import {
  gaugeOf,
  isHarp,
  restPitch,
  samePiece,
  soldByClass,
  type Instrument,
  type StringPosition,
} from './instrument'

export interface StringNames {
  /** `3rd-octave G` */
  readonly harpOctave: string
  /** Scientific pitch of the letter, without the accidental of the rest tuning: `G4`. */
  readonly scientific: string
  readonly fromTop: number
  readonly fromBottom: number
  readonly maker: string | null
  /** As it sounds at rest: `G-flat 4`. */
  readonly sounding: string
  /** Hz at rest. */
  readonly frequency: number
  /** `left of its pair` and the like, where one string serves several positions. */
  readonly within: string | null
}

/** All names of one position. */
export function stringNames(instrument: Instrument, position: StringPosition): StringNames {
  const { note } = position
  const shared = samePiece(instrument, position)
  return {
    harpOctave: harpOctaveWord(note),
    scientific: scientificWord({ ...note, accidental: 0 }),
    fromTop: position.number,
    fromBottom: instrument.positions.length + 1 - position.number,
    maker: position.makerLabel,
    sounding: scientificWord(note),
    frequency: restPitch(instrument, position),
    within:
      shared.length < 2
        ? null
        : `${ordinal(shared.indexOf(position) + 1)} of the ${shared.length} strings of one wire`,
  }
}

/** Which name a house leads with. */
export const NAME_SCHEMES = ['as its players do', 'E-to-F octaves', 'its number', 'the maker’s'] as const
export type NameScheme = (typeof NAME_SCHEMES)[number]

export interface LeadingNames {
  readonly name: string
  /** The labels that must stand beside it. */
  readonly beside: string
}

/** `string 4` */
export function numberName({ called }: Pick<StringPosition, 'called'>): string {
  return `string ${called.number}`
}

/** `first melody string` */
function roleName({ called }: StringPosition): string {
  return called.role === null ? numberName({ called }) : `${called.role} string`
}

/**
 * The name to lead with, and the labels that must stand beside it: `3rd-octave G` and `G4 (scientific)`; `string 4` on a
 * zither, whose players know no harp octaves. Where the maker's chart has no label for a position, its players' name leads.
 */
export function leadingNames(
  position: StringPosition,
  scheme: NameScheme = 'as its players do',
): LeadingNames {
  const { by, role } = position.called
  const scientific = `${scientificWord({ ...position.note, accidental: 0 })} (scientific)`
  const octave = harpOctaveWord(position.note)
  const harps = by === 'harp octave'
  const unnumbered = harps ? `${octave}, ${scientific}` : scientific
  const asPlayersDo = (): LeadingNames => {
    if (harps) return { name: octave, beside: scientific }
    if (by === 'role' && role !== null)
      return { name: roleName(position), beside: `${numberName(position)}, ${scientific}` }
    return { name: numberName(position), beside: scientific }
  }
  switch (scheme) {
    case 'as its players do':
      return asPlayersDo()
    case 'E-to-F octaves':
      return { name: octave, beside: harps ? scientific : `${numberName(position)}, ${scientific}` }
    case 'its number':
      return { name: numberName(position), beside: unnumbered }
    case 'the maker’s':
      return position.makerLabel === null
        ? asPlayersDo()
        : { name: `maker’s ${position.makerLabel}`, beside: unnumbered }
  }
}

/**
 * One line to say on the telephone: maker and model, or the kind of instrument; the players' name, material, and the class
 * where strings are sold by it.
 *
 * @example spokenLine(lovage, g4) // 'Windrush Bench, Great Lantern 47, 3rd-octave G, gut, concert tension'
 */
export function spokenLine(
  instrument: Instrument,
  position: StringPosition,
  scheme: NameScheme = 'as its players do',
): string {
  const tensionClass = soldByClass(instrument)
  const gauge = `${(gaugeOf(position) * 1000).toFixed(2)} mm`
  const end = endToOrder(position.tail.fastening)
  const sold = tensionClass === null ? [gauge, `${end} end`] : [`${tensionClass} tension`]
  return [
    makeLine(instrument) || `a ${instrument.family}`,
    leadingNames(position, scheme).name,
    materialWord(position.construction),
    ...sold,
  ].join(', ')
}

/** The leading name as it stands in a sentence. */
export function theName(position: StringPosition, scheme: NameScheme): string {
  return withThe(leadingNames(position, scheme).name)
}

/** Where its number is counted from: `from the top`, or `from the lowest` where 1 is the lowest and outermost. */
export function countedFromWord({ countedFrom }: Pick<Instrument, 'countedFrom'>): string {
  return countedFrom === 'top' ? 'from the top' : 'from the lowest'
}

/**
 * Where the rule “the shortest F of a lever harp is its 1st-octave F” would mislead someone who follows it, one sentence
 * that says so; null elsewhere, and on a pedal harp, of whom nobody says it.
 */
export function shortestFNotice(instrument: Instrument): string | null {
  if (!isHarp(instrument) || instrument.family === 'pedal harp') return null
  const shortest = instrument.positions.find((p) => p.note.letter === 'F')
  if (!shortest) return null
  const octave = harpOctaveOf(shortest.note)
  if (octave === 1) return null
  const off = Math.abs(octave - 1)
  return `The shortest F here is a ${ordinal(octave)}-octave F, counted from middle C. Who calls the shortest F of any lever harp the 1st is off by ${off === 1 ? 'one octave' : `${off} octaves`} here.`
}
