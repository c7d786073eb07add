/**
 * Carries a mapping out on a table: lines for the chart, and what is wrong, row by row.
 */
import {
  CHART_COLUMNS,
  cellsOf,
  readCells,
  type Cells,
  type ChartColumn,
  type ReadLine,
} from '@/core/chart/cells'
import type { ChartLine } from '@/core/chart/chart-line'
import { freeFollowing } from '@/core/chart/free-follows'
import { itemAt } from '@/core/list/item-at'
import type { RowProblem, ToldRows } from '@/core/list/told-rows'
import { unguarded } from '../../csv/formula-guard'
import type { Mapping } from './mapping'
import type { OnRow, TextTable } from '../../csv/read-table'

interface MappedRows extends ToldRows<ChartColumn> {
  /** Rows that can be taken, by number. */
  readonly lines: readonly ChartLine[]
}

/**
 * @param table - the file
 * @param mapping - column by column
 * @param chart - the chart it goes into: what the file doesn't say stays as it is there
 */
export function mapRows(
  table: TextTable,
  mapping: Mapping,
  chart: readonly ChartLine[],
  onRow: OnRow = () => {},
): MappedRows {
  const byNumber = new Map(chart.map((line) => [line.number, line]))
  const problems: RowProblem<ChartColumn>[] = []
  const taken = new Map<number, number>()
  const lines: ChartLine[] = []
  const preview = table.rows.map((row, i) => {
    onRow(i)
    const line = itemAt(table.lines, i)
    const number = numberOf(row, i, table.rows.length, mapping)
    const base = byNumber.get(Number(number))
    const written = cellsFrom(row, number, mapping, base)
    const hasNoFree = mapping.columns.free === null || (row[mapping.columns.free] ?? '').trim() === ''
    const cells =
      base && hasNoFree && mapping.columns.speaking !== null
        ? { ...written, free: freeFollowing(written, base, mapping.units) }
        : written
    const read = atRest(readCells(cells, mapping.units), mapping, base)
    const wrong: RowProblem<ChartColumn>[] =
      chart.length > 0 && isElsewhere(number, base)
        ? [
            {
              line,
              column: 'number',
              sentence: `The chart has strings 1 to ${chart.length}; there is no string ${number.trim()}.`,
            },
          ]
        : Object.entries(read.problems).map(([column, sentence]) => ({
            line,
            column: column as ChartColumn,
            sentence,
          }))
    if (wrong.length === 0 && read.line && taken.has(read.line.number))
      wrong.push({
        line,
        column: 'number',
        sentence: `String ${read.line.number} stands on line ${taken.get(read.line.number)} already.`,
      })
    const isOfChart = chart.length === 0 || !isElsewhere(number, base)
    // A row with a bad cell keeps its good ones.
    const kept =
      wrong.length === 0 ? read.line : isOfChart ? withoutBadCells(cells, read, base, mapping) : null
    if (kept && !taken.has(kept.number)) {
      taken.set(kept.number, line)
      lines.push(kept)
    }
    problems.push(...wrong)
    return { line, cells, wrong: wrong.length > 0 }
  })
  return { lines: lines.sort((a, b) => a.number - b.number), problems, preview }
}

/** A row with what can’t be read of it as the chart has it, or open where there is none; null where even then it can’t be. */
function withoutBadCells(
  cells: Cells,
  { problems }: ReadLine,
  base: ChartLine | undefined,
  mapping: Mapping,
): ChartLine | null {
  const had = base ? cellsOf(base, 'mm') : null
  const bad = Object.keys(problems) as ChartColumn[]
  if (bad.includes('number')) return null
  // Core, wrap and gauge are one string: where one of them is bad, the chart keeps all three.
  const one: readonly ChartColumn[] = ['material', 'gauge', 'core', 'bedding', 'wrap']
  const replaced = bad.some((column) => one.includes(column)) ? [...bad, ...one] : bad
  const again = {
    ...cells,
    ...Object.fromEntries(
      replaced.map((column) => [
        column,
        !had || had[column] === '' || !(column in mapping.units)
          ? (had?.[column] ?? '')
          : `${had[column]} mm`,
      ]),
    ),
  }
  const read = atRest(readCells(again, mapping.units), mapping, base)
  return Object.keys(read.problems).length === 0 ? read.line : null
}

/** A row of a string that the chart doesn't have: that alone is told of it, for the rest could only be wrong too. */
function isElsewhere(number: string, base: ChartLine | undefined): boolean {
  return base === undefined && /^\d+$/.test(number.trim())
}

/** A bare letter is the string's letter: its accidental at rest is the chart's. */
function atRest(read: ReadLine, { letters }: Mapping, base: ChartLine | undefined): ReadLine {
  const note = read.line?.note
  const isBare =
    note !== undefined &&
    base !== undefined &&
    note.accidental === 0 &&
    note.letter === base.note.letter &&
    note.octave === base.note.octave
  return read.line && isBare && letters === 'as tuned at rest'
    ? { ...read, line: { ...read.line, note: base.note } }
    : read
}

function numberOf(
  row: readonly string[],
  index: number,
  count: number,
  { columns, startsAt }: Mapping,
): string {
  if (columns.number !== null) return row[columns.number] ?? ''
  return String(startsAt === 'the shortest' ? index + 1 : count - index)
}

/** Cells of a row; what the file leaves empty, or has no column for, is filled from the chart. A label and a make may be empty. */
function cellsFrom(
  row: readonly string[],
  number: string,
  { columns, units }: Mapping,
  base: ChartLine | undefined,
): Cells {
  const had = base ? cellsOf(base, 'mm') : null
  const saysOf = (column: ChartColumn) => {
    const index = columns[column]
    return index !== null && (row[index] ?? '').trim() !== ''
  }
  // A gauge in the file is the string’s: core and wrap of another one are not put to it.
  const ofAnother: ReadonlySet<ChartColumn> = new Set(
    saysOf('gauge') ? (['core', 'bedding', 'wrap'] as const) : [],
  )
  return Object.fromEntries(
    CHART_COLUMNS.map((column) => {
      if (column === 'number') return [column, number]
      const index = columns[column]
      const text = index === null ? '' : unguarded(row[index] ?? '')
      if (text !== '' || ((column === 'label' || column === 'asked') && index !== null)) return [column, text]
      if (ofAnother.has(column)) return [column, '']
      return [column, had && had[column] !== '' ? `${had[column]}${column in units ? ' mm' : ''}` : '']
    }),
  ) as unknown as Cells
}
