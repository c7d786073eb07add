/**
 * The tables of an archive and their columns: the heading of each with its unit, and how its cells are read.
 */
import { getTableColumns, getTableName, type Table } from 'drizzle-orm'
import { journaled } from '../store/schema'

/** A cell as SQLite keeps it. */
export type Cell = string | number | null

export interface ArchiveColumn {
  readonly name: string
  /** Over the column in a file: the name with its unit. */
  readonly heading: string
  readonly kind: 'time' | 'whole' | 'number' | 'text'
  readonly required: boolean
}

export interface ArchiveTable {
  readonly name: string
  readonly columns: readonly ArchiveColumn[]
}

/** Units that a column’s name does not say by itself. */
const UNITS: Readonly<Record<string, string>> = {
  hours: 'h',
  concert_hours: 'h',
  lead_days: 'days',
  rate: 'of the house’s money for one of the supplier’s',
  cents: 'cents',
  within_cents: 'cents',
  celsius: '°C',
  humidity: '% relative',
  found_cents: 'cents',
  left_cents: 'cents',
  session_minutes: 'min',
  stability: 'days',
  off: 'wraps, cents or stages, by its drill',
  wraps: 'turns',
  predicted_wraps: 'turns',
}

/** Every table that a person’s actions write to, in an order in which rows come after those that they point at. */
export const ARCHIVED: readonly ArchiveTable[] = (
  [
    journaled.house,
    journaled.instruments,
    journaled.positions,
    journaled.coverings,
    journaled.occasions,
    journaled.suppliers,
    journaled.catalogueItems,
    journaled.orders,
    journaled.orderLines,
    journaled.supplies,
    journaled.coils,
    journaled.fittedStrings,
    journaled.fittedPositions,
    journaled.breaks,
    journaled.jobs,
    journaled.jobSteps,
    journaled.jobMeasures,
    journaled.jobMishaps,
    journaled.fittings,
    journaled.cuts,
    journaled.needs,
    journaled.orderedNeeds,
    journaled.readings,
    journaled.anchorsMade,
    journaled.parkedTails,
    journaled.pictures,
    journaled.temperaments,
    journaled.tuningRounds,
    journaled.roundReadings,
    journaled.roomReadings,
    journaled.inspections,
    journaled.polishes,
    journaled.restrings,
    journaled.restringPieces,
    journaled.practiceAnswers,
    journaled.practiceCards,
  ] as readonly Table[]
).map((table) => ({
  name: getTableName(table),
  columns: Object.values(getTableColumns(table)).map((column) => {
    const kind = kindOf(column.name, column.getSQLType())
    return { name: column.name, heading: headingOf(column.name, kind), kind, required: column.notNull }
  }),
}))

function kindOf(name: string, type: string): ArchiveColumn['kind'] {
  if (name === 'at' || name.endsWith('_at')) return 'time'
  if (type === 'integer') return 'whole'
  return type === 'real' ? 'number' : 'text'
}

function headingOf(name: string, kind: ArchiveColumn['kind']): string {
  if (kind === 'time') return `${name} (UTC)`
  if (name.endsWith('_ms')) return `${name} (ms)`
  if (name.endsWith('_mm')) return `${name} (mm)`
  if (name.endsWith('_hz')) return `${name} (Hz)`
  if (name.endsWith('_minor')) return `${name} (minor units)`
  const unit = UNITS[name]
  return unit === undefined ? name : `${name} (${unit})`
}
