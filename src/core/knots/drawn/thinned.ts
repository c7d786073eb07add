/**
 * Which states of a knot being drawn down are kept: as few as can be, so that between each two the string passes nowhere
 * through itself and stays the same knot.
 */
import { itemAt } from '../../list/item-at'
import type { Rod } from '../rope/rod'
import { alexander } from '../topology/alexander'
import { nearest } from '../topology/clearance'
import { crossingsOf, seenFrom } from '../topology/crossings'
import { gaussCode } from '../topology/gauss-code'
import type { Polyline } from '../topology/curve'
import { between, type Hanging } from './between'

/** Where between two states it is looked at. */
const LOOKED_AT = [0.2, 0.4, 0.6, 0.8]
/** From a little to the side, where no two straight pieces lie behind each other. */
const ASKEW = { turn: 17, tilt: 23 }
/** States further apart than this are not tried. */
const MAX_STATES_APART = 40

/** What knot hangs below the board, as its polynomial. */
export function knotHanging(curve: Polyline): string {
  return alexander(gaussCode(crossingsOf(seenFrom([[0, 12, 0], [0, 6, 0], ...curve], ASKEW)))).join()
}

/** Whether a state can be reached from another as it will be shown. */
export function leadsTo(a: Hanging, b: Hanging, rod: Rod | null, knot: string): boolean {
  return LOOKED_AT.every((t) => {
    const { curve } = between(a, b, t, rod)
    return nearest(curve).distance >= 1 && knotHanging(curve) === knot
  })
}

/**
 * @param all - in order, the open knot first and the drawn one last
 * @throws RangeError where even two neighbours can't be reached from each other
 */
export function thinned(all: readonly Hanging[], rod: Rod | null): readonly Hanging[] {
  const knot = knotHanging(itemAt(all, 0).curve)
  const kept = [itemAt(all, 0)]
  for (let i = 0; i < all.length - 1;) {
    let next = i
    for (let j = i + 1; j < all.length && j - i <= MAX_STATES_APART; j += 1) {
      if (leadsTo(itemAt(all, i), itemAt(all, j), rod, knot)) next = j
      else if (next > i) break
    }
    if (next === i) throw new RangeError(`State ${i} of ${all.length}: no later one can be reached from it.`)
    kept.push(itemAt(all, next))
    i = next
  }
  return kept
}
