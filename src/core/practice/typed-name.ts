/**
 * A name as somebody types it, read by what reads names everywhere else, and explained where it is another string's.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { leadingNames, type NameScheme } from '../instrument/names'
import { readName } from '../names/read-name'
import {
  besideMistakes,
  mistakenNames,
  numberMistakes,
  octaveMistakes,
  scientificMistakes,
} from './name-mistakes'
import type { Choice } from './choice'

/**
 * What a typed name comes to for a string that broke: right where it can mean nothing else, else with what it was mistaken
 * for, where that is one of the mistakes that people make.
 *
 * @returns null where it names no string of this instrument
 * @throws RangeError with a sentence that can be shown, where it is no name
 */
export function typedName(
  instrument: Instrument,
  position: StringPosition,
  scheme: NameScheme,
  text: string,
): Choice | null {
  const words = text.trim()
  const read = readName(words, instrument).map(({ number }) => number)
  const [first, second] = read
  if (first === undefined) return null
  const { name, beside } = leadingNames(position, scheme)
  const same = `It is ${name}, also ${beside}.`
  if (first === position.number && second === undefined)
    return { words, mistake: null, brings: position.number, teaches: same }
  if (read.includes(position.number))
    return {
      words,
      mistake: 'a name that means several strings',
      brings: first === position.number ? (second ?? null) : first,
      teaches: `“${words}” also means another string here: whoever fills the order can’t know which. Say which way you count. ${same}`,
    }
  const known = mistakenNames(instrument, position, name, [
    ...octaveMistakes(position),
    ...scientificMistakes(position),
    ...numberMistakes(instrument, position),
    ...besideMistakes(instrument, position, (p) => leadingNames(p, scheme).name),
  ]).find(({ brings }) => brings === first)
  return {
    words,
    mistake: known?.mistake ?? 'another string',
    brings: first,
    teaches: `${known?.teaches ?? 'Count again from a string that you are sure of.'} ${same}`,
  }
}
