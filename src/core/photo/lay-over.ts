/**
 * The strings of an instrument laid over its picture: its chart, turned and moved in the plane until the marked ends meet.
 */
import type { Instrument } from '../instrument/instrument'
import { placeAt, seenAt, type Camera } from './camera'
import type { Spot } from './homography'
import type { MarkedString } from './place-camera'

export interface LaidString {
  readonly number: number
  readonly upper: Spot
  readonly lower: Spot
}

/**
 * Where every string would be seen.
 *
 * @param marked - at least two strings
 */
export function laidOver(
  { positions }: Instrument,
  camera: Camera,
  marked: readonly MarkedString[],
): readonly LaidString[] {
  const pairs = marked.flatMap(({ number, upper, lower }) => {
    const at = positions[number - 1]?.at
    return at
      ? [
          { from: at.bridge, to: placeAt(camera, upper) },
          { from: at.tail, to: placeAt(camera, lower) },
        ]
      : []
  })
  // Seen from the side they are wound on or from the other one: whichever meets the marks better.
  const [plain, mirrored] = [fit(pairs, 1), fit(pairs, -1)]
  const { place } = plain.off <= mirrored.off ? plain : mirrored
  return positions.map(({ number, at: { bridge, tail } }) => ({
    number,
    upper: seenAt(camera, place(bridge)),
    lower: seenAt(camera, place(tail)),
  }))
}

interface Pair {
  readonly from: Spot
  readonly to: Spot
}

/** The turn and move that bring the pairs nearest to each other, the x of the first ones times `side`. */
function fit(pairs: readonly Pair[], side: 1 | -1) {
  const mean = (of: (pair: Pair) => number) => pairs.reduce((sum, pair) => sum + of(pair), 0) / pairs.length
  const from = { x: mean((p) => side * p.from.x), y: mean((p) => p.from.y) }
  const to = { x: mean((p) => p.to.x), y: mean((p) => p.to.y) }
  let [along, across] = [0, 0]
  for (const pair of pairs) {
    const [x, y] = [side * pair.from.x - from.x, pair.from.y - from.y]
    const [u, v] = [pair.to.x - to.x, pair.to.y - to.y]
    along += x * u + y * v
    across += x * v - y * u
  }
  const turn = Math.atan2(across, along)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const place = (spot: Spot): Spot => {
    const [x, y] = [side * spot.x - from.x, spot.y - from.y]
    return { x: to.x + c * x - s * y, y: to.y + s * x + c * y }
  }
  const off = pairs.reduce((sum, pair) => {
    const at = place(pair.from)
    return sum + (at.x - pair.to.x) ** 2 + (at.y - pair.to.y) ** 2
  }, 0)
  return { place, off }
}
