/**
 * A wound string of which a chart has the outer gauge alone: core and wrap that make up just that gauge. Which share of it the wrap
 * takes differs by what is wound on what; our own estimates from strings as they are sold, told as inferred.
 */
import { outerGauge, type Construction, type WoundString } from '../strings/construction'
import { propertiesOf, type Material } from '../strings/materials'

export interface WoundMake {
  readonly wrap: Material
  readonly bedding: Material | null
  readonly core: Material
}

/** Share of the outer gauge that one layer of wrap takes. */
const METAL_ON_STEEL = 0.27
const METAL_ON_SOFT = 0.19
const SOFT_ON_SOFT = 0.22
/** Share that one layer of bedding takes. */
const BEDDING = 0.05

/** Millimetres are kept to the nanometre. */
const nanometre = (metres: number) => Math.round(metres * 1e9) / 1e9

/**
 * @param gauge - outer diameter as the chart has it, m; it is kept
 * @example inferWound({ wrap: 'copper', bedding: null, core: 'nylon 6.12' }, 1e-3) // core 0.62 mm, wrap 0.19 mm
 */
export function inferWound({ wrap, bedding, core }: WoundMake, gauge: number): WoundString {
  const share = !propertiesOf(wrap).wire
    ? SOFT_ON_SOFT
    : propertiesOf(core).wire
      ? METAL_ON_STEEL
      : METAL_ON_SOFT
  const diameter = nanometre(gauge * share)
  const thickness = bedding === null ? 0 : nanometre(gauge * BEDDING)
  return {
    kind: 'wound',
    core: { material: core, diameter: nanometre(gauge - 2 * (diameter + thickness)) },
    wrap: { material: wrap, diameter },
    bedding: bedding === null ? null : { material: bedding, thickness },
  }
}

/** Whether core and wrap are as they would be inferred: then nobody measured them. */
export function isInferred(c: Construction): boolean {
  if (c.kind === 'plain') return false
  const as = inferWound(
    { wrap: c.wrap.material, bedding: c.bedding?.material ?? null, core: c.core.material },
    outerGauge(c),
  )
  return Math.abs(as.core.diameter - c.core.diameter) < 2e-9
}
