/**
 * Whether something goes with something else, with honest odds: strings that gave way in their first days with a habit, breaks
 * with cold nights. Two rates that differ are held against one rate for both; what is thought likely at first is little.
 */
import { logGamma } from '../random/gamma'

/** How often it happened, of how many. */
export interface Counted {
  readonly happened: number
  readonly of: number
}

export interface GoesWith {
  /** Chance that the two rates differ at all. */
  readonly chance: number
  /** The first rate over the second, each as far as it is known. */
  readonly times: number
}

/** What is thought before anything is counted: so many in a hundred habits make a difference. */
const AT_FIRST = 0.2
/** A first rate of one in thirty, known as badly as from thirty strings. */
const PRIOR = { happened: 1, not: 29 }

/** Of strings with and without a habit, those that gave way: each string does or does not. */
export function sharesDiffer(withIt: Counted, without: Counted): GoesWith {
  const logBeta = (a: number, b: number) => logGamma(a) + logGamma(b) - logGamma(a + b)
  const evidence = (...counted: readonly Counted[]) =>
    counted.reduce(
      (log, one) => log + logBeta(PRIOR.happened + one.happened, PRIOR.not + one.of - one.happened),
      0,
    ) -
    counted.length * logBeta(PRIOR.happened, PRIOR.not)
  const both = { happened: withIt.happened + without.happened, of: withIt.of + without.of }
  // A sequence of trials under one rate has the evidence of all of them taken together.
  const ratio = Math.exp(evidence(withIt, without) - evidence(both))
  const rate = ({ happened, of }: Counted) => (PRIOR.happened + happened) / (PRIOR.happened + PRIOR.not + of)
  return { chance: chanceFrom(ratio), times: rate(withIt) / rate(without) }
}

/** Of two stretches of time, how much happened in each: in days, or whatever both are counted in. */
export function ratesDiffer(inIt: Counted, outside: Counted): GoesWith {
  const both = { happened: inIt.happened + outside.happened, of: inIt.of + outside.of }
  if (inIt.of <= 0 || outside.of <= 0) return { chance: AT_FIRST, times: 1 }
  // A gamma prior as heavy as half a break, at the rate of both together.
  const alpha = 0.5
  const beta = (alpha * both.of) / Math.max(both.happened, alpha)
  const evidence = (one: Counted) =>
    logGamma(alpha + one.happened) -
    logGamma(alpha) +
    alpha * Math.log(beta) -
    (alpha + one.happened) * Math.log(beta + one.of)
  const ratio = Math.exp(evidence(inIt) + evidence(outside) - evidence(both))
  const rate = (one: Counted) => (alpha + one.happened) / (beta + one.of)
  return { chance: chanceFrom(ratio), times: rate(inIt) / rate(outside) }
}

const chanceFrom = (ratio: number) =>
  ratio === Infinity ? 1 : (AT_FIRST * ratio) / (AT_FIRST * ratio + 1 - AT_FIRST)
