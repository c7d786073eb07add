/**
 * Lengths as people type them, checked at the boundary.
 */
import { registerDecorator } from 'class-validator'
import { requireValue } from '@/core/list/require-value'
import { BOUNDS, type Bounds } from '@/core/strings/bounds'
import { parseLength, type LengthUnit } from '@/core/units/length'

export interface LengthBounds {
  /** What it is, to begin a sentence with: `The cut`. */
  readonly what: string
  /** m */
  readonly least: number
  /** m */
  readonly most: number
}

const bounds = (what: string, { 0: least, 1: most }: Bounds): LengthBounds => ({ what, least, most })
export const CUT = bounds('The cut', BOUNDS.cut)
export const COIL = bounds('The length', BOUNDS.coil)
/** What is left of a packet may be nothing. */
export const LEFT: LengthBounds = { what: 'What is left', least: 0, most: BOUNDS.coil[1] }
export const GAUGE = bounds('The gauge', BOUNDS.gauge)

/** The length in metres, or a sentence that says what is wrong. */
export function readLength(
  text: unknown,
  bare: LengthUnit,
  { what, least, most }: LengthBounds,
): number | string {
  if (typeof text !== 'string' || text.trim() === '') return `${what} is missing.`
  let metres: number
  try {
    metres = parseLength(text, bare)
  } catch (error) {
    return (error as RangeError).message
  }
  if (metres < 0 || (metres === 0 && least > 0))
    return `${what} must be more than nothing; “${text.trim()}” is not.`
  const mm = (m: number) => `${Number((m * 1000).toPrecision(6))} mm`
  if (metres < least || metres > most)
    return `${what} of ${mm(metres)} can’t be right; expected ${mm(least)} to ${mm(most)}.`
  return metres
}

/** Marks a text field that must read as a length; the sibling field `unit` says how to read a bare number. */
export function IsLengthText(bounds: LengthBounds): PropertyDecorator {
  return (target, propertyKey) => {
    const problem = (value: unknown, object: object) => {
      const read = readLength(value, (object as { unit?: LengthUnit }).unit ?? 'mm', bounds)
      return typeof read === 'string' ? read : null
    }
    registerDecorator({
      name: 'isLengthText',
      target: target.constructor,
      propertyName: String(propertyKey),
      validator: {
        validate: (value, args) => problem(value, args?.object ?? {}) === null,
        defaultMessage: (args) => problem(args?.value, args?.object ?? {}) ?? '',
      },
    })
  }
}

/** The metres of a text that was checked with {@link IsLengthText}. */
export function lengthOf(text: string, unit: LengthUnit): number {
  return parseLength(text, unit)
}

/** A length that may be left out, m; null where it is. */
export function lengthIfTold(text: string | null | undefined, unit: LengthUnit): number | null {
  return (text ?? null) === null ? null : parseLength(requireValue(text), unit)
}
