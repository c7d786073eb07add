'use client'

import { useCallback, useMemo } from 'react'
import {
  CHART_COLUMNS,
  cellsOf,
  readCells,
  type Cells,
  type ChartColumn,
  type ColumnUnits,
  type Problems,
} from '@/core/chart/cells'
import { chartLine, type ChartLine } from '@/core/chart/chart-line'
import { freeFollowing } from '@/core/chart/free-follows'
import type { Instrument } from '@/core/instrument/instrument'
import type { LengthUnit } from '@/core/units/length'
import { useStoredState } from '@/ui/kept/use-stored-state'
import { typedOver } from '@/ui/sheet/typed-over'

export interface DraftRow {
  readonly number: number
  readonly cells: Cells
  readonly line: ChartLine
  readonly problems: Problems
  /** What of it is to be kept, in mm; null where it is as the chart has it. */
  readonly toKeep: Cells | null
}

/** One cell to set, by the string's number. */
export interface CellEdit {
  readonly number: number
  readonly column: ChartColumn
  readonly text: string
}

export interface ChartDraft {
  readonly rows: readonly DraftRow[]
  /** Rows that differ from the chart. */
  readonly changed: readonly DraftRow[]
  readonly set: (edits: readonly CellEdit[]) => void
  /** Puts lines in, as an import or a rebuilding proposes them. */
  readonly take: (lines: readonly ChartLine[]) => void
  readonly putBack: () => void
}

type Edits = Readonly<Record<number, Partial<Cells>>>
const UNTOUCHED: Edits = {}

/** The chart as it is being typed: nothing is written until it is kept, and nothing typed is lost by leaving the page. */
export function useChartDraft(instrument: Instrument, unit: 'mm' | 'in', gaugeUnit: LengthUnit): ChartDraft {
  const [edits, setEdits] = useStoredState(`chart of ${instrument.slug}`, UNTOUCHED)
  const base = useMemo(
    () =>
      instrument.positions.map((p) => ({
        line: chartLine(p),
        cells: cellsOf(chartLine(p), unit, gaugeUnit),
      })),
    [instrument, unit, gaugeUnit],
  )
  const units = useMemo<ColumnUnits>(
    () => ({
      gauge: gaugeUnit,
      core: gaugeUnit,
      bedding: gaugeUnit,
      wrap: gaugeUnit,
      speaking: unit,
      free: unit,
    }),
    [unit, gaugeUnit],
  )
  const rows = useMemo(
    () => base.map((row) => rowOf(row, edits[row.line.number], units)),
    [base, edits, units],
  )
  const changed = useMemo(() => rows.filter(({ toKeep }) => toKeep !== null), [rows])

  const set = useCallback(
    (changes: readonly CellEdit[]) =>
      setEdits((had) =>
        changes.reduce<Edits>(
          (all, { number, column, text }) => ({ ...all, [number]: { ...all[number], [column]: text } }),
          had,
        ),
      ),
    [setEdits],
  )
  const take = useCallback(
    (lines: readonly ChartLine[]) =>
      setEdits((had) => ({
        ...had,
        ...Object.fromEntries(lines.map((line) => [line.number, cellsOf(line, unit, gaugeUnit)])),
      })),
    [setEdits, unit, gaugeUnit],
  )
  const putBack = useCallback(() => setEdits(UNTOUCHED), [setEdits])
  return { rows, changed, set, take, putBack }
}

interface BaseRow {
  readonly line: ChartLine
  readonly cells: Cells
}

interface KnownRow {
  readonly edits: Partial<Cells> | undefined
  readonly units: ColumnUnits
  readonly row: DraftRow
}

const KNOWN = new WeakMap<BaseRow, KnownRow>()

/** A row as it stands. One that was not typed in stays the same object, so that only the row that changed is drawn. */
function rowOf(base: BaseRow, edits: Partial<Cells> | undefined, units: ColumnUnits): DraftRow {
  const known = KNOWN.get(base)
  if (known && known.edits === edits && known.units === units) return known.row
  const row = draftRow(base.line, base.cells, edits, units)
  KNOWN.set(base, { edits, units, row })
  return row
}

function draftRow(
  line: ChartLine,
  cells: Cells,
  edits: Partial<Cells> | undefined,
  units: ColumnUnits,
): DraftRow {
  const typed = { ...cells, ...edits }
  const now =
    edits?.speaking !== undefined && edits.speaking !== cells.speaking && edits.free === undefined
      ? { ...typed, free: freeFollowing(typed, line, units) }
      : typed
  const edited = CHART_COLUMNS.filter((column) => now[column] !== cells[column])
  if (edited.length === 0) return { number: line.number, cells, line, problems: {}, toKeep: null }
  const { line: read, problems } = readCells(now, units)
  const shown = read ?? { ...line, construction: null, make: null }
  return {
    number: line.number,
    cells: now,
    line: shown,
    problems,
    // Core and wrap that were inferred come with the gauge that they make up.
    toKeep: typedOver(
      cellsOf(line, 'mm'),
      cellsOf(shown, 'mm'),
      now.core === '' && now.wrap === '' ? [...edited, 'gauge', 'core', 'bedding', 'wrap'] : edited,
    ),
  }
}
