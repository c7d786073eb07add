/**
 * Knots that are tied with the end, and hold their anchor by a loop of the long part that is laid over it. As they hang.
 */
import { itemAt } from '../../list/item-at'
import type { AnchorPlace, TailEnd } from '../tails/tail-end'
import { tailEndOf } from '../tails/tail-ends'
import { plus, type Polyline, type Vec3 } from '../topology/curve'
import { left, right, type Film, type Move, type Posed } from './move'
import { sections, straight, type Pose } from './pose'

/** The long part, the loop over the anchor with what leads on from it, the knot with its end. */
const COUNTS = [24, 110, 150]
const [LONG, OVER] = [0, 1]
const DOWN_TO = 3
/** Of the loop over the anchor: its own points; what leads on to the knot comes after them. */
const LOOP = 7

/**
 * The loop of the long part laid in front of the anchor, turned so that it crosses, and put over the anchor's near end.
 *
 * @param before - how the long part reaches the knot while it is not there
 */
function over(
  { way, fixtures, standingTo }: TailEnd,
  before: Polyline,
): { readonly without: Pose; readonly lays: Posed } {
  const done = sections(way, [DOWN_TO, standingTo])
  const [down, loop, knot] = done as readonly [Polyline, Polyline, Polyline]
  const [x, y] = (fixtures[0]?.at ?? [0, 0, 0]) as Vec3
  const lead = loop.slice(LOOP)
  const pose = (piece: Polyline): Pose => [down, piece, knot]
  const raised = (by: readonly number[]) => lead.map((p, i) => plus(p, [0, 0, by[i] ?? 0]))
  const bend: Polyline = [
    [-0.8, -1, 3],
    [-3, -3, 6],
    [x - 1.8, y + 4, 8.5],
    [x - 1.6, y, 9],
    [x, y - 2, 9],
    [x + 1.6, y, 9],
    [x + 1.8, y + 3, 8.5],
    ...raised([3.5, 2, 0.8]),
  ]
  const turned: Polyline = [
    [-0.5, -1, 3],
    [-2, -3, 6.5],
    [x + 0.3, y + 4, 10],
    [x, y, 10.5],
    [x, y - 2, 9],
    [x, y, 7.4],
    [x + 0.2, y + 2.5, 7],
    ...raised([3, 1.6, 0.6]),
  ]
  const inFront = [
    ...loop.slice(0, LOOP).map((p, i) => plus(p, [0, 0, Math.min(4, 2 * i)])),
    ...raised([3, 1.4, 0.4]),
  ]
  const without = pose(before)
  return {
    without,
    lays: {
      poses: [pose(bend), pose(turned), pose(inFront), done],
      drawsDown: true,
      holds: [right('thumb and finger', { section: OVER, share: 0.6 })],
    },
  }
}

/** The end led through its knot, the long part coming straight to it. */
function ledThrough(
  without: Pose,
  shares: readonly number[],
  holds: readonly Move['holds'][],
): readonly Move[] {
  const along = without.flat()
  const begins = without[0]!.length + without[1]!.length
  const reach = (share: number) => begins + Math.round(share * (along.length - 1 - begins))
  return shares.map((share, i) => ({
    along,
    from: i === 0 ? DOWN_TO : reach(itemAt(shares, i - 1)),
    to: reach(share),
    holds: holds[i] ?? [],
  }))
}

export function halfKnotFilm(place: AnchorPlace): Film {
  const { without, lays } = over(
    tailEndOf('half knot and anchor', place),
    straight([0.1, -0.8, 0.5], [1.4, -2.8, 0.8], 10),
  )
  const eye: Vec3 = [-2.6, -11, 0]
  return {
    counts: COUNTS,
    lies: 'as hung',
    lays: ledThrough(without, [1], [[left('thumb and finger', eye)]]),
    anchored: [
      { poses: [without], holds: [left('thumb and finger', eye)] },
      { poses: [], holds: [right('pulls', { section: LONG, share: 0.5 })] },
      lays,
    ],
    draws: [],
  }
}

export function twistedLoopFilm(place: AnchorPlace): Film {
  const { without, lays } = over(tailEndOf('twisted loop', place), [
    ...straight([0.6, -0.8, 0.4], [6, -4.4, 1], 9),
    [7.6, -6.4, 1],
    [8, -7.8, 0.8],
    [7.6, -8.8, 0.5],
  ])
  const base: Vec3 = [1.5, -9, 0]
  return {
    counts: COUNTS,
    lies: 'as hung',
    lays: ledThrough(
      without,
      [0.42, 0.58, 1],
      [[], [left('thumb and finger', base)], [left('thumb and finger', base)]],
    ),
    anchored: [{ poses: [without], holds: [right('pulls', { section: LONG, share: 0.5 })] }, lays],
    draws: [],
  }
}
