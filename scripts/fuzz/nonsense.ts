/** What must hold of a house’s file whatever was asked of it: the tables’ own rules, and what a person would call nonsense. */
import Database from 'better-sqlite3'

const UNSEEN = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u202a-\u202e\u2066-\u2069]|[\ud800-\udfff]/u
/** No length, price, count or pitch is larger; times in ms are. */
const LARGEST = 1e10
/** Columns that hold what was asked, or files, as they came. */
const AS_THEY_CAME = new Set(['answered_request.answer', 'desk_ticket.csv', 'change.before', 'change.after'])

/** Every fault that is found, in words; none where all is well. */
export function nonsenseIn(file: string): readonly string[] {
  const db = new Database(file, { readonly: true })
  try {
    const faults: string[] = []
    const integrity = db.pragma('integrity_check', { simple: true })
    if (integrity !== 'ok') faults.push(`integrity: ${String(integrity)}`)
    for (const { table } of db.pragma('foreign_key_check') as readonly { table: string }[])
      faults.push(`a row of ${table} points at one that is not there`)
    const tables = db
      .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
      .pluck()
      .all() as string[]
    for (const table of tables) {
      for (const row of db.prepare(`SELECT * FROM "${table}"`).iterate() as Iterable<Record<string, unknown>>)
        for (const [column, value] of Object.entries(row)) {
          const where = `${table}.${column}`
          if (AS_THEY_CAME.has(where)) continue
          if (typeof value === 'string' && (UNSEEN.test(value) || value.length > 20_000))
            faults.push(`${where}: ${JSON.stringify(value.slice(0, 40))}, ${value.length} letters`)
          if (
            typeof value === 'number' &&
            Math.abs(value) > LARGEST &&
            !/(^|_)(at|ms|from|to)$|_id$|^offset_ms$/.test(column)
          )
            faults.push(`${where}: ${value}`)
        }
    }
    return [...new Set(faults)]
  } finally {
    db.close()
  }
}

/** How far the history and the desks have got, to tell whether anything was written since. */
export function tellsWritten(file: string): { readonly now: () => string; readonly close: () => void } {
  const db = new Database(file, { readonly: true })
  const asked = db
    .prepare(
      "SELECT (SELECT max(id) FROM action) || ' ' || (SELECT max(id) FROM change) || ' ' || (SELECT count(*) FROM desk_ticket) || ' ' || (SELECT count(*) FROM answered_request)",
    )
    .pluck()
  return { now: () => String(asked.get()), close: () => void db.close() }
}
