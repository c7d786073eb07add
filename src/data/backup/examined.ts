/** A house's file looked through from end to end, and what of it can safely be set right. */
import Database from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { closeSync, fsyncSync, openSync, readdirSync, rmSync, statfsSync, statSync, writeSync } from 'node:fs'
import path from 'node:path'
import { itemAt } from '@/core/list/item-at'
import { isChanged } from '../store/journal'
import { WORKSHOP_FILE, lookAt, MIGRATIONS } from '../store/trouble'
import { unreadableRows } from '../store/unreadable'

export interface Finding {
  readonly what: string
  /** What was found; a sentence where it is wrong. */
  readonly found: string
  readonly isWrong: boolean
  /** How it can be set right without losing anything; null where nobody can prove that. */
  readonly repair: (() => void) | null
}

const well = (what: string, found: string): Finding => ({ what, found, isWrong: false, repair: null })
const wrong = (what: string, found: string, repair: Finding['repair'] = null): Finding => ({
  what,
  found,
  isWrong: true,
  repair,
})

/**
 * @param workshop - its folder, which nobody has open
 * @throws HouseTrouble where there is no house that could be looked through
 */
export function examined(workshop: string): readonly Finding[] {
  const age = lookAt(workshop)
  const file = path.join(workshop, WORKSHOP_FILE)
  if (age === 'new') return [well('house', `There is none yet in ${workshop}.`)]
  return [
    well('file', `${file}, ${(statSync(file).size / 1e6).toFixed(1)} MB`),
    age === 'older'
      ? wrong('version', 'It was written by an older version: the next start brings it up to date.')
      : well('version', 'as this program writes it'),
    freeSpace(workshop, statSync(file).size),
    leftOvers(workshop),
    ...(age === 'current' ? inTheFile(file) : []),
    diskSpeed(workshop),
  ]
}

function freeSpace(workshop: string, size: number): Finding {
  const { bavail, bsize } = statfsSync(workshop)
  const free = bavail * bsize
  const found = `${(free / 1e9).toFixed(1)} GB`
  return free < 3 * size + 50e6
    ? wrong('free space', `${found}: make room, a backup needs as much again`)
    : well('free space', found)
}

function leftOvers(workshop: string): Finding {
  const parts = [workshop, path.join(workshop, 'backups')]
    .filter((folder) => statSync(folder, { throwIfNoEntry: false })?.isDirectory())
    .flatMap((folder) => readdirSync(folder).map((name) => path.join(folder, name)))
    .filter((name) => /\.(part|restoring)$/.test(name))
  return parts.length === 0
    ? well('leftovers', 'none')
    : wrong('leftovers', `${parts.length} copies that were cut off`, () =>
        parts.forEach((part) => rmSync(part, { force: true })),
      )
}

function inTheFile(file: string): readonly Finding[] {
  const db = new Database(file)
  try {
    const integrity = db.pragma('integrity_check', { simple: true }) as string
    const dangling = db.pragma('foreign_key_check') as readonly { readonly table: string }[]
    return [
      integrity === 'ok'
        ? well('integrity', 'ok')
        : wrong('integrity', `${integrity.split('\n')[0]}: restore a backup`),
      dangling.length === 0
        ? well('references', 'every row points at one that is there')
        : wrong(
            'references',
            `${dangling.length} rows point at one that is not there, the first in ${dangling[0]?.table}`,
          ),
      unreadable(db),
      indexes(db, file),
      journalAgainstTables(db),
    ]
  } finally {
    db.close()
  }
}

/** So many are named. */
const NAMED = 5

function unreadable(db: Database.Database): Finding {
  const rows = [...unreadableRows(db)].flatMap(([table, ids]) => [...ids].map((id) => `${table} ${id}`))
  return rows.length === 0
    ? well('rows', 'all can be read')
    : wrong(
        'rows',
        `${rows.length} can’t be read, or belong to one that can’t, and are left out: ${rows.slice(0, NAMED).join(', ')}${rows.length > NAMED ? ' and others' : ''}`,
      )
}

/** What a house laid anew would have, and this one has not. */
function indexes(db: Database.Database, file: string): Finding {
  const model = new Database(':memory:')
  migrate(drizzle(model), { migrationsFolder: MIGRATIONS })
  const wanted = model
    .prepare("SELECT name, sql FROM sqlite_master WHERE type = 'index' AND sql IS NOT NULL")
    .all() as { name: string; sql: string }[]
  model.close()
  const there = new Set(db.prepare("SELECT name FROM sqlite_master WHERE type = 'index'").pluck().all())
  const missing = wanted.filter(({ name }) => !there.has(name))
  return missing.length === 0
    ? well('indexes', `all ${wanted.length}`)
    : wrong('indexes', `${missing.map(({ name }) => name).join(', ')} missing`, () => {
        const again = new Database(file)
        for (const { sql } of missing) again.exec(sql)
        again.exec('REINDEX')
        again.close()
      })
}

/** Every row is as the last action that wrote it left it. */
function journalAgainstTables(db: Database.Database): Finding {
  const last = db
    .prepare(
      'SELECT table_name AS name, row_id AS id, after FROM change WHERE id IN (SELECT max(id) FROM change GROUP BY table_name, row_id)',
    )
    .all() as { name: string; id: number; after: string | null }[]
  const statements = new Map<string, Database.Statement>()
  let apart = 0
  let first = ''
  for (const { name, id, after } of last) {
    const ask = statements.get(name) ?? db.prepare(`SELECT * FROM "${name}" WHERE id = ?`)
    statements.set(name, ask)
    const row = ask.get(id)
    if (!isChanged(row === undefined ? null : JSON.stringify(row), after)) continue
    apart += 1
    first ||= `${name} ${id}`
  }
  return apart === 0
    ? well('history', `${last.length} rows are as it says`)
    : wrong(
        'history',
        `${apart} rows are otherwise than it says, the first ${first}: something else wrote to the file`,
      )
}

const TIMES = 20
/** Every action waits for the disk once: slower than this is felt at the bench, ms. */
const SLOW = 40

function diskSpeed(workshop: string): Finding {
  const file = path.join(workshop, 'doctor.part')
  const open = openSync(file, 'w')
  const took = Array.from({ length: TIMES }, () => {
    const began = performance.now()
    writeSync(open, Buffer.alloc(4096))
    fsyncSync(open)
    return performance.now() - began
  }).sort((a, b) => a - b)
  closeSync(open)
  rmSync(file)
  const middle = itemAt(took, TIMES / 2)
  const found = `${middle.toFixed(1)} ms until a page is safe`
  return middle > SLOW
    ? wrong('disk', `${found}: slow; a house is better kept on another disk`)
    : well('disk', found)
}
