/**
 * A string on its tuning pin as a curve in space. The pin lies across the picture, its wood to the left and its end to
 * the right; the string comes up from below. Lengths are in gauges.
 */
import { itemAt } from '../../list/item-at'
import { requireValue } from '../../list/require-value'
import { norm, minus, smooth, type Polyline, type Vec3 } from '../topology/curve'

/** How the wraps run along the pin. */
export type Runs = 'toward the wood' | 'second crossed' | 'above, below, above'

export interface WoundPin {
  /** Of the pin. */
  readonly radius: number
  /** Turns that the pin has been given since the string was put through its hole. */
  readonly turns: number
  readonly runs: Runs
  /** How far the tail has been bent over from straight, 0 to 1, and where to. */
  readonly bent: number
  readonly tail: Tail
}

/** Left as it is; bent the other way; led round the standing string; or laid over toward the wood, so many degrees round the pin from its hole. */
export type Tail = 'free' | 'kinked' | 'hitched' | { readonly tuckedAt: number }

/** A place on the pin: along it, round it in radians from the hole's lower mouth, and from its axis. */
interface OnPin {
  readonly x: number
  readonly round: number
  readonly out: number
}

const LYING = 0.56
const APART = 1.13
const STEP = Math.PI / 30
const BELOW = 15
/** Of the string below the pin: close enough that it grows evenly while it is threaded. */
const BELOW_POINTS = 20
const PASSES = 4

const inSpace = ({ x, round, out }: OnPin): Vec3 => [x, -out * Math.cos(round), -out * Math.sin(round)]

/**
 * The string from below, round the pin, through its hole and out as the tail.
 *
 * @returns the curve, and the points of it at which the standing part ends and the tail begins
 */
export function woundString({ radius, turns, runs, bent, tail }: WoundPin): {
  readonly curve: Polyline
  readonly standingTo: number
  readonly tailFrom: number
} {
  const tucked = typeof tail === 'object' ? bent : 0
  const tailPlaces = tailOf(radius, tail, bent)
  const angle = 2 * Math.PI * turns
  const contact = Math.max(0, angle - Math.PI / 2)
  const wraps = supported(
    Array.from({ length: Math.ceil(contact / STEP) + 1 }, (_, i): OnPin => {
      const round = Math.min(contact, i * STEP)
      return { x: along(runs, round / (2 * Math.PI), tucked), round, out: radius + LYING }
    }),
    { tail: smooth(tailPlaces.map(inSpace), 6), radius, angle },
  )
  const turned = (p: OnPin) => inSpace({ ...p, round: p.round - angle })
  const hangs: OnPin = {
    x: 0,
    round: 0,
    out: Math.max(
      radius + 0.1,
      tail === 'free' ? 0 : clearBelow(smooth(tailPlaces.map(inSpace), 6), 0, angle),
    ),
  }
  const first = turned(wraps.length > 1 ? itemAt(wraps, wraps.length - 1) : hangs)
  const below: Polyline = Array.from({ length: BELOW_POINTS }, (_, i) => 1 - i / BELOW_POINTS).map(
    (t): Vec3 => [first[0], first[1] - (first[1] + BELOW) * t, first[2]],
  )
  const wound = wraps.length > 1 ? [...wraps].reverse().map(turned) : [turned(hangs)]
  const hole: readonly OnPin[] = [0.7, 0.55, 0.3, -0.1, -0.45, -0.8].map((share) => ({
    x: 0,
    round: share < 0 ? Math.PI : 0,
    out: radius * Math.abs(share),
  }))
  const points = [...below, ...wound, ...hole.map(turned), ...tailPlaces.map(turned)]
  const curve = smooth(apartFrom(points), 2)
  const share = (i: number) => Math.round((i * (curve.length - 1)) / (points.length - 1))
  return {
    curve,
    standingTo: share(below.length),
    tailFrom: share(below.length + wound.length + hole.length),
  }
}

/** Points that lie on top of each other are one. */
const apartFrom = (points: Polyline) =>
  points.filter((p, i) => i === 0 || norm(minus(p, itemAt(points, i - 1))) > 0.05)

