/** Houses as every earlier version of the program left them. */
import Database from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { WORKSHOP_FILE, MIGRATIONS } from '@/data/store/trouble'

interface JournalOfMigrations {
  readonly entries: readonly { readonly idx: number; readonly tag: string }[]
}

const JOURNAL = path.join('meta', '_journal.json')
const known = JSON.parse(readFileSync(path.join(MIGRATIONS, JOURNAL), 'utf8')) as JournalOfMigrations

/** Names of the migrations, the oldest first. They are never changed once they are in use, and so are what tells how a house was. */
export const migrations: readonly string[] = known.entries.map(({ tag }) => tag)

interface Column {
  readonly name: string
  readonly type: string
  readonly notnull: 0 | 1
  readonly dflt_value: string | null
}

/**
 * Lays a house whose tables are those of an earlier version, with everything in it that they had a place for.
 *
 * @param from - folder of a house of today
 * @param count - how many of the migrations it knew
 */
export function layEarlierWorkshop(from: string, folder: string, count: number): void {
  mkdirSync(folder, { recursive: true })
  const db = new Database(path.join(folder, WORKSHOP_FILE))
  try {
    db.pragma('foreign_keys = OFF')
    migrateSoFar(db, count)
    db.prepare('ATTACH ? AS today').run(path.join(from, WORKSHOP_FILE))
    const tables = db
      .prepare(
        "SELECT name FROM main.sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '\\_\\_%' ESCAPE '\\'",
      )
      .pluck()
      .all() as string[]
    for (const table of tables) copyRows(db, table)
  } finally {
    db.close()
  }
}

function migrateSoFar(db: Database.Database, count: number): void {
  const some = mkdtempSync(path.join(os.tmpdir(), 'taut-migrations-'))
  try {
    cpSync(MIGRATIONS, some, { recursive: true })
    writeFileSync(
      path.join(some, JOURNAL),
      JSON.stringify({ ...known, entries: known.entries.slice(0, count) }),
    )
    migrate(drizzle(db), { migrationsFolder: some })
  } finally {
    rmSync(some, { recursive: true, force: true })
  }
}

/** What both versions know of a table; a column that only the earlier one had gets what says nothing. */
function copyRows(db: Database.Database, table: string): void {
  const columns = (schema: string) => db.pragma(`${schema}.table_info(${table})`) as Column[]
  const today = new Set(columns('today').map(({ name }) => name))
  if (today.size === 0) return
  const had = columns('main').filter(
    ({ name, notnull, dflt_value }) => today.has(name) || (notnull === 1 && dflt_value === null),
  )
  const values = had.map(({ name, type }) =>
    today.has(name) ? `"${name}"` : type === 'TEXT' || type === 'text' ? "''" : '0',
  )
  db.exec(
    `INSERT OR IGNORE INTO main."${table}" (${had.map(({ name }) => `"${name}"`).join()}) SELECT ${values.join()} FROM today."${table}"`,
  )
}
