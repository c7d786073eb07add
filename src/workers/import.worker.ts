/** Files read and carried out off the main thread: a catalogue may have a hundred thousand lines. */
import { expose } from 'comlink'
import type { ChartColumn } from '@/core/chart/cells'
import type { ChartLine } from '@/core/chart/chart-line'
import type { FirstRows, ToldRows } from '@/core/list/told-rows'
import type { RoomReading } from '@/core/settle/room'
import type { CatalogueCells, CatalogueColumn } from '@/core/stores/catalogue-cells'
import {
  guessCatalogueMapping,
  mapCatalogue,
  type CatalogueMapping,
} from '@/data/buying/catalogue/catalogue-file'
import { readFile, type TextTable } from '@/data/csv/read-table'
import { guessLogger, mapRoom, type LoggerColumn, type LoggerMapping } from '@/data/workshop/logger-csv'
import { mapRows } from '@/data/instruments/charts/map-rows'
import { joinOctaves } from '@/data/instruments/charts/as-written'
import { guessMapping, type Mapping } from '@/data/instruments/charts/mapping'

interface ImportedRows<One> {
  readonly taken: readonly One[]
}

/** What is read out of a file. Only the first of what is told is handed over: a hundred thousand lines would hold up the page. */
export type Shown<Column extends string, One> = FirstRows<Column> & ImportedRows<One>

/** Files that can be read: what is chosen of them, what comes out, and what it goes by. */
export interface ImportKinds {
  readonly chart: {
    readonly column: ChartColumn
    readonly mapping: Mapping
    readonly taken: ChartLine
    /** The chart it goes into. */
    readonly given: readonly ChartLine[]
  }
  readonly catalogue: {
    readonly column: CatalogueColumn
    readonly mapping: CatalogueMapping
    readonly taken: CatalogueCells
    readonly given: null
  }
  readonly logger: {
    readonly column: LoggerColumn
    readonly mapping: LoggerMapping
    readonly taken: RoomReading
    /** The house's time zone. */
    readonly given: string
  }
}
export type ImportKind = keyof ImportKinds

export interface FileRead<Kind extends ImportKind> {
  readonly header: readonly string[]
  readonly rows: number
  readonly mapping: ImportKinds[Kind]['mapping']
}

interface Reader<Kind extends ImportKind> {
  /** A table as people have it, made into one that can be mapped. */
  readonly asWritten: (table: TextTable) => TextTable
  readonly guess: (table: TextTable) => ImportKinds[Kind]['mapping']
  readonly carryOut: (
    table: TextTable,
    mapping: ImportKinds[Kind]['mapping'],
    given: ImportKinds[Kind]['given'],
    onRow: (done: number) => void,
  ) => ToldRows<ImportKinds[Kind]['column']> & ImportedRows<ImportKinds[Kind]['taken']>
}

const asItIs = (one: TextTable) => one

const READERS: { readonly [Kind in ImportKind]: Reader<Kind> } = {
  chart: {
    asWritten: joinOctaves,
    guess: guessMapping,
    carryOut: (table, mapping, chart, onRow) => {
      const { lines, ...told } = mapRows(table, mapping, chart, onRow)
      return { taken: lines, ...told }
    },
  },
  catalogue: {
    asWritten: asItIs,
    guess: guessCatalogueMapping,
    carryOut: (table, mapping, _, onRow) => {
      const { preview, problems } = mapCatalogue(table, mapping, onRow)
      return { taken: preview.flatMap(({ wrong, cells }) => (wrong ? [] : [cells])), problems, preview }
    },
  },
  logger: {
    asWritten: asItIs,
    guess: guessLogger,
    carryOut: (table, mapping, timeZone, onRow) => {
      const { readings, ...told } = mapRoom(table, mapping, timeZone, onRow)
      return { taken: readings, ...told }
    },
  },
}

/** So many of each are shown. */
const PREVIEWED = 8
const TOLD = 40
/** Progress is told every so many rows. */
const EVERY = 1000

let table: TextTable | null = null

const api = {
  /** @throws RangeError with a sentence when the file can't be read */
  read<Kind extends ImportKind>(kind: Kind, bytes: Uint8Array): FileRead<Kind> {
    table = READERS[kind].asWritten(readFile(bytes))
    return { header: table.header, rows: table.rows.length, mapping: READERS[kind].guess(table) }
  },
  /** Carries a mapping out on the file that was read last. */
  carryOut<Kind extends ImportKind>(
    kind: Kind,
    mapping: ImportKinds[Kind]['mapping'],
    given: ImportKinds[Kind]['given'],
    onProgress: (done: number) => void,
  ): Shown<ImportKinds[Kind]['column'], ImportKinds[Kind]['taken']> {
    if (!table) throw new RangeError('No file is read yet.')
    const all = READERS[kind].carryOut(table, mapping, given, (done) => {
      if (done % EVERY === 0) onProgress(done)
    })
    return {
      taken: all.taken,
      problems: all.problems.slice(0, TOLD),
      preview: all.preview.slice(0, PREVIEWED),
      counts: { problems: all.problems.length, preview: all.preview.length },
    }
  },
}
export type ImportApi = typeof api

expose(api)
