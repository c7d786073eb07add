/**
 * What must be bought.
 */
import { asc, isNull } from 'drizzle-orm'
import type { Store } from './database'
import { houseSettings } from './house'
import { byPositionId } from './instruments'
import { orderLinesFor, type OrderLine } from './order-lines'
import { needs } from './schema'
import { stringOf } from './jobs'

export interface Need {
  readonly id: number
  readonly jobId: number | null
  readonly string: string
  readonly openedAt: number
  readonly lines: readonly OrderLine[]
}

/** Open needs, oldest first, each with all that an order must say. */
export function openNeeds(store: Store): readonly Need[] {
  const { habits, unit } = houseSettings(store)
  return store.rows.select().from(needs).where(isNull(needs.closedAt)).orderBy(asc(needs.openedAt)).all().map((row) => {
    const stored = byPositionId(store, row.positionId)
    return {
      id: row.id, jobId: row.jobId, openedAt: row.openedAt,
      string: stringOf(stored, stored.position),
      lines: orderLinesFor(stored.instrument, stored.position, habits, unit),
    }
  })
}
