/**
 * Names that a string is mistaken by, each with what there is to learn from it. Every one is read by what reads names
 * everywhere else: none of them is a name of the string itself.
 */
import { withThe } from '../instrument/with-the'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { countedFromWord, numberName } from '../instrument/names'
import { readingsOf, said } from '../names/read-name'
import { harpOctaveOf, harpOctaveWord, ordinal } from '../pitch/harp-octave'
import { scientificWord } from '../pitch/note'
import type { Choice } from './choice'

/** How a name goes wrong. */
export const NAME_MISTAKES = [
  'octave counted from the bass',
  'octave counted from the treble',
  'one octave off',
  'the string beside it',
  'counted from the other end',
] as const
export type NameMistake = (typeof NAME_MISTAKES)[number]

export interface Mistaken {
  readonly words: string
  readonly mistake: NameMistake
  readonly teaches: string
}

/** Those that are no name of the string after all, each once. */
export function mistakenNames(
  instrument: Instrument,
  position: StringPosition,
  right: string,
  all: readonly Mistaken[],
): readonly Choice[] {
  const seen = new Set([right])
  return all.flatMap(({ words, mistake, teaches }): Choice[] => {
    if (seen.has(words)) return []
    seen.add(words)
    const brings = readingsOf(said(words), instrument).map(({ number }) => number)
    // Another name of the same string is no mistake.
    if (brings.includes(position.number)) return []
    return [{ words, mistake, brings: brings[0] ?? null, teaches }]
  })
}

/** Its harp octave: the octave of scientific pitch, and the octaves beside its own. */
export function octaveMistakes({ note }: StringPosition): readonly Mistaken[] {
  const { letter, octave } = note
  const own = harpOctaveOf(note)
  const called = (of: number) => `${ordinal(of)}-octave ${letter}`
  return [
    {
      words: called(octave),
      mistake: 'octave counted from the bass',
      teaches: `${octave} is its octave in scientific pitch (${scientificWord({ ...note, accidental: 0 })}), which counts up from the bass. Harp octaves count down from the treble.`,
    },
    ...[own - 1, own + 1]
      .filter((of) => of >= 1)
      .map((of): Mistaken => ({
        words: called(of),
        mistake: 'one octave off',
        teaches: `A harp octave runs from an E down to the F below it, and the next begins at the E under that. This ${letter} lies in the ${ordinal(own)}.`,
      })),
  ]
}

/** Its scientific pitch: the harp octave in its place, and the octaves beside its own. */
export function scientificMistakes({ note }: StringPosition): readonly Mistaken[] {
  const { letter, octave } = note
  const called = (of: number) => `${letter}${of} (scientific)`
  return [
    {
      words: called(harpOctaveOf(note)),
      mistake: 'octave counted from the treble',
      teaches: `${harpOctaveOf(note)} is its harp octave (${harpOctaveWord(note)}), which counts down from the treble. In scientific pitch octaves count up from the bass, and each begins at a C.`,
    },
    ...[octave - 1, octave + 1].map((of): Mistaken => ({
      words: called(of),
      mistake: 'one octave off',
      teaches: `In scientific pitch an octave runs from a C up to the B above it; middle C is C4. This ${letter} lies in octave ${octave}.`,
    })),
  ]
}

/** Its number, counted from the other end. */
export function numberMistakes(instrument: Instrument, { called }: StringPosition): readonly Mistaken[] {
  return [
    {
      words: `string ${instrument.positions.length + 1 - called.number}`,
      mistake: 'counted from the other end',
      teaches: `Strings of ${instrument.name} are counted ${countedFromWord(instrument)}.`,
    },
  ]
}

/** The strings beside it, as they are named in the same way. */
export function besideMistakes(
  { positions }: Instrument,
  position: StringPosition,
  nameOf: (beside: StringPosition) => string,
): readonly Mistaken[] {
  return positions
    .filter((p) => Math.abs(p.number - position.number) === 1 && p.piece !== position.piece)
    .map((p) => {
      const name = nameOf(p)
      return {
        words: name,
        mistake: 'the string beside it',
        teaches: `${atTheHead(name)} is the next one, on the ${p.number < position.number ? 'treble' : 'bass'} side. Count again from a string that you are sure of.`,
      }
    })
}

/** A name as it begins a sentence: a pitch is named without an article. */
export const atTheHead = (name: string): string =>
  name.endsWith('(scientific)') ? name : withThe(name).replace(/^./, (first) => first.toUpperCase())

/** Whether a name is its harp octave's, or its number. */
export const isOctaveName = (name: string, { note }: StringPosition) => name === harpOctaveWord(note)
export const isNumberName = (name: string, position: StringPosition) => name === numberName(position)
