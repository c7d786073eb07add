/**
 * The visits until a date as iCalendar, each with an alarm.
 */
import { writtenCalendar } from '../workshop/written-calendar'
import type { VisitsUntil } from './settling-view'

/** What a string takes, and the least that a visit takes, minutes. */
const A_STRING = 2
const MIN_VISIT_MINUTES = 10
/** The alarm comes so long before, minutes. */
const BEFORE = 15

/** @throws Error when the library can’t write it */
export function visitsCalendar({ date, plan, strings }: VisitsUntil): string {
  return writtenCalendar(
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
      duration: { minutes: Math.max(MIN_VISIT_MINUTES, A_STRING * touches.length) },
      alarms: [
        { action: 'display' as const, description: 'Tune', trigger: { minutes: BEFORE, before: true } },
      ],
    })),
    `Visits until ${date.name}`,
  )
}
