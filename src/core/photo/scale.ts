/**
 * What tells the size of things in a picture: a sheet of known size, or a ruler, in the plane of the strings.
 */
import { itemAt } from '../list/item-at'
import { goRound, type Spot } from './homography'

export type Scale =
  | {
      readonly kind: 'sheet'
      /** Marked in turn: upper left, upper right, lower right, lower left. */
      readonly corners: readonly Spot[]
      /** m */
      readonly width: number
      readonly height: number
    }
  | {
      readonly kind: 'ruler'
      /** Marked, pixels. */
      readonly ends: readonly [Spot, Spot]
      /** Between the ends, m. */
      readonly length: number
    }

/** A place in the plane, m, y upward, and where it is marked, pixels. */
export interface Known {
  readonly place: Spot
  readonly marked: Spot
}

/** Less of a ruler in a picture says nothing, pixels. */
const SHORTEST = 20

/**
 * The places that a scale tells. The plane’s up is that of the picture, so that a ruler may lie any way.
 *
 * @throws RangeError with a sentence that can be shown, when it can’t be marked so
 */
export function knownPlaces(scale: Scale): readonly Known[] {
  if (scale.kind === 'ruler') {
    const [from, to] = scale.ends
    const [right, down] = [to.x - from.x, to.y - from.y]
    const pixels = Math.hypot(right, down)
    if (pixels < SHORTEST) throw new RangeError('The ends of the ruler lie on each other. Mark them again.')
    const along = { x: (right / pixels) * scale.length, y: (-down / pixels) * scale.length }
    return [
      { place: { x: 0, y: 0 }, marked: from },
      { place: along, marked: to },
    ]
  }
  if (!goRound(scale.corners))
    throw new RangeError(
      'The corners cross each other. Mark them in turn: upper left, upper right, lower right, lower left.',
    )
  return cornersOf(scale).map((place, i) => ({ place, marked: itemAt(scale.corners, i) }))
}

/** A sheet’s corners in its plane, m, y upward. */
export function cornersOf({
  width,
  height,
}: {
  readonly width: number
  readonly height: number
}): readonly Spot[] {
  return [
    { x: 0, y: height },
    { x: width, y: height },
    { x: width, y: 0 },
    { x: 0, y: 0 },
  ]
}
