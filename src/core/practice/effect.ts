/**
 * What practice did to real fittings: those that followed it within some weeks, beside the others, with honest odds. Whoever
 * practises may be more careful anyway: it goes with it, and that is all that can be said.
 */
import { chanceBelow } from '../random/normal'
import { DAY } from '../units/time'
import { sharesDiffer, type Counted } from '../wear/goes-with'

/** A fitting as it came out. */
export interface FittingDone {
  readonly practised: boolean
  readonly hadMishap: boolean
  /** Cut minus what was worked out, m; null where nobody measured. */
  readonly cutOff: number | null
  /** Wraps minus those that were worked out; null where nobody counted. */
  readonly wrapsOff: number | null
}

/** One figure, practised and not. */
export interface Compared {
  readonly practised: { readonly mean: number; readonly of: number }
  readonly not: { readonly mean: number; readonly of: number }
  /** Chance that it is truly less after practice; a half where nothing can be said. */
  readonly less: number
}

export interface Effect {
  readonly mishaps: { readonly practised: Counted; readonly not: Counted }
  /** Chance that practice and mishaps have to do with each other at all, and how many times as many there are after it. */
  readonly differs: { readonly chance: number; readonly times: number }
  readonly cut: Compared
  readonly wraps: Compared
}

/** An answer counts for a fitting that follows within so long, ms: six weeks. */
export const COUNTS_FOR = 42 * DAY

export function effectOf(fittings: readonly FittingDone[]): Effect {
  const practised = fittings.filter((one) => one.practised)
  const not = fittings.filter((one) => !one.practised)
  const mishaps = {
    practised: { happened: practised.filter(({ hadMishap }) => hadMishap).length, of: practised.length },
    not: { happened: not.filter(({ hadMishap }) => hadMishap).length, of: not.length },
  }
  const compared = (figure: (one: FittingDone) => number | null) =>
    compare(practised.flatMap(sizesOf(figure)), not.flatMap(sizesOf(figure)))
  return {
    mishaps,
    differs: sharesDiffer(mishaps.practised, mishaps.not),
    cut: compared(({ cutOff }) => cutOff),
    wraps: compared(({ wrapsOff }) => wrapsOff),
  }
}

const sizesOf =
  (figure: (one: FittingDone) => number | null) =>
  (one: FittingDone): readonly number[] => {
    const value = figure(one)
    return value === null ? [] : [Math.abs(value)]
  }

/** Fewer than this on either side say nothing. */
const FEWEST = 3

/** Two heaps of sizes: how likely the first is smaller, by their means and how far these may be off. */
function compare(a: readonly number[], b: readonly number[]): Compared {
  const [first, second] = [momentsOf(a), momentsOf(b)]
  const said = { practised: { mean: first.mean, of: a.length }, not: { mean: second.mean, of: b.length } }
  if (a.length < FEWEST || b.length < FEWEST) return { ...said, less: 0.5 }
  const off = Math.sqrt(first.variance / a.length + second.variance / b.length)
  return { ...said, less: off > 0 ? chanceBelow((second.mean - first.mean) / off) : 0.5 }
}

function momentsOf(all: readonly number[]): { readonly mean: number; readonly variance: number } {
  const mean = all.length === 0 ? 0 : all.reduce((sum, x) => sum + x, 0) / all.length
  const squares = all.reduce((sum, x) => sum + (x - mean) ** 2, 0)
  return { mean, variance: all.length > 1 ? squares / (all.length - 1) : 0 }
}
