/** What keeps a house from being opened, each in a sentence, with what to do. */
import Database from 'better-sqlite3'
import { getTableName, type Table } from 'drizzle-orm'
import { existsSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import { readMigrationFiles } from 'drizzle-orm/migrator'
import { WorkshopTrouble, isWorkshopTrouble } from '@/boundary/workshop-trouble'
import { journaled } from './schema'

/** The house’s file in its folder. */
export const WORKSHOP_FILE = 'taut-pinset.sqlite'
export const MIGRATIONS = path.join(process.cwd(), 'drizzle')

export const RESTORE = 'Bring back the last backup with bin/restore, or put the file aside and begin anew.'

/** How a house’s file stands to this program: none yet, as this one writes it, or as an older one did. */
export type WorkshopAge = 'new' | 'current' | 'older'

/**
 * Looks at the file of a house before anything is written to it.
 *
 * @throws HouseTrouble where it is none that this program can go on with
 */
export function lookAt(folder: string): WorkshopAge {
  const file = path.join(folder, WORKSHOP_FILE)
  if (existsSync(folder) && !statSync(folder).isDirectory())
    throw new WorkshopTrouble(`${folder} is a file, not a folder.`, 'Name another folder in TAUT_DATA.')
  if (!existsSync(file)) return 'new'
  const stat = statSync(file)
  if (stat.isDirectory())
    throw new WorkshopTrouble(
      `${file} is a folder; the house’s file should lie there.`,
      'Move that folder elsewhere.',
    )
  // Beside a log that still holds everything, SQLite’s file may be empty for a moment.
  if (stat.size === 0 && !readdirSync(folder).includes(`${WORKSHOP_FILE}-wal`))
    throw new WorkshopTrouble(`${file} is empty: it holds no house.`, RESTORE)
  const db = new Database(file, { readonly: true })
  try {
    const tables = new Set(db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all())
    if (tables.size === 0) return 'new'
    if (!tables.has('__drizzle_migrations'))
      throw new WorkshopTrouble(`${file} belongs to another program.`, 'Name another folder in TAUT_DATA.')
    const known = readMigrationFiles({ migrationsFolder: MIGRATIONS })
    const newest = db.prepare('SELECT max(created_at) FROM __drizzle_migrations').pluck().get() as number
    if (newest > (known.at(-1)?.folderMillis ?? 0))
      throw new WorkshopTrouble(
        `${file} was written by a newer version of this program.`,
        'Update the program, and start it again.',
      )
    if (newest < (known.at(-1)?.folderMillis ?? 0)) return 'older'
    const missing = (Object.values(journaled) as Table[]).find((table) => !tables.has(getTableName(table)))
    if (missing) throw new WorkshopTrouble(`${file} lacks its table “${getTableName(missing)}”.`, RESTORE)
    return 'current'
  } finally {
    db.close()
  }
}

const BY_CODE: Readonly<Record<string, readonly [says: string, todo: string]>> = {
  SQLITE_NOTADB: ['is no house, or is spoilt', RESTORE],
  SQLITE_CORRUPT: ['is spoilt', RESTORE],
  SQLITE_READONLY: ['can’t be written', 'Give yourself the right to write it, and its folder.'],
  SQLITE_CANTOPEN: ['can’t be opened', 'Give yourself the right to read and write it, and its folder.'],
  SQLITE_FULL: ['has no room left on its disk', 'Make room on the disk.'],
  SQLITE_IOERR: [
    'can’t be read: the disk answers with a fault',
    'Look after the disk, then bring back a backup.',
  ],
  EACCES: ['can’t be reached', 'Give yourself the right to read and write its folder.'],
  EROFS: ['lies on a disk that can’t be written', 'Name a folder on another disk in TAUT_DATA.'],
  ENOSPC: ['has no room left on its disk', 'Make room on the disk.'],
  ENOTDIR: ['lies where there is no folder', 'Name another folder in TAUT_DATA.'],
}

/** What a fault of SQLite or of the system means for a house; the fault itself where that is not known. */
export function troubleOf(error: unknown, folder: string): unknown {
  const code = (error as { code?: string } | null)?.code ?? ''
  const known = BY_CODE[code] ?? BY_CODE[/^SQLITE_[A-Z]+/.exec(code)?.[0] ?? '']
  if (isWorkshopTrouble(error) || !known) return error
  const [says, todo] = known
  return new WorkshopTrouble(`${path.join(folder, WORKSHOP_FILE)} ${says}.`, todo)
}
