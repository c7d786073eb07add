/**
 * The crossings of a stage in words: what passes in front of what.
 */
import { crossingsOf, seenFrom, type View } from '../topology/crossings'
import type { Polyline } from '../topology/curve'
import type { Tie } from './tie'

export interface ToldCrossing {
  readonly says: string
  readonly x: number
  readonly y: number
}

/** This share of the way from the pin is called the standing part. */
const STANDING = 0.22

/**
 * The crossings that a stage makes, in the order the led end meets them.
 *
 * @param curve - the whole centreline in the order it is laid
 * @param leads - the end that is led
 * @param from - share of the way that lay before
 * @param until - share that lies when the stage is done
 */
export function tellCrossings(curve: Polyline, leads: Tie['leads'], from: number, until: number, view: View): readonly ToldCrossing[] {
  const last = curve.length - 1
  const other = (at: number) => (at > from * last ? 'itself' : leads === 'working end' && at <= STANDING * last ? 'the standing part' : 'what lay before')
  return crossingsOf(seenFrom(curve.slice(0, Math.round(until * last) + 1), view))
    .map((c) => ({ c, later: Math.max(c.over, c.under), earlier: Math.min(c.over, c.under) }))
    .filter(({ later }) => later > from * last)
    .sort((a, b) => a.later - b.later)
    .map(({ c, later, earlier }) => ({ x: c.x, y: c.y, says: `The ${leads} passes ${c.over === later ? 'in front of' : 'behind'} ${other(earlier)}.` }))
}
