import { allIn, cellsOf, readCells, type Cells } from '@/core/chart/cells'
import { chartLine, isWhole, withLine } from '@/core/chart/chart-line'
import { fromPreset } from '@/core/instrument/presets'
import { PRESETS } from '@/core/instrument/preset-families'
import { readNotes } from '@/core/instrument/read-notes'
import { isWritten, stillWritten, withUnit, writtenCell } from './written-lengths'

const { notes, ...begins } = PRESETS['lever harp'].begins
const position = fromPreset({
  about: {
    slug: 'a',
    name: 'A',
    family: 'lever harp',
    maker: '',
    model: '',
    owner: '',
    strung: 'as usual',
    referenceA: 440,
    ...begins,
  },
  notes: readNotes(notes),
  measured: new Map(),
}).positions[9]!

/** The string after its row was typed so, over what the chart has. */
function typed(cells: Partial<Cells>, unit: 'mm' | 'in' | 'thou' | 'cm') {
  const { line } = readCells({ ...cellsOf(chartLine(position), 'mm'), free: '900 mm', ...cells }, allIn(unit))
  if (!line || !isWhole(line)) throw new Error('expected a whole line')
  return withLine(position, line)
}

test.each([
  ['.028', 'in', '.028 in'],
  ['.028 in', 'mm', '.028 in'],
  ['0,032"', 'mm', '0,032"'],
  ['1/32', 'in', '1/32 in'],
  ['32', 'thou', '32 thou'],
  ['0.81', 'mm', null],
  ['0.81 mm', 'in', null],
] as const)('%s in a column of %s is written as %s', (text, unit, wanted) => {
  expect(withUnit(text, unit)).toBe(wanted)
})

test('.028 in stays .028 in in a workshop of millimetres, and reads as the same metres again', () => {
  const string = typed(
    { material: 'nylon', gauge: '.028 in', speaking: '24 1/2 in', core: '', wrap: '' },
    'mm',
  )
  const cells = cellsOf(chartLine(string), 'mm')
  expect(cells).toMatchObject({ gauge: '.028 in', speaking: '24 1/2 in' })
  expect(string.speakingLength).toBeCloseTo(0.6223, 9)
  expect(readCells(cells, allIn('mm')).line).toEqual(chartLine(string))
})

test('a bare figure is shown bare where its unit is the column’s, and with its unit elsewhere', () => {
  const string = typed(
    { material: 'nylon', gauge: '28', speaking: '24 in', free: '35 in', core: '', wrap: '' },
    'thou',
  ).written
  expect(writtenCell(string?.gauge, 28 * 25.4e-6, 'thou')).toBe('28')
  expect(writtenCell(string?.gauge, 28 * 25.4e-6, 'mm')).toBe('28 thou')
})

test('what was written no longer counts once the string is measured: at two nanometres it does, at three not', () => {
  expect(stillWritten('.028 in', 0.0007112 + 1.9e-9)).toBe('.028 in')
  expect(stillWritten('.028 in', 0.0007112 + 3e-9)).toBeNull()
  expect(cellsOf({ ...chartLine(position), written: { speaking: '24 in' } }, 'mm').speaking).not.toContain(
    'in',
  )
  expect(stillWritten('constructor', 0.001)).toBeNull()
})

test('a record of what was written holds lengths by column, and nothing else', () => {
  expect(isWritten({ gauge: '.028 in' })).toBe(true)
  for (const wrong of [{ gauge: 'thick' }, { colour: '1 in' }, { gauge: 1 }, [], null, 'x'])
    expect([wrong, isWritten(wrong) && Object.keys(wrong as object).length > 0]).toEqual([wrong, false])
})
