/**
 * Dates as iCalendar (RFC 5545).
 */
import { MINUTE } from '@/core/units/time'
import type { Workshop } from './settings'
import type { Occasion } from './occasions'
import { writtenCalendar } from './written-calendar'

/**
 * A calendar of the dates; each keeps its identity however often it is read.
 *
 * @throws Error when the library can't write one
 */
export function calendarOf(
  dates: readonly Occasion[],
  { name, concertHours }: Pick<Workshop, 'name' | 'concertHours'>,
): string {
  return writtenCalendar(
    dates.map(({ id, name: title, at, hours }) => ({
      uid: `date-${id}@taut-pinset`,
      title,
      start: at,
      startInputType: 'utc' as const,
      end: at + Math.round((hours ?? concertHours) * 60) * MINUTE,
      endInputType: 'utc' as const,
    })),
    name,
  )
}
