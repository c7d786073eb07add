/**
 * Reads an archive: every file, every cell, before anything is written.
 */
import Papa from 'papaparse'
import { strFromU8, unzipSync } from 'fflate'
import type { Instrument } from '@/core/instrument/instrument'
import { plainJpeg } from '@/core/pictures/plain-jpeg'
import { fromInstrumentFile } from '../instruments/instrument-file'
import { hashOf } from '../pictures/pictures'
import { cellValue } from './cells'
import { ARCHIVED, type ArchiveColumn, type Cell } from './columns'
import { ARCHIVE_FORMAT, type ArchiveHead } from './write-archive'

/** A table of an archive, read row by row: no large one is ever whole in memory. */
export interface ReadTable {
  readonly name: string
  /** @throws RangeError with a sentence at the first row that can’t be */
  readonly each: (visit: (row: readonly Cell[], columns: readonly string[]) => void) => void
}

export interface Archive {
  readonly head: ArchiveHead
  readonly tables: readonly ReadTable[]
  /** Read when they are asked for: where the tables are taken, they say it all. */
  readonly instruments: () => readonly Instrument[]
  /** Bytes of JPEG pictures by their hash. */
  readonly pictures: () => Iterable<readonly [hash: string, jpeg: Uint8Array]>
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
      const bytes = files[`tables/${name}.csv`]
      return bytes ? [{ name, each: (visit) => readTable(name, columns, strFromU8(bytes), visit) }] : []
    }),
    instruments: () =>
      Object.entries(files)
        .filter(([name]) => /^instruments\/[^/]+\.json$/.test(name))
        .map(([name, bytes]) => {
          try {
            return fromInstrumentFile(JSON.parse(strFromU8(bytes)))
          } catch (error) {
            throw new RangeError(`${name}: ${(error as Error).message}`)
          }
        }),
    pictures: () => picturesIn(files),
  }
}

function unpacked(zip: Uint8Array): Readonly<Record<string, Uint8Array>> {
  let bytes = 0
  let count = 0
  try {
    return unzipSync(zip, {
      filter: ({ originalSize }) => {
        bytes += originalSize
        count += 1
        if (bytes > MOST_BYTES || count > MOST_FILES)
          throw new RangeError('That is larger than any house: nothing was taken in.')
        return true
      },
    })
  } catch (error) {
    if (error instanceof RangeError) throw error
    throw new RangeError('That is no archive of a house: expected a zip file that Taut Pinset wrote.')
  }
}

function* picturesIn(files: Readonly<Record<string, Uint8Array>>): Iterable<readonly [string, Uint8Array]> {
  for (const [name, bytes] of Object.entries(files)) {
    const hash = /^pictures\/([0-9a-f]{64})\.jpg$/.exec(name)?.[1]
    if (hash === undefined) continue
    if (hashOf(bytes) !== hash) throw new RangeError(`${name} holds another picture than its name says.`)
    if (plainJpeg(bytes).bytes.length !== bytes.length)
      throw new RangeError(`${name} carries more than its picture.`)
    yield [hash, bytes]
  }
}

function headOf(bytes: Uint8Array | undefined): ArchiveHead {
  try {
    const head = JSON.parse(bytes ? strFromU8(bytes) : '') as Partial<ArchiveHead>
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

function readTable(
  name: string,
  columns: readonly ArchiveColumn[],
  text: string,
  visit: (row: readonly Cell[], columns: readonly string[]) => void,
): void {
  let known: readonly ArchiveColumn[] | null = null
  let names: readonly string[] = []
  let line = 0
  let wrong: Error | null = null
  // A sentence must not be thrown through the reader of CSV.
  Papa.parse<string[]>(text, {
    skipEmptyLines: true,
    step: ({ data }, parser) => {
      line += 1
      try {
        if (known) visit(valuesOf(name, known, data, line), names)
        else {
          known = columnsOf(name, columns, data)
          names = known.map((column) => column.name)
        }
      } catch (error) {
        wrong = error as Error
        parser.abort()
      }
    },
  })
  if (wrong) throw wrong as Error
}

function columnsOf(
  name: string,
  columns: readonly ArchiveColumn[],
  headings: readonly string[],
): readonly ArchiveColumn[] {
  if (!headings.includes('id')) throw new RangeError(`tables/${name}.csv: the column “id” is missing.`)
  return headings.map((heading) => {
    const known = columns.find((column) => column.heading === heading)
    if (!known)
      throw new RangeError(
        `tables/${name}.csv: there is no column “${heading}”. Was it written by a newer program?`,
      )
    return known
  })
}

function valuesOf(
  name: string,
  columns: readonly ArchiveColumn[],
  cells: readonly string[],
  line: number,
): readonly Cell[] {
  return columns.map((column, i) => {
    try {
      return cellValue(cells[i] ?? '', column)
    } catch (error) {
      throw new RangeError(
        `tables/${name}.csv, line ${line}, ${column.heading}: ${(error as RangeError).message}.`,
      )
    }
  })
}
