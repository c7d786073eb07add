/**
 * What taking an archive in does, as it is told before and after.
 */

/** Where an archive comes from, seen from the house that takes it in. */
type ArchiveFrom = 'whole' | 'own' | 'another'

export interface TableTaken {
  readonly name: string
  readonly added: number
  readonly changed: number
  readonly same: number
}

export interface ImportSummary {
  readonly from: ArchiveFrom
  /** The house that wrote it, and when. */
  readonly workshop: string
  readonly writtenAt: string
  /** Tables of which rows are added or changed. */
  readonly tables: readonly TableTaken[]
  /** Names of the instruments that are added, and of those that are here already and stay as they are. */
  readonly instruments: readonly string[]
  readonly here: readonly string[]
}
