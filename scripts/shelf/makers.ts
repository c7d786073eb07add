/** Invented makers of strings, and what each is known for. */
import type { StringPosition } from '@/core/instrument/instrument'
import { coreMaterial } from '@/core/strings/construction'

/** Maker and line by kind of string. */
export const MAKERS = {
  gut: ['Fold & Fell', 'Amber twist'],
  silk: ['Still Water Workshop', 'Long silk'],
  nylon: ['Dapple Works', 'Clear line'],
  wire: ['Burnish Lane', 'Drawn wire'],
  wound: ['Burnish Lane', 'Close wound'],
} as const

/** The kind of string at a position. */
export function kindOf({ construction }: StringPosition): keyof typeof MAKERS {
  if (construction.kind === 'wound') return 'wound'
  const { name, wire } = coreMaterial(construction)
  return wire ? 'wire' : name === 'gut' || name === 'silk' ? name : 'nylon'
}
