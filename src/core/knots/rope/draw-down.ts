/**
 * Drawing a knot down: the standing part is pulled and the tag held until the string gives no more, while it lies nowhere
 * through itself, its anchor or the board. Lengths are in gauges.
 */
import { itemAt } from '../../list/item-at'
import { pushPair } from './push'
import type { Rod } from './rod'
import { lengthOf, resample, type Polyline, type Vec3 } from '../topology/curve'

export interface Draw {
  /** From the pin's side down to the tag. */
  readonly curve: Polyline
  /** Free to be drawn along by the string. */
  readonly rod: Rod | null
  /** Height of the underside of the board, or of the bead before it. */
  readonly stop: number
}

export interface Drawn {
  readonly curve: Polyline
  readonly rod: Rod | null
}

/** Points are this far apart. */
const SPACING = 0.32
/** Parts nearer than this push each other away: a little more than touching, so that what is left of it is not less. */
const APART = 1.07
/** Parts this near along the string are held apart by its stiffness. */
const NEIGHBOURS = Math.ceil(2.4 / SPACING)
const STIFFNESS = 0.22
/** How far an end moves in a step. */
const STRIDE = 0.02
const SWEEPS = 10
/** The string stretched by this share gives no more. */
const TAUT = 0.012
const HOLE = 0.75
/** Steps between two states that could be kept, and the share of them in which it must still give for the drawing to go on. */
const BLOCK = 100
const STILL = 0.03
const MOST_STEPS = 30000

/**
 * Draws a knot down by relaxation: points in a row kept at their distances, pushed apart where they touch, and the ends
 * moved outward as long as the string is not taut (position-based dynamics, quasi-static and without friction).
 *
 * @param draw - the open knot
 * @returns states in order, the open knot first and the drawn one last
 * @see Müller, Heidelberger, Hennix, Ratcliff, Position based dynamics, J. Vis. Commun. 18 (2007)
 */
export function drawDown({ curve, rod, stop }: Draw): readonly Drawn[] {
  const n = Math.round(lengthOf(curve) / SPACING) + 1
  const rest = lengthOf(curve) / (n - 1)
  const p = Float64Array.from(resample(curve, n).flat())
  const at = rod ? [...rod.at] : [0, 0, 0]
  const states: Drawn[] = []
  const pairs: number[] = []
  let moved = 0
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (step % 8 === 0) gather(p, n, pairs)
    if (step % BLOCK === 0) {
      states.push(stateNow(p, n, rod, at))
      if (step > 0 && moved < BLOCK * STILL) break
      moved = 0
    }
    if (strainOf(p, n, rest) < TAUT) {
      moved += 1
      for (let i = 0; i < n && itemAt(p, 3 * i + 1) > 0.6; i += 1)
        p[3 * i + 1] = itemAt(p, 3 * i + 1) + STRIDE
    }
    stiffen(p, n)
    for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
      for (let i = 0; i + 1 < n; i += 1) hold(p, i, rest, n)
      for (let i = n - 2; i >= 0; i -= 1) hold(p, i, rest, n)
      if (sweep % 2 === 0) continue
      for (let k = 0; k < pairs.length; k += 2) pushPair(p, itemAt(pairs, k), itemAt(pairs, k + 1), APART)
      if (rod) pushOffRod(p, n, rod, at)
      keepBelow(p, n, stop)
    }
  }
  return states
}

function stateNow(p: Float64Array, n: number, rod: Rod | null, at: readonly number[]): Drawn {
  return {
    curve: Array.from({ length: n }, (_, i): Vec3 => [
      itemAt(p, 3 * i),
      itemAt(p, 3 * i + 1),
      itemAt(p, 3 * i + 2),
    ]),
    rod: rod && { ...rod, at: [itemAt(at, 0), itemAt(at, 1), itemAt(at, 2)] },
  }
}

/** Bends give way a little toward straight. */
function stiffen(p: Float64Array, n: number): void {
  for (let j = 3; j < 3 * (n - 1); j += 1)
    p[j] = itemAt(p, j) + STIFFNESS * ((itemAt(p, j - 3) + itemAt(p, j + 3)) / 2 - itemAt(p, j))
}

function strainOf(p: Float64Array, n: number, rest: number): number {
  let length = 0
  for (let i = 0; i + 1 < n; i += 1)
    length += Math.hypot(
      itemAt(p, 3 * i + 3) - itemAt(p, 3 * i),
      itemAt(p, 3 * i + 4) - itemAt(p, 3 * i + 1),
      itemAt(p, 3 * i + 5) - itemAt(p, 3 * i + 2),
    )
  return length / (rest * (n - 1)) - 1
}

