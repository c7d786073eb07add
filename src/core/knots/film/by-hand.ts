/**
 * A knot tied before the eye as hands tie it: a move for each sentence, and the whole string at every moment.
 */
import { itemAt } from '../../list/item-at'
import { requireValue } from '../../list/require-value'
import type { TailFastening } from '../fastenings'
import { minus, norm, smooth, type Polyline, type Vec3 } from '../topology/curve'
import { type HandAt, type Part, type TyingState } from '../tails/state'
import type { Fixture, TailEnd } from '../tails/tail-end'
import { isTail, tyingOf, type Fastening, type Tying, type TyingOptions } from '../tying'
import { filmOf } from './films'
import type { Film, Hold, Led, Move, Posed } from './move'
import { asHung, asTied, laidOut, onTheWay, PER_SPAN, type Pose } from './pose'

/** Of a move that lays a loop and draws it down, the share in which it is laid. */
const LAID_BY = 0.6
/** A point of a knot being drawn down that lies well up the long part. */
const LONG_PART = 3
/** Sections of a pose at its end: the first loop, and the end that comes out of it. */
const FROM_THE_END = 2

/** As whoever ties it calls them. */
const NAMES: Tying['names'] = { 'standing part': 'long part', 'working end': null, tag: 'short end' }

interface ByHandOptions extends TyingOptions {
  /** Whether an anchor goes in. */
  readonly anchored: boolean
  /** The sentences of `handMoves` and of the anchor, in order. */
  readonly says: readonly string[]
}

/** The moves that a tying by hand has, with an anchor or without. */
const movesOf = ({ lays, anchored, draws }: Film, withAnchor: boolean): readonly Move[] => [
  ...lays,
  ...(withAnchor ? anchored : []),
  ...draws,
]

/**
 * How hands tie it, as something that is tied: a stage for each move.
 *
 * @returns null for what is no knot
 * @throws RangeError when there are more or fewer sentences than moves
 */
export function byHand(
  fastening: TailFastening,
  { anchored, says, ...options }: ByHandOptions,
): Tying | null {
  const film = filmOf(fastening, options.place)
  const tying = tyingOf(fastening, options)
  if (!film || !tying.tailEnd) return null
  const moves = movesOf(film, anchored)
  if (moves.length !== says.length)
    throw new RangeError(`Moves of ${fastening}: expected ${moves.length} sentences, got ${says.length}.`)
  const anchorFrom = film.lays.length
  const { states, drawnFrom } = statesOf(moves, film, tying)
  const seen = film.lies === 'as tied' ? turned : (state: TyingState) => state
  return {
    ...tying,
    stages: says.map((sentence) => ({ says: sentence })),
    names: NAMES,
    throughBoard: tying.throughBoard && film.lies === 'as hung',
    drawnFrom,
    stateAt: (at) => {
      const k = Math.min(moves.length - 1, Math.max(0, Math.ceil(at) - 1))
      const state = itemAt(states, k)(Math.min(1, Math.max(0, at - k)))
      const isIn = anchored && k >= anchorFrom
      return seen({
        ...state,
        fixtures: state.fixtures.filter(({ kind }) => kind !== 'anchor' || isIn),
        hands: itemAt(moves, k).holds.flatMap((hold) => handAt(hold, state.curve, film)),
      })
    },
  }
}

/** As hands tie it, or stage by stage what is no knot. */
export function byHandOrStages(fastening: Fastening, options: ByHandOptions): Tying {
  return (isTail(fastening) ? byHand(fastening, options) : null) ?? tyingOf(fastening, options)
}

