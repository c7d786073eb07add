/** What is on record of each string that an instrument ever had: its coil, what went wrong as it was fitted, its readings. */
import { and, asc, eq, isNotNull } from 'drizzle-orm'
import type { Mishap } from '@/core/fitting/mishaps'
import { grouped } from '@/core/list/grouped'
import type { Store } from '../store/database'
import { coils, fittedStrings, fittings, jobMishaps, readings } from '../store/schema'

export interface StringRecord {
  /** Null where nobody said what it was cut from. */
  readonly coil: string | null
  readonly mishaps: readonly Mishap[]
  /** When it was read, the latest last; of many the last are kept. */
  readonly readAt: readonly number[]
}

/** Readings of a string that are drawn. */
const MAX_DRAWN_READINGS = 60

/** By the fitted string. */
export function stringRecords(store: Store, instrumentId: number): ReadonlyMap<number, StringRecord> {
  const ofInstrument = eq(fittedStrings.instrumentId, instrumentId)
  const strings = store.rows
    .select({ id: fittedStrings.id, coil: coils.label })
    .from(fittedStrings)
    .leftJoin(coils, eq(coils.id, fittedStrings.coilId))
    .where(ofInstrument)
    .all()
  const mishaps = grouped(
    store.rows
      .select({ fittedId: fittings.fittedId, mishap: jobMishaps.mishap })
      .from(fittedStrings)
      .innerJoin(fittings, eq(fittings.fittedId, fittedStrings.id))
      .innerJoin(jobMishaps, eq(jobMishaps.jobId, fittings.jobId))
      .where(and(ofInstrument, isNotNull(fittings.fittedId)))
      .orderBy(asc(jobMishaps.id))
      .all(),
    ({ fittedId }) => fittedId,
  )
  const read = grouped(
    store.rows
      .select({ fittedId: readings.fittedId, at: readings.at })
      .from(fittedStrings)
      .innerJoin(readings, eq(readings.fittedId, fittedStrings.id))
      .where(ofInstrument)
      .orderBy(asc(readings.at))
      .all(),
    ({ fittedId }) => fittedId,
  )
  return new Map(
    strings.map(({ id, coil }) => [
      id,
      {
        coil,
        mishaps: (mishaps.get(id) ?? []).map(({ mishap }) => mishap),
        readAt: (read.get(id) ?? []).slice(-MAX_DRAWN_READINGS).map(({ at }) => at),
      },
    ]),
  )
}
