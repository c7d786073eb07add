/**
 * What tells one string that is sold from another: what it is made of, its colour, its class and its end.
 */
import {
  TENSION_CLASSES,
  type StringColour,
  type StringPosition,
  type TensionClass,
} from '../instrument/instrument'
import { endToOrder } from '../knots/fastenings'
import type { StringEnd } from '../knots/string-ends'
import { canTwist, twistedEnd } from '../knots/twisted-end'
import { coreDiameter, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import { makeText } from '../chart/material-text'

/** What a packet says of its class; many say nothing. */
export const SOLD_CLASSES = [...TENSION_CLASSES, 'not given'] as const
export type SoldClass = (typeof SOLD_CLASSES)[number]

export interface StringSpec {
  readonly construction: Construction
  readonly colour: StringColour
  /** Null where it goes by gauge, length and end alone, as strings of zithers and lyres do. */
  readonly tensionClass: SoldClass | null
  readonly end: StringEnd
}

/** What a packet says of its class, as one of several facts: `lever tension`; nothing where it says nothing. */
export function classWords(sold: SoldClass): readonly string[] {
  return sold === 'not given' ? [] : [`${sold} tension`]
}

/** A string on sale or in the stores. */
export interface SoldSpec extends StringSpec {
  readonly tensionClass: SoldClass
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

/** One kind of need that a string on sale can fill. */
export interface Filling {
  readonly key: string
  /** String for a loop that has to be twisted at its end first, m; 0 where it is right as it comes. */
  readonly twist: number
}

/**
 * All that a string on sale can fill: what asks for its class, what asks for none, every class where its packet gives
 * none, and what asks for a loop where one can be twisted at its end.
 */
export function fillings(spec: StringSpec): readonly Filling[] {
  const asItComes = classesFilled(spec.tensionClass).map((tensionClass) => ({
    key: specKey({ ...spec, tensionClass }),
    twist: 0,
  }))
  if (!twistable(spec)) return asItComes
  const { takes } = twistedEnd(outerGauge(spec.construction), HITCH_PIN)
  return [
    ...asItComes,
    ...classesFilled(spec.tensionClass).map((tensionClass) => ({
      key: specKey({ ...spec, tensionClass, end: 'loop' }),
      twist: takes,
    })),
  ]
}

/** The widest hitch pin that is usual, m: what is bought must do for any. */
const HITCH_PIN = 0.004

/** Whether a loop can be twisted at the end of a string that has none. */
export function twistable({ construction, end }: Pick<StringSpec, 'construction' | 'end'>): boolean {
  const isWire = construction.kind === 'plain' && surfaceMaterial(construction).wire
  return canTwist(isWire, outerGauge(construction), end)
}

function classesFilled(sold: SoldClass | null): readonly (SoldClass | null)[] {
  if (sold === null) return [null]
  return sold === 'not given' ? [...SOLD_CLASSES, null] : [sold, null]
}

/** String for a loop that must be twisted before a need is filled, m; null where it can't fill it. */
export function twistToFill(sold: StringSpec, wanted: StringSpec): number | null {
  const key = specKey(wanted)
  return fillings(sold).find((one) => one.key === key)?.twist ?? null
}
