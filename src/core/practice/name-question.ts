/**
 * *Which string broke?* and *Name it*: a string's names, among those that people mistake for them.
 */
import { isHarp, type Instrument, type StringPosition } from '../instrument/instrument'
import { leadingNames, numberName, type NameScheme } from '../instrument/names'
import { readingsOf, said } from '../names/read-name'
import { harpOctaveWord } from '../pitch/harp-octave'
import { scientificWord } from '../pitch/note'
import {
  atTheHead,
  besideMistakes,
  isNumberName,
  isOctaveName,
  mistakenNames,
  numberMistakes,
  octaveMistakes,
  scientificMistakes,
} from './name-mistakes'
import type { Choice } from './choice'
import { shuffled } from './shuffled'

const MOST_WRONG = 3

function choices(
  words: string,
  teaches: string,
  number: number,
  wrong: readonly Choice[],
  random: () => number,
): readonly Choice[] | null {
  if (wrong.length === 0) return null
  const right: Choice = { words, mistake: null, brings: number, teaches }
  return shuffled([right, ...shuffled(wrong, random).slice(0, MOST_WRONG)], random)
}

/**
 * What a string that broke could be ordered as; null where it can't be mistaken for another.
 *
 * @param scheme - by which the house names strings
 * @param random - from 0 up to 1
 */
export function orderNames(
  instrument: Instrument,
  position: StringPosition,
  scheme: NameScheme,
  random: () => number,
): readonly Choice[] | null {
  const { name, beside } = leadingNames(position, scheme)
  const wrong = mistakenNames(instrument, position, name, [
    ...(isOctaveName(name, position) ? octaveMistakes(position) : []),
    ...(isNumberName(name, position) ? numberMistakes(instrument, position) : []),
    ...besideMistakes(instrument, position, (p) => leadingNames(p, scheme).name),
  ])
  return choices(name, `It is also ${beside}.`, position.number, wrong, random)
}

/** What a string is called beside the name that leads. */
export const OTHER_NAMES = ['harp octave', 'scientific pitch', 'number', 'maker’s label'] as const
export type OtherName = (typeof OTHER_NAMES)[number]

/** The name as it would be said, with its scheme where it is not plain by itself; null where the string has none such. */
function nameBy(kind: OtherName, instrument: Instrument, position: StringPosition): string | null {
  switch (kind) {
    case 'harp octave':
      return isHarp(instrument) ? harpOctaveWord(position.note) : null
    case 'scientific pitch':
      return `${scientificWord({ ...position.note, accidental: 0 })} (scientific)`
    case 'number':
      return numberName(position)
    case 'maker’s label':
      return position.makerLabel === null ? null : `maker’s ${position.makerLabel}`
  }
}

/**
 * A string's name by another scheme than the one that leads; null where it has none such, or none that is its own alone, or
 * can't be mistaken.
 *
 * @param random - from 0 up to 1
 */
export function otherNames(
  kind: OtherName,
  instrument: Instrument,
  position: StringPosition,
  scheme: NameScheme,
  random: () => number,
): readonly Choice[] | null {
  const name = nameBy(kind, instrument, position)
  const { name: leading } = leadingNames(position, scheme)
  if (name === null || name === leading) return null
  const [only, another] = readingsOf(said(name), instrument)
  if (only?.number !== position.number || another) return null
  const wrong = mistakenNames(instrument, position, name, [
    ...(kind === 'harp octave' ? octaveMistakes(position) : []),
    ...(kind === 'scientific pitch' && isHarp(instrument) ? scientificMistakes(position) : []),
    ...(kind === 'number' ? numberMistakes(instrument, position) : []),
    ...besideMistakes(instrument, position, (p) => nameBy(kind, instrument, p) ?? leading),
  ])
  return choices(name, `${atTheHead(leading)} is also ${name}.`, position.number, wrong, random)
}
