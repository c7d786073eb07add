/**
 * A file of any make as a table of text: its encoding, its separator and its header found out.
 */
import Papa from 'papaparse'
import { isZip, readSpreadsheet } from './read-spreadsheet'

export interface TextTable {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
  /** Line of the file that each row stands on, for messages. */
  readonly lines: readonly number[]
}

/** No chart or catalogue is longer than this; beyond it the file is something else. */
const MOST_BYTES = 8_000_000

/**
 * Text of a file: UTF-8 with or without a mark, UTF-16 by its mark, else the Western European code page.
 *
 * @throws RangeError with a sentence that can be shown, when the file is empty, too large or not text
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes.length === 0) throw new RangeError('The file is empty.')
  if (bytes.length > MOST_BYTES) throw tooLarge(bytes)
  const wide =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : null
  const text = wide ? new TextDecoder(wide).decode(bytes) : utf8Or1252(bytes)
  if (/[\u0000-\u0008\u000e-\u001f]/.test(text))
    throw new RangeError('This is not a text file: save the table as CSV and choose that.')
  if (text.trim() === '') throw new RangeError('The file is empty.')
  return text
}

const tooLarge = (bytes: Uint8Array) =>
  new RangeError(`The file has ${Math.round(bytes.length / 1e6)} MB; a table of strings has a few kilobytes.`)

function utf8Or1252(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** The first line with anything in it. */
function firstLine(text: string): string {
  for (let from = 0; from < text.length;) {
    const end = /[\r\n]/g
    end.lastIndex = from
    const to = end.exec(text)?.index ?? text.length
    const line = text.slice(from, to)
    if (line.trim() !== '') return line
    from = to + 1
  }
  return ''
}

/** The separator, from the names of the columns: in the rows a comma may be a decimal comma. */
function separatorOf(text: string): string {
  const names = firstLine(text).replace(/"[^"]*"/g, '')
  return ['\t', ';', '|'].find((separator) => names.includes(separator)) ?? ','
}

/**
 * A file of any make as a table: a spreadsheet by what it begins with, else text.
 *
 * @throws RangeError with a sentence that can be shown
 */
export function readFile(bytes: Uint8Array): TextTable {
  if (!isZip(bytes)) return readTable(textOf(bytes))
  if (bytes.length > MOST_BYTES) throw tooLarge(bytes)
  return tableOf(readSpreadsheet(bytes))
}

/** Told of each row before it is carried out, counted from 0. */
export type OnRow = (index: number) => void

/**
 * Splits text into a table. The separator may be a comma, a semicolon, a tab or a bar.
 *
 * @throws RangeError with a sentence that can be shown, when there is no row below the header or a quote is never closed
 */
export function readTable(text: string): TextTable {
  const plain = text.replace(/^\uFEFF/, '')
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter: separatorOf(plain) })
  const unclosed = errors.find(({ code }) => code === 'MissingQuotes')
  if (unclosed)
    throw new RangeError(`Line ${(unclosed.row ?? 0) + 1}: a quotation mark is opened and never closed.`)
  return tableOf(data)
}

/** A header and the rows below it, out of rows of cells. */
function tableOf(data: readonly (readonly string[])[]): TextTable {
  const numbered = data
    .map((row, i) => ({ row: row.map((cell) => cell.trim()), line: i + 1 }))
    .filter(({ row }) => row.some((cell) => cell !== ''))
  const [header, ...rest] = numbered
  if (!header || rest.length === 0)
    throw new RangeError('Expected a line of column names and a line for each string below it.')
  const width = Math.max(header.row.length, ...rest.slice(0, 2000).map(({ row }) => row.length))
  return {
    header: Array.from({ length: width }, (_, i) => header.row[i] || `column ${i + 1}`),
    rows: rest.map(({ row }) => row),
    lines: rest.map(({ line }) => line),
  }
}
