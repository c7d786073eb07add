/**
 * The ways to cut one length into strings that are needed.
 */
import type { StringEnd } from '../knots/string-ends'
import { itemAt } from '../list/item-at'

export interface Wanted {
  readonly id: number
  /** m */
  readonly length: number
  readonly quantity: number
}

/** How many strings of each need come out of one piece. */
export type CutPattern = ReadonlyMap<number, number>

/** Beyond this many ways a piece is planned by its length instead. */
const MAX_PATTERNS = 2000

/**
 * Whether a piece has few enough ways to be cut that each can be a column of its own. A packet has; a reel that many
 * different strings are cut from has not.
 */
export function hasFewPatterns(wanted: readonly Wanted[], piece: number, kerf: number): boolean {
  let ways = 1
  for (const { length, quantity } of wanted) {
    ways *= 1 + Math.min(quantity, Math.floor((piece + 1e-9) / (length + kerf)))
    if (ways > MAX_PATTERNS) return holdsAll(wanted, piece, kerf)
  }
  return true
}

function holdsAll(wanted: readonly Wanted[], piece: number, kerf: number): boolean {
  const all = wanted.reduce((sum, { length, quantity }) => sum + quantity * (length + kerf), 0)
  return all <= piece + 1e-9
}

/**
 * As many pieces as any plan can use: what cutting the longest first into the first piece that has room comes to. All
 * that is wanted fits in so many, and so does any part of it.
 */
export function piecesEnough(wanted: readonly Wanted[], piece: number, kerf: number): number {
  const left: number[] = []
  for (const { length, quantity } of [...wanted].sort((a, b) => b.length - a.length)) {
    if (length + kerf > piece + 1e-9) continue
    for (let i = 0; i < quantity; i += 1) {
      const has = left.findIndex((rest) => length + kerf <= rest + 1e-9)
      if (has < 0) left.push(piece - length - kerf)
      else left[has] = itemAt(left, has) - length - kerf
    }
  }
  return left.length
}

/**
 * Every way that leaves no room for another string that is needed: ways that cut less are never better.
 *
 * @param wanted - of one kind of string
 * @param piece - length of the piece, m
 * @param kerf - taken by each cut, m
 * @param end - a piece with a ready-made end gives one string
 */
export function cutPatterns(
  wanted: readonly Wanted[],
  piece: number,
  kerf: number,
  end: StringEnd,
): readonly CutPattern[] {
  const fitting = wanted
    .filter(({ length }) => length + kerf <= piece + 1e-9)
    .sort((a, b) => b.length - a.length)
  if (end !== 'plain') return fitting.map(({ id }) => new Map([[id, 1]]))
  if (fitting.length > 0 && holdsAll(fitting, piece, kerf))
    return [new Map(fitting.map(({ id, quantity }) => [id, quantity]))]
  const found: CutPattern[] = []
  const extend = (from: number, left: number, so: readonly (readonly [id: number, count: number])[]) => {
    const need = fitting[from]
    if (!need) {
      // Whole only when nothing that was cut fewer times than wanted would still fit.
      const more = fitting.some(
        (other, i) => (so[i]?.[1] ?? 0) < other.quantity && other.length + kerf <= left + 1e-9,
      )
      if (!more && so.some(([, count]) => count > 0)) found.push(new Map(so.filter(([, count]) => count > 0)))
      return
    }
    const most = Math.min(need.quantity, Math.floor((left + 1e-9) / (need.length + kerf)))
    for (let count = most; count >= 0; count -= 1)
      extend(from + 1, left - count * (need.length + kerf), [...so, [need.id, count]])
  }
  extend(0, piece, [])
  return found
}
