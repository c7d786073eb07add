/**
 * Another house's instruments: each with what is known of it, its notes, its own habits and its pictures; its jobs and its
 * history belong to the house that did them.
 */
import { eq } from 'drizzle-orm'
import type { ImportSummary } from '@/boundary/import-summary'
import { grouped } from '@/core/list/grouped'
import { requireValue } from '@/core/list/require-value'
import type { PictureKind } from '@/core/pictures/picture-kind'
import {
  addInstrument,
  allInstruments,
  instrumentBySlug,
  positionId,
  readHardwareMeasured,
  retiredInstruments,
  type Known,
} from '../instruments/instruments'
import { readMeasured } from '../instruments/measured-json'
import { keepBytes } from '../pictures/pictures'
import type { Store } from '../store/database'
import { instruments, pictures } from '../store/schema'
import type { Cell } from './columns'
import type { Archive } from './read-archive'

type Row = Readonly<Record<string, Cell>>

/** Adds those that this house has none of by that name; belongs inside an action. */
export function takeInstruments(store: Store, archive: Archive): Pick<ImportSummary, 'instruments' | 'here'> {
  const all = archive.instruments()
  const taken = new Set(
    [...allInstruments(store), ...retiredInstruments(store)].map(({ instrument }) => instrument.slug),
  )
  const fresh = all.filter(({ slug }) => !taken.has(slug))
  const there = rowsOf(archive, 'instrument')
  const rows = new Map(there.map((row) => [row.slug, row]))
  const strings = rowsOf(archive, 'string_position')
  const stringsOf = grouped(strings, (row) => row.instrument_id)
  for (const instrument of fresh) {
    const row = rows.get(instrument.slug)
    const id = addInstrument(
      store,
      instrument,
      row ? knownOf(row, stringsOf.get(row.id) ?? []) : null,
      Boolean(row?.stocked),
    )
    if (row)
      store.rows
        .update(instruments)
        .set({ notes: text(row.notes), chartLink: text(row.chart_link), habits: text(row.habits) || '{}' })
        .where(eq(instruments.id, id))
        .run()
  }
  takePictures(
    store,
    archive,
    there.filter((row) => fresh.some(({ slug }) => slug === row.slug)),
    strings,
  )
  return {
    instruments: fresh.map(({ name }) => name),
    here: all.filter(({ slug }) => taken.has(slug)).map(({ name }) => name),
  }
}

/** What was measured of it, by whoever wrote the archive. */
function knownOf(row: Row, strings: readonly Row[]): Known {
  return {
    measured: row.measured === null ? null : readMeasured(text(row.measured)),
    hardware: new Map(
      strings.map((one) => [Number(one.number), readHardwareMeasured(text(one.hardware_measured) || '[]')]),
    ),
  }
}

/**
 * @param fresh - rows of the instruments that were added
 * @param strings - rows of all positions
 */
function takePictures(store: Store, archive: Archive, fresh: readonly Row[], strings: readonly Row[]): void {
  const slugs = new Map(fresh.map((row) => [row.id, text(row.slug)]))
  const numbers = new Map(strings.map((row) => [row.id, Number(row.number)]))
  const wanted = rowsOf(archive, 'picture').filter((row) => slugs.has(row.instrument_id))
  const byHash = grouped(wanted, (row) => text(row.hash))
  // An archive may have been written without its pictures.
  for (const [hash, jpeg] of archive.pictures()) {
    const rows = byHash.get(hash)
    if (!rows) continue
    keepBytes(store, hash, jpeg)
    for (const row of rows) {
      const stored = instrumentBySlug(store, requireValue(slugs.get(row.instrument_id)))
      const number = numbers.get(row.position_id)
      store.rows
        .insert(pictures)
        .values({
          instrumentId: stored.id,
          positionId: number === undefined ? null : positionId(stored, number),
          jobId: null,
          kind: text(row.kind) as PictureKind,
          note: text(row.note),
          at: Number(row.at),
          widthPx: Number(row.width_px),
          heightPx: Number(row.height_px),
          hash,
        })
        .run()
    }
  }
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
