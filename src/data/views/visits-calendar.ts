/**
 * The visits until a date as iCalendar, each with an alarm.
 */
import { createEvents } from 'ics'
import type { VisitsUntil } from './settling-view'

/** What a string takes, and the least that a visit takes, minutes. */
const A_STRING = 2
const LEAST = 10
/** The alarm comes so long before, minutes. */
const BEFORE = 15

/** @throws Error when the library can’t write it */
export function visitsCalendar({ date, plan, strings }: VisitsUntil): string {
  const { error, value } = createEvents(
    plan.visits.map(({ at, touches }) => ({
      uid: `visit-${date.id}-${at}@taut-pinset`,
      title: touches.length === 1 ? 'Tune one string' : `Tune ${touches.length} strings`,
      description: touches
        .map(
          ({ id, leave }) =>
            `${strings[id]?.name ?? ''}: ${leave < 0.5 ? 'at pitch' : `${leave.toFixed(0)} cents sharp`}`,
        )
        .join('\n'),
      start: at,
      startInputType: 'utc' as const,
      duration: { minutes: Math.max(LEAST, A_STRING * touches.length) },
      alarms: [
        { action: 'display' as const, description: 'Tune', trigger: { minutes: BEFORE, before: true } },
      ],
    })),
    { productId: 'taut-pinset', calName: `Visits until ${date.name}` },
  )
  if (error || !value) throw new Error(`expected a calendar to be written, got ${String(error)}`)
  return value
}
