/**
 * The database file: opened once a process, migrated at once, with every action journaled.
 */
import { existsSync, mkdirSync, statSync } from 'node:fs'
import path from 'node:path'
import Database from 'better-sqlite3'
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { copyWorkshop } from '../backup/copy-workshop'
import { WorkshopTrouble, isWorkshopTrouble } from '@/boundary/workshop-trouble'
import { workshopClock } from './clock'
import { Journal, type ActionDetails, type Done } from './journal'
import { DerivedCache } from './derived-cache'
import { keepSums } from './sum-triggers'
import * as schema from './schema'
import { WORKSHOP_FILE, lookAt, MIGRATIONS, troubleOf } from './trouble'
import { readAround, unreadableRows, type UnreadableRows } from './unreadable'

export type { Done }

export interface Store {
  readonly rows: BetterSQLite3Database<typeof schema> & { readonly $client: Database.Database }
  /** Carries out one action in one transaction, journaled. */
  act<T>(details: ActionDetails, write: () => T): Done<T>
  undo(actionId: number): Done<void>
  /** Notes in the history who does what is done meanwhile. */
  withActor<T>(by: string | null, work: () => T): T
  /** Carries out what was done so long ago, ms, on a device that could not tell of it. */
  earlier<T>(ago: number, work: () => T): T
  /** A statement that is asked often: made once, and then only run. */
  prepared<Statement>(name: string, make: (rows: Store['rows']) => Statement): Statement
  /** Values that are kept until what they rest on is written. */
  readonly cache: DerivedCache
  /** ms since 1970 by the house's clock. */
  now(): number
  readonly folder: string
  /** Rows that can't be read: they are left out of everything that is. */
  readonly unreadable: UnreadableRows
  /** Whether its file still lies where it was opened. */
  isThere(): boolean
  close(): void
}

export interface OpenOptions {
  /** Folder that holds the database file; made when it is missing. */
  readonly folder: string
  readonly demoDate?: string | undefined
  /** The machine's clock, ms; for tests. */
  readonly machine?: () => number
  /** Syncs only when it is closed: for a load that is moved into place when it is whole, and thrown away otherwise. */
  readonly syncAtClose?: boolean
  /** Is told of every statement that is carried out, its values written in; for tests. */
  readonly heard?: (sql: string) => void
}

/**
 * Opens a store and brings its tables up to date.
 *
 * @throws HouseTrouble where there is no house that could be gone on with
 */
export function openStore(options: OpenOptions): Store {
  try {
    // Before its tables are laid anew a house is copied as it was.
    if (lookAt(options.folder) === 'older') copyWorkshop(options.folder, 'before an update')
    return opened(options)
  } catch (error) {
    throw troubleOf(error, options.folder)
  }
}

function opened({ folder, demoDate, machine, syncAtClose = false, heard }: OpenOptions): Store {
  mkdirSync(folder, { recursive: true })
  const file = path.join(folder, WORKSHOP_FILE)
  const db = new Database(file, {
    ...(heard ? { verbose: (sql) => heard(String(sql)) } : {}),
  })
  const { ino } = statSync(file)
  const isThere = () => statSync(file, { throwIfNoEntry: false })?.ino === ino
  db.pragma('journal_mode = WAL')
  db.pragma(`synchronous = ${syncAtClose ? 'OFF' : 'FULL'}`)
  // A program that copies the log elsewhere as it grows empties it itself.
  const leavesLog = process.env.TAUT_CHECKPOINTS === 'left'
  if (leavesLog) db.pragma('wal_autocheckpoint = 0')
  const rows = drizzle(db, { schema })
  // A table that is laid anew is dropped first, which must not take along what points at it.
  db.pragma('foreign_keys = OFF')
  // Looking through all rows takes its time; they can only have come apart where tables were laid anew.
  const [dangling] = migrated(db, rows)
    ? (db.pragma('foreign_key_check') as readonly { readonly table: string }[])
    : []
  if (dangling)
    throw new Error(
      `expected every row to point at one that is there, got one in ${dangling.table} that doesn’t`,
    )
  db.pragma('foreign_keys = ON')
  const unreadable = unreadableRows(db)
  readAround(db, unreadable)
  const clock = workshopClock(db, demoDate, machine)
  let ago = 0
  const now = () => clock() - ago
  const cache = new DerivedCache(db)
  const journal = new Journal(db, now, cache)
  keepSums(db)
  const statements = new Map<string, unknown>()
  return {
    rows,
    now,
    cache,
    prepared: <Statement>(name: string, make: (of: Store['rows']) => Statement): Statement => {
      const known = (statements.get(name) as Statement | undefined) ?? make(rows)
      statements.set(name, known)
      return known
    },
    act: (details, write) => journal.act(details, write),
    undo: (actionId) => journal.undo(actionId),
    earlier: (by, work) => {
      ago = by
      try {
        return work()
      } finally {
        ago = 0
      }
    },
    withActor: (by, work) => {
      const before = journal.by
      journal.by = by
      try {
        return work()
      } finally {
        journal.by = before
      }
    },
    folder,
    unreadable,
    isThere,
    close: () => {
      db.pragma('synchronous = FULL')
      // Whoever copies the file alone has all of it.
      if (isThere() && !leavesLog) db.pragma('wal_checkpoint(TRUNCATE)')
      db.close()
    },
  }
}

