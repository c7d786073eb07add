/**
 * What can be: the least and the most of every value that a figure is worked out from. One place, for every way in: what a
 * person types, files, catalogues and forms.
 */
import type { Construction } from './construction'
import type { Material } from './materials'

/** The least and the most, m where the name is a length. */
export type Bounds = readonly [least: number, most: number]

export const BOUNDS = {
  gauge: [5e-5, 0.012],
  core: [5e-5, 0.006],
  bedding: [1e-6, 0.002],
  wrap: [2e-5, 0.004],
  'speaking length': [0.01, 3],
  'free length': [0.01, 4],
  board: [0, 0.1],
  'eyelet bore': [2e-4, 0.02],
  post: [2e-4, 0.1],
  'pin diameter': [1e-3, 0.03],
  'thread pitch': [1e-4, 0.01],
  height: [0, 0.2],
  'hole to end': [0, 0.1],
  'to bridge': [1e-4, 2],
  place: [-5, 5],
  /** Bought at once, and cut for one string: the longest is the paired wire of a long zither. */
  coil: [0.01, 200],
  cut: [0.05, 8],
  /** Turns of the key for one of the pin. */
  'gear ratio': [1, 60],
  /** Of A4, Hz. */
  'reference A': [300, 500],
} as const satisfies Record<string, Bounds>
export type Bounded = keyof typeof BOUNDS

/** Whether a value can be. */
export function canBe(what: Bounded, value: number): boolean {
  const [least, most] = BOUNDS[what]
  // Millimetres are kept to the nanometre: what was typed at a bound must not fall outside by the last bit.
  return Number.isFinite(value) && value >= least - 1e-12 && value <= most + 1e-9
}

/** The nearest value that can be: for what follows from others, and is not what somebody typed. */
export function nearestPossible(what: Bounded, value: number): number {
  const [least, most] = BOUNDS[what]
  return Math.min(most, Math.max(least, value))
}

/** Only ever a wrap: drawn tight as a string it would not hold. */
const WRAPS_ONLY: ReadonlySet<Material> = new Set(['copper'])

/** Whether a material can carry the tension of a string, alone or as its core. */
export function carriesTension(material: Material): boolean {
  return !WRAPS_ONLY.has(material)
}

/** Why a string can't be, one sentence; null where it can. */
export function cannotBe(c: Construction): string | null {
  const carrier = c.kind === 'plain' ? c.material : c.core.material
  if (!carriesTension(carrier))
    return `${carrier[0]?.toUpperCase()}${carrier.slice(1)} is a wrap only; it can’t carry the tension of a string. Say what it is wound on, such as “copper on steel”.`
  return null
}
