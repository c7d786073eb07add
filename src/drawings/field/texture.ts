/**
 * How each material is told: tints by name, and what its surface looks like.
 */
import type { Construction } from '@/core/strings/construction'
import type { Material } from '@/core/strings/materials'

export type Surface = 'twisted' | 'clear' | 'ribbed' | 'bright'

export interface Texture {
  readonly surface: Surface
  /** CSS variable names without their dashes. */
  readonly tint: string
  readonly light: string
}

const PLAIN: Record<Material, Texture> = {
  gut: { surface: 'twisted', tint: 'gut', light: 'gut-light' },
  silk: { surface: 'twisted', tint: 'gut', light: 'nylon-light' },
  'nylon 6.12': { surface: 'clear', tint: 'nylon', light: 'nylon-light' },
  'nylon 6.6': { surface: 'clear', tint: 'nylon', light: 'nylon-light' },
  fluorocarbon: { surface: 'clear', tint: 'fluorocarbon', light: 'fluorocarbon-light' },
  steel: { surface: 'bright', tint: 'wire', light: 'wire-light' },
  'phosphor bronze': { surface: 'bright', tint: 'wound', light: 'wound-light' },
  brass: { surface: 'bright', tint: 'gut', light: 'gut-light' },
  copper: { surface: 'bright', tint: 'wound', light: 'wound-light' },
}

/** The texture of a string's outside. */
export function textureOf(c: Construction): Texture {
  if (c.kind === 'plain') return PLAIN[c.material]
  return { ...PLAIN[c.wrap.material], surface: 'ribbed' }
}
