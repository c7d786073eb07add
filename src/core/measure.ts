/**
 * A figure with the kind of quantity it is, in SI, and a phrase that holds such figures. Whoever shows it chooses the
 * unit and the rounding; the core never writes a unit into a sentence.
 */
import { itemAt } from './list/item-at'

export type Quantity =
  | 'length' // m, shown as a person measures it with a rule
  | 'gauge' // m, of a string, shown as a calliper reads
  | 'width' // m, small, of anything else: shown as a calliper reads
  | 'frequency' // Hz
  | 'force' // N
  | 'stress' // Pa
  | 'angle' // degrees of the key or of a bend
  | 'turns' // of the key or the pin
  | 'wraps'
  | 'pins'
  | 'strings'
  | 'semitones'
  | 'cents'
  | 'share' // 1 = the whole
  | 'density' // kg/m³
  | 'line density' // kg/m
  | 'number'

export interface Measure {
  readonly quantity: Quantity
  readonly value: number
}

/** Text and figures in the order they are read. */
export type Phrase = readonly (string | Measure)[]

/** A figure of one quantity. */
export function measure(quantity: Quantity, value: number): Measure {
  return { quantity, value }
}

/**
 * Tag for template literals that keeps figures as figures.
 *
 * @example say`Leave ${measure('length', 0.066)} of slack.`
 */
export function say(text: TemplateStringsArray, ...parts: readonly (string | Measure)[]): Phrase {
  const phrase: (string | Measure)[] = []
  // By index: a restring says some thousands of these.
  for (let i = 0; i < text.length; i += 1) {
    const piece = itemAt(text, i)
    if (piece !== '') phrase.push(piece)
    const part = parts[i]
    if (part !== undefined && part !== '') phrase.push(part)
  }
  return phrase
}
