/** The hardware of every instrument as cells, there and back; what can't be; and what each value moves. */
import { readShelf } from '@/data/demo/shelf-files'
import { DEFAULT_HABITS } from '../fitting/habits'
import { fittingFigures } from '../fitting/figures'
import { positionAt } from '../instrument/instrument'
import { chartLine, withLine } from '../chart/chart-line'
import { boardProblem } from './board-in-string'
import { hardwareCells, hardwareOf, readHardware } from './cells'
import { acceptedText, HARDWARE, HARDWARE_COLUMNS, HARDWARE_PARTS } from './columns'
import { movesOf } from './moves'
import { hardwareRuns } from './sections'

const { instruments } = readShelf('demo')
const lovage = instruments.find(({ slug }) => slug === 'lovage')!

test('every string of every instrument reads back as it was, in mm to the nanometre', () => {
  for (const instrument of instruments)
    for (const p of instrument.positions) {
      const read = readHardware(p.number, hardwareCells(hardwareOf(p), 'mm'), 'mm')
      expect(read).toEqual({ line: hardwareOf(p), problems: {} })
    }
})

test('what was typed in inches stays as it was typed, in a house of either unit', () => {
  const typed = { diameter: '1/4 in', board: '0,2"', holeToEnd: '14.8' }
  const { line } = readHardware(20, { ...cells, ...typed }, 'mm')
  expect(hardwareCells(line!, 'mm')).toEqual({ ...cells, ...typed })
  expect(hardwareCells(line!, 'in')).toMatchObject({ diameter: '1/4', board: '0,2"', holeToEnd: '0.58268' })
  // Measured since: the words no longer hold, at three nanometres as little as at a millimetre.
  const moved = { ...line!, head: { ...line!.head, pin: { ...line!.head.pin, diameter: 6.350003e-3 } } }
  expect(hardwareCells(moved, 'mm').diameter).toBe('6.350003')
})

test('a board that is as thick as the string is long is told, just thinner it is not; a looped string has none', () => {
  const string = positionAt(lovage, 1)
  const behind = (boardThickness: number, tail = string.tail.fastening) =>
    boardProblem({ ...string, tail: { ...string.tail, fastening: tail, boardThickness } })
  expect(behind(string.freeLength)).toMatch(/^String 1: its board of [\d.]+ mm is thicker than/)
  expect(behind(string.freeLength - 1e-6)).toBeNull()
  expect(behind(string.freeLength, 'loop on a hitch pin')).toBeNull()
  const line = chartLine(string)
  const thick = { ...string, tail: { ...string.tail, boardThickness: 0.09 } }
  expect(() => withLine(thick, { ...line, speakingLength: 0.06, freeLength: 0.089 })).toThrow(
    /Measure both again/,
  )
  expect(withLine(thick, { ...line, speakingLength: 0.06, freeLength: 0.091 }).freeLength).toBe(0.091)
})

test('whatever a hint offers is taken: both ends of every range, empty where it says so, and nothing just beyond', () => {
  for (const column of HARDWARE_COLUMNS) {
    const kind = HARDWARE[column]
    if (kind.is !== 'length') continue
    const hint = acceptedText(column, 'mm')
    const [, least, most, empty] = /^From (\S+) to (\S+) mm(, or empty)?\.$/.exec(hint) ?? []
    const problem = (text: string) =>
      readHardware(1, { ...cells, height: '150', holeToEnd: '1', [column]: text }, 'mm').problems[column]
    expect([column, problem(most!)]).toEqual([column, undefined])
    if (column !== 'height') expect([column, problem(least!)]).toEqual([column, undefined])
    expect([column, problem('') === undefined]).toEqual([column, empty !== undefined])
    expect(problem(String(Number(most) * 1.01))).toMatch(/can’t be right/)
    if (Number(least) > 0) expect(problem(String(Number(least) * 0.9))).toMatch(/can’t be right/)
  }
  expect(acceptedText('gear', 'mm')).toBe('From 1 to 60.')
  expect(acceptedText('tail', 'mm')).toBe('')
  expect(acceptedText('diameter', 'in')).toBe('From 0.0394 to 1.18 in.')
})

test('the parts of the sheet hold every column once', () => {
  expect(HARDWARE_PARTS.flatMap(({ columns }) => [...columns]).sort()).toEqual([...HARDWARE_COLUMNS].sort())
})

