/**
 * A string chart as CSV: lengths in millimetres, one line a position, read back exactly.
 */
import Papa from 'papaparse'
import { cellsOf, CHART_COLUMNS, type ChartColumn } from '@/core/chart/cells'
import type { ChartLine } from '@/core/chart/chart-line'
import { guarded } from '../../csv/formula-guard'

/** The header that each column leaves with; the mapping of an import knows them all. */
export const HEADERS: Record<ChartColumn, string> = {
  number: 'number from the top',
  label: 'maker’s label',
  note: 'note at rest (scientific)',
  colour: 'colour',
  material: 'material',
  gauge: 'gauge mm',
  core: 'core mm',
  bedding: 'bedding mm',
  wrap: 'wrap mm',
  speaking: 'speaking length mm',
  free: 'free length mm',
  asked: 'make and line',
}

/** The chart as text; a cell that could be taken for a formula is led in by an apostrophe, which reading takes off again. */
export function chartCsv(lines: readonly ChartLine[]): string {
  const rows = lines.map((line) => {
    const cells = cellsOf(line, 'mm')
    return CHART_COLUMNS.map((column) => guarded(cells[column]))
  })
  return `${Papa.unparse({ fields: CHART_COLUMNS.map((column) => HEADERS[column]), data: rows }, { newline: '\n' })}\n`
}
