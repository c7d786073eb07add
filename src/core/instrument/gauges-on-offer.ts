/**
 * Gauges that suppliers commonly stock, m: a starting list, which a house's own catalogues replace.
 */
import type { Material } from '../strings/materials'

/** Every gauge from one to another in equal steps, both ends included; given in mm, returned in m. */
function row(from: number, to: number, step: number): number[] {
  const count = Math.round((to - from) / step)
  return Array.from({ length: count + 1 }, (_, i) => Math.round((from + i * step) * 1000) / 1e6)
}

const NYLON = [...row(0.5, 0.9, 0.02), ...row(0.95, 1.6, 0.05)]

/** Plain strings by material, thinnest first; copper is a wrap only. */
export const PLAIN_GAUGES: Readonly<Record<Material, readonly number[]>> = {
  gut: [...row(0.6, 1.2, 0.02), ...row(1.24, 2, 0.04), ...row(2.08, 3.2, 0.08)],
  'nylon 6.12': NYLON,
  'nylon 6.6': NYLON,
  fluorocarbon: [...row(0.4, 0.9, 0.02), ...row(0.95, 1.4, 0.05)],
  silk: row(0.7, 2.2, 0.05),
  steel: row(0.2, 0.6, 0.02),
  'phosphor bronze': [...row(0.3, 0.6, 0.02), ...row(0.65, 1.2, 0.05)],
  brass: [...row(0.3, 0.6, 0.02), ...row(0.65, 1, 0.05)],
  copper: [],
}

/** Wire for winding, thinnest first. */
export const WRAP_GAUGES: readonly number[] = [...row(0.16, 0.4, 0.02), ...row(0.45, 1, 0.05)]
/** Wire for winding thin cores. */
export const FINE_WRAP_GAUGES: readonly number[] = row(0.06, 0.24, 0.01)
