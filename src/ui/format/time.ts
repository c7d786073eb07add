/**
 * Days and hours as the house reads them.
 */
import { formatDistance } from 'date-fns'

/** `Tuesday 24 November` */
export function dayText(at: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'long', day: 'numeric', month: 'long' }).format(at)
}

/** `24 Nov 2026` */
export function dateText(at: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', year: 'numeric' }).format(at)
}

/** `Tue 24 Nov, 14:05` */
export function momentText(at: number, timeZone: string): string {
  const day = new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', day: 'numeric', month: 'short' }).format(at)
  return `${day}, ${clockText(at, timeZone)}`
}

/** `14:05` */
export function clockText(at: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(at)
}

/** `in 3 hours`, `2 days ago` */
export function distanceText(at: number, now: number): string {
  return Math.abs(at - now) < 30_000 ? 'now' : formatDistance(at, now, { addSuffix: true }).replace('about ', '')
}

/** `14:05 today`, `09:30 tomorrow`, or the day and the hour. */
export function nearText(at: number, now: number, timeZone: string): string {
  const day = (time: number) => dateText(time, timeZone)
  if (day(at) === day(now)) return `${clockText(at, timeZone)} today`
  if (day(at) === day(now + 86_400_000)) return `${clockText(at, timeZone)} tomorrow`
  if (day(at) === day(now - 86_400_000)) return `${clockText(at, timeZone)} yesterday`
  return momentText(at, timeZone)
}
