/**
 * What goes where of a set: three of one gauge may be wanted, and the fourth is spare.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

/** One kind of piece in a set. */
export interface Pieces {
  /** Of all that it can fill, see `fillings`. */
  readonly keys: readonly string[]
  readonly pieces: number
}

/** Strings of one kind that are wanted. */
export interface Wanted<Who> {
  readonly who: Who
  readonly key: string
  readonly strings: number
}

export interface SharedOut<Who> {
  readonly goes: readonly { readonly who: Who; readonly strings: number }[]
  /** Pieces that nothing wants. */
  readonly spare: number
}

/**
 * Shares pieces out among what wants them, in its order; what can fill less is taken first.
 *
 * @param contents - of the set, all packs of it together
 * @returns for each of the contents, in their order
 */
export function shareOut<Who>(
  contents: readonly Pieces[],
  wanted: readonly Wanted<Who>[],
): readonly SharedOut<Who>[] {
  const left = wanted.map(({ strings }) => strings)
  const shared = new Map<Pieces, SharedOut<Who>>()
  for (const content of [...contents].sort((a, b) => a.keys.length - b.keys.length)) {
    let spare = content.pieces
    const goes = wanted.flatMap(({ who, key }, i) => {
      const strings = content.keys.includes(key) ? Math.min(spare, itemAt(left, i)) : 0
      spare -= strings
      left[i] = itemAt(left, i) - strings
      return strings > 0 ? [{ who, strings }] : []
    })
    shared.set(content, { goes, spare })
  }
  return contents.map((content) => requireValue(shared.get(content)))
}
