/** Whose hands put each string on, where somebody said who was at the bench: the history knows. */
import { and, eq, gte, inArray, isNotNull, isNull } from 'drizzle-orm'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { actions, changes, fittedStrings } from '../store/schema'

/** Names by the fitted string. */
export function fittedBy(store: Store): ReadonlyMap<number, string> {
  return store.cache.rows('fitted by', fittedStrings, (ids) => {
    // No action is older than the string that it put on.
    const from = ids === null ? 0 : oldest(store, ids)
    const known = store.rows
      .select({ fittedId: changes.rowId, by: actions.by })
      .from(actions)
      .innerJoin(changes, eq(changes.actionId, actions.id))
      .where(
        and(
          eq(actions.kind, 'fitting'),
          isNotNull(actions.by),
          gte(actions.at, from),
          eq(changes.tableName, 'fitted_string'),
          isNull(changes.before),
        ),
      )
      .all()
    const asked = ids && new Set(ids)
    return known.flatMap(({ fittedId, by }): (readonly [number, string])[] =>
      by !== null && (asked === null || asked.has(fittedId)) ? [[fittedId, by]] : [],
    )
  })
}

function oldest(store: Store, ids: readonly number[]): number {
  const at = inChunks(ids, (some) =>
    store.rows
      .select({ at: fittedStrings.fittedAt })
      .from(fittedStrings)
      .where(inArray(fittedStrings.id, [...some]))
      .all(),
  )
  return at.reduce((least, one) => Math.min(least, one.at), Infinity)
}
