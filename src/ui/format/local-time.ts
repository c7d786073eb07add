/**
 * Days and hours as they are typed, in the house's time zone.
 */
import { TZDate } from '@date-fns/tz'

const two = (count: number) => String(count).padStart(2, '0')

/** The moment that a day and an hour name in a time zone, ms; null where they name none. */
export function momentOf(day: string, clock: string, timeZone: string): number | null {
  const [, year, month, date] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(day) ?? []
  const [, hour, minute] = /^(\d\d):(\d\d)/.exec(clock) ?? []
  if (year === undefined || hour === undefined) return null
  const at = new TZDate(Number(year), Number(month) - 1, Number(date), Number(hour), Number(minute), timeZone)
  return Number.isFinite(at.getTime()) && at.getMonth() === Number(month) - 1 ? at.getTime() : null
}

/** The day and the hour of a moment in a time zone, as fields take them: `2026-11-24` and `19:30`. */
export function typedTime(at: number, timeZone: string): { readonly day: string; readonly clock: string } {
  const local = new TZDate(at, timeZone)
  return {
    day: `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}`,
    clock: `${two(local.getHours())}:${two(local.getMinutes())}`,
  }
}
