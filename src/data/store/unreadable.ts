/**
 * Rows that can't be read: a figure that is no number, a word that nobody knows, a list that is none. Each costs itself and
 * what hangs on it, never the page: it is left out of everything that is read, left as it is in the file, and told.
 */
import type Database from 'better-sqlite3'
import { getTableColumns, getTableName, type Table } from 'drizzle-orm'
import { WorkshopTrouble } from '@/boundary/workshop-trouble'
import { parseNote } from '@/core/pitch/parse-note'
import { house, instruments, journaled, positions } from './schema'
import { RESTORE } from './trouble'

/** Ids by the table they lie in. */
export type UnreadableRows = ReadonlyMap<string, ReadonlySet<number>>

/** Columns that hold JSON, and what it is. */
const JSON_COLUMNS: Readonly<Record<string, 'array' | 'object'>> = {
  'house.habits': 'object',
  'house.open_days': 'array',
  'house.people': 'array',
  'occasion.instruments': 'array',
  'instrument.habits': 'object',
  'instrument.measured': 'array',
  'string_position.hardware_measured': 'array',
  'catalogue_item.set_of': 'array',
  'order_line.set_of': 'array',
  'order_line.for_strings': 'array',
  'order_line.holds': 'array',
  'job.habits': 'object',
  'inspection.signs': 'array',
  'temperament.degrees': 'array',
  'tuning_round.degrees': 'array',
}

/** Columns that are read by functions of the core. */
const READ_BY: Readonly<Record<string, string>> = {
  'string_position.note': 'can_read_note',
  'house.time_zone': 'can_read_zone',
}

/**
 * Looks through every table that people write to.
 *
 * @throws HouseTrouble where it is the house's own row: no page could be shown without it
 */
export function unreadableRows(db: Database.Database): UnreadableRows {
  reading(db, 'can_read_note', parseNote)
  reading(db, 'can_read_zone', (zone) => new Intl.DateTimeFormat('en', { timeZone: zone }))
  const rows = new Map<string, Set<number>>()
  const tables = Object.values(journaled) as Table[]
  for (const table of tables) {
    const wrong = wrongRows(db, table)
    if (wrong.length > 0) rows.set(getTableName(table), new Set(wrong))
  }
  if (rows.has(getTableName(house)))
    throw new WorkshopTrouble('The settings of this house can’t be read.', RESTORE)
  withItsInstrument(db, rows)
  if (rows.size > 0) withWhatHangsOnThem(db, tables.map(getTableName), rows)
  return rows
}

function reading(db: Database.Database, name: string, read: (text: string) => unknown): void {
  db.function(name, { deterministic: true }, (text) => {
    try {
      read(String(text))
      return 1
    } catch {
      return 0
    }
  })
}

function wrongRows(db: Database.Database, table: Table): readonly number[] {
  const name = getTableName(table)
  const wrong = Object.values(getTableColumns(table)).flatMap(({ name: column, dataType, enumValues }) => {
    const isWrong =
      dataType === 'string'
        ? [`typeof("${column}") <> 'text'`]
        : [`typeof("${column}") NOT IN ('integer', 'real')`]
    const json = JSON_COLUMNS[`${name}.${column}`]
    // A wrong text stops here: no further function is asked about it.
    if (json)
      isWrong.push(`CASE WHEN json_valid("${column}") THEN json_type("${column}") ELSE '' END <> '${json}'`)
    const read = READ_BY[`${name}.${column}`]
    if (read) isWrong.push(`NOT ${read}("${column}")`)
    if (enumValues && enumValues.length > 0)
      isWrong.push(
        `"${column}" NOT IN (${enumValues.map((word: string) => `'${word.replaceAll("'", "''")}'`).join()})`,
      )
    return [`("${column}" IS NOT NULL AND (${isWrong.join(' OR ')}))`]
  })
  return db
    .prepare(`SELECT id FROM "${name}" WHERE ${wrong.join(' OR ')}`)
    .pluck()
    .all() as number[]
}

/**
 * An instrument with a string that can't be read is left out whole: slack is counted in its pins, and a figure that passes
 * over one in silence is worse than none.
 */
function withItsInstrument(db: Database.Database, rows: Map<string, Set<number>>): void {
  const strings = rows.get(getTableName(positions))
  if (!strings) return
  const of = db
    .prepare(`SELECT DISTINCT instrument_id FROM string_position WHERE id IN (${[...strings].join()})`)
    .pluck()
    .all() as number[]
  const name = getTableName(instruments)
  rows.set(name, new Set([...(rows.get(name) ?? []), ...of]))
}

interface ForeignKey {
  readonly table: string
  readonly from: string
}

/** Adds what points at a row that can't be read, and what points at that. */
function withWhatHangsOnThem(
  db: Database.Database,
  tables: readonly string[],
  rows: Map<string, Set<number>>,
): void {
  for (let before = -1; before !== countOf(rows);) {
    before = countOf(rows)
    for (const table of tables)
      for (const { table: to, from } of db.pragma(`foreign_key_list("${table}")`) as ForeignKey[]) {
        const gone = rows.get(to)
        if (!gone) continue
        const hanging = db
          .prepare(`SELECT id FROM "${table}" WHERE "${from}" IN (${[...gone].join()})`)
          .pluck()
          .all() as number[]
        if (hanging.length > 0) rows.set(table, new Set([...(rows.get(table) ?? []), ...hanging]))
      }
  }
}

/** How many there are. */
export const countOf = (rows: UnreadableRows): number =>
  [...rows.values()].reduce((sum, { size }) => sum + size, 0)

/**
 * Leaves rows out of whatever is read over a connection from now on. What is written goes to the tables as it did.
 *
 * @param rows - where it is empty, nothing changes
 */
export function readAround(db: Database.Database, rows: UnreadableRows): void {
  if (rows.size === 0) return
  const prepare = db.prepare.bind(db)
  db.prepare = ((sql: string) => prepare(around(sql, rows))) as typeof db.prepare
}

/** A query with each table that has such rows put in by what is left of it: `from "coil" "c"`, `join "coil" on`. */
function around(sql: string, rows: UnreadableRows): string {
  if (!/^\s*(select|with)\b/i.test(sql)) return sql
  return sql.replace(
    /\b(from|join) "(\w+)"(?: (?:as )?"(\w+)")?/g,
    (all, how: string, table: string, as?: string) => {
      const left = rows.get(table)
      return left
        ? `${how} (select * from "${table}" where "id" not in (${[...left].join()})) as "${as ?? table}"`
        : all
    },
  )
}
