/**
 * Everything a house keeps, as one zip of open files.
 */
import Papa from 'papaparse'
import { strToU8, zipSync } from 'fflate'
import { houseSettings } from '../house/house'
import { toInstrumentFile } from '../instruments/instrument-file'
import { allInstruments, retiredInstruments } from '../instruments/instruments'
import type { Store } from '../store/database'
import { houseKeys } from '../store/schema'
import { cellText } from './cells'
import { ARCHIVED, type ArchiveTable, type Cell } from './columns'
import { ARCHIVE_README } from './readme'

/** What the archive says of itself. */
export interface ArchiveHead {
  readonly format: typeof ARCHIVE_FORMAT
  readonly version: 1
  /** Tells houses apart: rows of one house keep their numbers for ever. */
  readonly house: string
  readonly name: string
  /** UTC */
  readonly writtenAt: string
}

export const ARCHIVE_FORMAT = 'taut-pinset house'

/** The key of this house, made once when its file was. */
export function houseKey(store: Store): string {
  const row = store.rows.select({ key: houseKeys.key }).from(houseKeys).get()
  if (!row) throw new Error('expected the house to have its key, got none')
  return row.key
}

/** The archive’s files by their names in it. */
export function archiveFiles(store: Store): Readonly<Record<string, string>> {
  const head: ArchiveHead = {
    format: ARCHIVE_FORMAT,
    version: 1,
    house: houseKey(store),
    name: houseSettings(store).name,
    writtenAt: new Date(store.now()).toISOString(),
  }
  const instruments = [...allInstruments(store), ...retiredInstruments(store)]
  return {
    'README.md': ARCHIVE_README,
    'house.json': `${JSON.stringify(head, null, 1)}\n`,
    ...Object.fromEntries(
      instruments.map(({ instrument }) => [
        `instruments/${instrument.slug}.json`,
        `${JSON.stringify(toInstrumentFile(instrument), null, 1)}\n`,
      ]),
    ),
    ...Object.fromEntries(ARCHIVED.map((table) => [`tables/${table.name}.csv`, tableCsv(store, table)])),
    'history.csv': historyCsv(store),
  }
}

/** The archive as the bytes of a zip. */
export function zippedArchive(store: Store): Uint8Array<ArrayBuffer> {
  const zip = zipSync(
    Object.fromEntries(Object.entries(archiveFiles(store)).map(([name, text]) => [name, strToU8(text)])),
    { level: 6, mtime: new Date(store.now()) },
  )
  return new Uint8Array(zip)
}

function tableCsv(store: Store, { name, columns }: ArchiveTable): string {
  const rows = store.rows.$client
    .prepare(`SELECT ${columns.map((c) => `"${c.name}"`).join(', ')} FROM "${name}" ORDER BY id`)
    .raw()
    .all() as Cell[][]
  return csv([
    columns.map(({ heading }) => heading),
    ...rows.map((row) => columns.map((column, i) => cellText(row[i] ?? null, column))),
  ])
}

/** What was done, to be read: it comes along and is not taken in again. */
function historyCsv(store: Store): string {
  const rows = store.rows.$client
    .prepare('SELECT id, at, kind, summary, by, undoes FROM action ORDER BY id')
    .raw()
    .all() as Cell[][]
  const text = { name: '', heading: '', kind: 'text', required: false } as const
  return csv([
    ['id', 'at (UTC)', 'kind', 'summary', 'by', 'undoes'],
    ...rows.map(([id, at, kind, summary, by, undoes]) => [
      String(id),
      new Date(Number(at)).toISOString(),
      cellText(kind ?? null, text),
      cellText(summary ?? null, text),
      cellText(by ?? null, text),
      undoes === null || undoes === undefined ? '' : String(undoes),
    ]),
  ])
}

function csv(rows: readonly (readonly string[])[]): string {
  return `${Papa.unparse(rows as string[][], { newline: '\n' })}\n`
}
