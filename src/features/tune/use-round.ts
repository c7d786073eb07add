'use client'

import { useMemo } from 'react'
import type { StringPosition } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { SoundboardModel } from '@/core/rounds/soundboard-model'
import { RoundBelief, roundOrder, type RoundOrder } from '@/core/rounds/tuning-round'
import { offEqual, type Temperament } from '@/core/temper/temperament'
import type { RoundBench, RoundTurn } from '@/data/views/round-view'

export interface RoundSet {
  readonly temperament: Temperament
  readonly order: RoundOrder
  readonly within: number
}

/** A round as it stands after what was found and left so far. */
export interface RoundNow {
  /** Indices of strings in the order they are tuned. */
  readonly order: readonly number[]
  readonly heard: ReadonlySet<number>
  readonly tuned: ReadonlySet<number>
  /** Where each is taken to stand now, cents from where it belongs. */
  readonly standing: readonly number[]
  /** Where to leave a string now, cents. */
  readonly aimOf: (string: number) => number
  /** Where it was found when it was last heard; null where it was not. */
  readonly foundOf: (string: number) => number | null
}

/** Where strings are taken to stand before any is heard, in a temperament, cents. */
export function standsIn(
  stands: readonly number[],
  positions: readonly StringPosition[],
  temperament: Temperament,
): readonly number[] {
  return stands.map((at, i) => at - offEqual(temperament, itemAt(positions, i).note))
}

/** The board as it is known by now. */
export function useBoard({ strings, yields, effects }: RoundBench): SoundboardModel {
  return useMemo(
    () => new SoundboardModel(strings, yields, effects.senses),
    [strings, yields, effects.senses],
  )
}

/** What is known in a round, from all that was found and left in it. */
export function useRound(
  bench: RoundBench,
  board: SoundboardModel,
  { temperament, order }: RoundSet,
  turns: readonly RoundTurn[],
): RoundNow {
  const { strings, stands, instrument } = bench
  const { positions } = instrument
  return useMemo(() => {
    const before = standsIn(stands, positions, temperament)
    const belief = new RoundBelief(
      board,
      strings,
      before,
      before.map(() => 0),
    )
    // The order is by where they stood before the first was turned.
    let first: readonly number[] | null = null
    for (const { string, found, left } of turns) {
      if (left !== null) first ??= belief.standing
      belief.found(string, found)
      if (left !== null) belief.left(string, left)
    }
    return {
      order: roundOrder(order, strings, first ?? belief.standing),
      heard: new Set(turns.map(({ string }) => string)),
      tuned: new Set(turns.filter(({ left }) => left !== null).map(({ string }) => string)),
      standing: belief.standing,
      aimOf: (string) => belief.target(string),
      foundOf: (string) => turns.findLast((turn) => turn.string === string)?.found ?? null,
    }
  }, [board, strings, stands, positions, temperament, order, turns])
}
