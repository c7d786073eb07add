/**
 * How each end knot and each other tail-end fastening is tied.
 */
import type { TailFastening } from '../fastenings'
import type { AnchorPlace, TailEnd } from './tail-end'
import { halfKnotAndAnchor, overhandOnBead, twistedLoop } from './ways/held-open'
import { layeredFootWrap, loopOnHitchPin, loopThroughItself, roundTwoPosts } from './ways/ready-made'
import { slipKnotOnToggle, slipLoop } from './ways/slip-loops'
import { crossed, openBight, thirdLoop } from './ways/two-loops'

const TAIL_ENDS: Record<TailFastening, (place: AnchorPlace) => TailEnd> = {
  'two-loop, open bight': openBight,
  'two-loop, crossed': (place) => crossed(1, place),
  'two-loop, crossed, behind': (place) => crossed(-1, place),
  'third loop': thirdLoop,
  'slip loop': slipLoop,
  'half knot and anchor': halfKnotAndAnchor,
  'twisted loop': twistedLoop,
  'slip knot on a toggle': slipKnotOnToggle,
  'overhand on a bead': overhandOnBead,
  'loop through itself': loopThroughItself,
  'loop on a hitch pin': loopOnHitchPin,
  'round two posts': roundTwoPosts,
  'layered foot wrap': () => layeredFootWrap(),
}

/** How a fastening is tied, its anchor where the house puts it. */
export function tailEndOf(fastening: TailFastening, place: AnchorPlace = 'behind the bight'): TailEnd {
  return TAIL_ENDS[fastening](place)
}
