/** What is measured of an instrument from a preset: kept with what follows from it, once, by what measured it; undone as one. */
import { sentenceOf } from '@/boundary/sentence-of'
import { hardwareCells, hardwareOf, readHardware } from '@/core/hardware/cells'
import { chartLine } from '@/core/chart/chart-line'
import { juniper } from '@/core/measuring/juniper'
import { knownChanges } from '@/core/photo/known-changes'
import { stillWritten } from '@/core/strings/written-lengths'
import { eachOnDemo } from '../demo/each-on-demo'
import type { Store } from '../store/database'
import { changeHardware } from './change-hardware'
import { fromInstrumentFile, toInstrumentFile } from './instrument-file'
import { instrumentBySlug } from './instruments'
import { measureByPicture, measureInstrument } from './measure-instrument'
import { changeChart } from './charts/change-chart'
import { putOnShelf } from './put-on-shelf'

let store: Store
eachOnDemo((opened) => {
  store = opened
  putOnShelf(store, juniper('lever harp', 'C3 to C6'), { measured: [], hardware: new Map() })
})

const now = () => instrumentBySlug(store, 'juniper')
const lengths = () => now().instrument.positions.map(({ speakingLength }) => speakingLength)

test('a pin’s diameter holds for every string, counts once however often it is measured, and is undone as one', () => {
  const before = now()
  measureInstrument(store, 'juniper', 'pin', 5.2e-3)
  const { actionId } = measureInstrument(store, 'juniper', 'pin', 5.05e-3)
  const after = now()
  expect(after.chartMeasured).toEqual([{ key: 'pin', error: null }])
  for (const { number, head } of after.instrument.positions) {
    expect(head.pin.diameter).toBeCloseTo(5.05e-3, 9)
    expect(after.hardwareMeasured.get(number)).toEqual(['diameter'])
  }
  store.undo(actionId)
  expect(now().instrument.positions[0]?.head.pin.diameter).toBeCloseTo(5.2e-3, 9)
  store.undo(actionId - 1)
  expect(now()).toEqual(before)
})

test('a length draws those with it that nobody measured, and leaves those alone that somebody did', () => {
  const [first, last] = [lengths()[0]!, lengths().at(-1)!]
  measureInstrument(store, 'juniper', `speaking ${lengths().length}`, last * 1.03)
  const bottom = lengths().at(-1)!
  const between = lengths()
  measureInstrument(store, 'juniper', 'speaking 1', first * 1.05)
  expect(lengths()[0]).toBeCloseTo(first * 1.05, 6)
  expect(lengths().at(-1)).toBe(bottom)
  expect(lengths()[3]).toBeGreaterThan(between[3]!)
})

test('what a picture told keeps its own error, and gives way to a tape', () => {
  const at = (number: number) => lengths()[number - 1]!
  measureByPicture(store, 'juniper', [
    { number: 4, length: at(4) * 1.02, error: 4e-3 },
    { number: 12, length: at(12) * 1.02, error: 5e-3 },
  ])
  const told = new Map(now().chartMeasured!.map(({ key, error }) => [key, error]))
  expect([told.get('speaking 4')! > 1e-3, told.get('speaking 12')! > 1e-3]).toEqual([true, true])
  const taped = at(4) * 1.01
  measureInstrument(store, 'juniper', 'speaking 4', taped)
  expect(now().chartMeasured).toContainEqual({ key: 'speaking 4', error: null })
  // Another picture says otherwise: the tape stays.
  measureByPicture(store, 'juniper', [{ number: 4, length: taped * 1.02, error: 4e-3 }])
  expect(at(4)).toBeCloseTo(taped, 9)
})

test('a length from the chart moves for no picture and no neighbour, unless it is named; then both count', () => {
  const at = (number: number) => lengths()[number - 1]!
  const stored = now()
  const line = chartLine(stored.instrument.positions[9]!)
  const charted = line.speakingLength + 0.004
  changeChart(store, stored, [{ ...line, speakingLength: charted, freeLength: line.freeLength + 0.004 }])
  measureInstrument(store, 'juniper', 'speaking 9', at(9) * 1.01)
  expect(at(10)).toBe(charted)
  const readings = [
    { number: 10, length: charted * 1.02, error: 2e-3 },
    { number: 14, length: at(14) * 1.01, error: 2e-3 },
  ]
  const [change, ...others] = knownChanges(now().instrument, now().chartMeasured!, readings).changes
  expect(others).toEqual([])
  expect(change).toMatchObject({ number: 10, old: charted, oldError: 1e-3, isSurer: false })
  const assumed = at(15)
  measureByPicture(store, 'juniper', readings)
  expect(at(10)).toBe(charted)
  expect(at(15)).not.toBe(assumed)
  const [again] = knownChanges(now().instrument, now().chartMeasured!, readings).changes
  measureByPicture(store, 'juniper', readings, [10])
  expect(at(10)).toBeCloseTo(again!.becomes, 8)
  expect(at(10)).toBeGreaterThan(charted)
})