/** What each move does, from 0 when it begins to 1 when it is done. */
function statesOf(
  moves: readonly Move[],
  film: Film,
  { tailEnd, stateAt, stages }: Tying,
): { readonly states: readonly ((t: number) => TyingState)[]; readonly drawnFrom: number | null } {
  const end = requireValue(tailEnd)
  const last = stages.length - 1
  let pose: Polyline | null = null
  let staged = 0
  let drawnFrom: number | null = null
  const states = moves.map((move, k): ((t: number) => TyingState) => {
    if ('until' in move) {
      const [from, to] = [staged, move.until]
      staged = to
      if (from <= last && last < to) drawnFrom = k + (last - from) / (to - from)
      return (t) => stateAt(from + (to - from) * t)
    }
    if ('along' in move) return (t) => ledState(move, end, t)
    const before = pose
    const through = posesOf(move, film, before)
    pose = through[through.length - 1] ?? null
    if (drawnFrom !== null) return () => stateAt(last + 1)
    const laidBy = move.drawsDown ? (move.poses.length > 0 ? LAID_BY : 0) : 1
    if (move.drawsDown) drawnFrom = k + laidBy
    const moving = whatMoves(through)
    return (t) =>
      t <= laidBy
        ? posedState(onTheWay(through, laidBy === 0 ? 1 : t / laidBy), film, end, moving)
        : stateAt(last + (t - laidBy) / (1 - laidBy))
  })
  return { states, drawnFrom }
}

function posesOf({ poses }: Posed, { counts, lies }: Film, before: Polyline | null): readonly Polyline[] {
  // What is laid as it is tied is turned back here, and once more with all that is drawn down.
  const laid = poses
    .map((pose: Pose) => laidOut(pose, counts))
    .map((curve) => (lies === 'as tied' ? asHung(curve) : curve))
  return before ? [before, ...laid] : laid
}

/** Points that a move brings somewhere else, from the first of them to the last. */
function whatMoves(through: readonly Polyline[]): TyingState['fresh'] {
  const [from, to] = [through[0], through[through.length - 1]] as [Polyline, Polyline]
  const moves = from.flatMap((p, i) => (norm(minus(p, itemAt(to, i))) > 1 ? [i] : []))
  return [moves[0] ?? -1, moves[moves.length - 1] ?? -1]
}

function posedState(
  curve: Polyline,
  { counts }: Film,
  { fixtures, leads }: TailEnd,
  fresh: TyingState['fresh'],
): TyingState {
  const first = counts.slice(0, -FROM_THE_END).reduce((sum, n) => sum + n, 0)
  const tag = first + itemAt(counts, counts.length - FROM_THE_END)
  return {
    curve,
    cord: null,
    parts: curve.map((_, i): Part => (i <= first ? 'standing part' : i >= tag ? 'tag' : 'working end')),
    fresh,
    fixtures,
    leads,
    whole: true,
  }
}

/** The string behind its end, as far as the end has come. */
function ledState({ along, from, to }: Led, { fixtures, leads }: TailEnd, t: number): TyingState {
  const fine = smooth(along, PER_SPAN)
  const reached = Math.max(1, Math.round((from + (to - from) * t) * PER_SPAN))
  const curve = fine.slice(0, reached + 1)
  return {
    curve,
    cord: null,
    parts: curve.map((): Part => 'working end'),
    fresh: [Math.min(from * PER_SPAN, reached), reached],
    fixtures,
    leads,
    whole: true,
  }
}

function handAt({ hand, how, at }: Hold, curve: Polyline, { counts }: Film): readonly HandAt[] {
  if (!('section' in at)) return [{ hand, how, at }]
  const points = counts.reduce((sum, n) => sum + n, 1)
  // Drawn down, its sections are gone: whoever pulls has the long part.
  if (curve.length !== points) return how === 'pulls' ? [{ hand, how, at: itemAt(curve, LONG_PART) }] : []
  const before = counts.slice(0, at.section).reduce((sum, n) => sum + n, 0)
  const point = curve[Math.round(before + at.share * itemAt(counts, at.section))]
  return point ? [{ hand, how, at: point }] : []
}

/** A state as whoever ties it has it before them. */
function turned(state: TyingState): TyingState {
  const turn = (p: Vec3) => itemAt(asTied([p]), 0)
  return {
    ...state,
    curve: asTied(state.curve),
    fixtures: state.fixtures.map((one): Fixture => ({ ...one, at: turn(one.at), axis: turn(one.axis) })),
    hands: state.hands?.map((one) => ({ ...one, at: turn(one.at) })) ?? [],
  }
}
