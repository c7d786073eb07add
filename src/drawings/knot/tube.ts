/**
 * A string's centreline as the skin of a tube, for drawing in space.
 */
import { BufferAttribute, BufferGeometry, DynamicDrawUsage } from 'three'
import type { Part } from '@/core/knots/tails/state'
import type { Polyline, Vec3 } from '@/core/knots/topology/curve'
import { itemAt } from '@/core/list/item-at'

/** Rings of a tube, and points of a ring. */
const RINGS = 240
const ROUND = 10

const PART: Record<Part, number> = { 'standing part': 0, 'working end': 1, tag: 2 }

/** A tube whose skin can be laid anew for every picture. */
export function tubeGeometry(): BufferGeometry {
  const geometry = new BufferGeometry()
  const count = RINGS * (ROUND + 1)
  const attribute = (name: string, size: number) =>
    geometry.setAttribute(
      name,
      new BufferAttribute(new Float32Array(count * size), size).setUsage(DynamicDrawUsage),
    )
  attribute('position', 3)
  attribute('normal', 3)
  // Along the string in gauges, round it 0 to 1, which part it belongs to, and whether the present stage has laid it.
  attribute('place', 4)
  const faces: number[] = []
  for (let i = 0; i + 1 < RINGS; i += 1)
    for (let k = 0; k < ROUND; k += 1) {
      const a = i * (ROUND + 1) + k
      faces.push(a, a + 1, a + ROUND + 1, a + 1, a + ROUND + 2, a + ROUND + 1)
    }
  geometry.setIndex(faces)
  return geometry
}

interface Lay {
  readonly curve: Polyline
  readonly parts: readonly Part[]
  readonly fresh: readonly [from: number, to: number]
  readonly radius: number
}

/**
 * Lays the skin round a curve: rings across its direction that turn no more than they must (parallel transport).
 */
export function layTube(geometry: BufferGeometry, { curve, parts, fresh, radius }: Lay): void {
  const [position, normal, place] = ['position', 'normal', 'place'].map(
    (name) => geometry.getAttribute(name) as BufferAttribute,
  ) as [BufferAttribute, BufferAttribute, BufferAttribute]
  const last = curve.length - 1
  let side: Vec3 = [0, 0, 1]
  let along = 0
  let before: Vec3 | null = null
  for (let i = 0; i < RINGS; i += 1) {
    const at = (i * last) / (RINGS - 1)
    const k = Math.min(last - 1, Math.floor(at))
    const p = mix(itemAt(curve, k), itemAt(curve, k + 1), at - k)
    const direction = unit(less(itemAt(curve, Math.min(last, k + 2)), itemAt(curve, Math.max(0, k - 1))))
    if (before) along += Math.hypot(...less(p, before))
    before = p
    const off = side[0] * direction[0] + side[1] * direction[1] + side[2] * direction[2]
    side = unit([side[0] - off * direction[0], side[1] - off * direction[1], side[2] - off * direction[2]])
    const other: Vec3 = [
      direction[1] * side[2] - direction[2] * side[1],
      direction[2] * side[0] - direction[0] * side[2],
      direction[0] * side[1] - direction[1] * side[0],
    ]
    const here = Math.round(at)
    const part = PART[itemAt(parts, here)]
    const isFresh = here >= fresh[0] && here <= fresh[1] ? 1 : 0
    for (let r = 0; r <= ROUND; r += 1) {
      const angle = (2 * Math.PI * r) / ROUND
      const [c, s] = [Math.cos(angle), Math.sin(angle)]
      const n: Vec3 = [c * side[0] + s * other[0], c * side[1] + s * other[1], c * side[2] + s * other[2]]
      const v = i * (ROUND + 1) + r
      position.setXYZ(v, p[0] + radius * n[0], p[1] + radius * n[1], p[2] + radius * n[2])
      normal.setXYZ(v, n[0], n[1], n[2])
      place.setXYZW(v, along, r / ROUND, part, isFresh)
    }
  }
  for (const attribute of [position, normal, place]) attribute.needsUpdate = true
}

const less = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const mix = (a: Vec3, b: Vec3, t: number): Vec3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]
function unit(a: Vec3): Vec3 {
  const length = Math.hypot(...a) || 1
  return [a[0] / length, a[1] / length, a[2] / length]
}
