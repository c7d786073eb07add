/** Which backups are kept: the last of each of seven days, four weeks and twelve months. */
import { DAY } from '../units/time'

const DAYS = 7
const WEEKS = 4
const MONTHS = 12
/** The first Monday after 1 January 1970 was its fifth day. */
const MONDAY = 4 * DAY

/**
 * Days, weeks and months are counted where there was a backup, so that a machine that was off for a year keeps what it has.
 *
 * @param times - when each was taken, ms since 1970, in any order
 * @returns the times that are kept
 */
export function keptTimes(times: readonly number[]): ReadonlySet<number> {
  const latest = [...times].sort((a, b) => b - a)
  const lastOf = (spans: number, spanOf: (at: number) => string | number) => {
    const kept = new Map<string | number, number>()
    for (const at of latest) {
      const span = spanOf(at)
      if (!kept.has(span) && kept.size < spans) kept.set(span, at)
    }
    return [...kept.values()]
  }
  return new Set([
    ...lastOf(DAYS, (at) => Math.floor(at / DAY)),
    ...lastOf(WEEKS, (at) => Math.floor((at - MONDAY) / (7 * DAY))),
    ...lastOf(MONTHS, (at) => new Date(at).toISOString().slice(0, 7)),
  ])
}
