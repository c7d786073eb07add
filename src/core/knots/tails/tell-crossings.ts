/**
 * The crossings of a stage in words: what passes in front of what.
 */
import { crossingsOf, seenFrom, type View } from '../topology/crossings'
import { mirrored } from '../topology/curve'
import type { Part, TyingState } from './state'

export interface ToldCrossing {
  readonly says: string
  /** In the eye's plane. */
  readonly x: number
  readonly y: number
}

/** More crossings than this in one stage are turns, which nobody would count one by one. */
const MAX_COUNTED_CROSSINGS = 9

/**
 * The crossings that a stage makes, in the order the led end meets them.
 *
 * @param state - when the stage is done
 * @param hand - the left hand ties the mirror image
 */
export function tellCrossings(
  { curve, parts, fresh, leads }: TyingState,
  view: View,
  hand: 'right' | 'left',
): readonly ToldCrossing[] {
  const [from, to] = fresh
  const isFresh = (at: number) => at >= from && at <= to
  const met = leads === 'standing part' ? (at: number) => -at : (at: number) => at
  const told = crossingsOf(seenFrom(hand === 'left' ? mirrored(curve) : curve, view))
    .map((c) =>
      met(c.over) > met(c.under) ? { c, led: c.over, other: c.under } : { c, led: c.under, other: c.over },
    )
    .filter(({ led }) => isFresh(led))
    .sort((a, b) => met(a.led) - met(b.led))
  if (told.length > MAX_COUNTED_CROSSINGS) return []
  const nameOf = (at: number): Part => parts[Math.round(at)] ?? 'working end'
  return told.map(({ c, led, other }) => {
    const [what, against] = [nameOf(led), nameOf(other)]
    const which = what !== against ? `the ${against}` : isFresh(other) ? 'itself' : 'what was laid before'
    return {
      x: c.x,
      y: c.y,
      says: `The ${what} passes ${c.over === led ? 'in front of' : 'behind'} ${which}.`,
    }
  })
}
