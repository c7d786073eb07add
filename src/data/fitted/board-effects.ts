/** What an instrument’s rounds of tuning have shown of its board: how much of one another its strings feel. */
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { boardStrings, startingYields } from '@/core/rounds/board'
import { learnEffects, type LearnedEffects, type RoundEvent } from '@/core/rounds/learn-effects'
import { SoundboardModel } from '@/core/rounds/soundboard-model'
import { driftCents } from '@/core/settle/drift'
import { EQUAL, offEqual } from '@/core/temper/temperament'
import { HOUR } from '@/core/units/time'
import type { StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { lastRounds, readingsIn, type Round, type RoundReading } from './rounds'
import { settlingStrings, type Settling } from './settling'

/** Effects are learned from so many rounds: the board of long ago may have been another. */
export const LEARNED_FROM = 12

/** Learned from the last rounds, which may have been read already. */
export function boardEffects(
  store: Store,
  stored: StoredInstrument,
  rounds = lastRounds(store, stored.id, LEARNED_FROM),
  readings = readingsIn(store, rounds),
): LearnedEffects {
  const { instrument } = stored
  const strings = boardStrings(instrument)
  const settling = new Map(
    settlingStrings(store)
      .filter(({ slug }) => slug === instrument.slug)
      .map((one) => [one.position.number, one] as const),
  )
  return learnEffects(
    (senses) => new SoundboardModel(strings, startingYields(instrument), senses),
    strings.length,
    eventsOf(stored, rounds, readings),
    settledBy(instrument.positions.map(({ number }) => settling.get(number))),
  )
}

/** What happened in all rounds, in cents from equal temperament; one that was only heard was left as it was found. */
function eventsOf(
  { instrument, positionIds }: StoredInstrument,
  rounds: readonly Round[],
  readings: readonly RoundReading[],
): readonly RoundEvent[] {
  const indexOf = new Map(
    instrument.positions.map(({ number }, i) => [requireValue(positionIds.get(number)), i]),
  )
  const temperamentOf = new Map(rounds.map(({ id, temperament }) => [id, temperament]))
  return readings.map(({ roundId, positionId, at, found, left }) => {
    const string = requireValue(indexOf.get(positionId))
    const { note } = itemAt(instrument.positions, string)
    const off = offEqual(temperamentOf.get(roundId) ?? EQUAL, note)
    return { string, at: at / HOUR, found: found + off, left: (left ?? found) + off }
  })
}

/** By how much strings settle by themselves between two times, h since 1970. */
function settledBy(strings: readonly (Settling | undefined)[]) {
  return (string: number, from: number, to: number): number => {
    const settling = strings[string]
    if (!settling) return 0
    const age = (at: number) => Math.max(0, at - settling.fitted.fittedAt / HOUR)
    return -driftCents(settling.law, age(from), age(to))
  }
}
