/**
 * The part of the plane that a fastening's pictures show: the same for all its stages, so that nothing jumps.
 */
import type { Fixture, FixtureKind } from '@/core/knots/tails/tail-end'
import type { HandAt, TyingState } from '@/core/knots/tails/state'
import type { Tying } from '@/core/knots/tying'
import { seenFrom, type View } from '@/core/knots/topology/crossings'
import { mirrored, plus, times, type Polyline, type Vec3 } from '@/core/knots/topology/curve'

export interface Frame {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

export type Hand = 'right' | 'left'

const MARGIN = 1.6
/** Room to the side for what an end is called. */
const NAMES = 2.4
/** What leaves the picture above is the long string, of which a little is enough. */
const ABOVE = 8.5

/** What leaves it at the sides is the long string, too. */
const ASIDE = 17

/** As the eye has it: mirrored for the left hand, then turned. */
export function asSeen(curve: Polyline, view: View, hand: Hand): Polyline {
  return seenFrom(hand === 'left' ? mirrored(curve) : curve, view)
}

/** A frame round all stages, in gauges, y downward. */
export function frameOf(tying: Tying, view: View, hand: Hand): Frame {
  const points = tying.stages.flatMap((_, i) => {
    const state = tying.stateAt(i + 1)
    const rods = state.fixtures.flatMap(({ at, axis, half, radius }): Vec3[] =>
      [-half, half].flatMap((by) => [-radius, radius].map((r) => plus(plus(at, times(axis, by)), [0, r, 0]))),
    )
    return asSeen([...state.curve.filter((_, k) => k % 4 === 0), ...(state.cord ?? []), ...rods], view, hand)
  })
  const kept = tying.end === 'tail' ? (v: number) => Math.max(-ASIDE, Math.min(ASIDE, v)) : (v: number) => v
  const [xs, ys] = [points.map((p) => kept(p[0])), points.map((p) => -p[1])]
  const [left, right] = [Math.min(...xs) - MARGIN - NAMES, Math.max(...xs) + MARGIN + NAMES]
  const [top, bottom] = [Math.max(-ABOVE, Math.min(...ys)) - MARGIN, Math.max(...ys) + MARGIN]
  return { left, top, width: right - left, height: bottom - top }
}

/** Rods that are named at their end, where no string runs over them. */
const LONG: ReadonlySet<FixtureKind> = new Set(['tuning pin', 'bar', 'foot'])

/** Where a rod's name is put. */
export function nameOfRodAt({ kind, at, axis, half }: Fixture): Vec3 {
  return LONG.has(kind) ? plus(at, times(axis, half * 0.92)) : at
}

/** Who holds the string: mirrored for the left-handed, each hand does the other’s work. */
export function handsOf({ hands }: TyingState, hand: Hand): readonly HandAt[] {
  return (hands ?? []).map((one) =>
    hand === 'left' ? { ...one, hand: one.hand === 'left' ? 'right' : 'left' } : one,
  )
}
