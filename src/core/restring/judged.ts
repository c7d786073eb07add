/** What a plan asks of the instrument and of whoever does it, so that ways can be compared on one sheet. */
import { TO_CHANGE } from '../fitting/covered'
import type { Instrument } from '../instrument/instrument'
import { boardStrings, type BoardYields } from '../rounds/board'
import { SoundboardModel } from '../rounds/soundboard-model'
import { roundsNeeded } from '../rounds/tuning-round'
import type { Batch, Batches } from './batch'
import { momentsOf, type Moment } from './moments'
import { planOf } from './plan'

export interface JudgedPlan {
  readonly batches: readonly Batch[]
  readonly moments: readonly Moment[]
  /** The lowest share of the full load, and the most that its centre moves either way. */
  readonly leastShare: number
  readonly mostShift: number
  /** How often the instrument is laid down and stood up again. */
  readonly layings: number
  /** Cents that strings take from each other as they are brought up. */
  readonly lost: number
  /** Rounds of tuning after it is done, until no string is further off than the house wants. */
  readonly rounds: number
  /** All of it, without waiting, min. */
  readonly minutes: number
}

/** Tuning one string in a round, min; our own estimate. */
const ROUND_A_STRING = 0.75

/**
 * @param rounds - see {@link roundsAfter}
 * @param fromBare - nothing is on when it begins
 */
export function judged(
  instrument: Instrument,
  batches: Batches,
  goes: readonly (readonly number[])[],
  rounds: number,
  fromBare = false,
): JudgedPlan {
  const plan = planOf(batches, goes)
  const moments = momentsOf(batches.bench.pieces, plan.batches, fromBare)
  const strings = batches.bench.changed.length * TO_CHANGE.string
  return {
    batches: plan.batches,
    moments,
    leastShare: Math.min(1, ...moments.map(({ carried }) => carried.share)),
    mostShift: Math.max(0, ...moments.map(({ carried }) => Math.abs(carried.shift))),
    layings: goes.filter((ids) => ids.some((id) => batches.piece(id).inside)).length,
    lost: plan.batches.reduce((sum, { lost }) => sum + lost, 0),
    rounds,
    minutes: strings + plan.minutes + rounds * instrument.positions.length * ROUND_A_STRING,
  }
}

/**
 * Rounds of tuning that a restring leaves to do. Each go is brought up on the board as it yields, string by string; what is left is
 * what rounds must mend.
 *
 * @param senses - how much more than reckoned each string feels of the others
 * @param within - no string is further off than this when it is in tune, cents
 */
export function roundsAfter(
  instrument: Instrument,
  batches: Batches,
  goes: readonly (readonly number[])[],
  yields: BoardYields,
  within: number,
  senses: readonly number[] = [],
): number {
  const strings = boardStrings(instrument)
  const board = new SoundboardModel(strings, yields, senses)
  let turns: readonly number[] = board.turnsFor(strings.map(() => 0))
  let standing: readonly number[] = strings.map(() => 0)
  for (const ids of goes) {
    const order = [...ids, ...batches.aside(ids)].flatMap((id) => batches.piece(id).numbers.map((n) => n - 1))
    turns = turns.map((turn, i) => (order.includes(i) ? -Infinity : turn))
    standing = board.standing(turns, standing)
    for (const which of order) ({ turns, standing } = board.tuned(turns, standing, which, 0))
  }
  return roundsNeeded(board, strings, standing, 'least left over', true, within)
}