/** Applies what migrations there are; whether any was new. */
function migrated(db: Database.Database, rows: Store['rows']): boolean {
  const count = () =>
    db.prepare("SELECT count(*) FROM sqlite_master WHERE name = '__drizzle_migrations'").pluck().get() === 0
      ? 0
      : db.prepare('SELECT count(*) FROM __drizzle_migrations').pluck().get()
  const before = count()
  migrate(rows, { migrationsFolder: MIGRATIONS })
  return count() !== before
}

const held = globalThis as {
  tautStore?: Store
  tautVisited?: Store | undefined
  /** The house was here, and may be moved away. */
  tautWasHere?: boolean
}

/** The folder of the house that is served: `TAUT_DATA`. */
export const workshopFolder = () => process.env.TAUT_DATA ?? path.join(process.cwd(), 'data')

/**
 * The running server's store: the house's own, or the one that is being visited. `TAUT_DEMO_DATE` is the demo's today.
 *
 * @throws HouseTrouble where it can’t be opened, or is gone since it was
 */
export function store(): Store {
  return held.tautVisited ?? ownStore()
}

/** The house’s own store, whichever is being visited. */
export function ownStore(): Store {
  held.tautStore ??= openOwn()
  return held.tautStore
}

function openOwn(): Store {
  const folder = workshopFolder()
  // Where a house was, no empty one is laid in its place.
  if (held.tautWasHere && !existsSync(path.join(folder, WORKSHOP_FILE)))
    throw new WorkshopTrouble(
      `The house is gone from ${folder}.`,
      'Bring its folder back to where it was; then this page goes on by itself.',
    )
  const opened = openStore({ folder, demoDate: process.env.TAUT_DEMO_DATE })
  held.tautWasHere = true
  return opened
}

/** What keeps the house from being served just now; null where nothing does. A file that came back is opened anew. */
export function workshopTrouble(): { readonly sentence: string; readonly todo: string } | null {
  try {
    if (!store().isThere()) {
      closeWorkshop()
      store()
    }
    return null
  } catch (error) {
    if (isWorkshopTrouble(error)) return { sentence: error.message, todo: error.todo }
    throw error
  }
}

/** Closes what is open, so that everything lies in the file. */
export function closeWorkshop(): void {
  held.tautVisited?.close()
  held.tautStore?.close()
  held.tautVisited = undefined
  delete held.tautStore
}

/** Whether another house than the own one is served. */
export const isVisiting = () => held.tautVisited !== undefined

/** Serves the house of another folder from now on; null goes back to the own one. */
export function visit(folder: string | null): void {
  held.tautVisited?.close()
  held.tautVisited = folder === null ? undefined : openStore({ folder, demoDate: process.env.TAUT_DEMO_DATE })
}
