/**
 * How the string lies at any moment of the tying: stage by stage, and smoothly between one stage and the next.
 */
import { itemAt } from '../../list/item-at'
import {
  alongOf,
  blend,
  minus,
  norm,
  plus,
  resample,
  smooth,
  times,
  type Polyline,
  type Vec3,
} from '../topology/curve'
import { between, type Hanging } from '../drawn/between'
import { rodOf, type Fixture, type Led, type TailEnd, type TailEndStage } from './tail-end'

export type Part = 'standing part' | 'working end' | 'tag'

/** A hand where it holds the string. */
export interface HandAt {
  readonly hand: 'left' | 'right'
  /** What it holds it with, or that it pulls. */
  readonly how: 'thumb and finger' | 'thumb' | 'pulls'
  readonly at: Vec3
}

export interface TyingState {
  /** From the pin's side down to the tag, as far as it is laid. */
  readonly curve: Polyline
  /** A second piece that takes hold of it. */
  readonly cord: Polyline | null
  /** Which part of the string each point belongs to. */
  readonly parts: readonly Part[]
  /** Points that the present stage has laid: from the first of them to the last. */
  readonly fresh: readonly [from: number, to: number]
  readonly fixtures: readonly Fixture[]
  readonly leads: Led
  /** All of the string is laid: both its ends are where they belong. */
  readonly whole: boolean
  /** Where hands hold it, for the right-handed. */
  readonly hands?: readonly HandAt[]
}

const PER_SPAN = 12
/** Points of a whole string. */
const POINTS = 260

/** The centreline of the finished, still open knot, its points evenly spaced. */
export function centreline({ way }: Pick<TailEnd, 'way'>): Polyline {
  return resample(fineOf(way), POINTS)
}

/** The point of a centreline where the bight turns back. */
export function bightOf(curve: Polyline): number {
  return curve.reduce((best, p, i) => (p[0] < itemAt(curve, best)[0] ? i : best), 0)
}

/** The stage that a moment falls in, counted from 0, and how far it has got, 0 to 1. */
export function stageAt(at: number, stages: number): { readonly k: number; readonly t: number } {
  const k = Math.min(stages - 1, Math.max(0, Math.ceil(at) - 1))
  return { k, t: Math.min(1, Math.max(0, at - k)) }
}

/**
 * How the string lies when so many stages are done.
 *
 * @param at - 0 is before the first stage; 2.5 is halfway through the third
 * @param drawn - how its last stage is drawn down; left out, that stage stays open
 */
export function stateOf(tailEnd: TailEnd, at: number, drawn: readonly Hanging[] | null): TyingState {
  const { k, t } = stageAt(at, tailEnd.stages.length)
  const stage = itemAt(tailEnd.stages, k)
  const before = tailEnd.stages[k - 1] ?? null
  const fixtures = tailEnd.fixtures.filter(({ since }) => since <= k)
  const drawing = tailEnd.drawnTo !== null && k === tailEnd.stages.length - 1
  if (drawing) return drawnState(tailEnd, fixtures, drawn, t)
  if (stage.shift) {
    const from = before?.shift ?? plus(stage.shift, [0, 0, 2])
    const curve = itemAt(blend([from], [stage.shift], t), 0)
    return {
      ...laid(
        tailEnd,
        fixtures,
        centreline(tailEnd).map((p) => plus(p, curve)),
        tailEnd.way.length - 1,
      ),
      whole: true,
    }
  }
  if (stage.bight) return bightState(tailEnd, fixtures, { ...stage, bight: stage.bight }, t)
  const skips = tailEnd.stages.slice(k + 1).find(({ bight }) => bight)?.bight ?? null
  const { way, index } = skips ? shortened(tailEnd.way, skips) : { way: tailEnd.way, index: same }
  const start = before ? index(before.reaches) : tailEnd.leads === 'standing part' ? way.length - 1 : 0
  const end = index(stage.reaches)
  return ledState(tailEnd, fixtures, { way, start, reached: start + (end - start) * t, index })
}

const same = (i: number) => i

interface Way {
  readonly way: Polyline
  readonly index: (i: number) => number
}
const SHORTENED = new WeakMap<Polyline, Way>()

/** The way without a bight that is put through later; a way has one at most. */
function shortened(way: Polyline, [from, to]: readonly [number, number]): Way {
  const known = SHORTENED.get(way)
  if (known) return known
  const gone = to - from - 1
  const short: Way = {
    way: [...way.slice(0, from + 1), ...way.slice(to)],
    index: (i) => (i <= from ? i : Math.max(from, i - gone)),
  }
  SHORTENED.set(way, short)
  return short
}

const FINE = new WeakMap<Polyline, Polyline>()

/** A way as a smooth curve; the same way is asked for with every picture. */
function fineOf(way: Polyline): Polyline {
  const known = FINE.get(way)
  if (known) return known
  const fine = smooth(way, PER_SPAN)
  FINE.set(way, fine)
  return fine
}

interface Leading {
  readonly way: Polyline
  /** Point of the way where the stage begins, and that it has reached. */
  readonly start: number
  readonly reached: number
  /** A point of the tail end's whole way in this one. */
  readonly index: (i: number) => number
}