/** Where along the pin the string lies after so many turns from its hole; the wood is at the negative end. */
function along(runs: Runs, turns: number, tucked: number): number {
  const between = (places: readonly (readonly [at: number, x: number])[]) => {
    const next = places.findIndex(([at]) => at >= turns)
    if (next <= 0) return (places[next === 0 ? 0 : places.length - 1] as readonly [number, number])[1]
    const [[a, xa], [b, xb]] = [places[next - 1], places[next]] as [
      readonly [number, number],
      readonly [number, number],
    ]
    return xa + ((xb - xa) * (turns - a)) / (b - a)
  }
  switch (runs) {
    // What crosses over the hole does so on the side that the tail does not come out of. A tail that has been tucked comes up between the first wrap and the second.
    case 'toward the wood':
      return between([
        [0, 0],
        [0.45, -1.2],
        [1, -1.5 - tucked * 0.3],
        [1.45, -2.24 - tucked * 2],
        [9, -2.24 - tucked * 2 - 7.55 * 1.08],
      ])
    case 'second crossed':
      return between([
        [0, 0],
        [0.45, -1.2],
        [1, -1.9],
        [1.5, -1.5],
        [2, 0],
        [2.45, 1.2],
        [2.65, 1.2],
        [3.45, -2.6],
        [9, -8.6],
      ])
    case 'above, below, above':
      return between([
        [0, 0],
        [0.45, 1.2],
        [0.7, 1.22],
        [1.3, -1.2],
        [1.7, -1.22],
        [2.45, 2.28],
        [9, 9.4],
      ])
  }
}

interface Under {
  readonly tail: Polyline
  readonly radius: number
  /** That the pin has been turned by. */
  readonly angle: number
}

/** Lifted off the pin where it comes to lie over what is there already, and where it leaves the pin past it. */
function supported(places: readonly OnPin[], { tail, radius, angle }: Under): readonly OnPin[] {
  const gap = Math.ceil(2.6 / (radius * STEP))
  let lying = places
  // What is lifted lifts what lies over it: a few times over, until all of it rests.
  for (let pass = 0; pass < PASSES; pass += 1) {
    const spots = lying.map(inSpace)
    const raw = lying.map((place, i) =>
      Math.max(place.out, restsOn(place, tail, tail.length), restsOn(place, spots, i - gap)),
    )
    const last = lying.length - 1
    if (last > 0)
      raw[last] = Math.max(
        itemAt(raw, last),
        clearBelow([...tail, ...spots.slice(0, Math.max(0, last - gap))], itemAt(lying, last).x, angle),
      )
    lying = evenly(raw, Math.round(1.1 / (radius * STEP))).map((out, i) => ({ ...itemAt(lying, i), out }))
  }
  return lying
}

/** How far from the axis a place must lie to clear the first of some points; 0 where none is near. */
function restsOn({ x, round }: OnPin, points: Polyline, count: number): number {
  const [uy, uz] = [-Math.cos(round), -Math.sin(round)]
  let out = 0
  for (let i = 0; i < count; i += 1) {
    const [px, py, pz] = itemAt(points, i)
    const dx = px - x
    const room = APART * APART - dx * dx
    if (room <= 0) continue
    const along = uy * py + uz * pz
    const reaches = along * along - py * py - pz * pz + room
    if (reaches > 0) out = Math.max(out, along + Math.sqrt(reaches))
  }
  return out
}

/** Lifted a little before it has to be and a little longer, and evenly: a string bends no more sharply than it must. */
function evenly(raw: readonly number[], reach: number): readonly number[] {
  const window = (values: readonly number[], i: number, by: number) =>
    values.slice(Math.max(0, i - by), i + by + 1)
  const lifted = raw.map((_, i) => Math.max(...window(raw, i, 2 * reach)))
  return raw.map(
    (_, i) => window(lifted, i, reach).reduce((sum, v) => sum + v, 0) / window(lifted, i, reach).length,
  )
}

