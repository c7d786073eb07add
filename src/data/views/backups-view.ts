/** The backups of a house, each with what restoring it would lose. */
import { backupFolder, backupsIn, type Backup } from '../backup/backups'
import { lostBy, type RestoreLoses } from '../backup/restore'

export interface BackupsView {
  readonly folder: string
  readonly also: string | null
  readonly backups: readonly (Backup & { readonly loses: RestoreLoses })[]
}

export function backupsView(workshop: string): BackupsView {
  const folder = backupFolder(workshop)
  return {
    folder,
    also: process.env.TAUT_BACKUPS_ALSO ?? null,
    backups: backupsIn(folder).map((backup) => ({ ...backup, loses: lostBy(workshop, backup) })),
  }
}
