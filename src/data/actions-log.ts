/**
 * Everything that was done, newest first.
 */
import { desc } from 'drizzle-orm'
import type { Store } from './database'
import { actions } from './schema'

export interface LoggedAction {
  readonly id: number
  readonly at: number
  readonly kind: string
  readonly summary: string
  readonly undone: boolean
}

/** The latest actions. */
export function latestActions(store: Store, most: number): readonly LoggedAction[] {
  const rows = store.rows.select().from(actions).orderBy(desc(actions.id)).limit(most).all()
  const undone = new Set(rows.map((row) => row.undoes))
  return rows.map(({ id, at, kind, summary }) => ({ id, at, kind, summary, undone: undone.has(id) }))
}
