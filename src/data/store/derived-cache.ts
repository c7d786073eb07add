/**
 * Values worked out from tables and kept in memory until one of those tables is written, by whomever. The journal's
 * triggers tell of every row that is written here; SQLite tells when another connection wrote.
 */
import type Database from 'better-sqlite3'
import { getTableName, type Table } from 'drizzle-orm'

/** Written rows that are remembered one by one; whoever is further behind reads everything anew. */
const REMEMBERED = 20_000

interface KeptRows<Row> {
  /** What was written elsewhere, or to tables that all rows hang on. */
  readonly of: string
  readonly upTo: number
  readonly rows: ReadonlyMap<number, Row>
}

export class DerivedCache {
  private readonly counts = new Map<string, number>()
  private readonly values = new Map<string, { readonly of: string; readonly value: unknown }>()
  private readonly rowsOf = new Map<string, KeptRows<unknown>>()
  /** The rows last written, and how many were written before those. */
  private written: { readonly table: string; readonly id: number }[] = []
  private before = 0
  /** Changes when another connection has written. */
  private readonly elsewhere: Database.Statement

  constructor(db: Database.Database) {
    this.elsewhere = db.prepare('PRAGMA data_version').pluck()
  }

  /** Notes that a row is written. */
  invalidate(table: string, id: number): void {
    this.counts.set(table, (this.counts.get(table) ?? 0) + 1)
    this.written.push({ table, id })
    if (this.written.length > 2 * REMEMBERED) {
      this.before += this.written.length - REMEMBERED
      this.written = this.written.slice(-REMEMBERED)
    }
  }

  /** How many rows were written over this connection so far. */
  get writes(): number {
    return this.before + this.written.length
  }

  /**
   * Forgets everything where rows were written since then: they are rolled back, and may have been read meanwhile. What is
   * refused before it writes leaves everything kept.
   *
   * @param since - `writes` before the transaction
   */
  forgetSince(since: number): void {
    if (this.writes !== since) this.forget()
  }

  forget(): void {
    this.values.clear()
    this.rowsOf.clear()
  }

  /**
   * A value that is worked out anew when one of its tables was written.
   *
   * @param name - of the value
   * @param tables - all that it is worked out from, and nothing but them: neither the time nor another file
   * @param work - works it out; nobody may change what it returns
   */
  get<T>(name: string, tables: readonly Table[], work: () => T): T {
    const of = this.stateOf(tables)
    const known = this.values.get(name)
    if (known?.of === of) return known.value as T
    const value = work()
    this.values.set(name, { of, value })
    return value
  }

  /**
   * Rows of one table by their id, of which only those that were written are read again.
   *
   * @param name - of this choice of rows
   * @param read - reads those of the ids given that belong to the choice, in their order; all of them for null
   * @param hangsOn - tables that every row is worked out from as well: where one was written, all are read again
   * @returns a map that is never changed: another one where something was written
   */
  rows<Row>(
    name: string,
    table: Table,
    read: (ids: readonly number[] | null) => readonly (readonly [number, Row])[],
    hangsOn: readonly Table[] = [],
  ): ReadonlyMap<number, Row> {
    const of = this.stateOf(hangsOn)
    const upTo = this.writes
    const known = this.rowsOf.get(name) as KeptRows<Row> | undefined
    if (!known || known.of !== of || known.upTo < this.before) {
      const rows = new Map(read(null))
      this.rowsOf.set(name, { of, upTo, rows })
      return rows
    }
    if (known.upTo === upTo) return known.rows
    const ids = this.writtenIn(getTableName(table), known.upTo)
    const rows = ids.length === 0 ? known.rows : merged(known.rows, ids, read(ids))
    this.rowsOf.set(name, { of, upTo, rows })
    return rows
  }

  /** Changes whenever one of these tables is written, or anything by another connection. */
  private stateOf(tables: readonly Table[]): string {
    const counts = tables.map((table) => this.counts.get(getTableName(table)) ?? 0)
    return `${String(this.elsewhere.get())}:${counts.join(':')}`
  }

  private writtenIn(table: string, from: number): readonly number[] {
    const since = this.written.slice(from - this.before)
    return [...new Set(since.filter((one) => one.table === table).map(({ id }) => id))]
  }
}

/** Rows with some of them read again, still in the order of their ids. */
function merged<Row>(
  rows: ReadonlyMap<number, Row>,
  ids: readonly number[],
  again: readonly (readonly [number, Row])[],
): ReadonlyMap<number, Row> {
  const next = new Map(rows)
  for (const id of ids) next.delete(id)
  for (const [id, row] of again) next.set(id, row)
  return new Map([...next].sort(([a], [b]) => a - b))
}
