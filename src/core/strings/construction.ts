/**
 * What a string is made of across its section: plain, or wound with round wire on a core.
 */
import { expectNotNegative, expectPositive } from '../expect'
import { propertiesOf, type Material, type MaterialProperties } from './materials'

export interface PlainString {
  readonly kind: 'plain'
  readonly material: Material
  /** Outer diameter, m. */
  readonly gauge: number
}

export interface WoundString {
  readonly kind: 'wound'
  readonly core: { readonly material: Material; readonly diameter: number }
  /** A layer between core and wrap, thickness in m. */
  readonly bedding: { readonly material: Material; readonly thickness: number } | null
  readonly wrap: { readonly material: Material; readonly diameter: number }
}

export type Construction = PlainString | WoundString

/** Outer diameter, m. */
export function outerGauge(c: Construction): number {
  if (c.kind === 'plain') return expectPositive('gauge', c.gauge)
  return coreDiameter(c) + 2 * beddingThickness(c) + 2 * expectPositive('wrap', c.wrap.diameter)
}

/** Diameter of the part that carries the tension, m. */
export function coreDiameter(c: Construction): number {
  return c.kind === 'plain' ? expectPositive('gauge', c.gauge) : expectPositive('core', c.core.diameter)
}

/** Area of the part that carries the tension, m². */
export function coreArea(c: Construction): number {
  return (Math.PI / 4) * coreDiameter(c) ** 2
}

/** The material that stretches, breaks and drifts: the core's, in a wound string. */
export function coreMaterial(c: Construction): MaterialProperties {
  return propertiesOf(c.kind === 'plain' ? c.material : c.core.material)
}

/** The material the fingers and the pin touch. */
export function surfaceMaterial(c: Construction): MaterialProperties {
  return propertiesOf(c.kind === 'plain' ? c.material : c.wrap.material)
}

/**
 * Mass per length, kg/m. Plain: ρ π d²/4. Wound closely with round wire w on core c with bedding b:
 * ρc π c²/4 + ρb π b (c + b) + ρw π² w (c + 2b + w)/4.
 */
export function massPerLength(c: Construction): number {
  if (c.kind === 'plain')
    return propertiesOf(c.material).density * (Math.PI / 4) * expectPositive('gauge', c.gauge) ** 2
  const core = coreDiameter(c)
  const bed = beddingThickness(c)
  const wrap = expectPositive('wrap', c.wrap.diameter)
  return (
    propertiesOf(c.core.material).density * coreArea(c) +
    (c.bedding ? propertiesOf(c.bedding.material).density * Math.PI * bed * (core + bed) : 0) +
    propertiesOf(c.wrap.material).density * (Math.PI ** 2 / 4) * wrap * (core + 2 * bed + wrap)
  )
}

function beddingThickness(c: WoundString): number {
  return c.bedding ? expectNotNegative('bedding', c.bedding.thickness) : 0
}

/** The material in a word or two for the bench: `gut`, `copper on nylon 6.12`. */
export function materialWord(c: Construction): string {
  return c.kind === 'plain' ? c.material : `${c.wrap.material} on ${c.core.material}`
}

/** Whether two strings are made of the same materials in the same way, whatever their gauges. */
export function sameMake(a: Construction, b: Construction): boolean {
  if (a.kind === 'plain' || b.kind === 'plain')
    return a.kind === b.kind && materialWord(a) === materialWord(b)
  return materialWord(a) === materialWord(b) && a.bedding?.material === b.bedding?.material
}

/** Gauges within this of each other are the same, m: half of the finest step that is sold. */
const SAME_GAUGE = 5e-6

/** Whether two strings are as thick, in all and at their cores. */
export function sameGauges(a: Construction, b: Construction): boolean {
  return (
    Math.abs(outerGauge(a) - outerGauge(b)) < SAME_GAUGE &&
    Math.abs(coreDiameter(a) - coreDiameter(b)) < SAME_GAUGE
  )
}
