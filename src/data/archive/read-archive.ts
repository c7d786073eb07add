/**
 * Reads an archive: every file, every cell, before anything is written.
 */
import Papa from 'papaparse'
import { strFromU8, unzipSync } from 'fflate'
import type { Instrument } from '@/core/instrument/instrument'
import { fromInstrumentFile } from '../instruments/instrument-file'
import { cellValue } from './cells'
import { ARCHIVED, type ArchiveColumn, type Cell } from './columns'
import { ARCHIVE_FORMAT, type ArchiveHead } from './write-archive'

export interface ReadTable {
  readonly name: string
  readonly columns: readonly string[]
  readonly rows: readonly (readonly Cell[])[]
}

export interface Archive {
  readonly head: ArchiveHead
  readonly tables: readonly ReadTable[]
  readonly instruments: readonly Instrument[]
}

/** Unpacked, no house is larger than this; a zip that says so is refused before it is unpacked. */
const MOST_BYTES = 400_000_000
const MOST_FILES = 5000

/**
 * @param zip - its bytes
 * @throws RangeError with one sentence that names the file, the line and what is wrong there
 */
export function readArchive(zip: Uint8Array): Archive {
  const files = unpacked(zip)
  const head = headOf(files['house.json'])
  return {
    head,
    tables: ARCHIVED.flatMap(({ name, columns }) => {
      const text = files[`tables/${name}.csv`]
      return text === undefined ? [] : [readTable(name, columns, text)]
    }),
    instruments: Object.entries(files)
      .filter(([name]) => /^instruments\/[^/]+\.json$/.test(name))
      .map(([name, text]) => {
        try {
          return fromInstrumentFile(JSON.parse(text))
        } catch (error) {
          throw new RangeError(`${name}: ${(error as Error).message}`)
        }
      }),
  }
}

function unpacked(zip: Uint8Array): Readonly<Record<string, string>> {
  let bytes = 0
  let count = 0
  try {
    const files = unzipSync(zip, {
      filter: ({ originalSize }) => {
        bytes += originalSize
        count += 1
        if (bytes > MOST_BYTES || count > MOST_FILES)
          throw new RangeError('That is larger than any house: nothing was taken in.')
        return true
      },
    })
    return Object.fromEntries(Object.entries(files).map(([name, data]) => [name, strFromU8(data)]))
  } catch (error) {
    if (error instanceof RangeError) throw error
    throw new RangeError('That is no archive of a house: expected a zip file that Taut Pinset wrote.')
  }
}

function headOf(text: string | undefined): ArchiveHead {
  try {
    const head = JSON.parse(text ?? '') as Partial<ArchiveHead>
    if (head.format === ARCHIVE_FORMAT && typeof head.house === 'string' && typeof head.name === 'string') {
      if (head.version === 1) return head as ArchiveHead
      throw new RangeError(
        `The archive is of version ${String(head.version)}, which this program can’t read.`,
      )
    }
  } catch (error) {
    if (error instanceof RangeError) throw error
  }
  throw new RangeError('That is no archive of a house: its house.json is missing or says something else.')
}

function readTable(name: string, columns: readonly ArchiveColumn[], text: string): ReadTable {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: true })
  const [headings = [], ...lines] = data
  const known = headings.map((heading) => columns.find((column) => column.heading === heading))
  const unknown = known.indexOf(undefined)
  if (unknown >= 0)
    throw new RangeError(
      `tables/${name}.csv: there is no column “${headings[unknown]}”. Was it written by a newer program?`,
    )
  if (!headings.includes('id')) throw new RangeError(`tables/${name}.csv: the column “id” is missing.`)
  return {
    name,
    columns: known.map((column) => (column as ArchiveColumn).name),
    rows: lines.map((line, i) =>
      known.map((column, at) => {
        try {
          return cellValue(line[at] ?? '', column as ArchiveColumn)
        } catch (error) {
          throw new RangeError(
            `tables/${name}.csv, line ${i + 2}, ${(column as ArchiveColumn).heading}: ${(error as RangeError).message}.`,
          )
        }
      }),
    ),
  }
}
