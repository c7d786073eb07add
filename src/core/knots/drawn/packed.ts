/**
 * States packed for keeping: steps from the hole down, of five bits a coordinate.
 */
import { itemAt } from '../../list/item-at'
import type { Vec3 } from '../topology/curve'
import { HANGS_FROM, type Hanging } from './between'

export interface PackedState {
  /** Gauges in one unit of a step. */
  readonly unit: number
  /** Steps from point to point from the hole down, two bytes each, as base64. */
  readonly steps: string
  readonly up: number
  /** In gauges; null where there is none. */
  readonly rod: readonly [number, number, number] | null
}

/** The largest step that five bits hold. */
const LARGEST = 15
const rounded = (v: number) => Math.round(v * 1000) / 1000

export function pack({ curve, up, rod }: Hanging): PackedState {
  const widest = curve
    .slice(1)
    .reduce(
      (most, p, i) => Math.max(most, ...p.map((v, k) => Math.abs(v - itemAt(curve, i)[k as 0 | 1 | 2]))),
      0,
    )
  const unit = Math.ceil((widest / LARGEST) * 1.04 * 1e5) / 1e5
  let bytes = ''
  // Each step goes from where the last one led, so that what is rounded off does not add up.
  const at: [number, number, number] = [...HANGS_FROM]
  for (const point of curve.slice(1)) {
    const step = point.map((v, k) =>
      Math.max(-LARGEST, Math.min(LARGEST, Math.round((v - itemAt(at, k)) / unit))),
    ) as [number, number, number]
    step.forEach((s, k) => {
      at[k] = itemAt(at, k) + s * unit
    })
    const bits = ((step[0] + 16) << 10) | ((step[1] + 16) << 5) | (step[2] + 16)
    bytes += String.fromCharCode(bits >> 8, bits & 255)
  }
  return {
    unit,
    steps: btoa(bytes),
    up: rounded(up),
    rod: rod && [rounded(rod[0]), rounded(rod[1]), rounded(rod[2])],
  }
}

/** The state as it was kept; its first point lies in the hole. */
export function unpack({ unit, steps, up, rod }: PackedState): Hanging {
  const bytes = atob(steps)
  const at: [number, number, number] = [...HANGS_FROM]
  const curve: Vec3[] = [[...at]]
  for (let i = 0; i < bytes.length; i += 2) {
    const bits = (bytes.charCodeAt(i) << 8) | bytes.charCodeAt(i + 1)
    at[0] += ((bits >> 10) - 16) * unit
    at[1] += (((bits >> 5) & 31) - 16) * unit
    at[2] += ((bits & 31) - 16) * unit
    curve.push([...at])
  }
  return { curve, up, rod }
}
