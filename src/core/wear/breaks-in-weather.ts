/**
 * Breaks against the weather and the season: days on which something was different, those on which it was not, and what broke
 * on either.
 */
import type { RoomReading } from '../settle/room'
import { DAY } from '../units/time'
import type { Counted } from './goes-with'

/** A night is cold when the room falls by so much from the day before, °C. */
const COLD_BY = 4
/** The air swings when its humidity moves by so much within a day, points of relative humidity. */
const SWINGS_BY = 15
/** A string may take a day to give way. */
const AFTER = 1
/** Months in which the heating is lit or put out, counted from 0. */
const TURNS: readonly number[] = [2, 3, 9, 10]

/** A day on which nothing was read yet. */
const UNREAD = { least: Infinity, most: -Infinity, driest: Infinity, dampest: -Infinity }

export interface InAndOut {
  readonly inIt: Counted
  readonly outside: Counted
}

/** Days on which the room was read, by what it did. */
export function breaksInWeather(
  readings: readonly RoomReading[],
  breaks: readonly number[],
): { readonly cold: InAndOut; readonly swinging: InAndOut } {
  const days = new Map<number, typeof UNREAD>()
  for (const { at, celsius, humidity } of readings) {
    const day = Math.floor(at / DAY)
    const had = days.get(day) ?? UNREAD
    days.set(day, {
      least: Math.min(celsius ?? Infinity, had.least),
      most: Math.max(celsius ?? -Infinity, had.most),
      driest: Math.min(humidity ?? Infinity, had.driest),
      dampest: Math.max(humidity ?? -Infinity, had.dampest),
    })
  }
  const cold = new Set<number>()
  const swinging = new Set<number>()
  for (const [day, air] of days) {
    const before = days.get(day - 1) ?? air
    if (Math.max(before.most, air.most) - air.least >= COLD_BY) cold.add(day)
    if (Math.max(before.dampest, air.dampest) - Math.min(before.driest, air.driest) >= SWINGS_BY)
      swinging.add(day)
  }
  const on = (among: ReadonlySet<number>) => countedOn([...days.keys()], breaks, (day) => nearIn(among, day))
  return { cold: on(cold), swinging: on(swinging) }
}

/** Every day between two times, by whether its month turns the season. */
export function breaksAtTurns(breaks: readonly number[], from: number, to: number): InAndOut {
  const days = Array.from(
    { length: Math.max(0, Math.floor((to - from) / DAY)) },
    (_, i) => Math.floor(from / DAY) + i,
  )
  return countedOn(days, breaks, (day) => TURNS.includes(new Date(day * DAY).getUTCMonth()))
}

const nearIn = (among: ReadonlySet<number>, day: number) =>
  Array.from({ length: AFTER + 1 }, (_, back) => among.has(day - back)).some(Boolean)

/** Breaks of days that are watched, in and out; days that nobody watched count for neither. */
function countedOn(
  days: readonly number[],
  breaks: readonly number[],
  isIn: (day: number) => boolean,
): InAndOut {
  const watched = new Set(days)
  const inIt = { happened: 0, of: 0 }
  const outside = { happened: 0, of: 0 }
  for (const day of watched) (isIn(day) ? inIt : outside).of += 1
  for (const at of breaks) {
    const day = Math.floor(at / DAY)
    if (watched.has(day)) (isIn(day) ? inIt : outside).happened += 1
  }
  return { inIt, outside }
}
