/**
 * How many pieces of a kind to have in store: the fewest that what breaks until new ones can be there does not use up, with the
 * chance wanted. Strings of one class share a rate, so a bad month for one is a bad month for its like.
 */
import { howManyBreak, type AtRisk } from './breaks-ahead'
import type { Rates } from './life'

/** How many spares a house keeps: a number of its own, or what is worked out here. */
export const SPARES_BY = ['number', 'chance'] as const
export type SparesBy = (typeof SPARES_BY)[number]

export interface Demand {
  /** Chance that 0, 1, 2 … pieces are wanted. */
  readonly wanted: readonly number[]
  /** On average. */
  readonly expected: number
}

/** What strings of one kind ask for until new pieces can be there. */
export function demandFor(rates: Rates, strings: readonly AtRisk[]): Demand {
  const wanted = howManyBreak(rates, strings)
  return { wanted, expected: wanted.reduce((sum, chance, count) => sum + chance * count, 0) }
}

/** The fewest pieces that suffice with a chance. */
export function enoughWith({ wanted }: Demand, chance: number): number {
  let sum = 0
  const found = wanted.findIndex((of) => (sum += of) >= chance - 1e-12)
  return found < 0 ? wanted.length - 1 : found
}

/** Chance that so many pieces run out: more are wanted than there are. */
export function runsOut({ wanted }: Demand, pieces: number): number {
  return Math.max(
    0,
    wanted.slice(pieces + 1).reduce((sum, chance) => sum + chance, 0),
  )
}
