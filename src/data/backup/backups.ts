/** Backups of a house as they lie in their folder: named for when and why they were taken. */
import Database from 'better-sqlite3'
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { keptTimes } from '@/core/backup/retention'

export const BACKUP_KINDS = ['daily', 'by hand', 'before an update', 'before a restore'] as const
export type BackupKind = (typeof BACKUP_KINDS)[number]

export interface Backup {
  readonly name: string
  readonly kind: BackupKind
  /** ms since 1970. */
  readonly at: number
  readonly bytes: number
}

/** Of those that are not taken daily so many of each kind are kept, whatever their days. */
const KEPT_OF_A_KIND = 5

/** Where backups go: `TAUT_BACKUPS`, else beside the house; `TAUT_BACKUPS_ALSO` is a second place that each is copied to. */
export const backupFolder = (workshop: string) => process.env.TAUT_BACKUPS ?? path.join(workshop, 'backups')
const secondFolder = () => process.env.TAUT_BACKUPS_ALSO ?? null

/** The thousandths are missing from the names of older backups. */
const NAMED = /^house-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)(\d{3})?Z-([a-z-]+)\.sqlite$/

/** The backups of a folder, the latest first. */
export function backupsIn(folder: string): readonly Backup[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const [, year, month, day, hour, minute, second, thousandths, slug] = NAMED.exec(name) ?? []
      const kind = BACKUP_KINDS.find((one) => slugOf(one) === slug)
      if (!kind) return []
      const at = Date.UTC(
        Number(year),
        Number(month) - 1,
        Number(day),
        Number(hour),
        Number(minute),
        Number(second),
        Number(thousandths ?? 0),
      )
      return [{ name, kind, at, bytes: statSync(path.join(folder, name)).size }]
    })
    .sort((a, b) => b.at - a.at || (a.name < b.name ? 1 : -1))
}

/** A name that no backup of the folder has yet: two taken at one moment are two. */
export function backupName(folder: string, kind: BackupKind, at: number): string {
  const stamp = new Date(at).toISOString().slice(0, 23).replace(/[-:.]/g, '')
  const name = `house-${stamp}Z-${slugOf(kind)}.sqlite`
  const isTaken = [name, `${name}.part`].some((one) => existsSync(path.join(folder, one)))
  return isTaken ? backupName(folder, kind, at + 1) : name
}

const slugOf = (kind: BackupKind) => kind.replaceAll(' ', '-')

/**
 * A copy that lies whole beside its place is put there, copied to the second place, and what is no longer kept is taken away.
 *
 * @param part - the copy, checked
 */
export function keepBackup(part: string, folder: string, name: string): void {
  const also = secondFolder()
  renameSync(part, path.join(folder, name))
  thinOut(folder)
  if (also === null) return
  mkdirSync(also, { recursive: true })
  copyFileSync(path.join(folder, name), path.join(also, `${name}.part`))
  renameSync(path.join(also, `${name}.part`), path.join(also, name))
  thinOut(also)
}

function thinOut(folder: string): void {
  const all = backupsIn(folder)
  const kept = keptTimes(all.filter(({ kind }) => kind === 'daily').map(({ at }) => at))
  for (const kind of BACKUP_KINDS) {
    const of = all.filter((one) => one.kind === kind)
    const gone = kind === 'daily' ? of.filter(({ at }) => !kept.has(at)) : of.slice(KEPT_OF_A_KIND)
    for (const { name } of gone) rmSync(path.join(folder, name), { force: true })
  }
}

/**
 * Looks a copy through: SQLite's own check of it, and as many rows in every table as there should be.
 *
 * @param rows - by table; null where they are not known
 * @throws Error that says what is wrong with it
 */
export function checkCopy(file: string, rows: ReadonlyMap<string, number> | null): void {
  const db = new Database(file, { readonly: true })
  try {
    const found = db.pragma('integrity_check', { simple: true })
    if (found !== 'ok') throw new Error(`the copy is not whole: ${String(found)}`)
    const there = rowsOf(db)
    if (there.size === 0) throw new Error('the copy holds nothing')
    for (const [table, count] of rows ?? [])
      if (there.get(table) !== count)
        throw new Error(`the copy has ${there.get(table) ?? 'no'} rows of ${table} for ${count}`)
  } finally {
    db.close()
  }
}

/** How many rows each table has. */
export function rowsOf(db: Database.Database): ReadonlyMap<string, number> {
  const tables = db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .pluck()
    .all() as string[]
  return new Map(
    tables.map((table) => [table, db.prepare(`SELECT count(*) FROM "${table}"`).pluck().get() as number]),
  )
}
