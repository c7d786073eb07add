/**
 * What is marked on the picture, one after another: the sheet’s corners, then each string’s upper end, middle and lower end.
 */
import type { Spot } from '@/core/photo/homography'
import type { MarkedString } from '@/core/photo/place-camera'

export type MarkKey = `corner ${0 | 1 | 2 | 3}` | `${number} ${'upper' | 'middle' | 'lower'}`
export type Marked = Readonly<Partial<Record<MarkKey, Spot>>>

export const CORNERS = ['corner 0', 'corner 1', 'corner 2', 'corner 3'] as const
const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'] as const

/** Everything to mark, in the order of the hand. */
export function marksFor(strings: readonly number[]): readonly MarkKey[] {
  return [
    ...CORNERS,
    ...strings.flatMap((number): MarkKey[] => [`${number} upper`, `${number} middle`, `${number} lower`]),
  ]
}

/** What to mark, as one is told. */
export function markWords(key: MarkKey, nameOf: (number: number) => string): string {
  const [what, which] = key.split(' ') as [string, string]
  if (what === 'corner') return `The ${CORNER_NAMES[Number(which)]} corner of the sheet`
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

/** The corners, once all four are marked. */
export function cornersIn(marked: Marked): readonly Spot[] | null {
  const corners = CORNERS.flatMap((key) => marked[key] ?? [])
  return corners.length === 4 ? corners : null
}

/** Strings of which both ends are marked. */
export function stringsIn(marked: Marked, strings: readonly number[]): readonly MarkedString[] {
  return strings.flatMap((number) => {
    const [upper, lower] = [marked[`${number} upper`], marked[`${number} lower`]]
    return upper && lower ? [{ number, upper, lower, middle: marked[`${number} middle`] ?? null }] : []
  })
}