/** How far from the pin's axis the string must hang, straight down, to clear what lies beside and behind it. */
function clearBelow(others: Polyline, x: number, angle: number): number {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return others.reduce((out, [px, py, pz]) => {
    const [y, z] = [c * py + s * pz, c * pz - s * py]
    const dx = Math.abs(px - x)
    const near = fading(dx, HANGS_CLEAR) * fading(y, CLEAR_ABOVE)
    if (near === 0) return out
    return Math.max(out, near * (z + (dx < HANGS_CLEAR ? Math.sqrt(HANGS_CLEAR * HANGS_CLEAR - dx * dx) : 0)))
  }, 0)
}

/** What hangs keeps a little further off than what lies: its curve is smoothed where it leaves the pin. */
const HANGS_CLEAR = 1.26
/** Of what hangs straight down, only what lies lower than this is in its way. */
const CLEAR_ABOVE = 0.8
/** It begins to give way this much earlier, so that it moves aside and doesn't jump. */
const GIVES_WAY = 1.2

/** 1 up to a bound, and evenly down to 0 beyond it. */
function fading(value: number, bound: number): number {
  return Math.min(1, Math.max(0, 1 - (value - bound) / GIVES_WAY))
}

/** Out of the hole and down past the string on the side it will come up on, round behind it on the wood’s side, and up on the other. */
const HITCH: readonly (readonly [x: number, round: number, out: number])[] = [
  [0, 0, 0.3],
  [0, 0, 1.2],
  [0.05, 0.14, 1.5],
  [0.05, 0.5, 1.1],
  [-0.05, 1, 0.8],
  [-0.35, 1.65, LYING + 0.1],
  [-0.8, 2.3, LYING + 0.06],
  [-1.15, 2.8, LYING + 0.06],
  [-1.28, 3.2, LYING + 0.06],
  [-1.2, 3.65, LYING + 0.06],
  [-1.05, 4.2, LYING + 0.1],
  [-0.95, 4.75, LYING + 0.35],
  [-0.9, 5.15, LYING + 0.9],
  [-0.9, 5.45, LYING + 1.9],
]
/** As much of it as is led when it is only put through. */
const THROUGH = 0.16

function hitched(radius: number, bent: number): readonly OnPin[] {
  const led = (THROUGH + (1 - THROUGH) * bent) * (HITCH.length - 1)
  const at = (place: number): OnPin => {
    const i = Math.min(HITCH.length - 2, Math.floor(place))
    const [a, b] = [HITCH[i], HITCH[i + 1]] as [(typeof HITCH)[number], (typeof HITCH)[number]]
    const mix = (k: 0 | 1 | 2) => a[k] + (b[k] - a[k]) * (place - i)
    return { x: mix(0), round: Math.PI + mix(1), out: radius + mix(2) }
  }
  return Array.from({ length: HITCH.length }, (_, i) => at((led * i) / (HITCH.length - 1)))
}

/** From the hole's upper mouth to the tail's end. */
function tailOf(radius: number, tail: Tail, bent: number): readonly OnPin[] {
  if (tail === 'hitched') return hitched(radius, bent)
  const straight: readonly OnPin[] = [1, 2, 3, 4, 5].map((i) => ({
    x: 0,
    round: Math.PI,
    out: radius + 0.3 + 0.9 * i,
  }))
  const over: readonly OnPin[] =
    tail === 'free'
      ? straight
      : tail === 'kinked'
        ? [
            [0.1, 0.12],
            [0.3, 0.4],
            [0.5, 0.75],
            [0.8, 1.05],
            [1.2, 1.3],
          ].map(([x, by], i) => ({
            x: requireValue(x),
            round: Math.PI + requireValue(by) * (3 / radius),
            out: radius + LYING + Math.max(0, i - 2) * 0.8,
          }))
        : [0.5, 1.3, 2.1, 2.95, 3.1].map((x, i) => ({
            x: -x,
            round: Math.PI + ((tail.tuckedAt * Math.PI) / 180) * Math.min(1, x / 2),
            out: radius + LYING + (i > 2 ? (i - 2.4) * 1.2 : 0),
          }))
  return straight.map((p, i) => {
    const o = itemAt(over, i)
    return {
      x: p.x + (o.x - p.x) * bent,
      round: p.round + (o.round - p.round) * bent,
      out: p.out + (o.out - p.out) * bent,
    }
  })
}
