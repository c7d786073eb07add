/**
 * Everything a house keeps, as one zip of open files.
 */
import { setImmediate } from 'node:timers/promises'
import Database from 'better-sqlite3'
import { getTableName } from 'drizzle-orm'
import Papa from 'papaparse'
import { strToU8, Zip, ZipDeflate } from 'fflate'
import { workshopSettings } from '../workshop/settings'
import { toInstrumentFile } from '../instruments/instrument-file'
import { allInstruments, retiredInstruments } from '../instruments/instruments'
import type { Store } from '../store/database'
import { workshopKeys, pictures } from '../store/schema'
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
export function workshopKey(store: Store): string {
  const row = store.rows.select({ key: workshopKeys.key }).from(workshopKeys).get()
  if (!row) throw new Error('expected the house to have its key, got none')
  return row.key
}

/** A file of the archive: its name in it, and its text or bytes piece by piece, so that no large table is ever whole in memory. */
interface ArchiveFile {
  readonly name: string
  readonly pieces: () => Iterable<string | Uint8Array>
}

/**
 * The archive’s files, of one moment: what is written while they are read is not in them.
 *
 * @param db - read from; a transaction of its own keeps the moment
 * @param withPictures - without them, no table speaks of them either
 */
export function archiveFiles(
  store: Store,
  db: Database.Database = store.rows.$client,
  withPictures = true,
): readonly ArchiveFile[] {
  const head: ArchiveHead = {
    format: ARCHIVE_FORMAT,
    version: 1,
    house: workshopKey(store),
    name: workshopSettings(store).name,
    writtenAt: new Date(store.now()).toISOString(),
  }
  const instruments = [...allInstruments(store), ...retiredInstruments(store)]
  const tables = withPictures ? ARCHIVED : ARCHIVED.filter(({ name }) => name !== PICTURES)
  return [
    { name: 'README.md', pieces: () => [ARCHIVE_README] },
    { name: 'house.json', pieces: () => [jsonText(head)] },
    ...instruments.map(({ instrument }) => ({
      name: `instruments/${instrument.slug}.json`,
      pieces: () => [jsonText(toInstrumentFile(instrument))],
    })),
    ...tables.map((table) => ({ name: `tables/${table.name}.csv`, pieces: () => tableCsv(db, table) })),
    { name: 'history.csv', pieces: () => tableCsv(db, HISTORY) },
    ...(withPictures ? pictureNames(db) : []).map((hash) => ({
      name: `pictures/${hash}.jpg`,
      pieces: () => [db.prepare('SELECT jpeg FROM picture_file WHERE hash = ?').pluck().get(hash) as Buffer],
    })),
  ]
}

const PICTURES = getTableName(pictures)

function pictureNames(db: Database.Database): readonly string[] {
  return db.prepare('SELECT DISTINCT hash FROM picture ORDER BY hash').pluck().all() as string[]
}

/** What was done, to be read: it comes along and is not taken in again. */
const HISTORY: ArchiveTable = {
  name: 'action',
  columns: [
    { name: 'id', heading: 'id', kind: 'whole', required: true },
    { name: 'at', heading: 'at (UTC)', kind: 'time', required: true },
    { name: 'kind', heading: 'kind', kind: 'text', required: true },
    { name: 'summary', heading: 'summary', kind: 'text', required: true },
    { name: 'by', heading: 'by', kind: 'text', required: false },
    { name: 'undoes', heading: 'undoes', kind: 'whole', required: false },
  ],
}

/** The archive as the bytes of a zip. */
export function zippedArchive(store: Store): Uint8Array<ArrayBuffer> {
  return new Uint8Array(Buffer.concat([...zipped(archiveFiles(store), store.now())]))
}

/**
 * The archive as a stream, of the moment it is asked for. Between its pieces the program answers others: a large house
 * takes many seconds.
 *
 * @param withPictures - without them it is small enough for any way it travels
 */
export function streamedArchive(store: Store, withPictures: boolean): ReadableStream<Uint8Array> {
  const db = new Database(store.rows.$client.name, { readonly: true })
  // The moment is that of the first read.
  db.exec('BEGIN; SELECT 1 FROM house')
  const pieces = zipped(archiveFiles(store, db, withPictures), store.now())[Symbol.iterator]()
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      await setImmediate()
      try {
        const next = pieces.next()
        if (!next.done) return controller.enqueue(next.value)
      } catch (error) {
        db.close()
        throw error
      }
      db.close()
      controller.close()
    },
    cancel() {
      db.close()
    },
  })
}

/** A zip, piece by piece. */
function* zipped(files: readonly ArchiveFile[], now: number): Iterable<Uint8Array> {
  let written: Uint8Array[] = []
  let failed: Error | null = null
  const zip = new Zip((error, piece) => {
    failed ??= error
    written.push(piece)
  })
  const taken = () => {
    if (failed) throw failed as Error
    const all = Buffer.concat(written)
    written = []
    return all
  }
  for (const { name, pieces } of files) {
    const file = new ZipDeflate(name, { level: 6 })
    file.mtime = new Date(now)
    zip.add(file)
    for (const piece of pieces()) {
      file.push(typeof piece === 'string' ? strToU8(piece) : new Uint8Array(piece))
      yield taken()
    }
    file.push(new Uint8Array(0), true)
  }
  zip.end()
  yield taken()
}

function jsonText(value: object): string {
  return `${JSON.stringify(value, null, 1)}\n`
}

/** Rows that are written at once. */
const AT_ONCE = 1000

function* tableCsv(db: Database.Database, { name, columns }: ArchiveTable): Iterable<string> {
  const listed = columns.map((column) => `"${column.name}"`).join(', ')
  const rows = db.prepare(`SELECT ${listed} FROM "${name}" WHERE id > ? ORDER BY id LIMIT ${AT_ONCE}`).raw()
  const at = columns.findIndex((column) => column.name === 'id')
  yield csv([columns.map(({ heading }) => heading)])
  for (let last = 0; ;) {
    const some = rows.all(last) as Cell[][]
    if (some.length === 0) return
    yield csv(some.map((row) => columns.map((column, i) => cellText(row[i] ?? null, column))))
    last = some.at(-1)?.[at] as number
  }
}

function csv(rows: readonly (readonly string[])[]): string {
  return `${Papa.unparse(rows as string[][], { newline: '\n' })}\n`
}
