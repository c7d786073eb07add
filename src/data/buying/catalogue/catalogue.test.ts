/** Catalogues of every make: what is read, what is told, and what leaves. */
import { readTable } from '../../csv/read-table'
import type { CatalogueItem } from '@/core/stores/catalogue-cells'
import { catalogueCsv, fromRows, guessCatalogueMapping, mapCatalogue } from './catalogue-file'

const read = (csv: string) => {
  const table = readTable(csv)
  return mapCatalogue(table, guessCatalogueMapping(table))
}
const HEAD =
  'part,name,material,gauge mm,core mm,bedding mm,wrap mm,colour,tension class,end,maker,line,sold as,length mm,pieces,price,stock,set of'
const row = (change: Partial<Record<string, string>>) => {
  const cells: Record<string, string> = {
    part: 'A1',
    name: 'One',
    material: 'gut',
    'gauge mm': '1.24',
    colour: 'natural',
    'tension class': 'concert',
    end: 'plain',
    'length mm': '1200',
    pieces: '1',
    price: '12.50',
    stock: '3',
    ...change,
  }
  return HEAD.split(',')
    .map((name) =>
      /[",;]/.test(cells[name] ?? '')
        ? `"${(cells[name] ?? '').replaceAll('"', '""')}"`
        : (cells[name] ?? ''),
    )
    .join(',')
}
const one = (change: Partial<Record<string, string>>) => read(`${HEAD}\n${row(change)}\n`)

test('a plain row is one string; what it leaves empty is one piece, natural, with a plain end, and a stock that is not said', () => {
  expect(one({ colour: '', end: '', pieces: '', stock: '' }).items).toEqual([
    {
      part: 'A1',
      name: 'One',
      construction: { kind: 'plain', material: 'gut', gauge: 0.00124 },
      colour: 'natural',
      tensionClass: 'concert',
      end: 'plain',
      maker: '',
      line: '',
      soldAs: 'one string',
      length: 1.2,
      pieces: 1,
      stock: null,
      priceMinor: 1250,
      setOf: null,
    },
  ])
})

test('a wound string needs its core and its wrap', () => {
  expect(
    one({
      material: 'copper on silk on steel',
      'gauge mm': '',
      'core mm': '0.6',
      'bedding mm': '0.1',
      'wrap mm': '0.3',
    }).items[0]?.construction,
  ).toEqual({
    kind: 'wound',
    core: { material: 'steel', diameter: 0.0006 },
    bedding: { material: 'silk', thickness: 0.0001 },
    wrap: { material: 'copper', diameter: 0.0003 },
  })
  expect(
    one({ material: 'copper on silk on steel', 'core mm': '0.6', 'wrap mm': '0.3' }).problems.map(
      ({ sentence }) => sentence,
    ),
  ).toEqual(['The thickness of the bedding is missing.'])
})

test.each([
  ['no part number', { part: '' }, 'part', 'A part number is missing.'],
  ['no gauge', { 'gauge mm': '' }, 'gauge', 'A gauge is missing.'],
  ['a gauge of nothing', { 'gauge mm': '0' }, 'gauge', 'can’t be right|more than'],
  ['a length below nothing', { 'length mm': '-5' }, 'length', '-5'],
  ['a price to be asked for', { price: 'call us' }, 'price', 'ask for it and write it in'],
  ['a price that is none', { price: 'cheap' }, 'price', 'Expected a price'],
  ['an unknown class', { 'tension class': 'heavy' }, 'class', 'concert, lever, folk, wire'],
  ['an unknown way to sell', { 'sold as': 'by weight' }, 'sold', 'one string, packet, reel'],
  ['an unknown end', { end: 'hook' }, 'end', 'plain, loop or ball'],
  ['an unknown material', { material: 'horsehair' }, 'material', 'Expected a material'],
  ['half a piece', { pieces: '0.5' }, 'pieces', 'whole number'],
  ['stock below nothing', { stock: '-1' }, 'stock', 'whole number'],
  ['a colour that strings don’t have', { colour: 'green' }, 'colour', 'red, black, blue or natural'],
  ['a set that can’t be read', { 'set of': 'A1 and A2' }, 'contents', 'such as “A12 x2; A14”'],
  ['a set of parts that the file lacks', { 'set of': 'A7 x2' }, 'contents', 'which the file doesn’t have'],
])('%s is told at its own column, and nothing is taken', (_, change, column, sentence) => {
  const { items, problems } = one(change)
  expect(items).toEqual([])
  expect(problems).toEqual([{ line: 2, column, sentence: expect.stringMatching(new RegExp(sentence)) }])
})

test.each([
  ['', '1200', '1', 'plain', 'one string'],
  ['', '1200', '3', 'plain', 'packet'],
  ['', '5000', '1', 'plain', 'reel'],
  ['', '4999', '1', 'plain', 'one string'],
  ['', '5000', '1', 'loop', 'one string'],
  ['Spule', '900', '1', 'plain', 'reel'],
  ['paquet de 5', '900', '5', 'plain', 'packet'],
  ['pièce', '9000', '1', 'plain', 'one string'],
])('“%s”, %s mm, %s in a pack with a %s end is sold as %s of them', (sold, length, pieces, end, expected) => {
  const { items } = one({ 'sold as': sold, 'length mm': length, pieces, end })
  expect(items.map(({ soldAs }) => soldAs)).toEqual([expected])
})

test('a class is asked once for a file, and kept where a row gives its own', () => {
  const table = readTable(`${HEAD}\n${row({ 'tension class': '' })}\n${row({ part: 'A2' })}\n`)
  const mapping = guessCatalogueMapping(table)
  const classes = (classForAll: 'lever' | 'not given') =>
    mapCatalogue(table, { ...mapping, classForAll }).items.map(({ tensionClass }) => tensionClass)
  expect(classes('lever')).toEqual(['lever', 'concert'])
  expect(classes('not given')).toEqual(['not given', 'concert'])
})

test('a part that stands twice is told, and the first is kept', () => {
  const { items, problems } = read(`${HEAD}\n${row({})}\n${row({ price: '9.00' })}\n${row({ part: 'A2' })}\n`)
  expect(items.map(({ part, priceMinor }) => [part, priceMinor])).toEqual([
    ['A1', 1250],
    ['A2', 1250],
  ])
  expect(problems).toEqual([{ line: 3, column: 'part', sentence: 'Part A1 stands on line 2 already.' }])
})

test('a set names its parts with their counts', () => {
  const { items, problems } = read(
    `${HEAD}\n${row({})}\n${row({ part: 'A2' })}\n${row({ part: 'S', 'set of': 'A1 x2; A2' })}\n`,
  )
  expect(problems).toEqual([])
  expect(items[2]?.setOf).toEqual([
    { part: 'A1', count: 2 },
    { part: 'A2', count: 1 },
  ])
})

test('other names, other units and decimal commas are understood', () => {
  const { items, problems } = read(
    'Artikel-Code;Beschreibung (text);Stoff;Durchmesser ø in;Length in;Tension class;Preis €;Avail\nX9;Darm;gut;.049;47 1/4;concert;1.212,50;4\n',
  )
  expect(problems).toEqual([])
  expect(items[0]).toMatchObject({
    part: 'X9',
    name: 'Darm',
    priceMinor: 121250,
    stock: 4,
    length: expect.closeTo(1.20015, 5),
  })
  expect(items[0]?.construction).toMatchObject({ material: 'gut', gauge: expect.closeTo(0.0012446, 7) })
})

test('what leaves carries no formula into a spreadsheet', () => {
  const items = one({}).items as readonly CatalogueItem[]
  const csv = catalogueCsv([{ ...(items[0] as CatalogueItem), part: '=1+1', name: '@cmd', maker: '+49' }])
  expect(csv.split('\n')[1]).toMatch(/^'=1\+1,'@cmd,/)
})

test('rows sent to be written are read again, and the first wrong one is named', () => {
  const { preview } = one({})
  const units = { gauge: 'mm', core: 'mm', bedding: 'mm', wrap: 'mm', length: 'mm' } as const
  expect(
    fromRows(
      preview.map(({ cells }) => cells),
      units,
    ),
  ).toEqual(one({}).items)
  expect(() => fromRows([{ ...preview[0]!.cells, price: '' }], units)).toThrow(
    'Row 1, price: Expected a price',
  )
})
