/**
 * Another house's instruments: each with what is known of it, its notes, its own habits and its pictures; its jobs and its
 * history belong to the house that did them.
 */
import { and, eq } from 'drizzle-orm'
import type { Taken } from '@/boundary/taken'
import type { PictureKind } from '@/core/pictures/picture-kind'
import { addInstrument, allInstruments, retiredInstruments } from '../instruments/instruments'
import { keepBytes } from '../pictures/pictures'
import type { Store } from '../store/database'
import { instruments, pictures, positions } from '../store/schema'
import type { Cell } from './columns'
import type { Archive } from './read-archive'

type Row = Readonly<Record<string, Cell>>

/** Adds those that this house has none of by that name; belongs inside an action. */
export function takeInstruments(store: Store, archive: Archive): Pick<Taken, 'instruments' | 'here'> {
  const all = archive.instruments()
  const taken = new Set(
    [...allInstruments(store), ...retiredInstruments(store)].map(({ instrument }) => instrument.slug),
  )
  const fresh = all.filter(({ slug }) => !taken.has(slug))
  const ids = new Map(fresh.map((instrument) => [instrument.slug, addInstrument(store, instrument)]))
  takeKnown(store, archive, ids)
  return {
    instruments: fresh.map(({ name }) => name),
    here: all.filter(({ slug }) => taken.has(slug)).map(({ name }) => name),
  }
}

/** @param ids - of the instruments that were added, by slug */
function takeKnown(store: Store, archive: Archive, ids: ReadonlyMap<string, number>): void {
  /** Their numbers here by their numbers there. */
  const here = new Map<Cell, number>()
  for (const row of rowsOf(archive, 'instrument')) {
    const id = ids.get(String(row.slug))
    if (id === undefined) continue
    here.set(row.id ?? null, id)
    store.rows
      .update(instruments)
      .set({
        notes: text(row.notes),
        chartLink: text(row.chart_link),
        habits: text(row.habits) || '{}',
        measured: row.measured === null ? null : text(row.measured),
      })
      .where(eq(instruments.id, id))
      .run()
  }
  const places = new Map<Cell, number>()
  for (const row of rowsOf(archive, 'string_position')) {
    const instrumentId = here.get(row.instrument_id ?? null)
    if (instrumentId === undefined) continue
    const [position] = store.rows
      .update(positions)
      .set({ hardwareMeasured: text(row.hardware_measured) || '[]' })
      .where(and(eq(positions.instrumentId, instrumentId), eq(positions.number, Number(row.number))))
      .returning({ id: positions.id })
      .all()
    if (position) places.set(row.id ?? null, position.id)
  }
  takePictures(store, archive, here, places)
}

function takePictures(
  store: Store,
  archive: Archive,
  here: ReadonlyMap<Cell, number>,
  places: ReadonlyMap<Cell, number>,
): void {
  const rows = rowsOf(archive, 'picture').filter((row) => here.has(row.instrument_id ?? null))
  const wanted = new Set(rows.map(({ hash }) => text(hash)))
  const kept = new Set<string>()
  for (const [hash, jpeg] of archive.pictures()) {
    if (!wanted.has(hash)) continue
    keepBytes(store, hash, jpeg)
    kept.add(hash)
  }
  for (const row of rows)
    // An archive may have been written without its pictures.
    if (kept.has(text(row.hash)))
      store.rows
        .insert(pictures)
        .values({
          instrumentId: here.get(row.instrument_id ?? null) as number,
          positionId: places.get(row.position_id ?? null) ?? null,
          jobId: null,
          kind: text(row.kind) as PictureKind,
          note: text(row.note),
          at: Number(row.at),
          widthPx: Number(row.width_px),
          heightPx: Number(row.height_px),
          hash: text(row.hash),
        })
        .run()
}

const text = (cell: Cell | undefined) => String(cell ?? '')

function rowsOf(archive: Archive, table: string): readonly Row[] {
  const rows: Row[] = []
  archive.tables
    .find(({ name }) => name === table)
    ?.each((row, columns) =>
      rows.push(Object.fromEntries(columns.map((column, i) => [column, row[i] ?? null]))),
    )
  return rows
}
