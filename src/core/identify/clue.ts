/**
 * What a person can say of a string that is gone: each clue may be wrong, and none is required.
 */
import type { MaterialClass } from './material-class'

export type SeenColour = 'red' | 'dark' | 'natural'
export type Side = 'shorter' | 'longer'
export const LOOKS = ['grain', 'glassy', 'grey-tinged', 'metallic', 'ribbed', 'hidden by dye'] as const
export type Look = (typeof LOOKS)[number]
export const BENDS = ['springs back', 'holds a crease', 'holds a kink'] as const
export type Bend = (typeof BENDS)[number]
export const NAILS = ['slick', 'faintly rough', 'rasps', 'hard'] as const
export type Nail = (typeof NAILS)[number]
export const THICKNESSES = ['thin', 'middling', 'thick'] as const
export type Thickness = (typeof THICKNESSES)[number]
export const NEIGHBOURS_SEEN = ['gut', 'nylon', 'wire', 'wound', 'none'] as const satisfies readonly (
  MaterialClass | 'none'
)[]
export type NeighbourSeen = (typeof NEIGHBOURS_SEEN)[number]

export type Clue =
  | { readonly kind: 'counted'; readonly from: 'top' | 'bottom'; readonly number: number }
  | { readonly kind: 'colour'; readonly seen: SeenColour }
  /** A coloured string near by: the string lies `away` places on its longer side, or its shorter one where negative. */
  | { readonly kind: 'coloured neighbour'; readonly seen: 'red' | 'dark'; readonly away: number }
  /** A coloured string is next to it, nobody said on which side. */
  | { readonly kind: 'beside colour'; readonly seen: 'red' | 'dark' }
  /** It is itself the nth of its colour from an end. */
  | {
      readonly kind: 'colour counted'
      readonly seen: 'red' | 'dark'
      readonly from: 'top' | 'bottom'
      readonly nth: number
    }
  /** Of the old string, m; `error` is the standard error of the instrument it was measured with, m. */
  | { readonly kind: 'gauge'; readonly measured: number; readonly error: number; readonly worn: boolean }
  | { readonly kind: 'thickness'; readonly seen: Thickness }
  /** All pieces together, m. */
  | { readonly kind: 'pieces'; readonly length: number }
  | { readonly kind: 'look'; readonly seen: Look }
  | { readonly kind: 'bend'; readonly seen: Bend }
  | { readonly kind: 'nail'; readonly seen: Nail }
  | { readonly kind: 'cold'; readonly seen: boolean }
  /** The sound of the next string on one side, Hz. */
  | { readonly kind: 'neighbour’s pitch'; readonly side: Side; readonly pitch: number }
  | { readonly kind: 'neighbour’s material'; readonly side: Side; readonly seen: NeighbourSeen }

export type ClueKind = Clue['kind']
/** Kinds that are asked for; the others people say of themselves. */
export type AskedKind = Exclude<ClueKind, 'beside colour' | 'colour counted'>
export type AskedClue = Extract<Clue, { readonly kind: AskedKind }>

/** Two clues of one key answer the same question, so that the later one takes the place of the earlier. */
export function clueKey(clue: Clue): string {
  switch (clue.kind) {
    case 'counted':
      return `counted ${clue.from}`
    case 'coloured neighbour':
      return `coloured neighbour ${clue.away > 0 ? 'above' : 'below'}`
    case 'colour counted':
      return `${clue.kind} ${clue.from}`
    case 'neighbour’s pitch':
    case 'neighbour’s material':
      return `${clue.kind} ${clue.side}`
    default:
      return clue.kind
  }
}
