/**
 * When someone is there to tune: the house's hours, without its dates.
 */
import { whenOpen, type Busy, type OpenHours } from '@/core/settle/open-hours'
import { HOUR } from '@/core/units/time'
import type { Store } from '../store/database'
import { workshopSettings, type Workshop } from './settings'
import { occasionsAhead } from './occasions'

/** The hours at which someone is there, as plans take them. */
export function openHours({ opensAt, closesAt, openDays, timeZone }: Workshop): OpenHours {
  return { opens: hourOf(opensAt), closes: hourOf(closesAt), days: openDays, timeZone }
}

/** `17:30` as hours of the day. */
function hourOf(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number)
  return hours + minutes / 60
}

/** What the calendar takes: nobody tunes while a concert lasts. */
export function busyTimes(store: Store): readonly Busy[] {
  const { concertHours } = workshopSettings(store)
  return occasionsAhead(store).map(({ at, hours }) => ({
    from: at,
    until: at + (hours ?? concertHours) * HOUR,
  }))
}

/** Moves what falls due at any time to when someone is there. */
export function toOpenHours(store: Store): (due: number) => number {
  const hours = openHours(workshopSettings(store))
  const busy = busyTimes(store)
  const now = store.now()
  return (due) => whenOpen(due, now, hours, busy)
}
