/**
 * One round of tuning: in which order, and how far past pitch each string is left so that the others bring it there.
 */
import { itemAt } from '../list/item-at'
import type { BoardString } from './board'
import { byEar } from './by-ear'
import type { SoundboardModel } from './soundboard-model'

export const ROUND_ORDERS = ['by ear', 'least left over', 'from the top', 'from the bottom'] as const
export type RoundOrder = (typeof ROUND_ORDERS)[number]

/** No string is taken further past pitch than this on account of others, cents: what is left is the next round's. */
const MOST_AHEAD = 25
/** Before so many of a material were found off, the others of it are only half believed to be off as much. */
const FOUND_COUNTS_FROM = 2

/**
 * The order of a round. `least left over` leaves least of all orders: of two strings that one comes first which disturbs the
 * other more than it is disturbed, and that is a sorting by tension × cents to raise / cents per metre.
 *
 * @param standing - where they are taken to stand, cents
 * @returns indices of strings
 */
export function roundOrder(
  order: RoundOrder,
  strings: readonly BoardString[],
  standing: readonly number[],
): readonly number[] {
  const all = strings.map((_, i) => i)
  if (order === 'by ear') return byEar(strings).map(({ string }) => string)
  if (order === 'from the top') return all
  if (order === 'from the bottom') return all.reverse()
  const disturbs = strings.map(
    ({ tension, perMetre }, i) => (tension * Math.abs(lowered(standing[i]))) / perMetre,
  )
  return all.sort((a, b) => itemAt(disturbs, b) - itemAt(disturbs, a) || a - b)
}

/** A slack string is raised by all of its tension, as one that were an octave and more down. */
const lowered = (cents: number | undefined) => Math.max(-1500, cents ?? 0)

/** What is believed of all strings while a round goes on. */
export class RoundBelief {
  private turns: readonly number[]
  private stand: readonly number[]
  private readonly wanted: readonly number[]
  private readonly unread: Set<number>
  private readonly surprises = new Map<string, { count: number; mean: number }>()

  /**
   * @param standing - where they are taken to stand before any is heard, cents
   * @param goals - where each is to stand when the round is over, cents
   */
  constructor(
    private readonly board: SoundboardModel,
    private readonly strings: readonly BoardString[],
    standing: readonly number[],
    goals: readonly number[],
  ) {
    this.stand = standing
    this.turns = board.turnsFor(standing)
    this.wanted = board.turnsFor(goals)
    this.unread = new Set(strings.keys())
  }

  /** Where every string is taken to stand now, cents. */
  get standing(): readonly number[] {
    return this.stand
  }

  /** A string is heard: others of its material that were not yet heard will be off alike, for it was the weather. */
  found(which: number, cents: number): void {
    const { material } = itemAt(this.strings, which)
    const surprise = cents - itemAt(this.stand, which)
    this.unread.delete(which)
    const known = this.surprises.get(material) ?? { count: 0, mean: 0 }
    const count = known.count + 1
    // What was foretold already held a part of this surprise: the mean is of the whole of it.
    const whole = surprise + believed(known)
    const now = { count, mean: known.mean + (whole - known.mean) / count }
    const shift = believed(now) - believed(known)
    this.surprises.set(material, now)
    this.stand = this.stand.map((at, i) =>
      i === which ? cents : this.unread.has(i) && this.strings[i]?.material === material ? at + shift : at,
    )
    this.turns = this.board.turnsFor(this.stand)
  }

  /** Where to leave a string now, so that it stands where it should when all others have come up as well, cents. */
  target(which: number): number {
    const then = this.board.standing(this.turns.with(which, itemAt(this.wanted, which)), this.stand)
    return Math.max(-MOST_AHEAD, Math.min(MOST_AHEAD, itemAt(then, which)))
  }

  /** A string is left somewhere, cents. */
  left(which: number, cents: number): void {
    const { turns, standing } = this.board.tuned(this.turns, this.stand, which, cents)
    this.turns = turns
    this.stand = standing
  }
}

const believed = ({ count, mean }: { readonly count: number; readonly mean: number }) =>
  mean * (count / (count + FOUND_COUNTS_FROM))

/** A round as it is foretold. */
export interface ForetoldRound {
  readonly order: readonly number[]
  /** Where each is left when it is tuned, cents, by string. */
  readonly targets: readonly number[]
  /** Where each stands when the round is over, cents, by string. */
  readonly after: readonly number[]
}

/**
 * Foretells a round.
 *
 * @param allows - whether each string is left past pitch by what the others will take from it
 */
export function predictPass(
  board: SoundboardModel,
  strings: readonly BoardString[],
  standing: readonly number[],
  order: readonly number[],
  allows: boolean,
  goals: readonly number[] = standing.map(() => 0),
): ForetoldRound {
  const belief = new RoundBelief(board, strings, standing, goals)
  const targets = [...goals]
  for (const which of order) {
    if (allows) targets[which] = belief.target(which)
    belief.left(which, itemAt(targets, which))
  }
  return { order, targets, after: belief.standing }
}

/** The string that is furthest from where it should be, cents off. */
export function worstOff(standing: readonly number[], goals: readonly number[] = []): number {
  return Math.max(0, ...standing.map((cents, i) => Math.abs(cents - (goals[i] ?? 0))))
}

const MOST_ROUNDS = 9

/** How many rounds it takes until no string is further off than it may be, each foretold from the one before. */
export function roundsNeeded(
  board: SoundboardModel,
  strings: readonly BoardString[],
  standing: readonly number[],
  order: RoundOrder,
  allows: boolean,
  within: number,
): number {
  let stand = standing
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    if (worstOff(stand) <= within) return round
    stand = predictPass(board, strings, stand, roundOrder(order, strings, stand), allows).after
  }
  return MOST_ROUNDS
}
