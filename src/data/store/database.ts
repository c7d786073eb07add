/**
 * The database file: opened once a process, migrated at once, with every action journaled.
 */
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import Database from 'better-sqlite3'
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { houseClock } from './clock'
import { Journal, type ActionDetails, type Done } from './journal'
import { Kept } from './kept'
import { keepSums } from './kept-sums'
import * as schema from './schema'

export type { Done }

export interface Store {
  readonly rows: BetterSQLite3Database<typeof schema> & { readonly $client: Database.Database }
  /** Carries out one action in one transaction, journaled. */
  act<T>(details: ActionDetails, write: () => T): Done<T>
  undo(actionId: number): Done<void>
  /** Notes in the history who does what is done meanwhile. */
  as<T>(by: string | null, work: () => T): T
  /** A statement that is asked often: made once, and then only run. */
  prepared<Statement>(name: string, make: (rows: Store['rows']) => Statement): Statement
  /** Values that are kept until what they rest on is written. */
  readonly kept: Kept
  /** ms since 1970 by the house's clock. */
  now(): number
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

/** Opens a store and brings its tables up to date. */
export function openStore({ folder, demoDate, machine, syncAtClose = false, heard }: OpenOptions): Store {
  mkdirSync(folder, { recursive: true })
  const db = new Database(path.join(folder, 'taut-pinset.sqlite'), {
    ...(heard ? { verbose: (sql) => heard(String(sql)) } : {}),
  })
  db.pragma('journal_mode = WAL')
  db.pragma(`synchronous = ${syncAtClose ? 'OFF' : 'FULL'}`)
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
  const now = houseClock(db, demoDate, machine)
  const kept = new Kept(db)
  const journal = new Journal(db, now, kept)
  keepSums(db)
  const statements = new Map<string, unknown>()
  return {
    rows,
    now,
    kept,
    prepared: <Statement>(name: string, make: (of: Store['rows']) => Statement): Statement => {
      const known = (statements.get(name) as Statement | undefined) ?? make(rows)
      statements.set(name, known)
      return known
    },
    act: (details, write) => journal.act(details, write),
    undo: (actionId) => journal.undo(actionId),
    as: (by, work) => {
      const before = journal.by
      journal.by = by
      try {
        return work()
      } finally {
        journal.by = before
      }
    },
    close: () => {
      db.pragma('synchronous = FULL')
      if (syncAtClose) db.pragma('wal_checkpoint(TRUNCATE)')
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
  migrate(rows, { migrationsFolder: path.join(process.cwd(), 'drizzle') })
  return count() !== before
}

const held = globalThis as { tautStore?: Store; tautVisited?: Store | undefined }

/** The folder of the house that is served: `TAUT_DATA`. */
export const houseFolder = () => process.env.TAUT_DATA ?? path.join(process.cwd(), 'data')

/** The running server's store: the house's own, or the one that is being visited. `TAUT_DEMO_DATE` is the demo's today. */
export function store(): Store {
  if (held.tautVisited) return held.tautVisited
  held.tautStore ??= openStore({ folder: houseFolder(), demoDate: process.env.TAUT_DEMO_DATE })
  return held.tautStore
}

/** Whether another house than the own one is served. */
export const isVisiting = () => held.tautVisited !== undefined

/** Serves the house of another folder from now on; null goes back to the own one. */
export function visit(folder: string | null): void {
  held.tautVisited?.close()
  held.tautVisited = folder === null ? undefined : openStore({ folder, demoDate: process.env.TAUT_DEMO_DATE })
}
