/**
 * A string's construction as columns in millimetres, and back. Every table that holds one uses these names.
 */
import type { StringSpec } from '@/core/stores/string-spec'
import { outerGauge, type Construction } from '@/core/strings/construction'
import type { Material } from '@/core/strings/materials'
import { inMm, metres } from './millimetres'

export interface ConstructionColumns {
  readonly material: Material
  readonly gaugeMm: number
  readonly coreMm: number | null
  readonly beddingMaterial: Material | null
  readonly beddingMm: number | null
  readonly wrapMaterial: Material | null
  readonly wrapMm: number | null
}

/** Columns of a construction; the material is the core's. */
export function constructionColumns(c: Construction): ConstructionColumns {
  if (c.kind === 'plain') {
    return {
      material: c.material,
      gaugeMm: inMm(c.gauge),
      coreMm: null,
      beddingMaterial: null,
      beddingMm: null,
      wrapMaterial: null,
      wrapMm: null,
    }
  }
  return {
    material: c.core.material,
    gaugeMm: inMm(outerGauge(c)),
    coreMm: inMm(c.core.diameter),
    beddingMaterial: c.bedding?.material ?? null,
    beddingMm: c.bedding ? inMm(c.bedding.thickness) : null,
    wrapMaterial: c.wrap.material,
    wrapMm: inMm(c.wrap.diameter),
  }
}

/** Columns of a string as it is sold: its construction, colour, class and end. */
export function specColumns<Spec extends StringSpec>({
  construction,
  colour,
  tensionClass,
  end,
}: Spec): ConstructionColumns & Pick<Spec, 'colour' | 'tensionClass' | 'end'> {
  return { ...constructionColumns(construction), colour, tensionClass, end }
}

/** The construction that columns hold. */
export function constructionFrom(row: ConstructionColumns): Construction {
  if (row.wrapMaterial === null || row.wrapMm === null || row.coreMm === null) {
    return { kind: 'plain', material: row.material, gauge: metres(row.gaugeMm) }
  }
  return {
    kind: 'wound',
    core: { material: row.material, diameter: metres(row.coreMm) },
    bedding:
      row.beddingMaterial === null || row.beddingMm === null
        ? null
        : { material: row.beddingMaterial, thickness: metres(row.beddingMm) },
    wrap: { material: row.wrapMaterial, diameter: metres(row.wrapMm) },
  }
}
