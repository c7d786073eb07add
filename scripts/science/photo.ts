/**
 * How true lengths from a picture are: instruments drawn as their preset may be wrong about them, seen by a camera that
 * stands askew, with marks that are off, and what is told held against what is.
 */
import { itemAt } from '@/core/list/item-at'
import { readShelf } from '@/data/demo/shelf-files'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { firstOfPieces } from '@/core/instrument/instrument'
import { takeLengths } from '@/core/measuring/take-lengths'
import { seenAt, turnedBy, type Camera } from '@/core/photo/camera'
import type { Spot } from '@/core/photo/homography'
import { readPhoto, runSideBySide, shortOnes, type PhotoReading } from '@/core/photo/lengths'
import { cornersOf } from '@/core/photo/scale'
import { seeded } from '@/core/random/seeded'
import { drawn, normal } from './measuring'

/** Longer side of a picture as the browser keeps it, pixels. */
const LONG = 4000
const SHORT = 3000
const A4 = { width: 0.21, height: 0.297 }
/** A bank card as it lies: the smaller the strings, the nearer one can come with it. */
const CARD = { width: 0.0856, height: 0.05398 }
/** Strings that take up less than this are pictured with it, m. */
const CARD_FOR = 0.25
/** By how much every mark is off, pixels. */
const OFF = 2
const MOST_TILT = (25 * Math.PI) / 180
/** Lenses of telephones after they straightened their picture. */
const LENS = 0.015
const MARKED = 9
const TIMES = 20
/** Strings above this are told by themselves, m. */
const LONG_STRING = 0.3
/** A picture from nearer of fewer strings is not worth it. */
const FEWEST = 2
/** Pictures from nearer, at most. */
const MOST_NEARER = 2
/** A steel rule, m. */
const RULER = 0.5

export interface PhotoTruth {
  readonly name: string
  readonly lengths: number
  /** Of the strings that are marked, how far off in shares of the length. */
  readonly median: number
  readonly ninetyFive: number
  readonly worst: number
  /** The worst of those longer than 300 mm. */
  readonly worstLong: number
  /** The worst of all that are marked, once the short ones were taken again from nearer. */
  readonly worstNearer: number
  /** With a ruler in place of the sheet, of strings longer than 300 mm: the median and the worst. */
  readonly ruler: number
  readonly worstRuler: number
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
  const nearer: number[] = []
  const ruled: number[] = []
  const all: number[] = []
  const within: boolean[] = []
  for (let time = 0; time < TIMES; time += 1) {
    const real = drawn(assumed, random)
    const pieces = firstOfPieces(real)
    const marked = spread(pieces)
    const { lengths } = pictured(assumed, pieces, marked, 'sheet', random)
    for (const { number, length, error } of lengths) {
      const truth = real.positions[number - 1]?.speakingLength ?? 0
      within.push(Math.abs(length - truth) <= error)
    }
    const one = takeLengths(assumed, [], lengths)
    const wrongBy = (instrument: Instrument, { number, speakingLength }: StringPosition) =>
      Math.abs((instrument.positions[number - 1]?.speakingLength ?? 0) / speakingLength - 1)
    for (const piece of pieces) {
      all.push(wrongBy(one.instrument, piece))
      if (!marked.includes(piece)) continue
      off.push(wrongBy(one.instrument, piece))
      if (piece.speakingLength > LONG_STRING) long.push(wrongBy(one.instrument, piece))
    }
    let two = one
    let seen = lengths
    const nearby = new Set(marked)
    for (let more = 0; more < MOST_NEARER; more += 1) {
      // As the screen says: those that are wide and short, and whatever is shorter.
      const limit = Math.max(...shortOnes(seen).map(({ length }) => length))
      const short = pieces.filter(({ speakingLength }) => speakingLength <= limit * 1.01)
      if (short.length < FEWEST) break
      const close = [...new Set([...spread(short), ...short.filter((piece) => nearby.has(piece))])].sort(
        (a, b) => a.number - b.number,
      )
      seen = pictured(two.instrument, short, close, 'nearest', random).lengths
      two = takeLengths(two.instrument, two.measured, seen)
      close.forEach((piece) => nearby.add(piece))
    }
    for (const piece of nearby) nearer.push(wrongBy(two.instrument, piece))
    const byRuler = takeLengths(assumed, [], pictured(assumed, pieces, marked, 'ruler', random).lengths)
    for (const piece of marked)
      if (piece.speakingLength > LONG_STRING) ruled.push(wrongBy(byRuler.instrument, piece))
  }
  return {
    name: assumed.name,
    lengths: off.length,
    median: at(off, 0.5),
    ninetyFive: at(off, 0.95),
    worst: Math.max(...off),
    worstLong: Math.max(...long),
    worstNearer: Math.max(...nearer),
    ruler: at(ruled, 0.5),
    worstRuler: Math.max(...ruled),
    all: at(all, 0.5),
    within: within.filter(Boolean).length / within.length,
  }
}

