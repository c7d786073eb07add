/** Charts as people have them: two columns for a note, the longest string first, outer gauges alone, five languages, spreadsheets. */
import { strToU8, zipSync } from 'fflate'
import { inferWound, isInferred } from '@/core/chart/infer-wound'
import { readMake } from '@/core/chart/material-text'
import { chartLine } from '@/core/chart/chart-line'
import { readNotes } from '@/core/instrument/read-notes'
import { juniper } from '@/core/measuring/juniper'
import { scientificWord } from '@/core/pitch/note'
import { parseNote } from '@/core/pitch/parse-note'
import { outerGauge } from '@/core/strings/construction'
import { readFile, readTable } from '../../csv/read-table'
import { joinOctaves } from './as-written'
import { mapRows } from './map-rows'
import { guessMapping } from './mapping'

const harp = juniper('lever harp', 'C6 to C2')
const chart = harp.positions.map(chartLine)
const imported = (csv: string) => {
  const table = joinOctaves(readTable(csv))
  return mapRows(table, guessMapping(table), chart)
}
const noteAt = (number: number) => scientificWord({ ...chart[number - 1]!.note, accidental: 0 })

const LETTERS = ['C', 'B', 'A', 'G', 'F', 'E'] as const
const rowsOf = (octaves: readonly number[], separator: string, comma: string) =>
  LETTERS.map((letter, i) =>
    [octaves[i], letter, `0${comma}${60 + 2 * i}`, 'Nylon', 95 + 9 * i].join(separator),
  ).join('\n')

test.each([
  [
    'octave and letter, harp octaves',
    `Octave,Note,Gauge mm,Material,Length mm\n${rowsOf([2, 2, 2, 2, 2, 3], ',', '.')}\n`,
  ],
  [
    'octave and letter, scientific',
    `Oktave;Ton;Stärke;Material;Mensur\n${rowsOf([6, 5, 5, 5, 5, 5], ';', ',')}\n`,
  ],
])('%s', (_, csv) => {
  const { lines, problems } = imported(csv)
  expect(problems).toEqual([])
  expect(lines.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6])
  expect(lines.map(({ note }) => scientificWord({ ...note, accidental: 0 }))).toEqual(
    [1, 2, 3, 4, 5, 6].map(noteAt),
  )
  expect(lines[2]?.construction).toMatchObject({ gauge: 0.00064 })
})

test('within one octave nobody can tell how it is counted: it is asked, not guessed', () => {
  const { problems } = imported('Octave,Note,Gauge mm\n2,C,0.6\n2,B,0.62\n')
  expect(problems.map(({ column }) => column)).toEqual(['note', 'note'])
})

test('where the longest string comes first, the first row is the last string', () => {
  const rows = chart.map(({ number }) => number).reverse()
  const csv = `Note,Gauge,Length mm\n${rows.map((n) => `${noteAt(n)},${(0.5 + n / 50).toFixed(2)},${90 + 30 * n}`).join('\n')}\n`
  const table = joinOctaves(readTable(csv))
  expect(guessMapping(table).startsAt).toBe('the longest')
  const { lines, problems } = mapRows(table, guessMapping(table), chart)
  expect(problems).toEqual([])
  expect(lines[0]).toMatchObject({ number: 1, speakingLength: 0.12 })
  // What lies beyond the bridge pin stays, so that a supposed free length never stands in the way.
  expect(lines[0]!.freeLength! - lines[0]!.speakingLength!).toBeCloseTo(
    chart[0]!.freeLength - chart[0]!.speakingLength,
    9,
  )
})

test('a wound row with an outer gauge alone keeps that gauge; core and wrap are inferred to fit it, and said to be', () => {
  const { lines, problems } = imported(
    'no,material,gauge\n29,nylon wound on nylon,0.060"\n28,copper on nylon,.041 in\n',
  )
  expect(problems).toEqual([])
  for (const [line, inches] of [
    [lines[1]!, 0.06],
    [lines[0]!, 0.041],
  ] as const) {
    expect(outerGauge(line.construction!)).toBeCloseTo(inches * 0.0254, 12)
    expect(isInferred(line.construction!)).toBe(true)
  }
  expect(
    isInferred({
      ...inferWound({ wrap: 'copper', bedding: null, core: 'steel' }, 1e-3),
      core: { material: 'steel', diameter: 0.4e-3 },
    } as never),
  ).toBe(false)
})

