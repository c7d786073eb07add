/**
 * Takes an archive in: into an empty house as it is, into its own house row by row, into another one its instruments.
 * Looking first does the same and takes it back, so that what is shown is what will be done.
 */
import { Refusal } from '@/boundary/refusal'
import type { TableTaken, ImportSummary } from '@/boundary/import-summary'
import { fromInstrumentFile, toInstrumentFile } from '../instruments/instrument-file'
import { allInstruments, retiredInstruments } from '../instruments/instruments'
import { isBegun } from '../workshop/settings'
import { keepBytes } from '../pictures/pictures'
import type { Store } from '../store/database'
import { workshopKeys } from '../store/schema'
import type { Cell } from './columns'
import { readArchive, type Archive, type ReadTable } from './read-archive'
import { takeInstruments } from './take-instruments'
import { workshopKey } from './write-archive'

/** Thrown to take back what was done to look at it. */
class OnlyLooked extends Error {
  constructor(readonly taken: ImportSummary) {
    super('only looked')
  }
}

/**
 * What taking it in would do.
 *
 * @throws Refusal 400 with one sentence where it can’t be taken in
 */
export function lookAtArchive(store: Store, zip: Uint8Array): ImportSummary {
  const archive = orRefused(() => readArchive(zip))
  try {
    store.act({ kind: 'archive', summary: 'An archive looked at' }, () => {
      throw new OnlyLooked(take(store, archive))
    })
  } catch (error) {
    if (error instanceof OnlyLooked) return error.taken
    throw error
  }
  throw new Error('expected what was only looked at to be taken back')
}

/**
 * Takes it in, as one action.
 *
 * @throws Refusal 400 with one sentence where it can’t be taken in; then nothing is written
 */
export function takeArchive(store: Store, zip: Uint8Array): { readonly actionId: number } & ImportSummary {
  const archive = orRefused(() => readArchive(zip))
  const summary = `The archive of ${archive.head.name || 'a house'} taken in`
  const { actionId, result } = store.act({ kind: 'archive', summary }, () => take(store, archive))
  return { actionId, ...result }
}

function take(store: Store, archive: Archive): ImportSummary {
  const { head } = archive
  const about = { workshop: head.name, writtenAt: head.writtenAt }
  const from = !isBegun(store) ? 'whole' : head.house === workshopKey(store) ? 'own' : 'another'
  if (from === 'another')
    return { from, ...about, tables: [], ...orRefused(() => takeInstruments(store, archive)) }
  const db = store.rows.$client
  // Rows may point at rows of a table that comes later: all is looked at when the action ends.
  db.pragma('defer_foreign_keys = ON')
  const tables = orRefused(() => {
    for (const [hash, jpeg] of archive.pictures()) keepBytes(store, hash, jpeg)
    return archive.tables.map((table) => takeTable(store, table))
  })
  const dangling = db.pragma('foreign_key_check') as readonly { readonly table: string }[]
  if (dangling[0])
    throw new Refusal(400, `A row of ${dangling[0].table} points at one that is not there.`, 'file')
  expectWhole(store)
  // A house that moved is the same house: what it is brought later is its own.
  if (from === 'whole') store.rows.update(workshopKeys).set({ key: head.house }).run()
  return {
    from,
    ...about,
    tables: tables.filter(({ added, changed }) => added + changed > 0),
    instruments: [],
    here: [],
  }
}

/** What can’t be read, or the tables themselves refuse, is refused in a sentence. */
function orRefused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal(400, error.message, 'file')
    const { code, message } = error as { readonly code?: string; readonly message: string }
    if (code?.startsWith('SQLITE_CONSTRAINT'))
      throw new Refusal(400, `The archive does not hold together: ${message}.`, 'file')
    throw error
  }
}

function takeTable(store: Store, { name, each }: ReadTable): TableTaken {
  const db = store.rows.$client
  let [added, changed, same] = [0, 0, 0]
  let statements: ReturnType<typeof statementsFor> | null = null
  each((row, columns) => {
    statements ??= statementsFor(db, name, columns)
    const id = row[columns.indexOf('id')] as number
    const before = statements.had.get(id) as Cell[] | undefined
    if (!before) {
      statements.insert.run(...row)
      added += 1
    } else if (before.every((cell, i) => cell === row[i])) same += 1
    else {
      statements.update.run(...row.filter((_, i) => columns[i] !== 'id'), id)
      changed += 1
    }
  })
  return { name, added, changed, same }
}

function statementsFor(db: Store['rows']['$client'], table: string, columns: readonly string[]) {
  const listed = columns.map((column) => `"${column}"`).join(', ')
  // The number itself is never set: every row that points at it would have to be looked for.
  const set = columns.flatMap((column) => (column === 'id' ? [] : [`"${column}" = ?`])).join(', ')
  return {
    had: db.prepare(`SELECT ${listed} FROM "${table}" WHERE id = ?`).raw(),
    insert: db.prepare(`INSERT INTO "${table}" (${listed}) VALUES (${columns.map(() => '?').join(', ')})`),
    update: db.prepare(`UPDATE "${table}" SET ${set} WHERE id = ?`),
  }
}

/** Every instrument must be one that its own file could have said. */
function expectWhole(store: Store): void {
  for (const { instrument } of [...allInstruments(store), ...retiredInstruments(store)])
    try {
      fromInstrumentFile(JSON.parse(JSON.stringify(toInstrumentFile(instrument))))
    } catch (error) {
      throw new Refusal(400, `${instrument.name}: ${(error as Error).message}`, 'file')
    }
}
