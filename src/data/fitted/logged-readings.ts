/**
 * Readings of fitted strings as they were logged: each with when the string was tuned before it, what the weather did since, and what
 * it was taken for.
 */
import { asc, inArray } from 'drizzle-orm'
import { grouped } from '@/core/list/grouped'
import type { Known } from '@/core/settle/band'
import type { CentsReading } from '@/core/settle/cents-reading'
import { FIRST_TUNED } from '@/core/settle/drift'
import { judgeReading, type ReadingKind } from '@/core/settle/readings'
import { coreMaterial } from '@/core/strings/construction'
import { HOUR } from '@/core/units/time'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { readings } from '../store/schema'
import type { FittedString } from './fitted'
import { weatherBetween } from './weather'

export interface LoggedReading extends CentsReading {
  readonly id: number
  readonly at: number
  readonly broughtBack: boolean
  readonly kind: ReadingKind
}

/**
 * From when its law goes on, and at how many cents: it was brought to pitch then, left off it when it was fitted, or stayed
 * where it had slipped to. One that is found above where it slipped to was turned up meanwhile: no string rises so by itself.
 */
export function tunedLast(logged: readonly Pick<LoggedReading, 'age' | 'cents' | 'broughtBack' | 'kind'>[]): {
  readonly tuned: number
  readonly left: number
} {
  const last = logged.findLast(
    ({ kind, broughtBack }, i) =>
      broughtBack ||
      kind === 'left at' ||
      kind === 'slip' ||
      (kind === 'rise' && logged[i - 1]?.kind === 'slip'),
  )
  return last ? { tuned: last.age, left: last.broughtBack ? 0 : last.cents } : { tuned: FIRST_TUNED, left: 0 }
}

export type ReadingRow = typeof readings.$inferSelect

/** Readings of strings by string, in order. */
export function readingsOf(
  store: Store,
  strings: readonly FittedString[],
): ReadonlyMap<number, readonly ReadingRow[]> {
  return grouped(
    inChunks(
      strings.map(({ id }) => id),
      (ids) =>
        store.rows
          .select()
          .from(readings)
          .where(inArray(readings.fittedId, [...ids]))
          .orderBy(asc(readings.at), asc(readings.id))
          .all(),
    ),
    (row) => row.fittedId,
  )
}

export function loggedReadings(
  store: Store,
  rows: readonly ReadingRow[],
  fitted: FittedString,
  positionId: number,
  known: Known,
): readonly LoggedReading[] {
  const logged: LoggedReading[] = []
  for (const row of rows) {
    if (row.positionId !== positionId) continue
    const { tuned, left } = tunedLast(logged)
    const reading: CentsReading = {
      tuned,
      left,
      age: Math.max(tuned, (row.at - fitted.fittedAt) / HOUR),
      cents: row.cents,
      weather: weatherSince(store, fitted, tuned, row.at),
    }
    logged.push({
      ...reading,
      id: row.id,
      at: row.at,
      broughtBack: row.broughtBack,
      // What it was taken for is kept with it; one that came without is judged by what any such string does.
      kind: row.kind ?? judgeReading(known, reading).kind,
    })
  }
  return logged
}

/** What the weather did to a string since an age of it, h, until a time, ms. */
export function weatherSince(store: Store, fitted: FittedString, tuned: number, until: number) {
  const { instrumentId, construction, fittedAt } = fitted
  return weatherBetween(store, instrumentId, coreMaterial(construction).name, fittedAt + tuned * HOUR, until)
}
