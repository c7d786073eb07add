/**
 * What is marked on the picture, one after another: the sheet’s corners or the ruler’s ends, then each string’s upper end, middle and lower end.
 */
import { itemAt } from '@/core/list/item-at'
import type { Spot } from '@/core/photo/homography'
import type { MarkedString } from '@/core/photo/place-camera'
import type { Scale } from '@/core/photo/scale'

export type MarkKey = `corner ${0 | 1 | 2 | 3}` | `end ${0 | 1}` | `${number} ${'upper' | 'middle' | 'lower'}`
export type Marked = Readonly<Partial<Record<MarkKey, Spot>>>

const CORNERS = ['corner 0', 'corner 1', 'corner 2', 'corner 3'] as const
const ENDS = ['end 0', 'end 1'] as const
const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'] as const

const SCALE_MARKS: Readonly<Record<Scale['kind'], readonly MarkKey[]>> = { sheet: CORNERS, ruler: ENDS }

/** The first of what tells the size. */
export const firstMark = (scale: Scale['kind']): MarkKey => itemAt(SCALE_MARKS[scale], 0)

/** Everything to mark, in the order of the hand. */
export function marksFor(scale: Scale['kind'], strings: readonly number[]): readonly MarkKey[] {
  return [
    ...SCALE_MARKS[scale],
    ...strings.flatMap((number): MarkKey[] => [`${number} upper`, `${number} middle`, `${number} lower`]),
  ]
}

/** What to mark, as one is told. */
export function markWords(key: MarkKey, nameOf: (number: number) => string): string {
  const [what, which] = key.split(' ') as [string, string]
  if (what === 'corner') return `The ${CORNER_NAMES[Number(which)]} corner of the sheet`
  if (what === 'end') return `The ${which === '0' ? 'first' : 'other'} end of the ruler`
  const name = nameOf(Number(what))
  switch (which) {
    case 'upper':
      return `${name}: where it leaves the bridge pin or nut`
    case 'middle':
      return `${name}: anywhere near its middle`
    default:
      return `${name}: where it meets the soundboard or bridge`
  }
}

/** The marks of what tells the size, once all are set. */
export function scaleIn(scale: Scale['kind'], marked: Marked): readonly Spot[] | null {
  const spots = SCALE_MARKS[scale].flatMap((key) => marked[key] ?? [])
  return spots.length === SCALE_MARKS[scale].length ? spots : null
}

/** Strings of which both ends are marked. */
export function stringsIn(marked: Marked, strings: readonly number[]): readonly MarkedString[] {
  return strings.flatMap((number) => {
    const [upper, lower] = [marked[`${number} upper`], marked[`${number} lower`]]
    return upper && lower ? [{ number, upper, lower, middle: marked[`${number} middle`] ?? null }] : []
  })
}
