/**
 * Where the camera stood, from a sheet or a ruler of known size in the plane of the strings and from the strings themselves: the most
 * likely camera, given how well a hand marks, that strings are straight, and, where they are, that they run side by side.
 */
import { Matrix, solve } from 'ml-matrix'
import { itemAt } from '../list/item-at'
import { placeAt, seenAt, turnedBy, type Camera } from './camera'
import { homographyOf, type Spot } from './homography'
import { knownPlaces, type Known, type Scale } from './scale'

/** A string as it is marked on the picture. */
export interface MarkedString {
  readonly number: number
  readonly upper: Spot
  readonly lower: Spot
  /** Anywhere near its middle; null where it was not marked. It tells the lens. */
  readonly middle: Spot | null
}

export interface Marks {
  readonly scale: Scale
  readonly strings: readonly MarkedString[]
  /** Of the picture, pixels. */
  readonly picture: { readonly width: number; readonly height: number }
  /** Whether all its strings run side by side. */
  readonly sideBySide: boolean
}

/** One standard deviation of a mark set by hand, pixels. */
export const HAND = 2
/** Focal lengths of telephones and cameras, as a share of the picture’s longer side, and the spread of their logarithm. */
const USUAL_FOCAL = 0.8
const FOCAL_SPREAD = 0.25
/** Lenses are straightened well by most cameras. */
const LENS_SPREAD = 0.03
/** By so much one stands askew who means to stand square, rad. */
const USUAL_TILT = 0.12
/** Strings run side by side to within this, rad: pins are drilled by hand. */
const ASIDE = 0.004

/** The seven unknowns: a turn, a place, log focal length; and the lens. */
const UNKNOWNS = 8
const MOST_ROUNDS = 60

export interface PlacedCamera {
  readonly camera: Camera
  /** Covariance of the unknowns: turn (rad), place (m), log of the focal length, lens. */
  readonly spread: readonly (readonly number[])[]
}

/**
 * The most likely camera.
 *
 * @throws RangeError with a sentence that can be shown, when the marks can’t be those of a sheet or a ruler
 */
export function placeCamera(marks: Marks): PlacedCamera {
  const known = knownPlaces(marks.scale)
  let camera = firstGuess(marks, known)
  let damping = 1e-3
  let residuals = residualsOf(marks, known, camera)
  let curvature = Matrix.eye(UNKNOWNS)
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const jacobian = jacobianOf(marks, known, camera, residuals)
    curvature = jacobian.transpose().mmul(jacobian)
    const slope = jacobian.transpose().mmul(Matrix.columnVector(residuals))
    const damped = curvature.clone()
    for (let i = 0; i < UNKNOWNS; i += 1) damped.set(i, i, damped.get(i, i) * (1 + damping))
    const step = solve(damped, slope)
      .to1DArray()
      .map((x) => -x)
    const next = moved(camera, step)
    const then = residualsOf(marks, known, next)
    if (!(squares(then) < squares(residuals))) {
      damping *= 10
      if (damping > 1e8) break
      continue
    }
    const gained = squares(residuals) - squares(then)
    ;[camera, residuals, damping] = [next, then, damping / 10]
    if (gained < 1e-10) break
  }
  const spread = solve(curvature, Matrix.eye(UNKNOWNS))
  return { camera, spread: spread.to2DArray() }
}

/** A camera moved by small steps of its unknowns. */
export function moved(camera: Camera, step: readonly number[]): Camera {
  const [a = 0, b = 0, c = 0, x = 0, y = 0, z = 0, focal = 0, lens = 0] = step
  const [tx, ty, tz] = camera.stands
  return {
    ...camera,
    turned: turnedBy(camera.turned, [a, b, c]),
    stands: [tx + x, ty + y, tz + z],
    focal: camera.focal * Math.exp(focal),
    lens: camera.lens + lens,
  }
}

function firstGuess({ scale, picture }: Marks, known: readonly Known[]): Camera {
  const focal = USUAL_FOCAL * Math.max(picture.width, picture.height)
  const middle = { x: picture.width / 2, y: picture.height / 2 }
  const rays = known.map(({ marked: { x, y } }) => ({ x: (x - middle.x) / focal, y: (y - middle.y) / focal }))
  const seen =
    scale.kind === 'sheet'
      ? facedBySheet(
          known.map(({ place }) => place),
          rays,
        )
      : facedByRuler(scale.length, known, rays)
  return { focal, lens: 0, middle, ...seen }
}

