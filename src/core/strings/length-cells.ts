/**
 * A length in a cell of a table: written without loss, read within what it can be.
 */
import type { FileUnit } from '../units/file-unit'
import { lengthFigure, parseLength, type LengthUnit } from '../units/length'
import { BOUNDS, canBe, type Bounded } from './bounds'

const DIGITS = { mm: 6, in: 5, thou: 2 } as const

/**
 * The text of a length. In mm to the nanometre that it is kept to, so that it reads back the same; in inches to a
 * hundred-thousandth, in thousandths to a hundredth of one.
 *
 * @param metres - the length
 */
export function lengthCell(metres: number, unit: LengthUnit): string {
  return lengthFigure(metres, { unit, digits: DIGITS[unit] })
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')
}

/**
 * From what to what a length can be, as a hint tells it: `1 to 30 mm`. The same bounds are read by every way in; the hint
 * is rounded inwards, so that what it offers is taken.
 */
export function boundsText(bounded: Bounded, unit: 'mm' | 'in'): string {
  const [least, most] = BOUNDS[bounded].map((metres) => metres / METRES_IN[unit]) as [number, number]
  return `${threeDigits(least, Math.ceil)} to ${threeDigits(most, Math.floor)} ${unit}`
}

const METRES_IN = { mm: 1e-3, in: 0.0254 } as const
/** A figure that binary arithmetic put so little off its decimal is that decimal. */
const DUST = 1e-9

function threeDigits(value: number, round: (value: number) => number): number {
  if (value === 0) return 0
  const step = 10 ** (Math.floor(Math.log10(Math.abs(value)) + DUST) - 2)
  const steps = value / step
  const nearest = Math.round(steps)
  const taken = Math.abs(steps - nearest) < DUST * Math.abs(steps) ? nearest : round(steps)
  return Number((taken * step).toPrecision(3))
}

/**
 * Reads a length as typed.
 *
 * @param bounded - what it is the length of
 * @param unit - of a bare number
 * @param where - the end of “can’t be right …”: `here`, `for a gauge`
 * @returns m
 * @throws RangeError with a sentence, when it is no length or one that can't be
 */
export function readLengthCell(text: string, bounded: Bounded, unit: FileUnit, where = 'here'): number {
  const value = parseLength(text, unit)
  if (!canBe(bounded, value)) {
    const [least, most] = BOUNDS[bounded]
    const mm = (metres: number) => Number((metres * 1000).toPrecision(4))
    throw new RangeError(`${mm(value)} mm can’t be right ${where}; expected ${mm(least)} to ${mm(most)} mm.`)
  }
  return Math.round(value * 1e12) / 1e12 // the decimal that was typed, free of binary dust
}
