/**
 * A whole instrument that is not there: its strings hang together by a board that is not quite as it is taken to be, and each
 * is somewhat out of tune.
 */
import { seeded } from '@/core/random/seeded'
import { SoundboardModel } from '@/core/rounds/soundboard-model'
import type { RoundBench } from '@/data/views/round-view'

export interface StandInStrings {
  readonly board: SoundboardModel
  /** What every pin gives, and where every string stands, cents. */
  readonly turns: readonly number[]
  readonly standing: readonly number[]
}

/** Each of its effects is off by as much as this share. */
const BOARD_OFF = 0.06
/** Out of tune so far down on the whole, and each by so much more or less, cents. */
const DOWN = 14
const APART = 24
/** A hand leaves a string so near to where it is wanted, cents. */
const HAND = 1

const around = (random: () => number) => random() + random() - 1

export function simulatedStrings({ strings, yields }: RoundBench, seed: number): StandInStrings {
  const random = seeded(seed)
  const board = new SoundboardModel(strings, yields, [], () => 1 + BOARD_OFF * around(random))
  const standing = strings.map(() => APART * around(random) - DOWN)
  return { board, turns: board.turnsFor(standing), standing }
}

/** One of its strings brought to where it is wanted, as near as a hand can. */
export function turnedTo(all: StandInStrings, string: number, wanted: number): StandInStrings {
  const left = wanted + HAND * around(Math.random)
  return { ...all, ...all.board.tuned(all.turns, all.standing, string, left) }
}
