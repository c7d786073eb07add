/**
 * Lengths of strings from a picture, with how sure they are.
 */
import type { Instrument } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { placeAt, type Camera } from './camera'
import type { Spot } from './homography'
import { HAND, moved, placeCamera, type MarkedString, type Marks, type PlacedCamera } from './place-camera'

export interface PhotoLength {
  readonly number: number
  /** m */
  readonly length: number
  /** One standard deviation, m: of the marks, and of where the camera is taken to stand. */
  readonly error: number
}

export interface PhotoReading {
  readonly placed: PlacedCamera
  readonly lengths: readonly PhotoLength[]
  /** Share by which the lens would change the longest of them, were it as little straightened as a telephone’s ever is. */
  readonly lensEffect: number
}

/**
 * Lengths as a picture tells them.
 *
 * @throws RangeError with a sentence that can be shown, when the marks can’t be those of a sheet and of strings
 */
export function readPhoto(marks: Marks): PhotoReading {
  const placed = placeCamera(marks)
  const lengths = marks.strings.map((string): PhotoLength => {
    const length = lengthOf(placed.camera, string)
    if (!(length > 0) || !Number.isFinite(length))
      throw new RangeError(`String ${string.number} is marked where the sheet’s plane is not seen.`)
    return { number: string.number, length, error: errorOf(placed, string) }
  })
  const longest = lengths.reduce<PhotoLength | null>((a, b) => (a && a.length > b.length ? a : b), null)
  const of = marks.strings.find(({ number }) => number === longest?.number)
  const bent = { ...placed.camera, lens: placed.camera.lens + 0.02 }
  return {
    placed,
    lengths,
    lensEffect: of && longest ? Math.abs(lengthOf(bent, of) / longest.length - 1) : 0,
  }
}

/** Strings no further from each other than this run side by side, rad. */
const SIDE_BY_SIDE = 0.02

/** Whether all strings of an instrument run side by side, as far as its chart says. */
export function runSideBySide({ positions }: Pick<Instrument, 'positions'>): boolean {
  const ways = positions.map(({ at: { bridge, tail } }) => Math.atan2(bridge.x - tail.x, bridge.y - tail.y))
  return Math.max(...ways) - Math.min(...ways) < SIDE_BY_SIDE
}

/** Speaking length of a marked string, m. */
function lengthOf(camera: Camera, { upper, lower }: Pick<MarkedString, 'upper' | 'lower'>): number {
  const [a, b] = [placeAt(camera, upper), placeAt(camera, lower)]
  return Math.hypot(a.x - b.x, a.y - b.y)
}

const STEP = 1e-6

/** By how much the length follows what is not known: each mark by itself, the camera’s unknowns together. */
function errorOf({ camera, spread }: PlacedCamera, string: MarkedString): number {
  const here = lengthOf(camera, string)
  const follows = spread.map((_, i) => {
    const step = spread.map((_unused, j) => (i === j ? STEP : 0))
    return (lengthOf(moved(camera, step), string) - here) / STEP
  })
  const ofCamera = spread.reduce(
    (sum, row, i) =>
      sum + row.reduce((part, value, j) => part + itemAt(follows, i) * value * itemAt(follows, j), 0),
    0,
  )
  const ofMark = (move: (by: Spot) => Pick<MarkedString, 'upper' | 'lower'>) =>
    [
      { x: 1, y: 0 },
      { x: 0, y: 1 },
    ].reduce((sum, by) => sum + ((lengthOf(camera, move(by)) - here) * HAND) ** 2, 0)
  const plus = (a: Spot, b: Spot) => ({ x: a.x + b.x, y: a.y + b.y })
  const ofMarks =
    ofMark((by) => ({ upper: plus(string.upper, by), lower: string.lower })) +
    ofMark((by) => ({ upper: string.upper, lower: plus(string.lower, by) }))
  return Math.sqrt(Math.max(0, ofCamera) + ofMarks)
}

/** A length that is known no better than this is worth another picture, as a share of it. */
const WIDE = 0.005

/** Strings that a picture from nearer would show better: known badly, and less than half as long as the longest marked. */
export function shortOnes(lengths: readonly PhotoLength[]): readonly PhotoLength[] {
  const longest = Math.max(...lengths.map(({ length }) => length))
  return lengths.filter(({ length, error }) => error > WIDE * length && length < longest / 2)
}
