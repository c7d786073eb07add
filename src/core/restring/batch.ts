/**
 * One go at the instrument: some pieces come off together, go on, and are brought to pitch one after another, before anything else
 * is touched. What a go costs, and whether the frame and the layers allow it.
 */
import { MINUTES } from '../fitting/covered'
import { itemAt } from '../list/item-at'
import { Frame, isAllowed, type Allowed, type Carried } from './frame'
import type { Piece } from './piece'

/** What the plan of a restring is reckoned from. */
export interface Bench {
  /** All of the instrument. */
  readonly pieces: readonly Piece[]
  /** Those to change. */
  readonly changed: readonly Piece[]
  readonly allowed: Allowed
  /** The house retunes at so many cents. */
  readonly tolerance: number
  /** Cents that one piece falls by when another is brought up, by their ids. */
  readonly lost: (fallen: number, raised: number) => number
}

/** Laying the instrument down for the work inside, and standing it up again for the pins, min; our own estimate. */
export const POSITIONS = 6

/** A go, with what it costs beyond the strings themselves. */
export interface Batch {
  /** Ids of the pieces in the order in which they are brought to pitch. */
  readonly ids: readonly number[]
  /** Pieces that only lie over them, are moved aside and put back. */
  readonly aside: readonly number[]
  readonly carried: Carried
  /** Cents that its pieces take from each other. */
  readonly lost: number
  /** min */
  readonly minutes: number
}

export class Batches {
  private readonly frame: Frame
  private readonly byId: ReadonlyMap<number, Piece>
  private readonly changed: ReadonlySet<number>

  constructor(readonly bench: Bench) {
    this.frame = new Frame(bench.pieces)
    this.byId = new Map(bench.pieces.map((piece) => [piece.id, piece]))
    this.changed = new Set(bench.changed.map(({ id }) => id))
  }

  readonly piece = (id: number): Piece => {
    const piece = this.byId.get(id)
    if (!piece) throw new RangeError(`There is no string ${id} to be changed.`)
    return piece
  }

  /** Pieces that must be moved aside for these and go back: layers that are not changed, crossings that don’t come off with them. */
  aside(ids: readonly number[]): readonly number[] {
    const pieces = ids.map(this.piece)
    return [
      ...new Set([
        ...pieces.flatMap(({ over }) => over.filter((id) => !this.changed.has(id))),
        ...pieces.flatMap(({ crossing }) => crossing.filter((id) => !ids.includes(id))),
      ]),
    ]
  }

  /** What the frame carries with these off. */
  carried(ids: readonly number[]): Carried {
    let [tension, turning] = [0, 0]
    for (const id of [...ids, ...this.aside(ids)]) {
      const piece = this.piece(id)
      tension += piece.tension
      turning += piece.tension * piece.at
    }
    return this.frame.without(tension, turning)
  }

  /** What lies over a piece and is changed as well, and so on upwards: it comes off in the same go. The piece is the first. */
  stack(id: number): readonly number[] {
    const found = [id]
    for (const one of found)
      for (const over of this.piece(one).over)
        if (this.changed.has(over) && !found.includes(over)) found.push(over)
    return found
  }

  /** Whether everything that lies over its pieces is in it. */
  isReachable(ids: readonly number[]): boolean {
    return ids.every((id) =>
      this.piece(id).over.every((over) => !this.changed.has(over) || ids.includes(over)),
    )
  }

  /** Whether the frame allows it, and it can be reached. */
  isAllowed(ids: readonly number[]): boolean {
    return this.isReachable(ids) && isAllowed(this.carried(ids), this.bench.allowed)
  }

  /** What pieces in this order take from each other: those that are up already fall as the next is brought up. */
  lost(ids: readonly number[]): number {
    let cents = 0
    ids.forEach((raised, i) => {
      for (let j = 0; j < i; j += 1) cents += this.bench.lost(itemAt(ids, j), raised)
    })
    return cents
  }

  /** What cents cost, min: whatever has fallen by as much as the house retunes at is tuned once more. */
  minutesFor(lost: number): number {
    return (lost / this.bench.tolerance) * MINUTES.retune
  }

  /** What a go costs besides what its pieces take from each other, min. */
  settingOut(ids: readonly number[]): number {
    const { foot, scroll } = MINUTES
    const aside = this.aside(ids).reduce((sum, id) => {
      const { uncover, putBack } = ids.some((one) => this.piece(one).over.includes(id)) ? foot : scroll
      return sum + uncover + putBack
    }, 0)
    return (ids.some((id) => this.piece(id).inside) ? POSITIONS : 0) + aside
  }

  private readonly takesLess = (a: number, b: number) => this.bench.lost(a, b) - this.bench.lost(b, a)

  /** Whether one must be on before another, which lies over it or crosses it. */
  goesBefore(first: number, second: number): boolean {
    const { over, crossing } = this.piece(first)
    return over.includes(second) || crossing.includes(second)
  }

  /** A go with its pieces in this order. */
  batch(ids: readonly number[]): Batch {
    const lost = this.lost(ids)
    return {
      ids,
      aside: this.aside(ids),
      carried: this.carried(ids),
      lost,
      minutes: this.settingOut(ids) + this.minutesFor(lost),
    }
  }

  /**
   * Put into an order in which what lies over a piece is brought up after it; else the one in which they take least from each
   * other: of any two that comes first which would take more.
   *
   * @param first - another order to go by, as for a sort
   */
  inOrder(ids: readonly number[], first = this.takesLess): readonly number[] {
    const left = [...ids].sort((a, b) => first(a, b) || a - b)
    const order: number[] = []
    while (left.length > 0) {
      // One of those that nothing which is still to come lies under, the one that takes most first.
      const at = left.findIndex((id) => !left.some((other) => this.goesBefore(other, id)))
      if (at < 0) throw new RangeError('The layers of these strings run in a circle: none can be the first.')
      order.push(...left.splice(at, 1))
    }
    return order
  }
}
