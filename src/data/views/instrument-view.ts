/**
 * What an instrument's page needs beside its chart: what is broken, how old each string is, and each position's history.
 */
import { desc, eq, inArray } from 'drizzle-orm'
import { samePiece, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { siteWord } from '@/core/wear/break-sites'
import type { Store } from '../store/database'
import { stringsOn } from '../fitted/fitted'
import type { StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { breaks, coils, fittedPositions, fittedStrings, fittings, readings } from '../store/schema'

export interface HistoryEntry {
  readonly at: number
  readonly what: 'broke' | 'fitted' | 'read'
  readonly text: string
}

/** What can fall on one moment, in the order it happens. */
const ORDER: readonly HistoryEntry['what'][] = ['broke', 'fitted', 'read']

export interface PositionView {
  /** When the string now on it was fitted; null when there is none. */
  readonly fittedAt: number | null
  /** Its open job, when it is broken. */
  readonly jobId: number | null
  /** Newest first. */
  readonly history: readonly HistoryEntry[]
}

export interface InstrumentView {
  readonly instrument: Instrument
  /** By position number. */
  readonly positions: Readonly<Record<number, PositionView>>
  readonly broken: readonly number[]
}

/** Everything the page of an instrument shows. */
export function instrumentView(store: Store, stored: StoredInstrument): InstrumentView {
  const { instrument, positionIds } = stored
  const numbers = new Map([...positionIds].map(([number, id]) => [id, number]))
  const jobOf = openJobNumbers(store, stored)
  const fittedAt = new Map(
    stringsOn(store, stored.id).flatMap((string) =>
      string.positionIds.map((id) => [numbers.get(id), string.fittedAt] as const),
    ),
  )
  const history = historyByPosition(store, stored)
  const positions = Object.fromEntries(
    instrument.positions.map((p): [number, PositionView] => [
      p.number,
      {
        fittedAt: fittedAt.get(p.number) ?? null,
        jobId: jobOf.get(p.number) ?? null,
        history: history.get(p.number) ?? [],
      },
    ]),
  )
  return { instrument, positions, broken: [...jobOf.keys()] }
}

/** Numbers of the positions that wait for a string, with their open job; both of a pair. */
export function openJobNumbers(
  store: Store,
  { instrument, positionIds }: StoredInstrument,
): ReadonlyMap<number, number> {
  const numbers = new Map([...positionIds].map(([number, id]) => [id, number]))
  const open = openJobs(store).flatMap((job) => {
    const position = instrument.positions[(numbers.get(job.positionId) ?? 0) - 1]
    return position ? samePiece(instrument, position).map((p) => [p.number, job.id] as const) : []
  })
  return new Map(open)
}

function historyByPosition(
  store: Store,
  { instrument, positionIds }: StoredInstrument,
): ReadonlyMap<number, readonly HistoryEntry[]> {
  const ids = [...positionIds.values()]
  const byId = new Map(instrument.positions.map((p) => [positionIds.get(p.number) as number, p]))
  const entries = new Map<number, HistoryEntry[]>()
  const add = (positionId: number, entry: HistoryEntry) => {
    const { number } = byId.get(positionId) as StringPosition
    entries.set(number, [...(entries.get(number) ?? []), entry])
  }
  for (const row of store.rows.select().from(breaks).where(inArray(breaks.positionId, ids)).all()) {
    for (const p of samePiece(instrument, byId.get(row.positionId) as StringPosition)) {
      add(positionIds.get(p.number) as number, { at: row.at, what: 'broke', text: siteWord(row.site, p) })
    }
  }
  const fitted = store.rows
    .select({
      positionId: fittedPositions.positionId,
      fittedAt: fittedStrings.fittedAt,
      loggedAt: fittings.at,
      cutMm: fittings.cutMm,
      wraps: fittings.wraps,
      coil: coils.label,
    })
    .from(fittedPositions)
    .innerJoin(fittedStrings, eq(fittedPositions.fittedId, fittedStrings.id))
    .leftJoin(fittings, eq(fittings.fittedId, fittedStrings.id))
    .leftJoin(coils, eq(coils.id, fittedStrings.coilId))
    .where(inArray(fittedPositions.positionId, ids))
    .all()
  for (const row of fitted) {
    const measured =
      row.wraps === null
        ? 'with the whole set'
        : row.cutMm === null
          ? `the same string put back, ${row.wraps} wraps`
          : `${row.coil ?? 'a string'}, ${Math.round(row.cutMm)} mm cut, ${row.wraps} wraps`
    add(row.positionId, { at: row.loggedAt ?? row.fittedAt, what: 'fitted', text: measured })
  }
  for (const row of store.rows
    .select()
    .from(readings)
    .where(inArray(readings.positionId, ids))
    .orderBy(desc(readings.at))
    .all()) {
    add(row.positionId, {
      at: row.at,
      what: 'read',
      text: `${row.cents > 0 ? '+' : ''}${row.cents} cents${row.broughtBack ? ', brought back' : ''}`.replace(
        '-',
        '−',
      ),
    })
  }
  for (const list of entries.values())
    list.sort((a, b) => b.at - a.at || ORDER.indexOf(b.what) - ORDER.indexOf(a.what))
  return entries
}
