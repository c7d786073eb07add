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

/** The name to lead with, and the label that must stand beside it: `3rd-octave G` and `G4 (scientific)`. */
export function leadingNames(position: StringPosition): { readonly name: string; readonly beside: string } {
  return { name: harpOctaveWord(position.note), beside: `${scientificWord({ ...position.note, accidental: 0 })} (scientific)` }
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
