/**
 * A logger's file as readings of the room: which column is which, and what its times and figures are counted in.
 */
import { TZDate } from '@date-fns/tz'
import { itemAt } from '@/core/list/item-at'
import type { RowProblem, ToldRows } from '@/core/list/told-rows'
import { AIR_BOUNDS, type RoomReading } from '@/core/settle/room'
import { guessColumns } from '../csv/guess'
import type { OnRow, TextTable } from '../csv/read-table'

export const LOGGER_COLUMNS = ['time', 'temperature', 'humidity'] as const
export type LoggerColumn = (typeof LOGGER_COLUMNS)[number]
export const AIR_UNITS = ['°C', '°F'] as const
/** A date in three numbers of which none is a year may begin with its day or its month. */
export const DATE_ORDERS = ['day first', 'month first'] as const

export interface LoggerMapping {
  readonly columns: Readonly<Record<LoggerColumn, number | null>>
  readonly units: { readonly temperature: string }
  readonly dates: (typeof DATE_ORDERS)[number]
}

interface LoggerRows extends ToldRows<LoggerColumn> {
  readonly readings: readonly RoomReading[]
}

const NAMED: Readonly<Record<LoggerColumn, string>> = {
  time: 'at (UTC)',
  temperature: 'celsius (°C)',
  humidity: 'humidity (% relative)',
}
const WORDS: Readonly<Record<LoggerColumn, RegExp>> = {
  time: /time|date|zeit|datum|heure|^at\b/,
  temperature: /temp|celsius|fahrenheit|°c|°f/,
  humidity: /hum|\brh\b|feucht|%/,
}

/** A mapping to begin with. */
export function guessLogger({ header, rows }: TextTable): LoggerMapping {
  const columns = guessColumns(header, LOGGER_COLUMNS, {
    named: NAMED,
    words: WORDS,
    bySureness: ['humidity', 'temperature', 'time'],
  })
  const named = columns.temperature === null ? '' : (header[columns.temperature] ?? '')
  const times = rows.slice(0, 200).map((row) => row[columns.time ?? -1] ?? '')
  return {
    columns,
    units: { temperature: /fahrenheit|°\s*f|\(f\)/i.test(named) ? '°F' : '°C' },
    dates: times.some((time) => Number((/^\D*\d+\D(\d+)\D/.exec(time) ?? [])[1]) > 12)
      ? 'month first'
      : 'day first',
  }
}

/** Reads the rows; bare times are those of the house's clocks. */
export function mapRoom(
  { rows, lines }: TextTable,
  mapping: LoggerMapping,
  timeZone: string,
  onRow: OnRow = () => {},
): LoggerRows {
  const { columns, units, dates } = mapping
  const readings: RoomReading[] = []
  const problems: RowProblem<LoggerColumn>[] = []
  const preview = rows.map((row, i) => {
    onRow(i)
    const line = itemAt(lines, i)
    const cells = Object.fromEntries(
      LOGGER_COLUMNS.map((column) => [column, row[columns[column] ?? -1] ?? '']),
    ) as Record<LoggerColumn, string>
    const before = problems.length
    const tell = (column: LoggerColumn, sentence: string) => {
      problems.push({ line, column, sentence })
      return null
    }
    const at =
      timeOf(cells.time, dates, timeZone) ?? tell('time', `“${cells.time.slice(0, 40)}” is no day and hour.`)
    const warm = figureOf(cells.temperature)
    const celsius = warm === null || units.temperature === '°C' ? warm : ((warm - 32) * 5) / 9
    const humidity = figureOf(cells.humidity)
    if (!within('celsius', celsius))
      tell('temperature', `${cells.temperature} ${units.temperature} is no room for an instrument.`)
    if (!within('humidity', humidity))
      tell('humidity', `Relative humidity goes from 1 to 100 %, not ${cells.humidity}.`)
    if (celsius === null && humidity === null && problems.length === before)
      tell('temperature', 'Neither temperature nor humidity can be read.')
    const wrong = problems.length > before
    if (!wrong && at !== null) readings.push({ at, celsius, humidity })
    return { line, cells, wrong }
  })
  return { readings, problems, preview }
}

const within = (what: keyof typeof AIR_BOUNDS, value: number | null): boolean =>
  value === null || (value >= AIR_BOUNDS[what][0] && value <= AIR_BOUNDS[what][1])

/** `21,5 °C` as a number; null where there is none. */
function figureOf(cell: string): number | null {
  const found = /^\s*(-?\d{1,5}(?:[.,]\d{1,6})?)/.exec(cell)
  return found ? Number(itemAt(found, 1).replace(',', '.')) : null
}

/** `2026-11-24T10:00:00Z`, `2026-11-24 10:00`, `24.11.2026 10:00`, `11/24/2026 10:00 PM`; null where it is none. */
function timeOf(cell: string, dates: LoggerMapping['dates'], timeZone: string): number | null {
  const found =
    /^\s*(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})[T,\s]+(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?\s*(Z|[AP]M)?\s*$/i.exec(
      cell,
    )
  if (!found) return null
  const [a, b, c, hour, minute, second] = found.slice(1, 7).map((part) => Number(part ?? 0)) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const [year, month, day] = a > 31 ? [a, b, c] : dates === 'day first' ? [c, b, a] : [c, a, b]
  const half = (found[7] ?? '').toUpperCase()
  const hours = half === 'PM' ? (hour % 12) + 12 : half === 'AM' ? hour % 12 : hour
  if (
    year < 1970 ||
    year > 2200 ||
    month < 1 ||
    month > 12 ||
    day < 1 ||
    day > 31 ||
    hours > 23 ||
    minute > 59
  )
    return null
  return half === 'Z'
    ? Date.UTC(year, month - 1, day, hours, minute, second)
    : new TZDate(year, month - 1, day, hours, minute, second, timeZone).getTime()
}
