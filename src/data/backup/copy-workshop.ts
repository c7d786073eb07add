/** A house that nobody has open, copied at once: before its tables are laid anew, and before another takes its place. */
import Database from 'better-sqlite3'
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, rmSync } from 'node:fs'
import path from 'node:path'
import { WORKSHOP_FILE } from '../store/trouble'
import { backupFolder, backupName, checkCopy, keepBackup, rowsOf, type BackupKind } from './backups'

/**
 * Copies a house that nobody has open, checks the copy, and keeps it; nothing where there is no house yet.
 *
 * @param workshop - its folder
 */
export function copyWorkshop(workshop: string, kind: BackupKind, now = Date.now()): string | null {
  const file = path.join(workshop, WORKSHOP_FILE)
  if (!existsSync(file)) return null
  const folder = backupFolder(workshop)
  mkdirSync(folder, { recursive: true })
  const name = backupName(folder, kind, now)
  const part = path.join(folder, `${name}.part`)
  const db = new Database(file)
  try {
    db.prepare('VACUUM INTO ?').run(part)
    checkCopy(part, rowsOf(db))
    synced(part)
    keepBackup(part, folder, name)
  } finally {
    db.close()
    rmSync(part, { force: true })
  }
  return name
}

/** Waits until the disk has it. */
export function synced(file: string): void {
  const open = openSync(file, 'r+')
  fsyncSync(open)
  closeSync(open)
}