function ledState(
  tailEnd: TailEnd,
  fixtures: readonly Fixture[],
  { way, start, reached, index }: Leading,
): TyingState {
  const fine = fineOf(way)
  const at = Math.round(reached * PER_SPAN)
  const standing = tailEnd.leads === 'standing part'
  const [from, to] = standing ? [Math.min(at, fine.length - 2), fine.length - 1] : [0, Math.max(1, at)]
  const part = partsBy(index(tailEnd.standingTo) * PER_SPAN, index(tailEnd.tagFrom) * PER_SPAN)
  const began = Math.round(start * PER_SPAN)
  return {
    curve: fine.slice(from, to + 1),
    parts: Array.from({ length: to + 1 - from }, (_, i) => part(from + i)),
    fresh: standing ? [0, Math.max(0, Math.min(began, to) - from)] : [Math.min(began, to), to],
    cord: null,
    fixtures,
    leads: tailEnd.leads,
    whole: standing ? from === 0 : to >= fine.length - 1,
  }
}

const partsBy =
  (standingTo: number, tagFrom: number) =>
  (i: number): Part =>
    i <= standingTo ? 'standing part' : i >= tagFrom ? 'tag' : 'working end'

/** Points of the open knot, as {@link stateOf} lays it, from where two ways part to where they meet again; none where they are one. */
export function whereTheyDiffer(a: Pick<TailEnd, 'way'>, b: Pick<TailEnd, 'way'>): TyingState['fresh'] {
  const apart = a.way.flatMap((p, i) => {
    const q = b.way[i]
    return q && norm(minus(p, q)) > 1e-6 ? [i] : []
  })
  return apart.length === 0
    ? NONE
    : [(itemAt(apart, 0) - 0.5) * PER_SPAN, (itemAt(apart, apart.length - 1) + 0.5) * PER_SPAN]
}

/** A bight put through: its bend travels along the legs that it leaves behind. */
function bightState(
  tailEnd: TailEnd,
  fixtures: readonly Fixture[],
  { bight: [from, to], reaches }: TailEndStage & { readonly bight: readonly [number, number] },
  t: number,
): TyingState {
  const half = (to - from) / 2
  const leg = (i: number, end: number, step: 1 | -1) => {
    const at = t * i
    const whole = Math.min(half - 1, Math.floor(at))
    return itemAt(
      blend(
        [itemAt(tailEnd.way, end + step * whole)],
        [itemAt(tailEnd.way, end + step * (whole + 1))],
        at - whole,
      ),
      0,
    )
  }
  const legs = (end: number, step: 1 | -1) => Array.from({ length: half }, (_, i) => leg(i, end, step))
  const bend = times(plus(leg(half, from, 1), leg(half, to, -1)), 0.5)
  const way = [
    ...tailEnd.way.slice(0, from),
    ...legs(from, 1),
    bend,
    ...legs(to, -1).reverse(),
    ...tailEnd.way.slice(to + 1, reaches + 1),
  ]
  // Before it is put through, the points of each leg lie on top of each other.
  const apart = way.filter((p, i) => i === 0 || norm(minus(p, itemAt(way, i - 1))) > 0.05)
  const gone = way.length - apart.length
  const state = ledState(tailEnd, fixtures, {
    way: apart,
    start: 0,
    reached: apart.length - 1,
    index: (i) => (i <= from ? i : i >= to ? i - gone : from),
  })
  return { ...state, fresh: [from * PER_SPAN, (to - gone) * PER_SPAN] }
}

function laid(tailEnd: TailEnd, fixtures: readonly Fixture[], curve: Polyline, last: number): TyingState {
  const share = (i: number) => (i * last) / (curve.length - 1)
  const part = partsBy(tailEnd.standingTo, tailEnd.tagFrom)
  return {
    curve,
    parts: curve.map((_, i) => part(share(i))),
    fresh: [0, curve.length - 1],
    cord: null,
    fixtures,
    leads: tailEnd.leads,
    whole: true,
  }
}

/** Nothing new is laid while it is drawn down. */
const NONE: TyingState['fresh'] = [-1, -1]
/** The string above its hole, as much of it as is shown. */
const ABOVE: Polyline = [12, 10.4, 8.8, 7.2, 5.6, 4, 2.4].map((y) => [0, y, 0])

function drawnState(
  tailEnd: TailEnd,
  fixtures: readonly Fixture[],
  drawn: readonly Hanging[] | null,
  t: number,
): TyingState {
  const part = partsBy(...partShares(tailEnd))
  if (!drawn || drawn.length === 0) {
    const curve = centreline(tailEnd)
    return {
      curve,
      parts: curve.map((_, i) => part(i / (curve.length - 1))),
      fresh: NONE,
      fixtures,
      cord: null,
      leads: tailEnd.leads,
      whole: true,
    }
  }
  const place = t * (drawn.length - 1)
  const from = Math.min(drawn.length - 2, Math.floor(place))
  const rod = rodOf(tailEnd)
  const { curve, up, rod: at } = between(itemAt(drawn, from), itemAt(drawn, from + 1), place - from, rod)
  return {
    curve: [...ABOVE, ...curve],
    parts: [
      ...ABOVE.map((): Part => 'standing part'),
      ...curve.map((_, i) => part(up + ((1 - up) * i) / (curve.length - 1))),
    ],
    fixtures: fixtures.map((fixture) => (at && fixture.kind === rod?.kind ? { ...fixture, at } : fixture)),
    fresh: NONE,
    cord: null,
    leads: tailEnd.leads,
    whole: true,
  }
}

/** Shares of the string's length up to which it is the standing part, and from which it is the tag. */
function partShares(tailEnd: TailEnd): readonly [standing: number, tag: number] {
  const along = alongOf(fineOf(tailEnd.way))
  const share = (i: number) => itemAt(along, i * PER_SPAN) / itemAt(along, along.length - 1)
  return [share(tailEnd.standingTo), share(tailEnd.tagFrom)]
}
