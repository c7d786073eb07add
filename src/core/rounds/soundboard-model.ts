/**
 * Where all strings of an instrument stand together: each is where its own pin has it, less what the board gave way to the
 * pull of all. Cents are from pitch; −∞ is a string that is slack or not on.
 */
import { inverse, Matrix } from 'ml-matrix'
import { itemAt } from '../list/item-at'
import type { BoardString, BoardYields } from './board'

/** Solved to so many cents: finer than anyone hears by a hundred times. */
const ENOUGH = 1e-3
const MOST_STEPS = 400

export class SoundboardModel {
  readonly size: number
  /** Cents that a string falls for each N more on another: by row the one that falls. */
  private readonly falls: readonly Float64Array[]
  /** What a cent on the pins does when all are at pitch: the slope that every step is taken by. */
  private readonly slope: readonly Float64Array[]

  /**
   * @param senses - how much more than reckoned each string feels of the others; all 1 where nothing is known
   * @param stray - how far one effect is from what is reckoned, as a factor: for boards that are tried out
   */
  constructor(
    private readonly strings: readonly BoardString[],
    yields: BoardYields,
    senses: readonly number[] = [],
    stray: () => number = () => 1,
  ) {
    this.size = strings.length
    this.falls = strings.map((felt, j) =>
      Float64Array.from(strings, (pulls) => {
        const apart = Math.hypot(felt.at.x - pulls.at.x, felt.at.y - pulls.at.y)
        const raised = yields.compliance * pulls.lean * Math.exp(-apart / yields.reach)
        return (senses[j] ?? 1) * stray() * raised * felt.lean * felt.perMetre
      }),
    )
    this.slope = inverse(
      new Matrix(
        this.falls.map((row, j) =>
          Array.from(row, (fall, i) => (i === j ? 1 : 0) + fall * this.pullPerCent(i)),
        ),
      ),
    )
      .to2DArray()
      .map((row) => Float64Array.from(row))
  }

  private pullPerCent(i: number): number {
    return (itemAt(this.strings, i).tension * Math.LN2) / 600
  }

  /** By how much a string pulls more than at pitch, N: pitch goes with the root of tension. */
  private pull(i: number, cents: number): number {
    return itemAt(this.strings, i).tension * (2 ** (cents / 600) - 1)
  }

  /** Cents that pins must give so that every string stands where it is to stand. */
  turnsFor(standing: readonly number[]): number[] {
    const pulls = standing.map((cents, i) => this.pull(i, cents))
    return standing.map((cents, j) => cents + dot(itemAt(this.falls, j), pulls))
  }

  /**
   * Where every string stands.
   *
   * @param turns - what each pin gives, cents
   * @param near - where they stood a little before: a place to begin from
   */
  standing(turns: readonly number[], near: readonly number[] = turns): number[] {
    // One that was slack until now begins at pitch; one that is slack now takes no part.
    let standing = turns.map((turn, i) => (turn === -Infinity ? turn : (finite(near[i]) ?? 0)))
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const off = this.turnsFor(standing).map((at, i) => (turns[i] === -Infinity ? 0 : itemAt(turns, i) - at))
      if (off.every((one) => Math.abs(one) < ENOUGH)) break
      standing = standing.map((cents, j) => cents + dot(itemAt(this.slope, j), off))
    }
    return standing
  }

  /** What a string falls by for each cent that another is raised, all being near pitch, cents. */
  fallPerCent(felt: number, raised: number): number {
    const column = (j: number) => itemAt(itemAt(this.slope, j), raised)
    return felt === raised ? 0 : -column(felt) / column(raised)
  }

  /**
   * Turns one pin until its string stands where it is wanted.
   *
   * @returns what the pins give then, and where every string stands
   */
  tuned(
    turns: readonly number[],
    standing: readonly number[],
    which: number,
    wanted: number,
  ): { readonly turns: readonly number[]; readonly standing: readonly number[] } {
    const own = itemAt(itemAt(this.slope, which), which)
    let [given, stand] = [[...turns], standing]
    if (given[which] === -Infinity) {
      given[which] = wanted
      stand = this.standing(given, stand)
    }
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const off = wanted - itemAt(stand, which)
      if (Math.abs(off) < 2 * ENOUGH) break
      given = given.with(which, itemAt(given, which) + off / own)
      stand = this.standing(given, stand)
    }
    return { turns: given, standing: stand }
  }
}

const finite = (value: number | undefined) => (Number.isFinite(value) ? value : undefined)

function dot(row: Float64Array, by: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < row.length; i += 1) sum += itemAt(row, i) * itemAt(by, i)
  return sum
}
