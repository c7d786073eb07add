/**
 * A camera before a plane: where it stands, its focal length and its lens, and the way from the plane to the picture and
 * back. Pixels are square and the lens is round; the picture is not cropped to one side.
 */
import { itemAt } from '../list/item-at'
import type { Spot } from './homography'

export interface Camera {
  /** Pixels. */
  readonly focal: number
  /** First coefficient of the lens: a ray at r from the middle, in focal lengths, is seen at r (1 + k r²). */
  readonly lens: number
  /** Turned from the plane to the camera, row by row. */
  readonly turned: readonly number[]
  /** The plane’s origin seen from the camera, in the plane’s unit. */
  readonly stands: readonly [x: number, y: number, z: number]
  /** Middle of the picture, pixels. */
  readonly middle: Spot
}

/** Where a place in the plane is seen. */
export function seenAt({ focal, lens, turned: r, stands: t, middle }: Camera, { x, y }: Spot): Spot {
  const at = (row: number) => itemAt(r, row * 3) * x + itemAt(r, row * 3 + 1) * y + itemAt(t, row)
  const z = at(2)
  const [u, v] = [at(0) / z, at(1) / z]
  const bent = 1 + lens * (u * u + v * v)
  return { x: middle.x + focal * u * bent, y: middle.y + focal * v * bent }
}

/** More rounds than straightening a ray ever takes. */
const ROUNDS = 20

/** The place in the plane that is seen at a spot. */
export function placeAt({ focal, lens, turned: r, stands: t, middle }: Camera, { x, y }: Spot): Spot {
  const [bx, by] = [(x - middle.x) / focal, (y - middle.y) / focal]
  let [u, v] = [bx, by]
  for (let round = 0; round < ROUNDS; round += 1) {
    const bent = 1 + lens * (u * u + v * v)
    ;[u, v] = [bx / bent, by / bent]
  }
  // The ray (u, v, 1) s = R (x, y, 0) + t: two equations for x and y once s is taken out.
  const row = (i: number) => [r[i * 3], r[i * 3 + 1], t[i]] as [number, number, number]
  const [r0, r1, r2] = [row(0), row(1), row(2)]
  const [a, b, c] = [r0[0] - u * r2[0], r0[1] - u * r2[1], u * r2[2] - r0[2]]
  const [d, e, f] = [r1[0] - v * r2[0], r1[1] - v * r2[1], v * r2[2] - r1[2]]
  const whole = a * e - b * d
  return { x: (c * e - b * f) / whole, y: (a * f - c * d) / whole }
}

/** A small turn, rad round each axis, after another one. */
export function turnedBy(
  turned: readonly number[],
  [a, b, c]: readonly [number, number, number],
): readonly number[] {
  const angle = Math.hypot(a, b, c)
  if (angle < 1e-15) return turned
  const [x, y, z] = [a / angle, b / angle, c / angle]
  const [s, k] = [Math.sin(angle), 1 - Math.cos(angle)]
  const by = [
    1 - k * (y * y + z * z),
    k * x * y - s * z,
    k * x * z + s * y,
    k * x * y + s * z,
    1 - k * (x * x + z * z),
    k * y * z - s * x,
    k * x * z - s * y,
    k * y * z + s * x,
    1 - k * (x * x + y * y),
  ]
  return Array.from({ length: 9 }, (_, i) => {
    const [row, column] = [Math.floor(i / 3), i % 3]
    return [0, 1, 2].reduce((sum, j) => sum + itemAt(by, row * 3 + j) * itemAt(turned, j * 3 + column), 0)
  })
}
