/**
 * Helping a new string settle: each way of doing it, what a cycle is worth, and what it costs.
 */
import { FIRST_TUNED, type DriftModel } from './drift'

/** A cycle is the stretching and bringing it back to pitch. */
export const STRETCHINGS = [
  'leave it alone',
  'gentle pulls',
  'bending aside',
  'rubbing warm',
  'big sideways motions',
] as const
export type Stretching = (typeof STRETCHINGS)[number]

/** How many times as old a cycle makes the string: starting values, estimates. */
export const AGES_BY: Readonly<Record<Stretching, number>> = {
  'leave it alone': 1,
  'gentle pulls': 1.5,
  'bending aside': 1.5,
  'rubbing warm': 1.5,
  'big sideways motions': 2,
}

/** More cycles than these are never counted: what is left by then is less than a reading shows. */
export const MOST_CYCLES = 12

/**
 * The law of a string that was helped when it was fitted: it settles on as if it were so many times as old, so that less is
 * left. An age further on enters the law just as τ does.
 *
 * @param law - of its material
 * @param cycles - given when it was first at pitch
 * @example helped({ perDecade: 45, tau: 0.05 }, 'gentle pulls', 2) // tau 0.3625: from 0.25 h it counts as 0.5625 h old
 */
export function helped(law: DriftModel, by: Stretching, cycles: number): DriftModel {
  return {
    ...law,
    tau: law.tau + FIRST_TUNED * (AGES_BY[by] ** Math.min(MOST_CYCLES, Math.max(0, cycles)) - 1),
  }
}
