/**
 * What can tell the size of things in a picture, by its name.
 */
import type { Spot } from '@/core/photo/homography'
import type { Scale } from '@/core/photo/scale'
import { parseLength } from '@/core/units/length'

/** Sheets of a known size, m. */
const SHEETS = {
  'A4, upright': { width: 0.21, height: 0.297 },
  'A4, lying': { width: 0.297, height: 0.21 },
  'Letter, upright': { width: 0.2159, height: 0.2794 },
  'Letter, lying': { width: 0.2794, height: 0.2159 },
  // Every bank card has this size (ISO/IEC 7810, ID-1): with it one can come nearer to short strings.
  'bank card, lying': { width: 0.0856, height: 0.05398 },
  'bank card, upright': { width: 0.05398, height: 0.0856 },
} as const
export type ScaleName = keyof typeof SHEETS | typeof RULER
export const RULER = 'a ruler'

export const SCALE_NAMES = [...Object.keys(SHEETS), RULER] as readonly ScaleName[]

export function kindOf(name: ScaleName): Scale['kind'] {
  return name === RULER ? 'ruler' : 'sheet'
}

/**
 * The scale as it is marked.
 *
 * @param spots - its corners or ends
 * @param ruler - how long what is marked of the ruler is, as typed
 * @throws RangeError with a sentence, when the ruler’s length is missing or can’t be
 */
export function scaleOf(name: ScaleName, spots: readonly Spot[], ruler: string, unit: 'mm' | 'in'): Scale {
  return name === RULER
    ? { kind: 'ruler', ends: spots as [Spot, Spot], length: rulerLength(ruler, unit) }
    : { kind: 'sheet', corners: spots, ...SHEETS[name] }
}

/** Shorter or longer is no ruler, m. */
const RULERS = [0.05, 2] as const

function rulerLength(text: string, unit: 'mm' | 'in'): number {
  const length = text.trim() === '' ? null : parseLength(text, unit)
  if (length === null) throw new RangeError('Say how long what you marked of the ruler is.')
  if (!(length >= RULERS[0] && length <= RULERS[1]))
    throw new RangeError('A ruler here is between 50 mm and 2 m long.')
  return length
}
