/**
 * How often two pieces of string are linked.
 */
import type { Polyline } from './curve'
import { crossingsOf } from './crossings'

/**
 * The linking number of two pieces: half the sum of the signs of the crossings between them, each piece thought closed far
 * away from the other. The same from wherever they are seen; 0 where they can be drawn apart.
 *
 * @see Gauss, Zur mathematischen Theorie der electrodynamischen Wirkungen (1833)
 */
export function linkingNumber(a: Polyline, b: Polyline): number {
  const n = a.length
  // One curve through both: what it crosses itself with on the way from the one to the other is left out.
  const signs = crossingsOf([...a, ...b]).filter(({ over, under }) => {
    const [first, second] = [Math.min(over, under), Math.max(over, under)]
    return first < n - 1 && second >= n
  })
  return signs.reduce((sum, { sign }) => sum + sign, 0) / 2
}
