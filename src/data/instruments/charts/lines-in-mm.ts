/** Lines of a chart as a page sends them: cells whose bare numbers are millimetres. */
import { Refusal } from '@/boundary/refusal'
import { allIn, readCells, type Cells } from '@/core/chart/cells'
import { isWhole, type ChartLine, type WholeLine } from '@/core/chart/chart-line'

const IN_MM = allIn('mm')

/** @throws Refusal 400 with the cell that can’t be read, `12.gauge` */
export function lineInMm(cells: Cells): ChartLine {
  const { line, problems } = readCells(cells, IN_MM)
  const [column, sentence] = Object.entries(problems)[0] ?? []
  if (sentence !== undefined || !line)
    throw new Refusal(400, `String ${cells.number}: ${sentence}`, `${cells.number}.${column}`)
  return line
}

/** @throws Refusal 400 as {@link lineInMm}, and where a cell is still empty that a chart needs */
export function wholeLineInMm(cells: Cells): WholeLine {
  const line = lineInMm(cells)
  if (!isWhole(line))
    throw new Refusal(
      400,
      `String ${cells.number} is not whole yet: it needs a material, a gauge and both lengths.`,
      `${cells.number}.gauge`,
    )
  return line
}
