/**
 * Tension, stress and the margin to breaking of a sounding string.
 */
import { expectPositive } from '../expect'
import { coreArea, coreDiameter, coreMaterial, massPerLength, type Construction } from './construction'

/**
 * Tension of a string at pitch, T = 4 μ L² f².
 *
 * @param c - the string
 * @param length - speaking length, m
 * @param pitch - fundamental frequency, Hz
 * @returns N
 */
export function tension(c: Construction, length: number, pitch: number): number {
  return (
    4 *
    massPerLength(c) *
    (expectPositive('speaking length', length) * expectPositive('frequency', pitch)) ** 2
  )
}

/** Stress in the part that carries the tension, Pa. For a plain string it is 4 ρ L² f²: the gauge falls out. */
export function stress(c: Construction, length: number, pitch: number): number {
  return tension(c, length, pitch) / coreArea(c)
}

/** Working strength of the part that carries the tension, Pa. */
export function workingStrength(c: Construction): number {
  return coreMaterial(c).strength(coreDiameter(c))
}

/** Stress as a share of the working strength, 1 = breaking. */
export function utilisation(c: Construction, length: number, pitch: number): number {
  return stress(c, length, pitch) / workingStrength(c)
}

/**
 * How far the pitch could rise before the string breaks, 6 · log2(1/u).
 *
 * @param u - utilisation
 * @returns semitones; negative when it is past breaking
 */
export function semitonesToBreaking(u: number): number {
  return 6 * Math.log2(1 / expectPositive('utilisation', u))
}

/**
 * Frequency at a stress in the part that carries the tension, Mersenne's f = √(T / μ) / 2L, Hz.
 *
 * @param length - speaking length, m
 * @param sigma - Pa
 */
export function pitchAt(c: Construction, length: number, sigma: number): number {
  const force = sigma * coreArea(c)
  return Math.sqrt(force / massPerLength(c)) / (2 * expectPositive('speaking length', length))
}

/** Frequency at which the string breaks, Hz; √(S/ρ) / 2L for a plain string. */
export function breakingPitch(c: Construction, length: number): number {
  return pitchAt(c, length, workingStrength(c))
}

/**
 * Gauge of a plain string for a wanted tension, d = √(T / πρ) / (L f).
 *
 * @param density - kg/m³
 * @param wanted - tension, N
 * @param length - speaking length, m
 * @param pitch - Hz
 * @returns m
 */
export function gaugeForTension(density: number, wanted: number, length: number, pitch: number): number {
  return (
    Math.sqrt(expectPositive('tension', wanted) / (Math.PI * expectPositive('density', density))) /
    (expectPositive('speaking length', length) * expectPositive('frequency', pitch))
  )
}

export type Margin = 'easy' | 'lively' | 'short-lived' | 'refuse'

/** Shares of its strength: from the first on a string is lively, from the second short-lived, above the third it is refused. */
export const MARGIN_BOUNDS = { lively: 0.6, shortLived: 0.75, refuse: 0.9 } as const

/** The word for a utilisation, by {@link MARGIN_BOUNDS}. */
export function marginWord(u: number): Margin {
  if (u < MARGIN_BOUNDS.lively) return 'easy'
  if (u < MARGIN_BOUNDS.shortLived) return 'lively'
  return u <= MARGIN_BOUNDS.refuse ? 'short-lived' : 'refuse'
}