type Facing = Pick<Camera, 'turned' | 'stands'>

function facedBySheet(places: readonly Spot[], rays: readonly Spot[]): Facing {
  const h = homographyOf(places, rays)
  const column = (i: number) => [h[i], h[i + 3], h[i + 6]] as [number, number, number]
  const [h1, h2, h3] = [column(0), column(1), column(2)]
  const size = Math.sqrt(Math.hypot(...h1) * Math.hypot(...h2))
  const r1 = unit(h1)
  const along = dot(r1, h2)
  const r2 = unit(h2.map((v, i) => v - along * itemAt(r1, i)) as Vector)
  const r3 = cross(r1, r2)
  const turned = [0, 1, 2].flatMap((i) => [r1[i], r2[i], r3[i]] as number[])
  const stands = h3.map((v) => v / size) as Vector
  return { turned, stands }
}

/** As if the camera stood square to it. */
function facedByRuler(length: number, known: readonly Known[], rays: readonly Spot[]): Facing {
  const [{ place }] = known as [Known]
  const [from, to] = rays as [Spot, Spot]
  const away = length / Math.hypot(to.x - from.x, to.y - from.y)
  return {
    turned: [1, 0, 0, 0, -1, 0, 0, 0, -1],
    stands: [from.x * away - place.x, from.y * away + place.y, away],
  }
}

function residualsOf(marks: Marks, known: readonly Known[], camera: Camera): readonly number[] {
  const { scale, strings, picture, sideBySide } = marks
  const usual = USUAL_FOCAL * Math.max(picture.width, picture.height)
  const scaleOff = known.flatMap(({ place, marked }) => {
    const seen = seenAt(camera, place)
    return [(seen.x - marked.x) / HAND, (seen.y - marked.y) / HAND]
  })
  const lines = strings.map(({ upper, lower }) => {
    const [a, b] = [placeAt(camera, upper), placeAt(camera, lower)]
    const pixels = Math.hypot(upper.x - lower.x, upper.y - lower.y)
    return { angle: Math.atan2(b.x - a.x, a.y - b.y), error: Math.hypot((HAND * Math.SQRT2) / pixels, ASIDE) }
  })
  const weight = lines.reduce((sum, { error }) => sum + error ** -2, 0)
  const mean = lines.reduce((sum, { angle, error }) => sum + angle * error ** -2, 0) / weight
  const aside = sideBySide ? lines.map(({ angle, error }) => (angle - mean) / error) : []
  const bent = strings.flatMap(({ upper, lower, middle }) => {
    if (!middle) return []
    // How far the straight string between its marked ends is seen from the mark in its middle.
    const [a, b, m] = [upper, lower, middle].map((spot) => placeAt(camera, spot)) as [Spot, Spot, Spot]
    const share =
      ((m.x - a.x) * (b.x - a.x) + (m.y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)
    const on = seenAt(camera, { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })
    return [(Math.hypot(on.x - middle.x, on.y - middle.y) * side(a, b, m)) / (HAND * Math.sqrt(1.5))]
  })
  return [
    ...scaleOff,
    // A ruler does not tell how the camera is turned away: it is known only that one stands about square to it.
    ...(scale.kind === 'ruler' ? [itemAt(camera.turned, 2), itemAt(camera.turned, 5)] : []).map(
      (off) => off / USUAL_TILT,
    ),
    ...aside,
    ...bent,
    Math.log(camera.focal / usual) / FOCAL_SPREAD,
    camera.lens / LENS_SPREAD,
  ]
}

/** Which side of a line a place lies on. */
function side(a: Spot, b: Spot, m: Spot): number {
  return Math.sign((b.x - a.x) * (m.y - a.y) - (b.y - a.y) * (m.x - a.x))
}

const STEP = 1e-6

function jacobianOf(marks: Marks, known: readonly Known[], camera: Camera, at: readonly number[]): Matrix {
  const columns = Array.from({ length: UNKNOWNS }, (_, i) => {
    const step = Array.from({ length: UNKNOWNS }, (_unused, j) => (i === j ? STEP : 0))
    return residualsOf(marks, known, moved(camera, step)).map(
      (value, row) => (value - itemAt(at, row)) / STEP,
    )
  })
  return new Matrix(columns).transpose()
}

type Vector = [number, number, number]
const squares = (of: readonly number[]) => of.reduce((sum, x) => sum + x * x, 0)
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const unit = (a: Vector): Vector => a.map((v) => v / Math.hypot(...a)) as Vector
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
