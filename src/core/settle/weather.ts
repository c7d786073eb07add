/**
 * What a reading strays by for other reasons than settling: the hand, the law's own roughness, and the weather, where nobody
 * measured it: a slow wandering about its mean, told by how far it strays.
 */
import type { Material } from '../strings/materials'

/** What one reading is off by, cents, standard deviation: the tuner, the hand, the pluck. */
export const READING_OFF = 2

/** How far a fall strays from the law, as a share of it, standard deviation: an estimate. No string knows the law. */
export const LAW_OFF = 0.17

/** How far the weather moves a string in the long run, cents, standard deviation. */
export interface Weather {
  readonly strays: number
}

/** By material, in a room with people in it: estimates. Gut drinks the air; wire only grows with warmth. */
const STRAYS: Readonly<Record<Material, number>> = {
  gut: 5,
  silk: 5,
  'nylon 6.12': 3,
  'nylon 6.6': 3,
  fluorocarbon: 2,
  steel: 2.5,
  'phosphor bronze': 3,
  brass: 3,
  copper: 3,
}

/** Hours after which the weather is half forgotten, over ln 2. */
export const KEEPS = 36

export const weatherOf = (material: Material): Weather => ({ strays: STRAYS[material] })

/**
 * How far the weather may have moved a string between two times, cents, standard deviation.
 *
 * @param hours - between them
 */
export function weatherOff({ strays }: Weather, hours: number): number {
  return strays * Math.sqrt(2 * (1 - Math.exp(-Math.max(0, hours) / KEEPS)))
}
