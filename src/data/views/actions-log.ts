/**
 * Everything that was done, newest first, a page at a time.
 */
import { and, desc, eq, inArray, lt, notInArray } from 'drizzle-orm'
import type { Store } from '../store/database'
import { actions } from '../store/schema'

export interface LoggedAction {
  readonly id: number
  readonly at: number
  readonly kind: string
  readonly summary: string
  readonly undone: boolean
  /** Who did it; null where nobody said. */
  readonly by: string | null
}

export interface HistoryPage {
  readonly actions: readonly LoggedAction[]
  /** Where the next page begins: actions before this one; null at the end. */
  readonly before: number | null
}

/** Ticks and measures on the way of a job: many, and left out unless they are asked for. */
const ON_THE_WAY = ['step', 'measure']

/** Kinds of action in the words of a person, with the kinds that they stand for. */
export const HISTORY_KINDS = {
  breaks: ['break'],
  'jobs and fittings': ['job', 'mishap', 'fitting', 'new set', 'trim'],
  readings: ['reading', 'round', 'room'],
  wear: ['look', 'polish'],
  stores: ['stores', 'coil'],
  buying: ['need', 'order', 'delivery', 'supplier'],
  'charts and instruments': ['shelf', 'chart'],
  workshop: ['house', 'habit', 'occasions'],
  undone: ['undo'],
} as const
export type HistoryKind = keyof typeof HISTORY_KINDS

export interface HistoryAsked {
  /** The page begins after this action; null for the newest. */
  readonly before: number | null
  /** With the ticks and measures of jobs. */
  readonly steps: boolean
  /** Row id; null for every instrument and what belongs to none. */
  readonly instrumentId: number | null
  readonly kind: HistoryKind | null
  /** Done before this moment, ms; null for any. */
  readonly until: number | null
}

/** @param most - on a page */
export function actionsLog(store: Store, most: number, asked: Partial<HistoryAsked>): HistoryPage {
  const { before = null, steps = false, instrumentId = null, kind = null, until = null } = asked
  const rows = store.rows
    .select()
    .from(actions)
    .where(
      and(
        before === null ? undefined : lt(actions.id, before),
        instrumentId === null ? undefined : eq(actions.instrumentId, instrumentId),
        until === null ? undefined : lt(actions.at, until),
        kind === null
          ? steps
            ? undefined
            : notInArray(actions.kind, ON_THE_WAY)
          : inArray(actions.kind, [...HISTORY_KINDS[kind]]),
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
    actions: shown.map(({ id, at, kind, summary, by }) => ({
      id,
      at,
      kind,
      summary,
      by,
      undone: undone.has(id),
    })),
    before: rows.length > most ? (shown.at(-1)?.id ?? null) : null,
  }
}
