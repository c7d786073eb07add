/** Charts in and out: the round trip, files of every make, and writing them with undo. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chartLine, type ChartLine } from '@/core/chart/chart-line'
import { openStore, type Store } from '../../store/database'
import { readShelf } from '../../demo/shelf-files'
import { findString } from '../find-string'
import { addInstrument, instrumentBySlug } from '../instruments'
import { putOnShelf } from '../put-on-shelf'
import { changeChart } from './change-chart'
import { chartCsv } from './chart-csv'
import { mapRows } from './map-rows'
import { guessMapping } from './mapping'
import { readTable, textOf } from '../../csv/read-table'

const shelf = readShelf('demo').instruments
const fennel = shelf.find((i) => i.slug === 'fennel')!
const chart = fennel.positions.map(chartLine)
const read = (text: string) => readTable(textOf(new TextEncoder().encode(text)))
const imported = (text: string, onto: readonly ChartLine[] = chart) => {
  const table = read(text)
  return mapRows(table, guessMapping(table), onto)
}

test.each(shelf.map((i) => [i.name, i.positions.map(chartLine)] as const))(
  'the chart of %s leaves as CSV and comes back the same',
  (_, lines) => {
    const { lines: back, problems } = imported(
      chartCsv(lines),
      lines.map((line) => ({
        ...line,
        construction: null,
        make: null,
        speakingLength: null,
        freeLength: null,
      })),
    )
    expect(problems).toEqual([])
    expect(back).toEqual(lines)
  },
)

test('a label that a spreadsheet would reckon leaves guarded, and comes back as it was', () => {
  const odd = chart.map((line) => ({
    ...line,
    makerLabel: line.number === 1 ? '=HYPERLINK("x")' : line.number === 2 ? '-7' : '7, "seven"',
  }))
  const csv = chartCsv(odd)
  expect(csv).toContain(`'=HYPERLINK`)
  expect(csv.split('\n').some((row) => /(^|,)"?[=+@]/.test(row))).toBe(false)
  expect(imported(csv).lines).toEqual(odd)
})

test('a maker’s file with a mark, semicolons, decimal commas and thousandths is understood; bare letters are those at rest', () => {
  const { lines, problems } = imported(
    '\uFEFFNo;Note;Gauge (thou);Length\r\n1;G6;"29,9";94,0\r\n3;E6;31;119,6\r\n',
  )
  expect(problems).toEqual([])
  expect(lines.map(({ construction }) => construction)).toEqual(
    [29.9, 31].map((thou) => ({
      kind: 'plain',
      material: 'nylon 6.12',
      gauge: expect.closeTo(thou * 2.54e-5, 9),
    })),
  )
  expect(lines[1]!.note).toEqual(chart[2]!.note)
})

test.each([
  ['1;0,66\n', ';'],
  ['1\t0,66\n', '\t'],
  ['1|0,66\n', '|'],
])('a decimal comma in the row “%s” is not taken for a separator', (row, separator) => {
  expect(read(`no${separator}"gauge, mm"\n${row}`)).toEqual({
    header: ['no', 'gauge, mm'],
    rows: [['1', '0,66']],
    lines: [2],
  })
})

test('fractions of an inch, quotes and a column of inches are understood', () => {
  const { lines, problems } = imported(
    'string,speaking length (in),gauge in\n4,"5 5/16",.031\n5,5 29/32",0.031\n',
  )
  expect(problems).toEqual([])
  expect(lines.map((line) => Number((line.speakingLength! * 1000).toFixed(2)))).toEqual([134.94, 150.02])
})

test('without a column of numbers the rows count from whichever end is said', () => {
  const table = read('gauge mm\n2.00\n1.95\n')
  const mapping = { ...guessMapping(table), startsAt: 'the longest' as const }
  const plain = chart.map((line) => ({
    ...line,
    construction: { kind: 'plain', material: 'gut', gauge: 1e-3 } as const,
    make: 'gut',
  }))
  expect(
    mapRows(table, mapping, plain).lines.map(({ number, construction }) => [
      number,
      construction?.kind === 'plain' && construction.gauge,
    ]),
  ).toEqual([
    [1, 0.00195],
    [2, 0.002],
  ])
})

test('every wrong cell is told by its line and column; its row keeps the good ones', () => {
  const { lines, problems } = imported(
    'no,note,gauge mm,material\n1,G6,0.76,nylon\n2,J6,0.76,nylon\n1,G6,0.77,nylon\n44,A2,1,nylon\n3,E6,thick,nylon\nx,G6,,\n4,D6,0.78,horsehair\n',
  )
  expect(lines.map(({ number }) => number)).toEqual([1, 2, 3, 4])
  const had = chart
  // What can’t be read is as the chart has it.
  expect(lines[1]?.note).toEqual(had[1]?.note)
  expect(lines[1]?.construction).toMatchObject({ gauge: 0.00076 })
  expect(lines[2]?.construction).toEqual(had[2]?.construction)
  expect(problems.map(({ line, column }) => `${line} ${column}`)).toEqual([
    '3 note',
    '4 number',
    '5 number',
    '6 gauge',
    '7 number',
    '8 material',
  ])
})

test('ten thousand rows are read through, and only the chart’s own can be taken', () => {
  const rows = Array.from({ length: 10_000 }, (_, i) => `${i + 1},G6,0.76`).join('\n')
  const { lines, problems, preview } = imported(`no,note,gauge mm\n${rows}`)
  expect([lines.length + new Set(problems.map(({ line }) => line)).size, preview.length]).toEqual([
    10_000, 10_000,
  ])
  expect(lines.length).toBeLessThanOrEqual(31)
  expect(problems.map(({ sentence }) => sentence)).toContain(
    'The chart has strings 1 to 31; there is no string 10000.',
  )
})

test.each([
  ['nothing', new Uint8Array(), 'The file is empty.'],
  ['only spaces', new TextEncoder().encode(' \n \n'), 'The file is empty.'],
  ['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]), 'not a text file'],
  ['a header alone', new TextEncoder().encode('no,note\n'), 'a line for each string'],
  ['a quote left open', new TextEncoder().encode('no,note\n1,"G6\n2,F6\n'), 'never closed'],
  ['far too much', new Uint8Array(8_000_001).fill(65), 'a few kilobytes'],
])('a file of %s is answered with one sentence', (_, bytes, sentence) =>
  expect(() => readTable(textOf(bytes))).toThrow(sentence),
)

test('UTF-16 with its mark and the Western European code page are read', () => {
  const wide = new Uint8Array([
    0xff,
    0xfe,
    ...[...'no,label\n1,Ü\n'].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]),
  ])
  expect(readTable(textOf(wide)).rows).toEqual([['1', 'Ü']])
  expect(
    readTable(textOf(Uint8Array.from([...new TextEncoder().encode('no,label\n1,'), 0xdc]))).rows,
  ).toEqual([['1', 'Ü']])
})

describe('on a real file', () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-charts-'))
  let store: Store
  beforeEach(() => {
    rmSync(folder, { recursive: true, force: true })
    store = openStore({ folder, machine: () => Date.UTC(2026, 10, 24) })
    store.act({ kind: 'shelf', summary: 'Instruments' }, () => {
      for (const i of shelf) addInstrument(store, i)
    })
  })
  afterEach(() => store.close())
  afterAll(() => rmSync(folder, { recursive: true, force: true }))

  test('a changed chart is one action; undone it is what it was, to the digit', () => {
    const before = instrumentBySlug(store, 'fennel')
    const { actionId, changed } = changeChart(store, before, [
      { ...chart[3]!, construction: { kind: 'plain', material: 'gut', gauge: 0.0008 }, speakingLength: 0.14 },
      chart[4]!,
    ])
    expect(changed).toBe(1)
    const after = instrumentBySlug(store, 'fennel').instrument.positions
    expect(after[3]).toMatchObject({ construction: { material: 'gut', gauge: 0.0008 }, speakingLength: 0.14 })
    store.undo(actionId!)
    expect(instrumentBySlug(store, 'fennel').instrument).toEqual(before.instrument)
  })

  test('nothing is written when nothing differs, and nothing when one line is of no string here', () => {
    const stored = instrumentBySlug(store, 'fennel')
    expect(changeChart(store, stored, chart)).toEqual({ actionId: null, changed: 0 })
    expect(() =>
      changeChart(store, stored, [
        { ...chart[0]!, speakingLength: 0.09 },
        { ...chart[1]!, number: 99 },
      ]),
    ).toThrow('there is no string 99')
    expect(instrumentBySlug(store, 'fennel').instrument).toEqual(stored.instrument)
  })

  test('an instrument put on the shelf has an address of its own, comes back whole, and can be undone', () => {
    const { actionId, slug } = putOnShelf(store, {
      ...shelf.find((i) => i.slug === 'yarrow')!,
      name: ' Sweet Cicely, Nº 2 ',
    })
    expect(slug).toBe('sweet-cicely-no-2')
    expect(instrumentBySlug(store, slug).instrument.coverings).toEqual(
      shelf.find((i) => i.slug === 'yarrow')!.coverings,
    )
    expect(() => putOnShelf(store, { ...shelf[0]!, name: 'sweet cicely no 2' })).toThrow(
      'There is an instrument called',
    )
    expect(() => putOnShelf(store, { ...shelf[0]!, name: '12' })).toThrow('begin with a letter')
    expect(() => putOnShelf(store, { ...shelf[0]!, name: 'New' })).toThrow('There is an instrument called')
    store.undo(actionId)
    expect(() => instrumentBySlug(store, slug)).toThrow('no instrument called')
  })

  test('a name is found on the instrument at hand, on the one it names, or over the whole shelf', () => {
    const found = (name: string, at: string | null) =>
      findString(store, name, at).map(({ slug, number }) => `${slug} ${number}`)
    expect(found('4A', 'fennel')).toEqual(['fennel 21'])
    expect(found('G4 of Lovage', 'fennel')).toEqual(['lovage 22', 'lovage 29'])
    expect(found('teasel: top string', null)).toEqual(['teasel 1'])
    expect(found('46', null)).toEqual(['lovage 46'])
    expect(found('C4 spn', null)).toEqual(expect.arrayContaining(['fennel 19', 'lovage 26', 'chervil 15']))
    expect(() => found('60', 'lovage')).toThrow(
      'Lovage has no string called “60”; the nearest is its 7th-octave C.',
    )
    expect(() => found('60', null)).toThrow('No instrument on the shelf')
  })
})
