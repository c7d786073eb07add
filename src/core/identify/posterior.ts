/**
 * All clues weighed together: the chance of each position, what speaks for and against it, and which clue disagrees
 * with the rest.
 */
import { itemAt } from '../list/item-at'
import { asLeading } from './as-leading'
import type { Instrument, StringPosition } from '../instrument/instrument'
import type { Clue } from './clue'
import { likelihood } from './likelihood'

/**
 * The chance of each position, all positions alike to begin with.
 *
 * @returns in the order of the positions; they sum to 1
 */
export function posterior(instrument: Instrument, clues: readonly Clue[]): readonly number[] {
  return normalised(
    instrument.positions.map((p) =>
      clues.reduce((product, clue) => product * likelihood(clue, p, instrument), 1),
    ),
  )
}

/** Scaled so that they sum to 1; alike where all are nothing. */
export function normalised(weights: readonly number[]): readonly number[] {
  const sum = weights.reduce((total, w) => total + w, 0)
  return sum > 0 ? weights.map((w) => w / sum) : weights.map(() => 1 / weights.length)
}

/** Shannon's entropy, bits. */
export function entropy(chances: readonly number[]): number {
  return -chances.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0)
}

export type Speaks = 'for' | 'hardly' | 'against'

export interface Ranked {
  /** Of the strings of one piece, the likeliest. */
  readonly position: StringPosition
  /** Of the whole piece, 0 to 1. */
  readonly chance: number
  /** For each clue, in the order given. */
  readonly speaks: readonly Speaks[]
  /** For each clue, its likelihood here as a share of the best position's. */
  readonly shares: readonly number[]
}

/** At least this share of the best position's likelihood speaks for a position; at most that share against it. */
const FOR = 0.4
const AGAINST = 0.1

/** Strings by chance, the likeliest first. What is one piece is one string: it is replaced as a whole. */
export function ranking(instrument: Instrument, clues: readonly Clue[]): readonly Ranked[] {
  const chances = posterior(instrument, clues)
  const table = clues.map((clue) => instrument.positions.map((p) => likelihood(clue, p, instrument)))
  const best = table.map((row) => Math.max(...row))
  return instrument.positions
    .map((position, i): Ranked => {
      const shares = table.map((row, c) => itemAt(row, i) / itemAt(best, c))
      return {
        position,
        chance: itemAt(chances, i),
        shares,
        speaks: shares.map((share) => (share >= FOR ? 'for' : share <= AGAINST ? 'against' : 'hardly')),
      }
    })
    .sort((a, b) => asLeading(b.chance) - asLeading(a.chance) || a.position.number - b.position.number)
    .reduce<Ranked[]>((pieces, ranked) => {
      const at = pieces.findIndex(({ position }) => position.piece === ranked.position.piece)
      if (at < 0) return [...pieces, ranked]
      const had = itemAt(pieces, at)
      return pieces.with(at, { ...had, chance: had.chance + ranked.chance })
    }, [])
    .sort((a, b) => asLeading(b.chance) - asLeading(a.chance) || a.position.number - b.position.number)
}

/** A clue is at odds with the rest when they make it this much less likely than no knowledge at all would. */
const AT_ODDS = 0.2

/**
 * The clues that contradict the rest: each is far less likely in view of the others than it would be of a string of
 * which nothing is known. Two clues that contradict each other are both named.
 *
 * @returns indices into the clues, the worst first
 */
export function contradicting(instrument: Instrument, clues: readonly Clue[]): readonly number[] {
  if (clues.length < 2) return []
  return clues
    .map((clue, index) => {
      const rest = posterior(
        instrument,
        clues.filter((_, other) => other !== index),
      )
      const own = instrument.positions.map((p) => likelihood(clue, p, instrument))
      const expected = own.reduce((sum, l, i) => sum + l * itemAt(rest, i), 0)
      const unknowing = own.reduce((sum, l) => sum + l, 0) / own.length
      return { index, ratio: expected / unknowing }
    })
    .filter(({ ratio }) => ratio < AT_ODDS)
    .sort((a, b) => a.ratio - b.ratio)
    .map(({ index }) => index)
}
