/**
 * What goes wrong when a knot is tied, as curves of their own to lie beside the right one.
 */
import { itemAt } from '../../list/item-at'
import type { TailFastening } from '../fastenings'
import type { Vec3 } from '../topology/curve'
import type { AnchorPlace, TailEnd } from './tail-end'
import { tailEndOf } from './tail-ends'
import { slipLoop } from './ways/slip-loops'

export interface Mistake {
  readonly title: string
  /** What will happen. */
  readonly happens: string
  readonly tailEnd: TailEnd
}

type Way = TailEnd['way']
const changed = (way: Way, change: (p: Vec3, i: number) => Vec3): Way => way.map(change)
const over = (way: Way, from: number, heights: readonly number[]): Way =>
  changed(way, (p, i) =>
    i >= from && i < from + heights.length ? [p[0], p[1], itemAt(heights, i - from)] : p,
  )

/** The hitch crossed outward: the standing part goes up on the wrong side of its own beginning. */
function outward(tailEnd: TailEnd, title: string): Mistake {
  // The three points of the way where the standing part passes its own beginning lie on the other side of it.
  const first = tailEnd.standingTo - 3
  return {
    title,
    tailEnd: {
      ...tailEnd,
      way: changed(tailEnd.way, (p, i) => (i >= first && i < tailEnd.standingTo ? [p[0], p[1], -p[2]] : p)),
    },
    happens:
      'The standing part only lies against the first loop and grips nothing: under pull it slides off, and the knot runs out through the eyelet.',
  }
}

/** The anchor in the eye of the hitch, and not in the first loop. */
function wrongEye(tailEnd: TailEnd, at: Vec3): Mistake {
  return {
    title: 'The anchor in the wrong eye',
    tailEnd: {
      ...tailEnd,
      fixtures: tailEnd.fixtures.map((f) => (f.kind === 'anchor' ? { ...f, at, axis: [0, 0, 1] } : f)),
    },
    happens:
      'Nothing holds the first loop open: the hitch closes on the anchor, the first loop is drawn through it, and the knot comes apart round a loose anchor.',
  }
}

/** Common mistakes with a fastening. */
export function mistakesOf(fastening: TailFastening, place: AnchorPlace): readonly Mistake[] {
  const tailEnd = tailEndOf(fastening, place)
  switch (fastening) {
    case 'two-loop, open bight':
      return [outward(tailEnd, 'The second loop crossed outward'), wrongEye(tailEnd, [-1.4, -3.9, 0])]
    case 'two-loop, crossed':
      return [outward(tailEnd, 'The second loop crossed outward')]
    case 'two-loop, crossed, behind':
      return [outward(tailEnd, 'The second loop crossed outward')]
    case 'third loop':
      return [wrongEye(tailEnd, [-3.6, -3.9, 0])]
    case 'slip loop':
      return [
        {
          title: 'The second loop put through from in front',
          tailEnd: slipLoop(place, -1),
          happens: 'The first loop closes on nothing: pull the standing part and it falls apart.',
        },
      ]
    case 'overhand on a bead':
      return [
        {
          title: 'The end passed the loop on the wrong side',
          tailEnd: { ...tailEnd, way: over(tailEnd.way, 23, [1.4, 3.3, 3.3, 1.4]) },
          happens: 'It looks like an overhand and is only a curl: it opens at the first pull.',
        },
      ]
    case 'half knot and anchor':
    case 'twisted loop':
    case 'layered foot wrap':
    case 'loop on a hitch pin':
    case 'loop through itself':
    case 'round two posts':
    case 'slip knot on a toggle':
      return []
  }
}
