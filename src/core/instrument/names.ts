/**
 * Every name of a string, each with the scheme that it belongs to.
 */
import { harpOctaveOf, harpOctaveWord, ordinal } from '../pitch/harp-octave'
import { scientificWord } from '../pitch/note'
import { restPitch, samePiece, type Instrument, type StringPosition } from './instrument'

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
    within: shared.length < 2 ? null : `${ordinal(shared.indexOf(position) + 1)} of the ${shared.length} strings of one wire`,
  }
}

/** Which name a house leads with. */
export const NAME_SCHEMES = ['E-to-F octaves', 'number from the top', 'the maker’s'] as const
export type NameScheme = (typeof NAME_SCHEMES)[number]

/**
 * The name to lead with, and the labels that must stand beside it: `3rd-octave G` and `G4 (scientific)`. Where the
 * maker's chart has no label for a position, its harp octave leads.
 */
export function leadingNames(position: StringPosition, scheme: NameScheme = 'E-to-F octaves'): { readonly name: string; readonly beside: string } {
  const octave = harpOctaveWord(position.note)
  const scientific = `${scientificWord({ ...position.note, accidental: 0 })} (scientific)`
  if (scheme === 'number from the top') return { name: `string ${position.number}`, beside: `${octave}, ${scientific}` }
  if (scheme === 'the maker’s' && position.makerLabel !== null) return { name: `maker’s ${position.makerLabel}`, beside: `${octave}, ${scientific}` }
  return { name: octave, beside: scientific }
}

/**
 * Where the harpists' rule “the shortest F is the first-octave F” disagrees with counting from middle C, one sentence
 * that says so; null where both agree, and on other instruments than harps.
 */
export function shortestFNotice(instrument: Instrument): string | null {
  if (!instrument.family.endsWith('harp')) return null
  const shortest = instrument.positions.find((p) => p.note.letter === 'F')
  if (!shortest) return null
  const octave = harpOctaveOf(shortest.note)
  if (octave === 1) return null
  return `The shortest F here is a ${ordinal(octave)}-octave F, counted from middle C; calling the shortest F of any harp the 1st would put every name off by ${Math.abs(octave - 1)} octave.`
}
