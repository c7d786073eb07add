/** A free length that nobody typed goes with the speaking length, and never stands in its way. */
import { juniper } from '../measuring/juniper'
import { cellsOf, readCells, type ColumnUnits } from './cells'
import { chartLine } from './chart-line'
import { freeFollowing } from './free-follows'

const MM: ColumnUnits = { gauge: 'mm', core: 'mm', bedding: 'mm', wrap: 'mm', speaking: 'mm', free: 'mm' }
const line = chartLine(juniper('lever harp', 'C3 to C5').positions[4]!)
const beyond = line.freeLength - line.speakingLength
const typed = (speaking: string, units = MM) => {
  const cells = { ...cellsOf(line, 'mm'), speaking }
  return readCells({ ...cells, free: freeFollowing(cells, line, units) }, units)
}

test('what lies beyond the bridge pin stays, however long the string becomes', () => {
  for (const speaking of ['40', '900', '2500']) {
    const { line: read, problems } = typed(speaking)
    expect(problems).toEqual({})
    expect(read!.freeLength! - read!.speakingLength!).toBeCloseTo(beyond, 9)
  }
})

test('in inches as well, and with the unit written', () => {
  expect(typed('20', { ...MM, speaking: 'in' }).line!.freeLength).toBeCloseTo(0.508 + beyond, 9)
  expect(typed('20 in').line!.freeLength).toBeCloseTo(0.508 + beyond, 9)
})

test('what can’t be read, or is not there, changes nothing', () => {
  const cells = { ...cellsOf(line, 'mm'), speaking: 'long' }
  expect(freeFollowing(cells, line, MM)).toBe(cells.free)
  expect(freeFollowing({ ...cells, speaking: '' }, line, MM)).toBe(cells.free)
  expect(freeFollowing({ ...cells, speaking: '400' }, { ...line, freeLength: null }, MM)).toBe(cells.free)
})
