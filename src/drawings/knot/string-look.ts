/**
 * How a string looks in the drawing of its knot.
 */
import { coreMaterial, outerGauge, type Construction } from '@/core/strings/construction'
import { textureOf, type Texture } from '../field/texture'
import type { Tints } from '@/ui/use-tints'

/** How the string that is fitted looks, where it is known. */
export interface StringLook {
  readonly tint: StringTint
  readonly surface: Texture['surface']
  /** How much wider its open loops are than a supple string's; 1 and up. */
  readonly openness: number
  /** Of its eyelet, in gauges. */
  readonly bore: number
}

type StringTint = Extract<keyof Tints, `${string}-light`>
export const USUAL_LOOK: StringLook = { tint: 'gut-light', surface: 'twisted', openness: 1, bore: 1.6 }

/** The modulus that counts as supple, Pa, and how much wider loops are for every tenfold of it: for the eye, not measured. */
const SUPPLE = 2e9
const WIDER = 0.12

/** @param eyeletBore - m; null where it goes through none */
export function lookOf(construction: Construction, eyeletBore: number | null): StringLook {
  const { light, surface } = textureOf(construction)
  const { modulus } = coreMaterial(construction)
  return {
    tint: light as StringTint,
    surface,
    openness: 1 + Math.max(0, WIDER * Math.log10(modulus / SUPPLE)),
    bore: eyeletBore === null ? USUAL_LOOK.bore : Math.min(5, eyeletBore / outerGauge(construction)),
  }
}
