/** Backups taken while the house is served, by SQLite's online backup. */
import { mkdirSync, rmSync } from 'node:fs'
import path from 'node:path'
import { HOUR } from '@/core/units/time'
import type { Store } from '../store/database'
import { synced } from './copy-workshop'
import {
  backupFolder,
  backupName,
  backupsIn,
  checkCopy,
  keepBackup,
  rowsOf,
  type BackupKind,
} from './backups'

/** So many pages at a time, so that whoever asks meanwhile is answered. */
const PAGES = 200

/**
 * Copies a house that is open, checks the copy, and keeps it.
 *
 * @returns its name
 * @throws Error where the copy is not whole; nothing is kept then
 */
export async function takeBackup(store: Store, kind: BackupKind, now = Date.now()): Promise<string> {
  const folder = backupFolder(store.folder)
  mkdirSync(folder, { recursive: true })
  const name = backupName(folder, kind, now)
  const part = path.join(folder, `${name}.part`)
  try {
    await store.rows.$client.backup(part, { progress: () => PAGES })
    // What is written meanwhile is written to the copy as well: just now both have the same rows.
    checkCopy(part, rowsOf(store.rows.$client))
    synced(part)
    keepBackup(part, folder, name)
  } finally {
    rmSync(part, { force: true })
  }
  return name
}

/** A day's backup is due when the last is older than this: a machine that is switched on each morning takes one each morning. */
const DUE = 20 * HOUR

/** Takes the day's backup where it is due; says why where it could not. */
export async function takeDailyBackup(store: Store, now = Date.now()): Promise<string | null> {
  const last = backupsIn(backupFolder(store.folder)).find(({ kind }) => kind === 'daily')
  if (last && now - last.at < DUE) return null
  return takeBackup(store, 'daily', now)
}