test.each([
  ['nylon wound on nylon', 'nylon 6.12 on nylon 6.12'],
  ['wound nylon', 'nylon 6.12 on nylon 6.12'],
  ['nylon, wound', 'nylon 6.12 on nylon 6.12'],
  ['bronze on silk', 'phosphor bronze on silk'],
  ['steel wound with bronze', 'phosphor bronze on steel'],
  ['Kupfer auf Nylon', 'copper on nylon 6.12'],
  ['Stahl mit Bronze', null],
  ['Darm', 'gut'],
  ['boyau', 'gut'],
  ['acier', 'steel'],
  ['cuivre sur acier', 'copper on steel'],
  ['ottone', 'brass'],
  ['rame su nylon', 'copper on nylon 6.12'],
  ['tripa', 'gut'],
  ['cobre sobre seda', 'copper on silk'],
  ['fluoro', 'fluorocarbon'],
  ['carbon', 'fluorocarbon'],
  ['constructor', null],
])('“%s” is %s', (text, made) => {
  const read = () => {
    const make = readMake(text)
    return make.kind === 'plain' ? make.material : `${make.wrap} on ${make.core}`
  }
  if (made === null) expect(read).toThrow('Expected a material')
  else expect(read()).toBe(made)
})

test.each([
  ['H5', 'B5'],
  ['Es4', 'E-flat 4'],
  ['fis3', 'F-sharp 3'],
  ['La6', 'A6'],
  ['do#5', 'C-sharp 5'],
  ['si bémol 4', 'B-flat 4'],
  ['sol diesis 2', 'G-sharp 2'],
  ['Bb3', 'B-flat 3'],
])('the note %s is %s', (text, word) => {
  expect(scientificWord(parseNote(text))).toBe(word)
})

test('sharps in a list of notes are kept, also where the rest tuning has flats; what is no note is refused', () => {
  expect(readNotes('D5 C#5 B4 Fis4').map(scientificWord)).toEqual(['D5', 'C-sharp 5', 'B4', 'F-sharp 4'])
  expect(() => readNotes('D5 X#5')).toThrow('Expected a note')
  expect(juniper('lyre', 'D5 C#5 B4').positions.map(({ note }) => scientificWord(note))).toEqual([
    'D5',
    'C-sharp 5',
    'B4',
  ])
})

const sheet = (rows: string) => `<?xml version="1.0"?><worksheet><sheetData>${rows}</sheetData></worksheet>`

test('a spreadsheet is read: shared and inline texts, numbers without dust, empty cells, the sheet that has rows', () => {
  const xlsx = zipSync({
    'xl/sharedStrings.xml': strToU8(
      '<sst><si><t>Note</t></si><si><r><t>Gau</t></r><r><t>ge mm</t></r></si></sst>',
    ),
    'xl/worksheets/sheet1.xml': strToU8(sheet('')),
    'xl/worksheets/sheet2.xml': strToU8(
      sheet(
        '<row r="1"><c r="A1" t="s"><v>0</v></c><c r="C1" t="s"><v>1</v></c></row><row r="2"><c r="A2" t="inlineStr"><is><t>C6</t></is></c><c r="C2"><v>0.81000000000000005</v></c></row>',
      ),
    ),
    'docProps/app.xml': strToU8('<x/>'),
  })
  expect(readFile(xlsx)).toMatchObject({
    header: ['Note', 'column 2', 'Gauge mm'],
    rows: [['C6', '', '0.81']],
  })
  const ods = zipSync({
    'content.xml': strToU8(
      '<office:document-content><office:body><office:spreadsheet><table:table><table:table-row><table:table-cell><text:p>Note</text:p></table:table-cell><table:table-cell><text:p>Gauge</text:p></table:table-cell></table:table-row><table:table-row table:number-rows-repeated="2"><table:table-cell><text:p>C6</text:p></table:table-cell><table:table-cell office:value-type="float" office:value="0.81"><text:p>0,8</text:p></table:table-cell></table:table-row><table:table-row table:number-rows-repeated="1048000"><table:table-cell table:number-columns-repeated="16000"/></table:table-row></table:table></office:spreadsheet></office:body></office:document-content>',
    ),
  })
  expect(readFile(ods).rows).toEqual([
    ['C6', '0.81'],
    ['C6', '0.81'],
  ])
})

test('what is no spreadsheet, or more than one, gets a sentence', () => {
  expect(() => readFile(zipSync({ 'a.txt': strToU8('x') }))).toThrow('This is no spreadsheet')
  expect(() => readFile(new Uint8Array([0x50, 0x4b, 3, 4, 9, 9]))).toThrow('damaged')
  const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(30_000_000) })
  expect(() => readFile(bomb)).toThrow('too large')
})