/** Brings two neighbours to their distance; the two ends are held. */
function hold(p: Float64Array, i: number, rest: number, n: number): void {
  const a = 3 * i
  const b = a + 3
  const dx = itemAt(p, b) - itemAt(p, a)
  const dy = itemAt(p, b + 1) - itemAt(p, a + 1)
  const dz = itemAt(p, b + 2) - itemAt(p, a + 2)
  const d = Math.sqrt(dx * dx + dy * dy + dz * dz) || 1e-9
  const [wa, wb] = i === 0 ? [0, 1] : i === n - 2 ? [1, 0] : [0.5, 0.5]
  const f = (d - rest) / d
  p[a] = itemAt(p, a) + wa * f * dx
  p[a + 1] = itemAt(p, a + 1) + wa * f * dy
  p[a + 2] = itemAt(p, a + 2) + wa * f * dz
  p[b] = itemAt(p, b) - wb * f * dx
  p[b + 1] = itemAt(p, b + 1) - wb * f * dy
  p[b + 2] = itemAt(p, b + 2) - wb * f * dz
}

/** Pairs that could come to touch before they are gathered again. */
function gather(p: Float64Array, n: number, pairs: number[]): void {
  pairs.length = 0
  const reach = (APART + 0.6) ** 2
  for (let i = 0; i < n; i += 1)
    for (let j = i + NEIGHBOURS; j < n; j += 1) {
      const dx = itemAt(p, 3 * i) - itemAt(p, 3 * j)
      const dy = itemAt(p, 3 * i + 1) - itemAt(p, 3 * j + 1)
      const dz = itemAt(p, 3 * i + 2) - itemAt(p, 3 * j + 2)
      if (dx * dx + dy * dy + dz * dz < reach) pairs.push(3 * i, 3 * j)
    }
}

/** The string is pushed off the rod, and the rod is drawn along. It is kept from slipping out: as far as this goes it has no end. */
function pushOffRod(p: Float64Array, n: number, { axis: [ux, uy, uz], radius }: Rod, at: number[]): void {
  const clear = radius + APART / 2
  let [slid, touching] = [0, 0]
  for (let i = 0; i < n; i += 1) {
    const dx = itemAt(p, 3 * i) - itemAt(at, 0)
    const dy = itemAt(p, 3 * i + 1) - itemAt(at, 1)
    const dz = itemAt(p, 3 * i + 2) - itemAt(at, 2)
    const along = dx * ux + dy * uy + dz * uz
    const [rx, ry, rz] = [dx - along * ux, dy - along * uy, dz - along * uz]
    const d = Math.sqrt(rx * rx + ry * ry + rz * rz)
    if (d >= clear || d < 1e-6) continue
    const f = (clear - d) / d
    slid += along
    touching += 1
    p[3 * i] = itemAt(p, 3 * i) + f * rx * 0.8
    p[3 * i + 1] = itemAt(p, 3 * i + 1) + f * ry * 0.8
    p[3 * i + 2] = itemAt(p, 3 * i + 2) + f * rz * 0.8
    at[0] = itemAt(at, 0) - f * rx * 0.2
    at[1] = itemAt(at, 1) - f * ry * 0.2
    at[2] = itemAt(at, 2) - f * rz * 0.2
  }
  // Its middle stays where the string grips it, and it stops at the board as the string does.
  const slide = touching > 0 ? (0.1 * slid) / touching : 0
  at[0] = itemAt(at, 0) + slide * ux
  at[2] = itemAt(at, 2) + slide * uz
  at[1] = Math.min(itemAt(at, 1) + slide * uy, -radius)
}

/** Above the stop there is only the string in its hole. */
function keepBelow(p: Float64Array, n: number, stop: number): void {
  for (let i = 0; i < n; i += 1) {
    const y = itemAt(p, 3 * i + 1)
    if (y <= stop - 0.5) continue
    const x = itemAt(p, 3 * i)
    const z = itemAt(p, 3 * i + 2)
    const off = Math.hypot(x, z)
    if (off < HOLE) {
      const f = Math.min(1, 0.1 / (off || 1))
      p[3 * i] = x * f
      p[3 * i + 2] = z * f
    } else p[3 * i + 1] = stop - 0.5
  }
}
