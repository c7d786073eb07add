/**
 * Dates out of an iCalendar file (RFC 5545), repeated ones each by itself.
 */
import ICAL from 'ical.js'
import { grouped } from '@/core/list/grouped'

export interface CalendarDate {
  readonly name: string
  /** ms since 1970 */
  readonly at: number
  /** Length, h; null where the calendar tells none. */
  readonly hours: number | null
}

/** Events that are looked at, and times that one is repeated: a calendar of many years is cut off, not waited for. */
const MOST_EVENTS = 20_000
const MOST_TIMES = 400

/**
 * Dates between two moments, the earliest first. Events of a whole day begin at the day's first hour.
 *
 * @param text - of the file
 * @param from - ms since 1970
 * @param until - ms since 1970
 * @throws RangeError when it is no calendar, or holds too many events
 */
export function readCalendar(text: string, from: number, until: number): readonly CalendarDate[] {
  const components = eventsIn(text)
  if (components.length > MOST_EVENTS)
    throw new RangeError(
      `The calendar holds ${components.length.toLocaleString('en-GB')} events; at most ${MOST_EVENTS.toLocaleString('en-GB')} can be read. Export a shorter time.`,
    )
  // Times that were moved are told beside the event that they belong to. Left to look for them itself, the library
  // goes through the whole calendar for each event.
  const uidOf = (component: ICAL.Component) => String(component.getFirstPropertyValue('uid'))
  const moved = grouped(
    components.filter((component) => component.hasProperty('recurrence-id')),
    uidOf,
  )
  return components
    .filter((component) => !component.hasProperty('recurrence-id'))
    .map((component) => new ICAL.Event(component, { exceptions: [...(moved.get(uidOf(component)) ?? [])] }))
    .flatMap((event) => timesOf(event, from, until))
    .sort((a, b) => a.at - b.at)
}

function eventsIn(text: string): readonly ICAL.Component[] {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
    for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone)
    return calendar.getAllSubcomponents('vevent')
  } catch {
    throw new RangeError('That is no calendar: expected a file that begins with BEGIN:VCALENDAR.')
  }
}

function timesOf(event: ICAL.Event, from: number, until: number): readonly CalendarDate[] {
  if (!event.startDate) return []
  const length = event.startDate.isDate ? 0 : event.duration.toSeconds() / 3600
  const name = event.summary?.trim() || 'A date without a name'
  const hours = length > 0 && length <= 24 ? Math.max(0.25, Math.round(length * 4) / 4) : null
  const dates: CalendarDate[] = []
  const times = event.iterator()
  for (let count = 0; count < MOST_TIMES; count += 1) {
    const time = event.isRecurring() ? times.next() : count === 0 ? event.startDate : null
    if (!time) break
    const at = (event.isRecurring() ? event.getOccurrenceDetails(time).startDate : time).toJSDate().getTime()
    if (at >= until) break
    if (at >= from) dates.push({ name: name.slice(0, 80), at, hours })
  }
  return dates
}
