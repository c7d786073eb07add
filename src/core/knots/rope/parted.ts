/**
 * A curve between two that were kept, with what has come too near on the straight way from the one to the other moved apart.
 */
import { itemAt } from '../../list/item-at'
import { alongOf, type Polyline, type Vec3 } from '../topology/curve'
import { pushPair } from './push'
import { clearOfRod, type Rod } from './rod'

/** What is brought to touch lies this far apart, centre to centre. */
const APART = 1.08
/** Parts nearer than this along the string are neighbours. */
const NEIGHBOURS = 2.4
/** Pairs further apart than this will not come to touch. */
const NEAR = 1.5
/** From here on some points can be passed over. */
const FAR = 6
/** Nearer to where it should be than this is near enough. */
const CLOSE = 0.01
const ROUNDS = 60
/** How much further apart neighbouring points may be left than they were. */
const STRETCH = 1.15

/**
 * Moves parts of a string off each other and off a rod, each by as little as it takes.
 *
 * @param rod - stays where it is
 */
export function parted(curve: Polyline, rod: Rod | null): Polyline {
  const p = Float64Array.from(curve.flat())
  const along = alongOf(curve)
  const pairs = pairsNear(p, along)
  const clear = rod ? rod.radius + 0.5 : 0
  const endless = rod && { ...rod, half: Infinity }
  const beside = endless
    ? curve.flatMap((point, i) => (clearOfRod([point], endless) < NEAR ? [3 * i] : []))
    : []
  for (let round = 0, moved = true; moved && round < ROUNDS; round += 1) {
    moved = false
    for (let k = 0; k < pairs.length; k += 2)
      moved = pushPair(p, itemAt(pairs, k), itemAt(pairs, k + 1), APART) > CLOSE || moved
    if (rod) for (const i of beside) moved = pushOff(p, i, rod, clear) || moved
    if (moved)
      for (let i = 0; i + 1 < curve.length; i += 1)
        hold(p, 3 * i, (itemAt(along, i + 1) - itemAt(along, i)) * STRETCH)
  }
  return curve.map((_, i): Vec3 => [itemAt(p, 3 * i), itemAt(p, 3 * i + 1), itemAt(p, 3 * i + 2)])
}

/** Flat coordinates and no square roots: this is asked for with every picture. */
function pairsNear(p: Float64Array, along: readonly number[]): readonly number[] {
  const n = along.length
  const at = (i: number) => itemAt(p, i)
  let widest = 0
  for (let i = 1; i < n; i += 1) widest = Math.max(widest, itemAt(along, i) - itemAt(along, i - 1))
  const pairs: number[] = []
  for (let i = 0; i < n; i += 1)
    for (let j = i + 1; j < n; j += 1) {
      const dx = at(3 * j) - at(3 * i)
      const dy = at(3 * j + 1) - at(3 * i + 1)
      const dz = at(3 * j + 2) - at(3 * i + 2)
      const d = dx * dx + dy * dy + dz * dz
      if (d > FAR * FAR) j += Math.floor((FAR - NEAR) / widest)
      else if (d < NEAR * NEAR && itemAt(along, j) - itemAt(along, i) > NEIGHBOURS) pairs.push(3 * i, 3 * j)
    }
  return pairs
}

/** Points that have been pushed apart along the string are brought back, half the way each. */
function hold(p: Float64Array, a: number, most: number): void {
  const dx = itemAt(p, a + 3) - itemAt(p, a)
  const dy = itemAt(p, a + 4) - itemAt(p, a + 1)
  const dz = itemAt(p, a + 5) - itemAt(p, a + 2)
  const d = Math.sqrt(dx * dx + dy * dy + dz * dz)
  if (d <= most) return
  const f = ((d - most) / d) * 0.5
  for (let k = 0; k < 3; k += 1) {
    const v = f * (k === 0 ? dx : k === 1 ? dy : dz)
    p[a + k] = itemAt(p, a + k) + v
    p[a + 3 + k] = itemAt(p, a + 3 + k) - v
  }
}

function pushOff(p: Float64Array, i: number, { at, axis }: Rod, clear: number): boolean {
  const dx = itemAt(p, i) - at[0]
  const dy = itemAt(p, i + 1) - at[1]
  const dz = itemAt(p, i + 2) - at[2]
  const along = dx * axis[0] + dy * axis[1] + dz * axis[2]
  const rx = dx - along * axis[0]
  const ry = dy - along * axis[1]
  const rz = dz - along * axis[2]
  const d = Math.sqrt(rx * rx + ry * ry + rz * rz)
  if (d >= clear || d < 1e-6) return false
  const f = (clear - d) / d
  p[i] = itemAt(p, i) + f * rx
  p[i + 1] = itemAt(p, i + 1) + f * ry
  p[i + 2] = itemAt(p, i + 2) + f * rz
  return clear - d > CLOSE
}
