/**
 * How a string looks in the drawing of its knot.
 */
import { coreMaterial, outerGauge, type Construction } from '@/core/strings/construction'
import { textureOf } from '@/ui/field/texture'
import type { StringLook, StringTint } from './KnotPlayer'

/** The modulus that counts as supple, Pa, and how much wider loops are for every tenfold of it: for the eye, not measured. */
const SUPPLE = 2e9
const WIDER = 0.12

/** @param eyeletBore - m; null where it goes through none */
export function lookOf(construction: Construction, eyeletBore: number | null): StringLook {
  const { light, surface } = textureOf(construction)
  const { modulus } = coreMaterial(construction)
  return {
    tint: light as StringTint, surface,
    openness: 1 + Math.max(0, WIDER * Math.log10(modulus / SUPPLE)),
    bore: eyeletBore === null ? 1.6 : Math.min(5, eyeletBore / outerGauge(construction)),
  }
}
