/** What the frame carries while strings are changed: its load, and where the centre of that lies along the board. */
import type { Piece } from './piece'

/** What a house allows while strings are changed. */
export interface Allowed {
  /** The least share of the full load. */
  readonly share: number
  /** The most that the centre of the load may move, as a share of the board that is strung. */
  readonly shift: number
}

/** The centre may move by a tenth of the board that is strung. */
export const MOST_SHIFT = 0.1

/** What is on the frame at one moment. */
export interface Carried {
  /** Share of the full load. */
  readonly share: number
  /** How far its centre has moved, as a share of the board that is strung; towards the bass is positive. */
  readonly shift: number
}

/** How much of a piece’s tension is on: 1 at pitch. Half pitch is a quarter of the tension. */
export const PULLS = { off: 0, slack: 0, half: 0.25, pitch: 1 } as const
export type Stand = keyof typeof PULLS

export class Frame {
  readonly full: number
  private readonly centre: number
  private readonly extent: number

  /** @param pieces - all of the instrument */
  constructor(private readonly pieces: readonly Piece[]) {
    this.full = pieces.reduce((sum, { tension }) => sum + tension, 0)
    this.centre = pieces.reduce((sum, { tension, at }) => sum + tension * at, 0) / this.full
    const places = pieces.map(({ at }) => at)
    this.extent = Math.max(...places) - Math.min(...places)
  }

  /** What is carried where some pieces don’t stand at pitch, by their ids. */
  carried(stands: ReadonlyMap<number, Stand>): Carried {
    let [load, moment] = [0, 0]
    for (const { id, tension, at } of this.pieces) {
      const pull = tension * PULLS[stands.get(id) ?? 'pitch']
      load += pull
      moment += pull * at
    }
    return { share: load / this.full, shift: this.moved(load, moment) }
  }

  /** The same with pieces off, told by what they pull and what that turns. */
  without(tension: number, turning: number): Carried {
    const load = this.full - tension
    return { share: load / this.full, shift: this.moved(load, this.centre * this.full - turning) }
  }

  private moved(load: number, moment: number): number {
    return load <= 0 || this.extent === 0 ? 0 : (moment / load - this.centre) / this.extent
  }
}

/** Whether the house allows it; a hair beyond is rounding. */
export const isAllowed = ({ share, shift }: Carried, allowed: Allowed): boolean =>
  share >= allowed.share - 1e-9 && Math.abs(shift) <= allowed.shift + 1e-9
