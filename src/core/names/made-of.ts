/** What a string is made of, where somebody says it beside its name: `third octave nylon B`, `wire fifth octave F`. */
import { isWire } from '../fitting/thin'
import type { StringPosition } from '../instrument/instrument'
import { coreMaterial, surfaceMaterial } from '../strings/construction'

type Made = (position: StringPosition) => boolean

const under =
  (name: string): Made =>
  ({ construction }) =>
    surfaceMaterial(construction).name.startsWith(name)
const anyOf =
  (...names: readonly string[]): Made =>
  (position) =>
    names.some((name) => holds(position, name))

function holds({ construction }: StringPosition, name: string): boolean {
  return [surfaceMaterial(construction), coreMaterial(construction)].some((one) => one.name.startsWith(name))
}

const MADE = new Map<string, Made>([
  ['nylon', anyOf('nylon')],
  ['gut', under('gut')],
  ['silk', anyOf('silk')],
  ['steel', anyOf('steel')],
  ['brass', under('brass')],
  ['bronze', under('phosphor bronze')],
  ['copper', under('copper')],
  ['carbon', under('fluorocarbon')],
  ['fluorocarbon', under('fluorocarbon')],
  ['wire', ({ construction }) => isWire(construction)],
  ['metal', ({ construction }) => isWire(construction)],
  ['wound', ({ construction }) => construction.kind === 'wound'],
  ['plain', ({ construction }) => construction.kind === 'plain'],
])

/** Whether a word says what a string is made of. */
export const isMaterialWord = (word: string): boolean => MADE.has(word)

/** Whether a string is made of all that the words say; true where they say nothing of it. */
export function isMadeOf(words: readonly string[], position: StringPosition): boolean {
  return words.every((word) => MADE.get(word)?.(position) ?? true)
}
