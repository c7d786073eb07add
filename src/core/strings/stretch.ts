/**
 * How far a string stretches between slack and a stress. Polymers stiffen under load.
 */
import { expectNotNegative, expectPositive } from '../expect'
import { coreMaterial, type Construction } from './construction'
import { stress, workingStrength } from './tension'

/**
 * Strain at a stress: ln(1 + kσ/E0) / k, or σ/E0 where the material does not stiffen.
 *
 * @param sigma - stress, Pa
 * @param modulus - E0, Pa
 * @param stiffening - k; zero for a linear material
 */
export function strainAt(sigma: number, modulus: number, stiffening: number): number {
  const linear = expectNotNegative('stress', sigma) / expectPositive('modulus', modulus)
  return stiffening === 0 ? linear : Math.log(1 + stiffening * linear) / stiffening
}

/**
 * Stress at a strain, the inverse of {@link strainAt}: E0 (e^(kε) − 1) / k, or E0 ε where the material does not stiffen.
 *
 * @param strain - elongation over free length
 * @param modulus - E0, Pa
 * @param stiffening - k; zero for a linear material
 * @returns Pa
 */
export function stressAt(strain: number, modulus: number, stiffening: number): number {
  const linear = expectNotNegative('strain', strain) * expectPositive('modulus', modulus)
  return stiffening === 0 ? linear : (modulus * Math.expm1(stiffening * strain)) / stiffening
}

/** The lengths of a string under tension, m, and the pitch it is to reach, Hz. */
export interface Span {
  readonly construction: Construction
  readonly speakingLength: number
  /** Everything under tension, from end knot to tuning pin. */
  readonly freeLength: number
  readonly pitch: number
}

function stretchAt(span: Span, sigma: number): number {
  const { modulus, stiffening } = coreMaterial(span.construction)
  return expectPositive('free length', span.freeLength) * strainAt(sigma, modulus, stiffening)
}

function stressOf(span: Span): number {
  return stress(span.construction, span.speakingLength, span.pitch)
}

/** Elongation from slack to pitch, m. */
export function stretchToPitch(span: Span): number {
  return stretchAt(span, stressOf(span))
}

/** Further elongation for one semitone up from pitch, m; the stress rises by 2^(1/6). */
export function stretchPerSemitone(span: Span): number {
  const sigma = stressOf(span)
  return stretchAt(span, sigma * 2 ** (1 / 6)) - stretchAt(span, sigma)
}

/** Further elongation from pitch to breaking, m; an estimate for polymers. Zero or less past breaking. */
export function stretchToBreaking(span: Span): number {
  return stretchAt(span, workingStrength(span.construction)) - stretchToPitch(span)
}

/**
 * Semitones by which a string at pitch falls when it is let out by a length: pitch goes with the root of the stress.
 *
 * @param length - m
 * @returns null where the length is all of its stretch or more: it is then slack
 */
export function semitonesWithin(span: Span, length: number): number | null {
  const left = stretchToPitch(span) - expectNotNegative('length', length)
  if (left <= 0) return null
  const { modulus, stiffening } = coreMaterial(span.construction)
  return 6 * Math.log2(stressOf(span) / stressAt(left / span.freeLength, modulus, stiffening))
}

/**
 * Elongation that settling adds when the string is brought back each time, ΔL · D · ln2 / 600.
 *
 * @param span - the string at pitch
 * @param cents - the whole drift to be made good
 * @returns m
 */
export function stretchWhileSettling(span: Span, cents: number): number {
  return (stretchToPitch(span) * expectNotNegative('drift', cents) * Math.LN2) / 600
}
