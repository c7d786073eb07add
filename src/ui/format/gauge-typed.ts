/**
 * A gauge as it is typed: in the unit that the house has for gauges, unless another is written with it.
 */
import { lengthFigure, type LengthUnit } from '@/core/units/length'

const DIGITS = { mm: 2, in: 4, thou: 1 } as const

/** The number to begin with in a field for a gauge. */
export function gaugeFigure(metres: number, unit: LengthUnit): string {
  return lengthFigure(metres, { unit, digits: DIGITS[unit] })
}

/** The text with the unit of a bare number written to it, so that whoever reads it needs not know the house. */
export function withUnit(text: string, unit: LengthUnit): string {
  return /^[\d.,\s/]+$/.test(text.trim()) && text.trim() !== '' ? `${text.trim()} ${unit}` : text
}
