/**
 * What practice did to real fittings, as far as the house's records can tell.
 */
import { and, asc, eq, inArray } from 'drizzle-orm'
import { itemAt } from '@/core/list/item-at'
import type { Drill } from '@/core/practice/drill'
import { COUNTS_FOR, effectOf, type Effect } from '@/core/practice/effect'
import type { Store } from '../store/database'
import { practiceAnswers } from '../store/schema'
import { realFittingsBy } from './real-fittings'

/** Drills that a hand needs for a fitting. */
const FOR_FITTING: readonly Drill[] = ['tie', 'slack', 'wrong']

/** This person's real fittings, after practice and without it; null where nobody practised what a fitting needs, or fitted anything. */
export function practiceEffect(store: Store, person: string): Effect | null {
  const practised = store.rows
    .select({ at: practiceAnswers.answeredAt })
    .from(practiceAnswers)
    .where(and(eq(practiceAnswers.person, person), inArray(practiceAnswers.drill, [...FOR_FITTING])))
    .orderBy(asc(practiceAnswers.answeredAt))
    .all()
  if (practised.length === 0) return null
  const done = realFittingsBy(store, person)
  if (done.length === 0) return null
  const times = Float64Array.from(practised, ({ at }) => at)
  return effectOf(
    done.map((fitting) => {
      const last = lastBefore(times, fitting.at)
      return { ...fitting, practised: last !== null && fitting.at - last <= COUNTS_FOR }
    }),
  )
}

/** The last of sorted times that is not after another; null where there is none. */
function lastBefore(times: Float64Array, at: number): number | null {
  let [from, to] = [0, times.length]
  while (from < to) {
    const middle = (from + to) >> 1
    if (itemAt(times, middle) <= at) from = middle + 1
    else to = middle
  }
  return from === 0 ? null : itemAt(times, from - 1)
}
