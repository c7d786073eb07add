/**
 * The board that the strings stand on: how far each pulls it up, and what the others lose by that. Starting values are
 * estimates, which give way to what rounds of tuning show.
 */
import {
  isHarp,
  restPitch,
  spanOf,
  type Instrument,
  type Point,
  type StringPosition,
} from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { semitoneNumber } from '../pitch/note'
import { coreMaterial } from '../strings/construction'
import { stress, tension } from '../strings/tension'

/** How a board yields. */
export interface BoardYields {
  /** C: how far it is pulled up where a string stands, m for each N square to it. */
  readonly compliance: number
  /** ℓ: a place so far away moves by 1/e of that, m. */
  readonly reach: number
}

/** One string as the board feels it, and as it feels the board. */
export interface BoardString {
  /** Where it stands on the board, m. */
  readonly at: Point
  /** sin θ, θ between string and board. */
  readonly lean: number
  /** At pitch, N. */
  readonly tension: number
  /** What it falls by when its ends come nearer, cents for each m. */
  readonly perMetre: number
  /** Strings of one material feel the weather alike. */
  readonly material: string
  /** Above C−1, A4 being 69. */
  readonly semitone: number
}

const HARP: BoardYields = { compliance: 1e-6, reach: 0.15 }
const ZITHER: BoardYields = { compliance: 1e-7, reach: 0.15 }

/** Strings that run along their board lean on it only where they break over the bridge: sin 12°, an estimate. */
const OVER_A_BRIDGE = 0.21

/** Before any round was tuned. */
export function startingYields(instrument: Pick<Instrument, 'family'>): BoardYields {
  return isHarp(instrument) ? HARP : ZITHER
}

/** An instrument's strings on their board, in the order of its positions. */
export function boardStrings(instrument: Instrument): readonly BoardString[] {
  return instrument.positions.map((position, i) => ({
    at: position.at.tail,
    lean: isHarp(instrument) ? leanOn(instrument.positions, i) : OVER_A_BRIDGE,
    tension: tension(position.construction, position.speakingLength, restPitch(instrument, position)),
    perMetre: centsPerMetre(instrument, position),
    material: coreMaterial(position.construction).name,
    semitone: semitoneNumber(position.note),
  }))
}

/** sin θ: a harp is drawn from the side, where the feet of its strings run along the board. */
function leanOn(positions: readonly StringPosition[], i: number): number {
  const { tail, pin } = itemAt(positions, i).at
  const before = positions[Math.max(0, i - 1)]?.at.tail ?? tail
  const after = positions[Math.min(positions.length - 1, i + 1)]?.at.tail ?? tail
  const along = { x: after.x - before.x, y: after.y - before.y }
  const string = { x: pin.x - tail.x, y: pin.y - tail.y }
  const size = Math.hypot(along.x, along.y) * Math.hypot(string.x, string.y)
  return size > 0 ? Math.abs(along.x * string.y - along.y * string.x) / size : OVER_A_BRIDGE
}

/** 866 cents for each share of the stress that is lost, by the modulus that holds at this load: 866 / ΔL for a linear material. */
function centsPerMetre(instrument: Instrument, position: StringPosition): number {
  const { construction, speakingLength, freeLength, pitch } = spanOf(instrument, position)
  const { modulus, stiffening } = coreMaterial(construction)
  const sigma = stress(construction, speakingLength, pitch)
  return ((600 / Math.LN2) * (modulus + stiffening * sigma)) / (sigma * freeLength)
}
