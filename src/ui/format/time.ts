/**
 * Days and hours as the house reads them.
 */
import { DAY, HOUR } from '@/core/units/time'
const FORMS = {
  day: { weekday: 'long', day: 'numeric', month: 'long' },
  date: { day: 'numeric', month: 'short', year: 'numeric' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  clock: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  numbers: { year: 'numeric', month: 'numeric', day: 'numeric' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>

const made = new Map<string, Intl.DateTimeFormat>()

/** A format is costly to make, and a page of history has a hundred dates: each is made once. */
function format(form: keyof typeof FORMS, timeZone: string): Intl.DateTimeFormat {
  const key = `${form} ${timeZone}`
  const had = made.get(key) ?? new Intl.DateTimeFormat('en-GB', { timeZone, ...FORMS[form] })
  made.set(key, had)
  return had
}

/** `Tuesday 24 November` */
export const dayText = (at: number, timeZone: string) => format('day', timeZone).format(at)

/** `24 Nov 2026` */
export const dateText = (at: number, timeZone: string) => format('date', timeZone).format(at)

/** `Tue 24 Nov, 14:05` */
export function momentText(at: number, timeZone: string): string {
  return `${format('weekday', timeZone).format(at)}, ${clockText(at, timeZone)}`
}

/** `14:05` */
export const clockText = (at: number, timeZone: string) => format('clock', timeZone).format(at)

/** Units that a distance in time is told in, the longest first, ms. */
const UNITS = [
  ['year', 365.25 * DAY],
  ['month', 30.44 * DAY],
  ['day', DAY],
  ['hour', HOUR],
  ['minute', 60_000],
] as const
const DISTANCE = new Intl.RelativeTimeFormat('en-GB')

/** `in 3 hours`, `2 days ago` */
export function distanceText(at: number, now: number): string {
  const distance = at - now
  const [unit, length] = UNITS.find(([, ms]) => Math.abs(distance) >= 0.95 * ms) ?? ['minute', 60_000]
  const count = Math.round(distance / length)
  return count === 0 ? 'now' : DISTANCE.format(count, unit)
}

/** `14:05 today`, `09:30 tomorrow`, or the day and the hour. */
export function nearText(at: number, now: number, timeZone: string): string {
  // By the calendar: a day on which the clocks change has not 24 hours.
  const days = Math.round((dateIn(at, timeZone) - dateIn(now, timeZone)) / DAY)
  const near = days === 0 ? 'today' : days === 1 ? 'tomorrow' : days === -1 ? 'yesterday' : null
  if (near) return `${clockText(at, timeZone)} ${near}`
  return momentText(at, timeZone)
}

/** The date in a time zone: year, month and day. */
function dateIn(at: number, timeZone: string): number {
  const parts = format('numbers', timeZone).formatToParts(at)
  const part = (type: string) => Number(parts.find((one) => one.type === type)?.value)
  return Date.UTC(part('year'), part('month') - 1, part('day'))
}

/** Days of the calendar from now until then, as the house's own clocks count them; none when it is past. */
export function daysAhead(at: number, now: number, timeZone: string): number {
  return Math.max(0, Math.round((dateIn(at, timeZone) - dateIn(now, timeZone)) / DAY))
}

/**
 * The end of a day as the house counts it, ms since 1970.
 *
 * @param day - `2026-11-24`
 * @returns null where it is no day
 */
export function endOfDay(day: string, timeZone: string): number | null {
  const utc = Date.parse(`${day}T00:00:00Z`) + DAY
  if (!/^\d{4}-\d\d-\d\d$/.test(day) || Number.isNaN(utc)) return null
  // What the clocks there show at that moment, read as if it were UTC, is off by as much as the zone is.
  const shown = Date.parse(`${new Date(utc).toLocaleString('sv-SE', { timeZone }).replace(' ', 'T')}Z`)
  return utc - (shown - utc)
}
