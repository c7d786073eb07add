/**
 * The ways to cut one length into strings that are needed.
 */
import type { StringEnd } from './string-spec'

export interface Wanted {
  readonly id: number
  /** m */
  readonly length: number
  readonly quantity: number
}

/** How many strings of each need come out of one piece. */
export type CutPattern = ReadonlyMap<number, number>

/** Beyond this many ways the longest strings are cut first and the rest not tried: no packet comes near it. */
const MOST = 2000

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
  const found: CutPattern[] = []
  const extend = (from: number, left: number, so: readonly (readonly [id: number, count: number])[]) => {
    if (found.length >= MOST) return
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
