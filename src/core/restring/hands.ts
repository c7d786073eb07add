/** Several people at one instrument: who puts on which strings of a go. */
import type { Batches } from './batch'

/**
 * Strings shared out along the board, the treble end first, so that nobody reaches over another. What lies over a string is put on
 * by the same hands, since one is wrapped before the next goes over it.
 *
 * @param ids - of one go
 * @param count - pairs of hands, at least one
 * @returns the index of the pair of hands by the id of the piece
 */
export function handsFor(
  batches: Batches,
  ids: readonly number[],
  count: number,
): ReadonlyMap<number, number> {
  const stacks = stacksOf(batches, ids)
  const hands = new Map<number, number>()
  let [hand, given] = [0, 0]
  for (const [i, stack] of stacks.entries()) {
    // The next has their turn when these have their share of what is left, while there is a stack for each.
    const share = (ids.length * (hand + 1)) / count
    const left = stacks.length - i
    if (hand < count - 1 && given > 0 && (given + stack.length / 2 > share || left <= count - 1 - hand))
      hand += 1
    for (const id of stack) hands.set(id, hand)
    given += stack.length
  }
  return hands
}

/** Whose string each is, by the id of the piece; nobody’s in particular where fewer than two are at it. */
export function namesFor(
  batches: Batches,
  ids: readonly number[],
  people: readonly string[],
): ReadonlyMap<number, string> {
  if (people.length < 2) return new Map()
  return new Map([...handsFor(batches, ids, people.length)].map(([id, hand]) => [id, people[hand] ?? '']))
}

/** How many strings each pair of hands puts on. */
export function sharesOf(batches: Batches, ids: readonly number[], count: number): readonly number[] {
  const shares = Array.from({ length: count }, () => 0)
  for (const hand of handsFor(batches, ids, count).values()) shares[hand] = (shares[hand] ?? 0) + 1
  return shares
}

/** Strings that lie over one another together, along the board. */
function stacksOf(batches: Batches, ids: readonly number[]): readonly (readonly number[])[] {
  const stacks: number[][] = []
  for (const id of [...ids].sort((a, b) => batches.piece(a).at - batches.piece(b).at)) {
    const touched = stacks.filter((stack) =>
      stack.some((other) => batches.goesBefore(id, other) || batches.goesBefore(other, id)),
    )
    const joined = [...touched.flat(), id]
    for (const stack of touched) stacks.splice(stacks.indexOf(stack), 1)
    stacks.push(joined)
  }
  const at = (stack: readonly number[]) =>
    stack.reduce((sum, id) => sum + batches.piece(id).at, 0) / stack.length
  return stacks.sort((a, b) => at(a) - at(b))
}
