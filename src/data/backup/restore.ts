/** A house brought back from a backup: what that loses is shown first, and what was there is kept, so that it can be undone. */
import Database from 'better-sqlite3'
import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { found, Refusal } from '@/boundary/refusal'
import { WORKSHOP_FILE } from '../store/trouble'
import { backupFolder, backupsIn, checkCopy, type Backup } from './backups'
import { copyWorkshop } from './copy-workshop'

/** What comes back, and what is lost by it. */
export interface RestoreLoses {
  /** Actions of the house as it is that the backup does not have. */
  readonly actions: number
  /** The last few of them, the latest first. */
  readonly last: readonly { readonly at: number; readonly summary: string }[]
}

/** @throws Refusal 404 where there is no backup of that name */
export function backupByName(workshop: string, name: string): Backup {
  return found(
    backupsIn(backupFolder(workshop)).find((one) => one.name === name),
    'There is no backup of that name.',
  )
}

const SHOWN = 5

/** What restoring a backup would lose; all of it is kept in another backup first. */
export function lostBy(workshop: string, { name }: Backup): RestoreLoses {
  const file = path.join(workshop, WORKSHOP_FILE)
  const until = lastAction(path.join(backupFolder(workshop), name))
  if (!existsSync(file)) return { actions: 0, last: [] }
  try {
    const db = new Database(file, { readonly: true })
    try {
      const actions = db.prepare('SELECT count(*) FROM action WHERE id > ?').pluck().get(until) as number
      const last = db
        .prepare('SELECT at, summary FROM action WHERE id > ? ORDER BY id DESC LIMIT ?')
        .all(until, SHOWN) as { at: number; summary: string }[]
      return { actions, last }
    } finally {
      db.close()
    }
  } catch {
    // What is there is spoilt: nothing of it can be told, and it is put aside as it is.
    return { actions: 0, last: [] }
  }
}

function lastAction(file: string): number {
  const db = new Database(file, { readonly: true })
  try {
    return (db.prepare('SELECT max(id) FROM action').pluck().get() as number | null) ?? 0
  } finally {
    db.close()
  }
}

/**
 * Puts a backup in the place of the house, which nobody has open meanwhile. It lies whole beside it before it takes its place, so
 * that whatever happens one or the other is there.
 *
 * @throws Refusal 404 where there is no such backup, 409 where it is not whole; nothing is touched then
 */
export function restore(workshop: string, name: string, now = Date.now()): void {
  const backup = backupByName(workshop, name)
  const source = path.join(backupFolder(workshop), backup.name)
  const file = path.join(workshop, WORKSHOP_FILE)
  const beside = `${file}.restoring`
  copyFileSync(source, beside)
  try {
    checkCopy(beside, null)
  } catch (error) {
    rmSync(beside, { force: true })
    throw new Refusal(409, `This backup can’t be used: ${(error as Error).message}.`)
  }
  putAside(workshop, now)
  // A log that belongs to the house as it was must not be laid over the other.
  for (const log of [`${file}-wal`, `${file}-shm`]) rmSync(log, { force: true })
  renameSync(beside, file)
}

/** What was there: a backup of its own where it is whole, else the file as it is, under another name. */
function putAside(workshop: string, now: number): void {
  try {
    copyWorkshop(workshop, 'before a restore', now)
  } catch {
    const file = path.join(workshop, WORKSHOP_FILE)
    renameSync(file, `${file}.spoilt-${new Date(now).toISOString().slice(0, 19).replace(/[-:]/g, '')}Z`)
  }
}