test('a file that names the knot as it was called before is read, and written under its name of today', () => {
  const file = toInstrumentFile(now().instrument)
  const [first, ...others] = file.positions
  const older = {
    ...file,
    positions: [{ ...first, tail: { ...first!.tail, fastening: 'loop and through' } }, ...others],
  }
  expect(fromInstrumentFile(older).positions[0]!.tail.fastening).toBe('slip loop')
})

test.each([
  ['speaking 10', 'speaking', '12 1/4 in', 12.25 * 25.4e-3, [10]],
  ['pin', 'diameter', '0.2 in', 5.08e-3, 'all'],
] as const)('what is measured as %s is kept as it was typed', (key, column, text, metres, where) => {
  measureInstrument(store, 'juniper', key, metres, text)
  const own = now().instrument.positions.filter(({ written }) => written?.[column] === text)
  expect(own.map(({ number }) => number)).toEqual(
    where === 'all' ? now().instrument.positions.map(({ number }) => number) : where,
  )
  expect(stillWritten(text, metres)).toBe(text)
  const [first] = own
  expect(key === 'pin' ? first?.head.pin.diameter : first?.speakingLength).toBeCloseTo(metres, 9)
})

test('a board typed in inches is kept in inches, beside what the chart has in its own words', () => {
  const string = now().instrument.positions[2]!
  const { line } = readHardware(3, { ...hardwareCells(hardwareOf(string), 'mm'), board: '1/4 in' }, 'mm')
  changeHardware(store, 'juniper', [{ line: line!, confirmed: [] }])
  const kept = now().instrument.positions[2]!
  expect(kept.tail.boardThickness).toBe(0.00635)
  expect(kept.written).toEqual({ ...string.written, board: '1/4 in' })
  expect(fromInstrumentFile(toInstrumentFile(now().instrument)).positions[2]!.written).toEqual(kept.written)
})

test('once every board is typed on the sheet of fittings it is no longer asked for', () => {
  const typed = now().instrument.positions.map((p) => ({
    line: { ...hardwareOf(p), number: p.number },
    confirmed: ['board' as const],
  }))
  const { changed } = changeHardware(store, 'juniper', typed.slice(1))
  expect(changed).toBe(typed.length - 1)
  expect(now().chartMeasured).toEqual([])
  changeHardware(store, 'juniper', typed.slice(0, 1))
  expect(now().chartMeasured).toEqual([{ key: 'board', error: null }])
  // What is confirmed again changes nothing, and is no action.
  expect(changeHardware(store, 'juniper', typed)).toEqual({ actionId: null, changed: 0 })
})

test.each<[string, () => unknown, RegExp]>([
  ['far from its family', () => measureInstrument(store, 'juniper', 'pin', 5.2), /is the unit right\?$/],
  [
    'no such string',
    () => measureInstrument(store, 'juniper', 'speaking 99', 0.5),
    /^There is no such thing/,
  ],
  [
    'a chart that came whole',
    () => measureInstrument(store, 'lovage', 'pin', 5e-3),
    /came whole: set it right/,
  ],
  [
    'a picture of that',
    () => measureByPicture(store, 'lovage', [{ number: 4, length: 0.2, error: 2e-3 }]),
    /came whole: set it right/,
  ],
])('%s is refused in a sentence, and nothing is written', (_, work, sentence) => {
  const before = now()
  expect(sentenceOf(work)).toMatch(sentence)
  expect(now()).toEqual(before)
})

test('a longer string that would come out shorter than one that was taped is refused, and neither moves', () => {
  measureInstrument(store, 'juniper', 'speaking 4', lengths()[3]!)
  const before = now()
  const told = sentenceOf(() => measureInstrument(store, 'juniper', 'speaking 5', lengths()[3]! * 0.95))
  expect(told).toMatch(/^String 5 would come out shorter than string 4: measure once more/)
  expect(now()).toEqual(before)
})
