/**
 * The hours at which someone is there to tune: those of the house, without what the calendar takes.
 */
import { DAY } from '../units/time'
export interface OpenHours {
  /** From and until, h of the day: 9 and 17.5 are nine and half past five. */
  readonly opens: number
  readonly closes: number
  /** Days of the week on which it is open, Monday 1 to Sunday 7. */
  readonly days: readonly number[]
  /** IANA */
  readonly timeZone: string
}

/** A time that is taken, ms. */
export interface Busy {
  readonly from: number
  readonly until: number
}

/** A hand can come at each half hour. */
const STEP = 1_800_000
/** Further than this nobody looks for an hour at which it is open, ms. */
const LOOKS = 15 * DAY

const clocks = new Map<string, Intl.DateTimeFormat>()
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** Day of the week and hour of the day, as the house's clocks show them. */
function shown(at: number, timeZone: string): { readonly day: number; readonly hour: number } {
  const clock =
    clocks.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', {
      timeZone,
      weekday: 'short',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
  clocks.set(timeZone, clock)
  const parts = clock.formatToParts(at)
  const part = (type: string) => parts.find((one) => one.type === type)?.value ?? ''
  return { day: DAYS.indexOf(part('weekday')) + 1, hour: Number(part('hour')) + Number(part('minute')) / 60 }
}

/** Whether someone is there. */
export function isOpen(at: number, hours: OpenHours, busy: readonly Busy[] = []): boolean {
  if (busy.some(({ from, until }) => at >= from && at < until)) return false
  const { day, hour } = shown(at, hours.timeZone)
  return hours.days.includes(day) && hour >= hours.opens && hour <= hours.closes
}

/** Every half hour from one time until another at which someone is there, ms. */
export function openSlots(
  from: number,
  until: number,
  hours: OpenHours,
  busy: readonly Busy[] = [],
): readonly number[] {
  const slots: number[] = []
  for (let at = Math.ceil(from / STEP) * STEP; at < until; at += STEP)
    if (isOpen(at, hours, busy)) slots.push(at)
  return slots
}

/**
 * When to do what is due at a time: then, or else when someone is there the last time before it, or the first time after now.
 *
 * @param now - nothing is done before, ms
 */
export function whenOpen(due: number, now: number, hours: OpenHours, busy: readonly Busy[] = []): number {
  if (due <= now || isOpen(due, hours, busy)) return due
  const grid = Math.floor(due / STEP) * STEP
  for (let at = grid; at >= now && grid - at < LOOKS; at -= STEP) if (isOpen(at, hours, busy)) return at
  for (let at = grid; at - grid < LOOKS; at += STEP) if (at >= now && isOpen(at, hours, busy)) return at
  return due
}
