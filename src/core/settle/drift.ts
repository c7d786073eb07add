/**
 * How a new string falls in pitch: creep at held tension goes with the logarithm of age, and retuning does not
 * restart it. Ages in hours, falls in cents.
 */
import { expectNotNegative, expectPositive } from '../expect'

/** Early time constant to start with, h. */
export const STARTING_TAU = 0.05

/** Age at which a new string is first at pitch, h: a quarter of an hour of winding and tuning. */
export const FIRST_TUNED = 0.25

export interface DriftModel {
  /** a: fall per decade of age, cents. */
  readonly perDecade: number
  /** τ, h. */
  readonly tau: number
}

/** What a new string of a material does that falls so far per decade of age, cents. */
export const newLaw = (perDecade: number): DriftModel => ({ perDecade, tau: STARTING_TAU })

/** Past this age a string counts as settled, h: 45 days. */
export const SETTLED = 24 * 45

/** Decades of age between two ages, log10((t + τ) / (t0 + τ)). */
export function decadesBetween(tuned: number, now: number, tau: number): number {
  return Math.log10(
    (expectNotNegative('age', now) + tau) / (expectNotNegative('age when tuned', tuned) + tau),
  )
}

/**
 * Where a string stands at an age when it was tuned at an earlier one, cents; negative is flat.
 *
 * @example driftCents({ perDecade: 45, tau: 0.05 }, 0.25, 6) // -58.71
 */
export function driftCents(law: DriftModel, tuned: number, now: number): number {
  return -law.perDecade * decadesBetween(tuned, now, law.tau)
}

/** What a string has fallen in all at an age since it was first at pitch, brought back each time, cents. */
export function fallenInAll(law: DriftModel, age: number): number {
  return -driftCents(law, FIRST_TUNED, Math.max(FIRST_TUNED, age))
}

/**
 * Age at which a string tuned at `tuned` will have fallen by a tolerance, (t0 + τ) · 10^(ε/a) − τ, h.
 *
 * @param tolerance - ε, cents
 * @returns never past {@link FOR_EVER}, which says that it holds
 */
export function nextRetune(law: DriftModel, tuned: number, tolerance: number): number {
  return Math.min(
    FOR_EVER,
    (expectNotNegative('age when tuned', tuned) + law.tau) * growth(law, tolerance) - law.tau,
  )
}

/** A hundred years, h: what would come later does not come. */
export const FOR_EVER = 876_600

/**
 * Age from which a string, tuned then, holds within a tolerance for a window, max(0, W / (10^(ε/a) − 1) − τ), h.
 *
 * @param tolerance - ε, cents
 * @param window - W, h
 */
export function readyFrom(law: DriftModel, tolerance: number, window: number): number {
  return Math.min(
    FOR_EVER,
    Math.max(0, expectPositive('window', window) / (growth(law, tolerance) - 1) - law.tau),
  )
}

/**
 * The ages at which to retune, each when the string has fallen by the tolerance since the last.
 *
 * @param tuned - age at the last tuning, h
 * @param until - age to stop at, h
 * @param most - how many at the most
 */
export function retunePlan(
  law: DriftModel,
  tuned: number,
  tolerance: number,
  until: number,
  most: number,
): number[] {
  const ages: number[] = []
  for (
    let age = nextRetune(law, tuned, tolerance);
    age <= until && age < FOR_EVER && ages.length < most;
    age = nextRetune(law, age, tolerance)
  ) {
    ages.push(age)
  }
  return ages
}

/** A string that was let down and brought up again drifts by this share of a new one's. An estimate. */
export const MOVED_SHARE = 0.4

/** The law of a string that was on before and is put back. */
export function moved(law: DriftModel): DriftModel {
  return { ...law, perDecade: law.perDecade * MOVED_SHARE }
}

function growth(law: DriftModel, tolerance: number): number {
  return 10 ** (expectPositive('tolerance', tolerance) / expectPositive('drift per decade', law.perDecade))
}
