/**
 * The air of a room: what was read of it, and what it does to strings of each material.
 */
import { itemAt } from '../list/item-at'
import type { Material } from '../strings/materials'
import { HOUR } from '../units/time'

export interface RoomReading {
  /** ms since 1970 */
  readonly at: number
  /** °C; null where it was not read. */
  readonly celsius: number | null
  /** Relative humidity, %; null where it was not read. */
  readonly humidity: number | null
}

/** Air that an instrument may stand in. */
export const AIR_BOUNDS = { celsius: [-30, 60], humidity: [1, 100] } as const

/** How the air changed between two times; null where nobody read it near one of them. */
export interface RoomChange {
  readonly kelvin: number | null
  /** Of relative humidity, in points of a hundred. */
  readonly percent: number | null
}

/** Between two readings further apart than this nobody knows how it was, h. */
const FURTHEST_APART = 24
/** Before the first and after the last reading the air is taken to stay for so long, h. */
const STAYS = 3

/** The air of a room over time. */
export class Room {
  private readonly kelvin: Series
  private readonly percent: Series

  /** @param readings - in any order */
  constructor(readings: readonly RoomReading[]) {
    const sorted = [...readings].sort((a, b) => a.at - b.at)
    this.kelvin = seriesOf(sorted, ({ celsius }) => celsius)
    this.percent = seriesOf(sorted, ({ humidity }) => humidity)
  }

  /** @param from - ms since 1970, as is `to` */
  change(from: number, to: number): RoomChange {
    return { kelvin: between(this.kelvin, from, to), percent: between(this.percent, from, to) }
  }
}

type Series = readonly (readonly [at: number, value: number])[]

const seriesOf = (readings: readonly RoomReading[], value: (one: RoomReading) => number | null): Series =>
  readings.flatMap((one) => {
    const read = value(one)
    return read === null ? [] : [[one.at, read] as const]
  })

function between(series: Series, from: number, to: number): number | null {
  const [was, is] = [valueAt(series, from), valueAt(series, to)]
  return was === null || is === null ? null : is - was
}

function valueAt(series: Series, at: number): number | null {
  // The first reading after that time, by halving.
  let [low, high] = [0, series.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (itemAt(series, middle)[0] <= at) low = middle + 1
    else high = middle
  }
  const [before, after] = [series[low - 1], series[low]]
  if (before && after && after[0] - before[0] <= FURTHEST_APART * HOUR)
    return before[1] + ((after[1] - before[1]) * (at - before[0])) / (after[0] - before[0])
  if (before && at - before[0] <= STAYS * HOUR) return before[1]
  return after && after[0] - at <= STAYS * HOUR ? after[1] : null
}

/** A figure and its standard deviation. */
export interface Sure {
  readonly mean: number
  readonly off: number
}

/** What the air does to a material, cents. */
export interface AirResponse {
  readonly perKelvin: Sure
  readonly perPercent: Sure
}

const NOTHING: Sure = { mean: 0, off: 0.1 }
const METAL = (mean: number): AirResponse => ({ perKelvin: { mean, off: 0.8 }, perPercent: NOTHING })
const NYLON: AirResponse = { perKelvin: { mean: -2, off: 1 }, perPercent: { mean: -1, off: 0.5 } }
/** Damp swells gut, which shortens and sharpens it, and softens it, which flattens it: which is more is not sure. */
const GUT: AirResponse = { perKelvin: { mean: 0, off: 1 }, perPercent: { mean: -2, off: 2 } }

/** Starting values, estimates all of them. */
const RESPONSES: Readonly<Record<Material, AirResponse>> = {
  gut: GUT,
  silk: GUT,
  'nylon 6.12': NYLON,
  'nylon 6.6': NYLON,
  fluorocarbon: { perKelvin: { mean: -1, off: 1 }, perPercent: { mean: 0, off: 0.5 } },
  steel: METAL(-2),
  'phosphor bronze': METAL(-3.5),
  brass: METAL(-3.5),
  copper: METAL(-3.5),
}

/** Before the house's own strings told. */
export const startingResponse = (material: Material): AirResponse => RESPONSES[material]

/** What a settled string did while the air changed. */
export interface AirSeen {
  readonly change: RoomChange
  /** By how much its pitch rose, cents. */
  readonly rose: number
  /** Standard deviation of what else it did, cents. */
  readonly error: number
}

/**
 * What settled strings have told of a material: a normal distribution of both figures, from the starting values on.
 *
 * @param seen - of strings of the material; those of which the air was not known tell nothing
 */
export function learnResponse(material: Material, seen: readonly AirSeen[]): AirResponse {
  const { perKelvin, perPercent } = startingResponse(material)
  let [kk, kp, pp] = [perKelvin.off ** -2, 0, perPercent.off ** -2]
  let [k, p] = [perKelvin.mean * kk, perPercent.mean * pp]
  for (const { change, rose, error } of seen) {
    const { kelvin, percent } = change
    if (kelvin === null && percent === null) continue
    const [x, y] = [kelvin ?? 0, percent ?? 0]
    const weight = error ** -2
    kk += weight * x * x
    kp += weight * x * y
    pp += weight * y * y
    k += weight * x * rose
    p += weight * y * rose
  }
  const determinant = kk * pp - kp * kp
  return {
    perKelvin: { mean: (k * pp - p * kp) / determinant, off: Math.sqrt(pp / determinant) },
    perPercent: { mean: (p * kk - k * kp) / determinant, off: Math.sqrt(kk / determinant) },
  }
}

/** What the air does by a change, cents, and how sure that is; null where the change is not known. */
export function airMoves(
  { perKelvin, perPercent }: AirResponse,
  { kelvin, percent }: RoomChange,
): Sure | null {
  if (kelvin === null && percent === null) return null
  const [x, y] = [kelvin ?? 0, percent ?? 0]
  return {
    mean: perKelvin.mean * x + perPercent.mean * y,
    off: Math.hypot(perKelvin.off * x, perPercent.off * y),
  }
}
