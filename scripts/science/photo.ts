/**
 * How true lengths from a picture are: instruments drawn as their preset may be wrong about them, seen by a camera that
 * stands askew, with marks that are off, and what is told held against what is.
 */
import { readShelf } from '@/data/demo/shelf-files'
import type { Instrument } from '@/core/instrument/instrument'
import { firstOfPieces } from '@/core/instrument/instrument'
import { takeLengths } from '@/core/measuring/take-lengths'
import { seenAt, turnedBy, type Camera } from '@/core/photo/camera'
import type { Spot } from '@/core/photo/homography'
import { runSideBySide, readPhoto } from '@/core/photo/lengths'
import { cornersOf } from '@/core/photo/scale'
import { seeded } from '@/core/random/seeded'
import { drawn, normal } from './measuring'

/** Longer side of a picture as the browser keeps it, pixels. */
const LONG = 4000
const SHORT = 3000
const A4 = { width: 0.21, height: 0.297 }
/** By how much every mark is off, pixels. */
const OFF = 2
const MOST_TILT = (25 * Math.PI) / 180
/** Lenses of telephones after they straightened their picture. */
const LENS = 0.015
const MARKED = 9
const TIMES = 20

export interface PhotoTruth {
  readonly name: string
  readonly lengths: number
  /** Of the strings that are marked, how far off in shares of the length. */
  readonly median: number
  readonly ninetyFive: number
  readonly worst: number
  /** The worst of those longer than 300 mm. */
  readonly worstLong: number
  /** The median of all strings, the others following those that are marked. */
  readonly all: number
  /** Share of the marked strings whose truth lies within ± what is told. */
  readonly within: number
}

let told: readonly PhotoTruth[] | undefined

/** Every instrument of the shelf, twenty pictures each; worked out once. */
export function photoTruth(): readonly PhotoTruth[] {
  return (told ??= readShelf('demo').instruments.map((assumed, i) => truthOf(assumed, seeded(100 + i))))
}

function truthOf(assumed: Instrument, random: () => number): PhotoTruth {
  const off: number[] = []
  const long: number[] = []
  const all: number[] = []
  const within: boolean[] = []
  for (let time = 0; time < TIMES; time += 1) {
    const real = drawn(assumed, random)
    const camera = askew(real, random)
    const sheetAt = cornerOf(real)
    const mark = (place: Spot): Spot => {
      const way = 2 * Math.PI * random()
      const seen = seenAt(camera, place)
      return { x: seen.x + OFF * Math.cos(way), y: seen.y + OFF * Math.sin(way) }
    }
    const pieces = firstOfPieces(real)
    const count = Math.min(MARKED, pieces.length)
    const marked = [
      ...new Set(
        Array.from({ length: count }, (_, k) => Math.round((k * (pieces.length - 1)) / (count - 1))),
      ),
    ].flatMap((k) => pieces[k] ?? [])
    const { lengths } = readPhoto({
      scale: {
        kind: 'sheet',
        ...A4,
        corners: cornersOf(A4).map(({ x, y }) => mark({ x: x + sheetAt.x, y: y + sheetAt.y })),
      },
      strings: marked.map(({ number, at: { bridge, tail } }) => ({
        number,
        upper: mark(bridge),
        lower: mark(tail),
        middle: mark({ x: (bridge.x + tail.x) / 2, y: (bridge.y + tail.y) / 2 }),
      })),
      picture: pictureOf(real),
      sideBySide: runSideBySide(assumed),
    })
    for (const { number, length, error } of lengths) {
      const truth = real.positions[number - 1]?.speakingLength ?? 0
      within.push(Math.abs(length - truth) <= error)
    }
    const { instrument } = takeLengths(assumed, [], lengths)
    for (const piece of pieces) {
      const share = Math.abs(
        (instrument.positions[piece.number - 1]?.speakingLength ?? 0) / piece.speakingLength - 1,
      )
      all.push(share)
      if (!marked.includes(piece)) continue
      off.push(share)
      if (piece.speakingLength > 0.3) long.push(share)
    }
  }
  return {
    name: assumed.name,
    lengths: off.length,
    median: at(off, 0.5),
    ninetyFive: at(off, 0.95),
    worst: Math.max(...off),
    worstLong: Math.max(...long),
    all: at(all, 0.5),
    within: within.filter(Boolean).length / within.length,
  }
}

/** The value that a share of them lies below. */
function at(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0
}

function boundsOf({ positions }: Instrument) {
  const all = positions.flatMap(({ at: { bridge, tail } }) => [bridge, tail])
  const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)]
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
}

function pictureOf(instrument: Instrument) {
  const { left, right, low, high } = boundsOf(instrument)
  return high - low > right - left ? { width: SHORT, height: LONG } : { width: LONG, height: SHORT }
}

/** A camera that has the whole instrument in its picture, turned away by up to 25°. */
function askew(instrument: Instrument, random: () => number): Camera {
  const { left, right, low, high } = boundsOf(instrument)
  const picture = pictureOf(instrument)
  const focal = (0.7 + 0.3 * random()) * LONG
  const [tilt, toward] = [MOST_TILT * random(), 2 * Math.PI * random()]
  const turned = turnedBy(
    [1, 0, 0, 0, -1, 0, 0, 0, -1],
    [tilt * Math.cos(toward), tilt * Math.sin(toward), 0.05 * normal(random)],
  )
  const distance = focal * 1.25 * Math.max((right - left) / picture.width, (high - low) / picture.height)
  const middle = [(left + right) / 2, (low + high) / 2] as const
  const seen = [0, 1, 2].map(
    (row) => (turned[row * 3] as number) * middle[0] + (turned[row * 3 + 1] as number) * middle[1],
  )
  return {
    focal,
    lens: LENS * normal(random),
    turned,
    stands: [-(seen[0] as number), -(seen[1] as number), distance - (seen[2] as number)],
    middle: { x: picture.width / 2, y: picture.height / 2 },
  }
}

/** The sheet hangs in the middle of the strings: where its lower left corner is. */
function cornerOf(instrument: Instrument): Spot {
  const { left, right, low, high } = boundsOf(instrument)
  return { x: (left + right - A4.width) / 2, y: (low + high - A4.height) / 2 }
}
