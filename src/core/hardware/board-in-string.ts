/** What hangs together of a board and the string that is knotted behind it. */
import type { StringPosition } from '../instrument/instrument'
import { isInBox } from '../knots/fastenings'

/**
 * Why a board can’t be as thick as it is said to be, one sentence; null where it can. The free length runs from the knot, so
 * that the board is part of it.
 */
export function boardProblem({ number, tail, freeLength }: StringPosition): string | null {
  if (!isInBox({ tail }) || tail.boardThickness < freeLength) return null
  const mm = (metres: number) => Number((metres * 1000).toPrecision(4))
  return `String ${number}: its board of ${mm(tail.boardThickness)} mm is thicker than the ${mm(freeLength)} mm from knot to pin. Measure both again.`
}
