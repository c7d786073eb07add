/**
 * A curve between two that were kept, with what has come too near on the straight way from the one to the other moved apart.
 */
import { minus, norm, type Polyline, type Vec3 } from '../topology/curve'
import { clearOfRod, type Rod } from './rod'

/** What is brought to touch lies this far apart, centre to centre. */
const APART = 1.08
/** Parts nearer than this along the string are neighbours. */
const NEIGHBOURS = 2.4
/** Pairs further apart than this will not come to touch. */
const NEAR = 1.5
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
  const pairs = pairsNear(curve)
  const rests = curve.slice(1).map((point, i) => norm(minus(point, curve[i] as Vec3)))
  const clear = rod ? rod.radius + 0.5 : 0
  const beside = rod ? curve.flatMap((point, i) => (clearOfRod([point], { ...rod, half: 50 }) < NEAR ? [3 * i] : [])) : []
  for (let round = 0, moved = true; moved && round < ROUNDS; round += 1) {
    moved = false
    for (let k = 0; k < pairs.length; k += 2) moved = pushApart(p, pairs[k] as number, pairs[k + 1] as number) || moved
    if (rod) for (const i of beside) moved = pushOff(p, i, rod, clear) || moved
    if (moved) for (let i = 0; i + 1 < curve.length; i += 1) hold(p, 3 * i, (rests[i] as number) * STRETCH)
  }
  return curve.map((_, i): Vec3 => [p[3 * i] as number, p[3 * i + 1] as number, p[3 * i + 2] as number])
}

function pairsNear(curve: Polyline): readonly number[] {
  const along = [0]
  for (let i = 1; i < curve.length; i += 1) along.push((along[i - 1] as number) + norm(minus(curve[i] as Vec3, curve[i - 1] as Vec3)))
  const pairs: number[] = []
  for (let i = 0; i < curve.length; i += 1) for (let j = i + 1; j < curve.length; j += 1) {
    if ((along[j] as number) - (along[i] as number) > NEIGHBOURS && norm(minus(curve[i] as Vec3, curve[j] as Vec3)) < NEAR) pairs.push(3 * i, 3 * j)
  }
  return pairs
}

function pushApart(p: Float64Array, a: number, b: number): boolean {
  const [dx, dy, dz] = [(p[b] as number) - (p[a] as number), (p[b + 1] as number) - (p[a + 1] as number), (p[b + 2] as number) - (p[a + 2] as number)]
  const d = Math.hypot(dx, dy, dz)
  if (d >= APART || d < 1e-6) return false
  const f = ((APART - d) / d) * 0.5
  ;[dx, dy, dz].forEach((v, k) => {
    p[a + k] = (p[a + k] as number) - f * v
    p[b + k] = (p[b + k] as number) + f * v
  })
  return true
}

/** Points that have been pushed apart along the string are brought back, half the way each. */
function hold(p: Float64Array, a: number, most: number): void {
  const [dx, dy, dz] = [(p[a + 3] as number) - (p[a] as number), (p[a + 4] as number) - (p[a + 1] as number), (p[a + 5] as number) - (p[a + 2] as number)]
  const d = Math.hypot(dx, dy, dz)
  if (d <= most) return
  const f = ((d - most) / d) * 0.5
  ;[dx, dy, dz].forEach((v, k) => {
    p[a + k] = (p[a + k] as number) + f * v
    p[a + 3 + k] = (p[a + 3 + k] as number) - f * v
  })
}

function pushOff(p: Float64Array, i: number, { at, axis }: Rod, clear: number): boolean {
  const off = [0, 1, 2].map((k) => (p[i + k] as number) - (at[k] as number)) as [number, number, number]
  const along = off[0] * axis[0] + off[1] * axis[1] + off[2] * axis[2]
  const across = off.map((v, k) => v - along * (axis[k] as number))
  const d = Math.hypot(...across)
  if (d >= clear || d < 1e-6) return false
  across.forEach((v, k) => { p[i + k] = (p[i + k] as number) + ((clear - d) / d) * v })
  return true
}
