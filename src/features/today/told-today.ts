/**
 * Today in words, as the house reads its days and measures: told on the server, so that no page fetches what tells it.
 */
import { measure } from '@/core/measure'
import type { ParkedTail } from '@/data/fitted/parked-tails'
import type { SettlingLine, Shown, TodayView } from '@/data/views/today'
import { measureText, type Units } from '@/ui/format/measure'
import { dayText, daysAhead, distanceText, nearText } from '@/ui/format/time'

/** A settling string's line: where it should stand, and when it is due. */
export type ToldSettling = Omit<SettlingLine, 'expectedNow' | 'nextAt'> & {
  readonly stands: string
  readonly when: string
  readonly isDue: boolean
}

/** A parked tail's line: when it may be trimmed, and what hangs by it. */
export type ToldTail = Pick<ParkedTail, 'id' | 'slug' | 'number'> & {
  readonly name: string
  readonly says: string
  readonly isDue: boolean
  /** The packet that hangs by it; null where none does. */
  readonly coil: string | null
}

export interface ToldToday {
  readonly day: string
  readonly due: Shown<ToldSettling>
  readonly later: Shown<ToldSettling>
  readonly tails: Shown<ToldTail>
  readonly jobs: Shown<Omit<TodayView['jobs']['shown'][number], 'openedAt'> & { readonly since: string }>
  readonly ahead: readonly {
    readonly id: number
    readonly name: string
    readonly days: number
    readonly when: string
    readonly isReady: boolean
    readonly says: string
  }[]
}

/**
 * @param now - ms since 1970
 * @param units - the house's
 */
export function toldToday(view: TodayView, now: number, timeZone: string, units: Units): ToldToday {
  const settling = ({ expectedNow, nextAt, ...line }: SettlingLine): ToldSettling => {
    const isDue = nextAt !== null && nextAt <= now
    return {
      ...line,
      isDue,
      stands: measureText(measure('cents', expectedNow), units),
      when:
        nextAt === null
          ? 'holds from here on'
          : isDue
            ? `due ${distanceText(nextAt, now)}`
            : nearText(nextAt, now, timeZone),
    }
  }
  const tail = ({ id, slug, number, name, instrumentName, dueAt, ended, coil }: ParkedTail): ToldTail => {
    const isDue = dueAt <= now
    const trim = isDue ? 'Trim it now.' : `Trim it from ${nearText(dueAt, now, timeZone)}.`
    const hangs = coil
      ? ` ${coil.label} hangs by it, ${measureText(measure('length', coil.lengthLeft), units)} before it was fitted.`
      : ''
    return {
      id,
      slug,
      number,
      name: `${name} of ${instrumentName}`,
      says: `${ended ? 'Its string came off.' : trim}${hangs}`,
      isDue,
      coil: coil?.label ?? null,
    }
  }
  return {
    day: dayText(now, timeZone),
    due: told(view.due, settling),
    later: told(view.later, settling),
    tails: told(view.tails, tail),
    jobs: told(view.jobs, ({ openedAt, ...job }) => ({ ...job, since: distanceText(openedAt, now) })),
    ahead: view.ahead.map(({ id, name, at, notReady, unknown }) => ({
      id,
      name,
      days: daysAhead(at, now, timeZone),
      when: nearText(at, now, timeZone),
      isReady: notReady.all === 0 && unknown === 0,
      says:
        (notReady.all === 0
          ? 'Every settling string will hold by then.'
          : `Not ready by then: ${notReadyWords(notReady)}.`) + unknownWords(unknown),
    })),
  }
}

const told = <From, To>({ shown, all }: Shown<From>, line: (one: From) => To): Shown<To> => ({
  shown: shown.map(line),
  all,
})

/** Strings of which nobody knows since when they are on; empty where there are none. */
const unknownWords = (strings: number): string =>
  strings === 0 ? '' : ` The age of ${strings === 1 ? '1 string' : `${strings} strings`} is not known.`

/** `the one, the other and 12 more` */
function notReadyWords({ shown, all }: Shown<string>): string {
  return all > shown.length ? `${shown.join(', ')} and ${all - shown.length} more` : shown.join(', ')
}
