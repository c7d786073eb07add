/**
 * What the weather did to a string between two times, from its settled neighbours of the same material and from the air of
 * the room. What no room reading tells wanders slowly about its mean and is shared by the strings of one instrument: a
 * Gaussian process, of which the neighbours are readings.
 */
import { Matrix, solve } from 'ml-matrix'
import { itemAt } from '../list/item-at'
import { HOUR } from '../units/time'
import { airMoves, type AirResponse, type Room, type Sure } from './room'
import { KEEPS, READING_OFF, type Weather } from './weather'

/** A settled string that was left at one time and read at another. */
export interface NeighbourReading {
  /** ms since 1970 */
  readonly from: number
  readonly to: number
  /** By how much its pitch rose between them, cents. */
  readonly rose: number
}

/** Where the air was read, this share of what the weather does is left to wander. */
const LEFT_BY_AIR = 0.5
/** What a settled string strays by that its neighbours don't, cents. */
const OWN = 1.5
/** Neighbours read longer before or after tell nothing of that time, h. */
const NEAR = 12
/** More neighbours than these tell nothing more. */
const MAX_NEIGHBOURS = 16

export interface KnownAround {
  readonly weather: Weather
  readonly response: AirResponse
  readonly room: Room
  readonly neighbours: readonly NeighbourReading[]
}

/**
 * @param from - ms since 1970, as is `to`
 * @returns by how much the weather raised it, cents; null where nothing is known that the string itself would not know
 */
export function sharedWeather(around: KnownAround, from: number, to: number): Sure | null {
  const { weather, response, room } = around
  const air = airMoves(response, room.change(from, to))
  const near = around.neighbours
    .filter((one) => Math.abs(one.to - to) <= NEAR * HOUR && one.from < one.to)
    .slice(-MAX_NEIGHBOURS)
  if (!air && near.length === 0) return null
  const strays = weather.strays * (air ? LEFT_BY_AIR : 1)
  const moved = (a: number, b: number, c: number, d: number) =>
    strays ** 2 * (alike(b - d) - alike(b - c) - alike(a - d) + alike(a - c))
  const own = moved(from, to, from, to)
  if (near.length === 0) return { mean: air?.mean ?? 0, off: Math.hypot(air?.off ?? 0, Math.sqrt(own)) }
  const noise = 2 * READING_OFF ** 2 + OWN ** 2
  const among = new Matrix(
    near.map((a, i) => near.map((b, j) => moved(a.from, a.to, b.from, b.to) + (i === j ? noise : 0))),
  )
  const towards = near.map((one) => moved(one.from, one.to, from, to))
  const rest = near.map((one) => one.rose - (airMoves(response, room.change(one.from, one.to))?.mean ?? 0))
  const weights = solve(among, Matrix.columnVector(towards)).to1DArray()
  const dot = (of: readonly number[]) => weights.reduce((sum, weight, i) => sum + weight * itemAt(of, i), 0)
  return {
    mean: (air?.mean ?? 0) + dot(rest),
    off: Math.hypot(air?.off ?? 0, Math.sqrt(Math.max(0, own - dot(towards)))),
  }
}

/** How much the weather at two times is alike, of 1. */
const alike = (ms: number) => Math.exp(-Math.abs(ms) / HOUR / KEEPS)
