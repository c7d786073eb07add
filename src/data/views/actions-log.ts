/**
 * Everything that was done, newest first, a page at a time.
 */
import { and, desc, inArray, lt, notInArray } from 'drizzle-orm'
import type { Store } from '../store/database'
import { actions } from '../store/schema'

export interface LoggedAction {
  readonly id: number
  readonly at: number
  readonly kind: string
  readonly summary: string
  readonly undone: boolean
}

export interface HistoryPage {
  readonly actions: readonly LoggedAction[]
  /** Where the next page begins: actions before this one; null at the end. */
  readonly before: number | null
}

/** Ticks and measures on the way of a job: many, and left out unless they are asked for. */
const ON_THE_WAY = ['step', 'measure']

/**
 * @param most - on a page
 * @param before - the page begins after this action; null for the newest
 * @param steps - with the ticks and measures of jobs
 */
export function actionsLog(store: Store, most: number, before: number | null, steps: boolean): HistoryPage {
  const rows = store.rows
    .select()
    .from(actions)
    .where(
      and(
        before === null ? undefined : lt(actions.id, before),
        steps ? undefined : notInArray(actions.kind, ON_THE_WAY),
      ),
    )
    .orderBy(desc(actions.id))
    .limit(most + 1)
    .all()
  const shown = rows.slice(0, most)
  const undone = new Set(
    shown.length === 0
      ? []
      : store.rows
          .select({ undoes: actions.undoes })
          .from(actions)
          .where(
            inArray(
              actions.undoes,
              shown.map(({ id }) => id),
            ),
          )
          .all()
          .map(({ undoes }) => undoes),
  )
  return {
    actions: shown.map(({ id, at, kind, summary }) => ({ id, at, kind, summary, undone: undone.has(id) })),
    before: rows.length > most ? (shown.at(-1)?.id ?? null) : null,
  }
}
