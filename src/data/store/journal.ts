/**
 * The journal: every action is one transaction, every row it writes is kept before and after, and any action can be
 * undone by another one. Triggers on the connection do the keeping, so that no write can escape it.
 */
import type Database from 'better-sqlite3'
import { getTableColumns, getTableName, type Table } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { requireValue } from '@/core/list/require-value'
import type { DerivedCache } from './derived-cache'
import { journaled } from './schema'

export interface ActionDetails {
  /** A short key of the kind of action, such as `break`. */
  readonly kind: string
  /** What a person reads in the history, without a full stop. */
  readonly summary: string
  readonly instrumentId?: number
}

export interface Done<T> {
  readonly actionId: number
  readonly result: T
}

interface ChangeRow {
  readonly table_name: string
  readonly row_id: number
  readonly before: string | null
  readonly after: string | null
}

interface ActionRow {
  readonly id: number
  readonly summary: string
  readonly instrument_id: number | null
}

export class Journal {
  private openAction: number | null = null
  /** Who is at the bench, for the record. */
  by: string | null = null
  private readonly columns = new Map<string, readonly string[]>()

  constructor(
    private readonly db: Database.Database,
    private readonly now: () => number,
    private readonly cache: DerivedCache,
  ) {
    db.function('current_action', (table, id) => {
      if (this.openAction === null)
        throw new Error('expected every write to belong to an action, got one outside')
      cache.invalidate(String(table), Number(id))
      return this.openAction
    })
    for (const table of Object.values(journaled) as Table[]) this.follow(table)
  }

  /**
   * Carries out an action in one transaction.
   *
   * @param details - what the history says of it
   * @param write - makes the changes; whatever it throws leaves nothing written
   */
  act<T>(details: ActionDetails, write: () => T): Done<T> {
    return this.inTransaction(details, null, write)
  }

  /**
   * Undoes an action, or an undoing, as an action of its own.
   *
   * @throws Refusal when it is undone already, or when something done later depends on it
   */
  undo(actionId: number): Done<void> {
    const action = this.db
      .prepare('SELECT id, summary, instrument_id FROM action WHERE id = ?')
      .get(actionId) as ActionRow | undefined
    if (!action) throw new Refusal(404, `There is no action ${actionId} to undo.`)
    if (this.db.prepare('SELECT 1 FROM action WHERE undoes = ?').get(actionId))
      throw new Refusal(409, `“${action.summary}” is undone already.`)
    const rows = this.db
      .prepare('SELECT table_name, row_id, before, after FROM change WHERE action_id = ? ORDER BY id DESC')
      .all(actionId) as ChangeRow[]
    const details = {
      kind: 'undo',
      summary: `Undone: ${action.summary}`,
      ...(action.instrument_id === null ? {} : { instrumentId: action.instrument_id }),
    }
    return this.inTransaction(details, actionId, () => {
      for (const row of rows) this.revert(row, action.summary)
    })
  }

  private inTransaction<T>(
    { kind, summary, instrumentId }: ActionDetails,
    undoes: number | null,
    write: () => T,
  ): Done<T> {
    if (this.openAction !== null) throw new Error('expected one action at a time, got one inside another')
    const carryOut = this.db.transaction(() => {
      const { lastInsertRowid } = this.db
        .prepare(
          'INSERT INTO action (at, kind, summary, by, instrument_id, undoes) VALUES (?, ?, ?, ?, ?, ?)',
        )
        .run(this.now(), kind, summary, this.by, instrumentId ?? null, undoes)
      this.openAction = Number(lastInsertRowid)
      try {
        return { actionId: this.openAction, result: write() }
      } finally {
        this.openAction = null
      }
    })
    const before = this.cache.writes
    try {
      return carryOut.immediate()
    } catch (error) {
      this.cache.forgetSince(before)
      throw error
    }
  }

  private revert({ table_name: table, row_id: rowId, before, after }: ChangeRow, summary: string): void {
    const now = this.db
      .prepare(`SELECT ${this.asJson(table, '')} AS row FROM "${table}" WHERE id = ?`)
      .get(rowId) as { row: string } | undefined
    if (isChanged(now?.row ?? null, after)) {
      throw new Refusal(
        409,
        `“${summary}” can’t be undone by itself: what it wrote was changed later. Undo the later action first.`,
      )
    }
    try {
      if (before === null) this.db.prepare(`DELETE FROM "${table}" WHERE id = ?`).run(rowId)
      else this.restore(table, rowId, JSON.parse(before) as Record<string, unknown>, after === null)
    } catch (error) {
      if ((error as { code?: string }).code?.startsWith('SQLITE_CONSTRAINT')) {
        throw new Refusal(
          409,
          before !== null && after === null
            ? `“${summary}” can’t be undone: what it took away belongs to something that is gone.`
            : `“${summary}” can’t be undone by itself: something done later rests on it. Undo that first.`,
        )
      }
      throw error
    }
  }

  private restore(table: string, rowId: number, row: Record<string, unknown>, wasDeleted: boolean): void {
    // Columns that came later than the row was written keep what they have, or their default.
    const names = requireValue(this.columns.get(table)).filter((name) => name in row)
    const values = names.map((name) => row[name] ?? null)
    if (wasDeleted) {
      this.db
        .prepare(
          `INSERT INTO "${table}" (${names.map(quoted).join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
        )
        .run(...values)
    } else {
      this.db
        .prepare(`UPDATE "${table}" SET ${names.map((n) => `${quoted(n)} = ?`).join(', ')} WHERE id = ?`)
        .run(...values, rowId)
    }
  }

  private follow(table: Table): void {
    const name = getTableName(table)
    this.columns.set(
      name,
      Object.values(getTableColumns(table)).map((column) => column.name),
    )
    const record = (row: 'OLD' | 'NEW', before: string, after: string) =>
      `INSERT INTO change (action_id, table_name, row_id, before, after) VALUES (current_action('${name}', ${row}.id), '${name}', ${row}.id, ${before}, ${after});`
    const [before, after] = [this.asJson(name, 'OLD.'), this.asJson(name, 'NEW.')]
    this.db.exec(`
      CREATE TEMP TRIGGER "${name}_added" AFTER INSERT ON main."${name}" BEGIN ${record('NEW', 'NULL', after)} END;
      CREATE TEMP TRIGGER "${name}_edited" AFTER UPDATE ON main."${name}" BEGIN ${record('NEW', before, after)} END;
      CREATE TEMP TRIGGER "${name}_removed" AFTER DELETE ON main."${name}" BEGIN ${record('OLD', before, 'NULL')} END;`)
  }

  private asJson(table: string, prefix: string): string {
    return `json_object(${requireValue(this.columns.get(table))
      .map((c) => `'${c}', ${prefix}${quoted(c)}`)
      .join(', ')})`
  }
}

/** Whether a row is no longer what an action left, in the columns that there were then; both as JSON, null where there is none. */
export function isChanged(now: string | null, after: string | null): boolean {
  if (now === null || after === null) return now !== after
  const [is, was] = [now, after].map((row) => JSON.parse(row) as Record<string, unknown>) as [
    Record<string, unknown>,
    Record<string, unknown>,
  ]
  return Object.keys(was).some((name) => name in is && is[name] !== was[name])
}

function quoted(name: string): string {
  return `"${name}"`
}
