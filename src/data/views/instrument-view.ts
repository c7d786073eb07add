/**
 * What an instrument's page needs beside its chart: what is broken, how old each string is, and each position's history.
 */
import { eq, inArray, lte, sql, type SQL } from 'drizzle-orm'
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core'
import { samePiece, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'
import { signed } from '@/core/pitch/cents'
import { siteWord } from '@/core/wear/break-sites'
import type { Since } from '@/core/wear/on-since'
import type { Store } from '../store/database'
import { stringsOn } from '../fitted/fitted'
import type { StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { breaks, coils, fittedPositions, fittedStrings, fittings, positions, readings } from '../store/schema'

export interface HistoryEntry {
  readonly at: number
  readonly what: 'broke' | 'fitted' | 'read'
  readonly text: string
}

/** So much of a position's history is told at once. An instrument of many years has hundreds of readings. */
const TOLD = { broke: 6, fitted: 6, read: 3 } as const

/** What can fall on one moment, in the order it happens. */
const ORDER: readonly HistoryEntry['what'][] = ['broke', 'fitted', 'read']

export interface PositionView {
  /** When the string now on it was put on, ms, and how well that is known; null when there is none. */
  readonly on: { readonly since: Since; readonly at: number } | null
  /** Its open job, when it is broken. */
  readonly jobId: number | null
  /** The latest, newest first. */
  readonly history: readonly HistoryEntry[]
  /** How much there is in all. */
  readonly happened: number
}

export interface InstrumentView {
  readonly instrument: Instrument
  /** By position number. */
  readonly positions: Readonly<Record<number, PositionView>>
  readonly broken: readonly number[]
  /** What its owner or a technician should know, and where the maker's chart is; empty where nobody said. */
  readonly notes: string
  readonly chartLink: string
  /** Strings of which nobody knows since when they are on, by number. */
  readonly unknown: readonly number[]
  /** It came from a preset, and can be measured. */
  readonly isAssumed: boolean
}

/** Everything the page of an instrument shows. */
export function instrumentView(store: Store, stored: StoredInstrument): InstrumentView {
  const { instrument, positionIds } = stored
  const numbers = new Map([...positionIds].map(([number, id]) => [id, number]))
  const jobOf = openJobNumbers(store, stored)
  const on = new Map(
    stringsOn(store, stored.id).flatMap(({ since, fittedAt: at, positionIds: ids }) =>
      ids.map((id) => [numbers.get(id), { since, at }] as const),
    ),
  )
  const history = historyByPosition(store, stored)
  const positions = Object.fromEntries(
    instrument.positions.map((p): [number, PositionView] => [
      p.number,
      {
        on: on.get(p.number) ?? null,
        jobId: jobOf.get(p.number) ?? null,
        history: history.get(p.number)?.told ?? [],
        happened: history.get(p.number)?.count ?? 0,
      },
    ]),
  )
  const { notes, chartLink, chartMeasured } = stored
  return {
    instrument,
    positions,
    broken: [...jobOf.keys()],
    unknown: instrument.positions.map(({ number }) => number).filter((n) => on.get(n)?.since === 'unknown'),
    notes,
    chartLink,
    isAssumed: chartMeasured !== null,
  }
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

interface PositionHistory {
  readonly told: readonly HistoryEntry[]
  readonly count: number
}

function historyByPosition(
  store: Store,
  { id, instrument, positionIds }: StoredInstrument,
): ReadonlyMap<number, PositionHistory> {
  const byId = new Map(instrument.positions.map((p) => [requireValue(positionIds.get(p.number)), p]))
  const entries = new Map<number, { told: HistoryEntry[]; counts: Map<string, number> }>()
  const add = (position: StringPosition | undefined, count: number, entry: HistoryEntry) => {
    if (!position) return
    const had = entries.get(position.number) ?? { told: [], counts: new Map<string, number>() }
    had.told.push(entry)
    had.counts.set(entry.what, count)
    entries.set(position.number, had)
  }
  for (const row of latestBreaks(store, id)) {
    const position = byId.get(row.positionId)
    for (const p of position ? samePiece(instrument, position) : [])
      add(p, row.count, { at: row.at, what: 'broke', text: siteWord(row.site, p) })
  }
  for (const row of latestFittings(store, id))
    add(byId.get(row.positionId), row.count, { at: row.at, what: 'fitted', text: fittedText(row) })
  for (const row of latestReadings(store, id))
    add(byId.get(row.positionId), row.count, { at: row.at, what: 'read', text: readText(row) })
  return new Map(
    [...entries].map(([number, { told, counts }]) => [
      number,
      {
        told: told.sort((a, b) => b.at - a.at || ORDER.indexOf(b.what) - ORDER.indexOf(a.what)),
        count: [...counts.values()].reduce((sum, count) => sum + count, 0),
      },
    ]),
  )
}

/** A row's place among those of its position, the latest first, and how many those are. */
const among = (positionId: SQLiteColumn, at: SQL | SQLiteColumn) => ({
  nth: sql<number>`row_number() over (partition by ${positionId} order by ${at} desc)`.as('nth'),
  count: sql<number>`count(*) over (partition by ${positionId})`.as('of'),
})

/** The positions of the instrument that is asked about. */
const itsPositions = (rows: Store['rows']) =>
  rows
    .select({ id: positions.id })
    .from(positions)
    .where(eq(positions.instrumentId, sql.placeholder('instrumentId')))

function latestBreaks(store: Store, instrumentId: number) {
  const latest = store.prepared('latest breaks of an instrument', (rows) => {
    const all = rows
      .select({
        positionId: breaks.positionId,
        at: breaks.at,
        site: breaks.site,
        ...among(breaks.positionId, breaks.at),
      })
      .from(breaks)
      .where(inArray(breaks.positionId, itsPositions(rows)))
      .as('all_breaks')
    return rows.select().from(all).where(lte(all.nth, TOLD.broke)).prepare()
  })
  return latest.all({ instrumentId })
}

function latestFittings(store: Store, instrumentId: number) {
  const latest = store.prepared('latest fittings of an instrument', (rows) => {
    const at = sql<number>`coalesce(${fittings.at}, ${fittedStrings.fittedAt})`
    const all = rows
      .select({
        positionId: fittedPositions.positionId,
        at: at.as('at'),
        cutMm: fittings.cutMm,
        wraps: fittings.wraps,
        since: fittedStrings.since,
        coil: coils.label,
        ...among(fittedPositions.positionId, at),
      })
      .from(fittedPositions)
      .innerJoin(fittedStrings, eq(fittedPositions.fittedId, fittedStrings.id))
      .leftJoin(fittings, eq(fittings.fittedId, fittedStrings.id))
      .leftJoin(coils, eq(coils.id, fittedStrings.coilId))
      .where(inArray(fittedPositions.positionId, itsPositions(rows)))
      .as('all_fittings')
    return rows.select().from(all).where(lte(all.nth, TOLD.fitted)).prepare()
  })
  return latest.all({ instrumentId })
}

function fittedText({ coil, cutMm, wraps, since }: ReturnType<typeof latestFittings>[number]): string {
  if (since !== 'dated' && wraps === null) return 'on already when it was entered'
  if (wraps === null) return 'with the whole set'
  return cutMm === null
    ? `the same string put back, ${wraps} wraps`
    : `${coil ?? 'a string'}, ${Math.round(cutMm)} mm cut, ${wraps} wraps`
}

function latestReadings(store: Store, instrumentId: number) {
  const latest = store.prepared('latest readings of an instrument', (rows) => {
    const all = rows
      .select({
        positionId: readings.positionId,
        at: readings.at,
        cents: readings.cents,
        broughtBack: readings.broughtBack,
        ...among(readings.positionId, readings.at),
      })
      .from(readings)
      .where(inArray(readings.positionId, itsPositions(rows)))
      .as('all_readings')
    return rows.select().from(all).where(lte(all.nth, TOLD.read)).prepare()
  })
  return latest.all({ instrumentId })
}

function readText({ cents, broughtBack }: ReturnType<typeof latestReadings>[number]): string {
  return `${signed(cents)} cents${broughtBack ? ', brought back' : ''}`
}
