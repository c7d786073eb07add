/** A sheet that is read in inches keeps what nobody typed to the last nanometre. */
import { chartLine } from '@/core/chart/chart-line'
import { cellsOf, readCells } from '@/core/chart/cells'
import { hardwareCells, hardwareOf, readHardware } from '@/core/hardware/cells'
import { readShelf } from '@/data/demo/shelf-files'
import { typedOver } from './typed-over'

const positions = readShelf('demo').instruments.flatMap((instrument) => instrument.positions)

test('hardware: a height typed in inches stays as typed and changes no other cell', () => {
  for (const position of positions) {
    const kept = hardwareCells(hardwareOf(position), 'mm')
    const shown = { ...hardwareCells(hardwareOf(position), 'in'), height: '1' }
    const { line } = readHardware(position.number, shown, 'in')
    if (line)
      expect(typedOver(kept, hardwareCells(line, 'mm'), ['height'])).toEqual({ ...kept, height: '1 in' })
  }
})

test('chart: a speaking length typed in inches stays as typed and changes no other cell', () => {
  const inch = { gauge: 'in', core: 'in', bedding: 'in', wrap: 'in', speaking: 'in', free: 'in' } as const
  for (const position of positions) {
    const kept = cellsOf(chartLine(position), 'mm')
    const { line } = readCells({ ...cellsOf(chartLine(position), 'in'), speaking: '2.5' }, inch)
    if (line)
      expect(typedOver(kept, cellsOf(line, 'mm'), ['speaking'])).toEqual({ ...kept, speaking: '2.5 in' })
  }
})

test('chart: a gauge typed in thousandths stays as typed and changes no other cell', () => {
  const thou = {
    gauge: 'thou',
    core: 'thou',
    bedding: 'thou',
    wrap: 'thou',
    speaking: 'mm',
    free: 'mm',
  } as const
  for (const position of positions.filter(({ construction }) => construction.kind === 'plain')) {
    const kept = cellsOf(chartLine(position), 'mm')
    const { line } = readCells({ ...cellsOf(chartLine(position), 'mm', 'thou'), gauge: '41' }, thou)
    expect(typedOver(kept, cellsOf(line!, 'mm'), ['gauge'])).toEqual({ ...kept, gauge: '41 thou' })
  }
})