const cells = hardwareCells(hardwareOf(positionAt(lovage, 20)), 'mm')
const readWith = (change: Partial<typeof cells>) => readHardware(20, { ...cells, ...change }, 'mm')

test.each([
  [
    'a beginning that is one word’s alone',
    { setting: 'up' },
    'upright',
    (l: ReturnType<typeof hardwareOf>) => l.head.pin.setting,
  ],
  ['a gear either way round', { gear: '1:4' }, 4, (l: ReturnType<typeof hardwareOf>) => l.head.pin.gearRatio],
  [
    'inches where they are written',
    { diameter: '1/4 in' },
    0.00635,
    (l: ReturnType<typeof hardwareOf>) => l.head.pin.diameter,
  ],
  [
    'nothing where there may be none',
    { eyelet: '' },
    null,
    (l: ReturnType<typeof hardwareOf>) => l.tail.eyeletBore,
  ],
])('%s is understood', (_, change, expected, of) => {
  const { line } = readWith(change)
  expect(line && of(line)).toEqual(expected)
})

test.each([
  [{ diameter: '70' }, 'diameter', /70 mm can’t be right here; expected 1 to 30 mm/],
  [{ diameter: '' }, 'diameter', /Enter a value. From 1 to 30 mm/],
  [{ tail: '' }, 'tail', /Choose one of: .*loop on a hitch pin/],
  [{ board: '' }, 'board', /Enter a value. From 0 to/],
  [{ tail: 'two-loop' }, 'tail', /Expected one of: .*Got “two-loop”/],
  [{ gear: '0.2' }, 'gear', /turns of the key/],
  [{ gear: '1:0' }, 'gear', /turns of the key/],
  [{ toBridge: 'far' }, 'toBridge', /Expected a length/],
  [{ datum: 'top of pin', height: '4', holeToEnd: '5' }, 'holeToEnd', /would lie in the wood/],
] as const)('%j is refused at its cell', (change, column, sentence) => {
  const { line, problems } = readWith(change)
  expect(line).toBeNull()
  expect(problems[column]).toMatch(sentence)
})

test('strings alike in all words are one run, and runs cover the instrument', () => {
  for (const instrument of instruments) {
    const runs = hardwareRuns(instrument.positions)
    expect(runs.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, i) => from + i))).toEqual(
      instrument.positions.map(({ number }) => number),
    )
    expect(runs.length).toBeLessThan(Math.max(2, instrument.positions.length))
  }
})

test('a thicker post lengthens the cut; a thicker board does not, since the free length runs from the knot', () => {
  const yarrow = instruments.find(({ slug }) => slug === 'yarrow')!
  const post = movesOf(yarrow, DEFAULT_HABITS, 3, 'post')?.figures
  expect(post?.find(({ of }) => of === 'cut')?.gains).toBeGreaterThan(0)
  expect(movesOf(lovage, DEFAULT_HABITS, 20, 'board')?.figures).toEqual([])
})

test('a column of words moves no figure by a step', () => {
  for (const column of HARDWARE_COLUMNS)
    expect(movesOf(lovage, DEFAULT_HABITS, 20, column) === null).toBe(
      HARDWARE[column].is === 'word' ||
        hardwareCells(hardwareOf(positionAt(lovage, 20)), 'mm')[column] === '',
    )
})

test('what a pin’s diameter moves is what the figures of such a pin are', () => {
  const position = positionAt(lovage, 20)
  const moves = movesOf(lovage, DEFAULT_HABITS, 20, 'diameter')!
  const pin = { ...position.head.pin, diameter: position.head.pin.diameter + moves.by }
  const thicker = {
    ...lovage,
    positions: lovage.positions.map((p) => (p === position ? { ...p, head: { ...p.head, pin } } : p)),
  }
  const [before, after] = [
    fittingFigures(lovage, position, DEFAULT_HABITS),
    fittingFigures(thicker, positionAt(thicker, 20), DEFAULT_HABITS),
  ]
  expect(moves.figures.find(({ of }) => of === 'cut')?.gains).toBeCloseTo(
    after.cut.total - before.cut.total,
    9,
  )
  expect(moves.figures.find(({ of }) => of === 'key')?.gains).toBeLessThan(0)
})
