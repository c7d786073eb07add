/**
 * Spreadsheets as tables of text: `.xlsx` and `.ods`, read only. The first sheet that has rows is taken; a formula gives the value
 * that it was saved with.
 */
import { XMLParser } from 'fast-xml-parser'
import { strFromU8, unzipSync } from 'fflate'
import { requireValue } from '@/core/list/require-value'

/** A part of a file that unpacks to more is no table of strings. */
const MOST_UNPACKED = 24_000_000
const MOST_ROWS = 20_000
const MOST_COLUMNS = 100

/** Whether bytes are a zip file, as both kinds of spreadsheet are. */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04

const WANTED = /^(?:content\.xml|xl\/(?:sharedStrings|worksheets\/sheet\d+)\.xml)$/

/**
 * @throws RangeError with a sentence that can be shown, when it is no spreadsheet, too large or damaged
 */
export function readSpreadsheet(bytes: Uint8Array): readonly (readonly string[])[] {
  let parts: Record<string, Uint8Array>
  try {
    parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!WANTED.test(name)) return false
        if (originalSize > MOST_UNPACKED)
          throw new RangeError('The spreadsheet is too large for a table of strings.')
        return true
      },
    })
  } catch (error) {
    throw error instanceof RangeError
      ? error
      : new RangeError('The spreadsheet is damaged: save it again as CSV.')
  }
  const ods = parts['content.xml']
  if (ods) return firstWithRows(odsTables(strFromU8(ods)))
  const names = Object.keys(parts)
    .filter((name) => name.startsWith('xl/worksheets/'))
    .sort((a, b) => sheetNumber(a) - sheetNumber(b))
  if (names.length === 0)
    throw new RangeError('This is no spreadsheet: choose an .xlsx, an .ods or a CSV file.')
  const shared = sharedStrings(parts['xl/sharedStrings.xml'])
  return firstWithRows(names.map((name) => xlsxRows(strFromU8(requireValue(parts[name])), shared)))
}

const sheetNumber = (name: string) => Number(/(\d+)\.xml$/.exec(name)?.[1] ?? 0)

function firstWithRows(sheets: readonly (readonly (readonly string[])[])[]): readonly (readonly string[])[] {
  const [first = []] = sheets
  return sheets.find((rows) => rows.filter((row) => row.some((cell) => cell !== '')).length > 1) ?? first
}

/** An element of the file: its children in order, and its attributes. */
interface Element {
  readonly [name: string]: unknown
}

const PARSER = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  parseTagValue: false,
  parseAttributeValue: false,
  processEntities: true,
  trimValues: false,
})

const parse = (xml: string) => PARSER.parse(xml) as readonly Element[]
const nameOf = (element: Element) => Object.keys(element).find((key) => key !== ':@') ?? ''
const childrenOf = (element: Element): readonly Element[] => {
  const children = element[nameOf(element)]
  return Array.isArray(children) ? (children as Element[]) : []
}
const attribute = (element: Element, name: string): string | undefined =>
  (element[':@'] as Readonly<Record<string, string>> | undefined)?.[`@_${name}`]

/** All elements of a name, wherever they are; not within one another. */
function all(elements: readonly Element[], name: string): readonly Element[] {
  return elements.flatMap((element) =>
    nameOf(element) === name ? [element] : all(childrenOf(element), name),
  )
}

function textIn(elements: readonly Element[], without: string | null = null): string {
  return elements
    .map((element) => {
      const name = nameOf(element)
      if (name === '#text') return String(element['#text'])
      return name === without ? '' : textIn(childrenOf(element), without)
    })
    .join('')
}

function sharedStrings(bytes: Uint8Array | undefined): readonly string[] {
  // Readings beside a text, as some scripts have them, are no part of it.
  return bytes ? all(parse(strFromU8(bytes)), 'si').map((si) => textIn(childrenOf(si), 'rPh')) : []
}

function xlsxRows(xml: string, shared: readonly string[]): readonly (readonly string[])[] {
  return all(parse(xml), 'row')
    .slice(0, MOST_ROWS)
    .map((row) => {
      const cells: string[] = []
      for (const cell of all(childrenOf(row), 'c')) {
        const at = columnOf(attribute(cell, 'r')) ?? cells.length
        if (at >= MOST_COLUMNS) continue
        while (cells.length < at) cells.push('')
        cells[at] = xlsxCell(cell, shared)
      }
      return cells
    })
}

function xlsxCell(cell: Element, shared: readonly string[]): string {
  const type = attribute(cell, 't')
  if (type === 'inlineStr') return textIn(all(childrenOf(cell), 'is')).trim()
  const value = textIn(all(childrenOf(cell), 'v')).trim()
  if (type === 's') return (shared[Number(value)] ?? '').trim()
  if (type === 'e' || value === '') return ''
  // What was typed as 0.81 is kept as 0.81000000000000005.
  return type === undefined || type === 'n' ? String(Number(Number(value).toPrecision(12))) : value
}

/** `AB12` is the 28th column. */
function columnOf(reference: string | undefined): number | null {
  const letters = /^([A-Z]{1,3})\d+$/.exec(reference ?? '')?.[1]
  if (letters === undefined) return null
  return [...letters].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0) - 1
}

function odsTables(xml: string): readonly (readonly (readonly string[])[])[] {
  return all(parse(xml), 'table:table').map((table) => {
    const rows: (readonly string[])[] = []
    for (const row of all(childrenOf(table), 'table:table-row')) {
      const cells = odsCells(row)
      const times = cells.length === 0 ? 1 : repeated(row, 'table:number-rows-repeated')
      for (let n = 0; n < times && rows.length < MOST_ROWS; n += 1) rows.push(cells)
      if (rows.length >= MOST_ROWS) break
    }
    return rows
  })
}

function odsCells(row: Element): readonly string[] {
  const cells: string[] = []
  for (const cell of childrenOf(row)) {
    if (!['table:table-cell', 'table:covered-table-cell'].includes(nameOf(cell))) continue
    const number =
      attribute(cell, 'office:value-type') === 'float' ? attribute(cell, 'office:value') : undefined
    const text = all(childrenOf(cell), 'text:p')
      .map((paragraph) => textIn(childrenOf(paragraph)))
      .join(' ')
      .trim()
    const times = repeated(cell, 'table:number-columns-repeated')
    for (let n = 0; n < times && cells.length < MOST_COLUMNS; n += 1) cells.push(number ?? text)
  }
  while (cells.at(-1) === '') cells.pop()
  return cells
}

function repeated(element: Element, name: string): number {
  const times = Number(attribute(element, name) ?? 1)
  return Number.isInteger(times) && times > 0 ? Math.min(times, MOST_ROWS) : 1
}
