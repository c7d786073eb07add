/**
 * What is measured on a knot that is drawn down: how much string it takes, and how wide it is against a hole.
 */
import { itemAt } from '../../list/item-at'
import { alongOf, minus, norm, type Polyline } from '../topology/curve'
import { clearOfRod, type Rod } from './rod'

/** Nearer than this, centre to centre, two parts touch; a little over a gauge, as they lie when they are drawn down. */
const TOUCHING = 1.2
/** Parts nearer along the string than this, in gauges, are neighbours. */
const NEIGHBOURS = 2.5

export interface KnotMeasure {
  /** From the board's underside to where the tag leaves the knot, in gauges. */
  readonly takes: number
  /** The least width of what lies below the board, seen along the string, in gauges. */
  readonly width: number
}

/**
 * Measures a knot.
 *
 * @param curve - from the pin's side down to the tag, the board's underside at y = 0
 * @param rod - what is put into it
 * @param top - below this height lies what is to pass the hole
 */
export function measureKnot(curve: Polyline, rod: Rod | null, top: number): KnotMeasure {
  const along = alongOf(curve)
  const begins = curve.findIndex(([, y]) => y <= 0)
  const leaves = lastTouch(curve, along, rod)
  const knot = curve.slice(begins, leaves + 1).filter(([, y]) => y <= top)
  return { takes: itemAt(along, leaves) - itemAt(along, begins), width: leastWidth(knot) + 1 }
}

function lastTouch(curve: Polyline, along: readonly number[], rod: Rod | null): number {
  for (let i = curve.length - 1; i > 0; i -= 1) {
    if (rod && clearOfRod([itemAt(curve, i)], rod) < TOUCHING / 2) return i
    for (let j = 0; j < i && itemAt(along, i) - itemAt(along, j) > NEIGHBOURS; j += 1) {
      if (norm(minus(itemAt(curve, i), itemAt(curve, j))) < TOUCHING) return i
    }
  }
  return 0
}

/** Of points seen from above: the distance of two parallel lines that hold them, where they are nearest. */
function leastWidth(points: Polyline): number {
  let least = Infinity
  for (let degrees = 0; degrees < 180; degrees += 3) {
    const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
    const across = points.map(([x, , z]) => x * c + z * s)
    least = Math.min(least, Math.max(...across) - Math.min(...across))
  }
  return least
}
