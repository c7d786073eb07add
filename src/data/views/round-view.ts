/**
 * An instrument as it is tuned string by string: where every string is taken to stand, what its board does, and the round
 * that goes on.
 */
import type { Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { boardStrings, startingYields, type BoardString, type BoardYields } from '@/core/rounds/board'
import type { LearnedEffects } from '@/core/rounds/learn-effects'
import type { RoundOrder } from '@/core/rounds/tuning-round'
import { EQUAL, offEqual, type Temperament } from '@/core/temper/temperament'
import { boardEffects, LEARNED_FROM } from '../fitted/board-effects'
import { lastRounds, readingsIn, type Round } from '../fitted/rounds'
import { settlingStrings } from '../fitted/settling'
import { allTemperaments, type KeptTemperament } from '../workshop/temperaments'
import { instrumentBySlug, positionId } from '../instruments/instruments'
import type { Store } from '../store/database'

/** A string at its turn; its index, and cents from where the round’s temperament has it. */
export interface RoundTurn {
  readonly string: number
  readonly found: number
  readonly left: number | null
}

export interface RoundBench {
  readonly instrument: Instrument
  readonly strings: readonly BoardString[]
  readonly yields: BoardYields
  readonly effects: LearnedEffects
  /** Where every string is taken to stand before it is heard, cents from equal temperament. */
  readonly stands: readonly number[]
  readonly temperaments: readonly KeptTemperament[]
  /** The temperament that it was tuned in last, and how. */
  readonly lastIn: { readonly temperament: Temperament; readonly order: RoundOrder; readonly within: number }
  readonly round: (Round & { readonly turns: readonly RoundTurn[] }) | null
  readonly ended: { readonly at: number; readonly turns: readonly RoundTurn[] } | null
}

/** Strings are in tune within this where nobody said otherwise, cents. */
const WITHIN = 3

export function roundBench(store: Store, slug: string): RoundBench {
  const stored = instrumentBySlug(store, slug)
  const { instrument, id } = stored
  const strings = boardStrings(instrument)
  const yields = startingYields(instrument)
  const rounds = lastRounds(store, id, LEARNED_FROM)
  const readings = readingsIn(store, rounds)
  const settling = new Map(
    settlingStrings(store)
      .filter((one) => one.slug === slug)
      .map((one) => [one.position.number, one] as const),
  )
  const indexOf = new Map(instrument.positions.map(({ number }, i) => [positionId(stored, number), i]))
  const turnsOf = (round: Round) =>
    readings
      .filter(({ roundId }) => roundId === round.id)
      .map(({ positionId, found, left }) => ({ string: requireValue(indexOf.get(positionId)), found, left }))
  const open = rounds.find(({ endedAt }) => endedAt === null) ?? null
  const ended = rounds.find(({ endedAt }) => endedAt !== null) ?? null
  const lastOne = open ?? ended
  /** Where a string was left by the temperament that it was tuned in last, cents from equal temperament. */
  const leftOff = (string: number): number => {
    const last = readings.findLast(
      ({ positionId, left }) => left !== null && indexOf.get(positionId) === string,
    )
    const { note } = itemAt(instrument.positions, string)
    return offEqual(rounds.find(({ id: round }) => round === last?.roundId)?.temperament ?? EQUAL, note)
  }
  return {
    instrument,
    strings,
    yields,
    effects: boardEffects(store, stored, rounds, readings),
    stands: instrument.positions.map(
      ({ number }, i) => (settling.get(number)?.expectedNow ?? 0) + leftOff(i),
    ),
    temperaments: allTemperaments(store),
    lastIn: {
      temperament: lastOne?.temperament ?? EQUAL,
      order: lastOne?.order ?? 'from the bottom',
      within: lastOne?.within ?? WITHIN,
    },
    round: open && { ...open, turns: turnsOf(open) },
    ended: ended && { at: ended.endedAt ?? ended.startedAt, turns: turnsOf(ended) },
  }
}