/** Some strings of them, spread evenly. */
function spread(pieces: readonly StringPosition[]): readonly StringPosition[] {
  const count = Math.min(MARKED, pieces.length)
  if (count < 2) return pieces
  return [
    ...new Set(Array.from({ length: count }, (_, k) => Math.round((k * (pieces.length - 1)) / (count - 1)))),
  ].flatMap((k) => pieces[k] ?? [])
}

/**
 * What a picture tells.
 *
 * @param shown - strings that are in it
 * @param marked - strings that are marked
 */
function pictured(
  assumed: Instrument,
  shown: readonly StringPosition[],
  marked: readonly StringPosition[],
  by: 'sheet' | 'nearest' | 'ruler',
  random: () => number,
): PhotoReading {
  const bounds = boundsOf(shown)
  const extent = Math.max(bounds.right - bounds.left, bounds.high - bounds.low)
  const sheet = by === 'nearest' && extent < CARD_FOR ? CARD : A4
  const camera = askew(bounds, sheet, random)
  const mark = (place: Spot): Spot => {
    const way = 2 * Math.PI * random()
    const seen = seenAt(camera, place)
    return { x: seen.x + OFF * Math.cos(way), y: seen.y + OFF * Math.sin(way) }
  }
  const middle = { x: (bounds.left + bounds.right) / 2, y: (bounds.low + bounds.high) / 2 }
  const corner = { x: middle.x - sheet.width / 2, y: middle.y - sheet.height / 2 }
  return readPhoto({
    scale:
      by !== 'ruler'
        ? {
            kind: 'sheet',
            ...sheet,
            corners: cornersOf(sheet).map(({ x, y }) => mark({ x: x + corner.x, y: y + corner.y })),
          }
        : {
            kind: 'ruler',
            length: RULER,
            ends: [
              mark({ x: middle.x, y: middle.y - RULER / 2 }),
              mark({ x: middle.x, y: middle.y + RULER / 2 }),
            ],
          },
    strings: marked.map(({ number, at: { bridge, tail } }) => ({
      number,
      upper: mark(bridge),
      lower: mark(tail),
      middle: mark({ x: (bridge.x + tail.x) / 2, y: (bridge.y + tail.y) / 2 }),
    })),
    picture: pictureOf(bounds),
    sideBySide: runSideBySide(assumed),
  })
}

/** The value that a share of them lies below. */
function at(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0
}

interface Bounds {
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
}

function boundsOf(positions: readonly StringPosition[]): Bounds {
  const all = positions.flatMap(({ at: { bridge, tail } }) => [bridge, tail])
  const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)]
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
}

function pictureOf({ left, right, low, high }: Bounds) {
  return high - low > right - left ? { width: SHORT, height: LONG } : { width: LONG, height: SHORT }
}

/** A camera that has them all in its picture, and the scale, turned away by up to 25°. */
function askew(bounds: Bounds, sheet: typeof A4, random: () => number): Camera {
  const { left, right, low, high } = bounds
  const picture = pictureOf(bounds)
  const focal = (0.7 + 0.3 * random()) * LONG
  const [tilt, toward] = [MOST_TILT * random(), 2 * Math.PI * random()]
  const turned = turnedBy(
    [1, 0, 0, 0, -1, 0, 0, 0, -1],
    [tilt * Math.cos(toward), tilt * Math.sin(toward), 0.05 * normal(random)],
  )
  const [width, height] = [Math.max(right - left, sheet.width), Math.max(high - low, sheet.height)]
  const distance = focal * 1.25 * Math.max(width / picture.width, height / picture.height)
  const middle = [(left + right) / 2, (low + high) / 2] as const
  const seen = [0, 1, 2].map(
    (row) => itemAt(turned, row * 3) * middle[0] + itemAt(turned, row * 3 + 1) * middle[1],
  )
  return {
    focal,
    lens: LENS * normal(random),
    turned,
    stands: [-itemAt(seen, 0), -itemAt(seen, 1), distance - itemAt(seen, 2)],
    middle: { x: picture.width / 2, y: picture.height / 2 },
  }
}
