/**
 * iCalendar (RFC 5545) as the library writes it.
 */
import { createEvents, type EventAttributes } from 'ics'

/** @throws Error when the library can’t write it */
export function writtenCalendar(events: EventAttributes[], name: string): string {
  const { error, value } = createEvents(events, { productId: 'taut-pinset', calName: name })
  if (error || !value) throw new Error(`expected a calendar to be written, got ${String(error)}`)
  return value
}
