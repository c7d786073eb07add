/**
 * What tells one string that is sold from another: what it is made of, its colour, its class and its end.
 */
import type { StringColour, StringPosition, TensionClass } from '../instrument/instrument'
import { endToOrder } from '../knots/fastenings'
import { coreDiameter, outerGauge, type Construction } from '../strings/construction'
import { makeText } from '../chart/material-text'

export const STRING_ENDS = ['plain', 'loop', 'ball'] as const
export type StringEnd = (typeof STRING_ENDS)[number]

export interface StringSpec {
  readonly construction: Construction
  readonly colour: StringColour
  /** Null where it goes by gauge, length and end alone, as strings of zithers and lyres do. */
  readonly tensionClass: TensionClass | null
  readonly end: StringEnd
}

/** A string on sale or in the stores: its packet names a class. */
export interface SoldSpec extends StringSpec {
  readonly tensionClass: TensionClass
}

/** The string that the chart asks for at a position. */
export function specAt(position: StringPosition, tensionClass: TensionClass | null): StringSpec {
  return {
    construction: position.construction,
    colour: position.colour,
    tensionClass,
    end: endToOrder(position.tail.fastening),
  }
}

/** One text for each string that differs in anything; gauges to the hundredth of a millimetre that they are sold by. */
export function specKey({ construction, colour, tensionClass, end }: StringSpec): string {
  const hundredths = (metres: number) => Math.round(metres * 1e5)
  return [
    makeText(construction),
    hundredths(outerGauge(construction)),
    hundredths(coreDiameter(construction)),
    colour,
    tensionClass ?? 'any class',
    end,
  ].join('|')
}

/** The keys of all that a string on sale can fill: what asks for its class, and what asks for none. */
export function keysFilledBy(spec: StringSpec): readonly string[] {
  return spec.tensionClass === null
    ? [specKey(spec)]
    : [specKey(spec), specKey({ ...spec, tensionClass: null })]
}
