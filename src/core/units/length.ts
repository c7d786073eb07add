/**
 * Lengths and gauges as people write them, to and from metres.
 *
 * Written forms: `12.5 mm`, `0,64 mm`, `1.2 m`, `.041 in`, `.041"`, `41 thou`, `1 3/8 in`, `3/8"`. A bare number is
 * read in the unit that the caller names.
 */

import type { FileUnit } from './file-unit'

export type LengthUnit = 'mm' | 'in' | 'thou'

/** Metres in one of each unit. The inch is exactly 25.4 mm. */
const METRES: Record<LengthUnit | 'm' | 'cm', number> = {
  mm: 1e-3,
  cm: 1e-2,
  m: 1,
  in: 0.0254,
  thou: 0.0000254,
}

const UNIT_WORDS: Record<string, keyof typeof METRES> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  thou: 'thou',
  thousandths: 'thou',
  mil: 'thou',
}

const LONGEST = 60

const WRITTEN =
  /^([-+−]?)\s*(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d*[.,]?\d+|\d+[.,]))\s*([a-z]+|["″])?\.?$/i

/**
 * Reads a length.
 *
 * @param text - as typed
 * @param bare - the unit of a number that comes without one
 * @returns metres; negative where the text has a minus sign, so that the caller can refuse it by name
 * @throws RangeError with a sentence that can be shown, when the text is not a length
 * @example parseLength('41 thou', 'mm') // 0.0010414
 */
export function parseLength(text: string, bare: FileUnit): number {
  // Longer than any length that is written; what is shown of it is its beginning.
  const found = text.length > LONGEST ? null : WRITTEN.exec(text.trim())
  const refuse = () =>
    new RangeError(
      `Expected a length such as “0.64 mm”, “.041 in” or “41 thou”, got “${text.trim().slice(0, LONGEST)}”.`,
    )
  if (!found) throw refuse()
  const [, sign, whole, over, under, soloOver, soloUnder, decimal, word] = found
  const unit = word === undefined ? bare : UNIT_WORDS[word.toLowerCase()]
  if (unit === undefined) throw refuse()
  const amount =
    decimal !== undefined
      ? Number(decimal.replace(',', '.'))
      : Number(whole ?? 0) + Number(over ?? soloOver) / Number(under ?? soloUnder)
  if (!Number.isFinite(amount)) throw refuse()
  return (sign === '' || sign === '+' ? 1 : -1) * amount * METRES[unit]
}

/** How a length is written: a decimal in a unit, or inches as a fraction with the given denominator. */
export type LengthStyle =
  | { readonly unit: LengthUnit; readonly digits: number }
  | { readonly unit: 'in'; readonly fractionOf: number }

/**
 * The number of a length without its unit, rounded to the style.
 *
 * @param metres - the length
 * @param style - unit and rounding
 * @example lengthFigure(0.0010414, { unit: 'thou', digits: 0 }) // '41'
 */
export function lengthFigure(metres: number, style: LengthStyle): string {
  if (!Number.isFinite(metres))
    throw new RangeError(`length: expected a finite number of metres, got ${metres}.`)
  const amount = metres / METRES[style.unit]
  if ('digits' in style) return withoutMinusZero(amount.toFixed(style.digits))
  const parts = Math.round(Math.abs(amount) * style.fractionOf)
  const sign = amount < 0 && parts > 0 ? '-' : ''
  const whole = Math.floor(parts / style.fractionOf)
  const over = parts % style.fractionOf
  if (over === 0) return `${sign}${whole}`
  const shared = greatestCommonDivisor(over, style.fractionOf)
  const fraction = `${over / shared}/${style.fractionOf / shared}`
  return sign + (whole === 0 ? fraction : `${whole} ${fraction}`)
}

/**
 * A length with its unit; {@link parseLength} reads it back to the same value within the style's rounding.
 *
 * @example formatLength(0.0349, { unit: 'in', fractionOf: 8 }) // '1 3/8 in'
 */
export function formatLength(metres: number, style: LengthStyle): string {
  return `${lengthFigure(metres, style)} ${style.unit}`
}

/** A gauge with its unit, to the digits that strings are sold by. */
export function gaugeText(metres: number, unit: LengthUnit): string {
  return formatLength(metres, { unit, digits: { mm: 2, in: 3, thou: 0 }[unit] })
}

function withoutMinusZero(figure: string): string {
  return /^-0(\.0*)?$/.test(figure) ? figure.slice(1) : figure
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b)
}
