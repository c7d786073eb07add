/**
 * The Lantern Shelf's open files, read and checked.
 */
import 'reflect-metadata'
import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { plainToInstance } from 'class-transformer'
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  IsPositive,
  Matches,
  Max,
  Min,
  validateSync,
} from 'class-validator'
import Papa from 'papaparse'
import {
  TENSION_CLASSES,
  type Instrument,
  type StringColour,
  type TensionClass,
} from '@/core/instrument/instrument'
import { CURRENCIES } from '@/core/stores/money'
import { STRING_ENDS, type StringEnd } from '@/core/knots/string-ends'
import { SUPPLY_KINDS, type SupplyKind } from '@/core/stores/supplies'
import { MATERIALS } from '@/core/strings/materials'
import { BREAK_SITES, type BreakSite } from '@/core/wear/break-sites'
import type { CatalogueItem } from '@/core/stores/catalogue-cells'
import { guessCatalogueMapping, mapCatalogue } from '../buying/catalogue/catalogue-file'
import type { ConstructionColumns } from '../store/construction-columns'
import { readTable } from '../csv/read-table'
import { fromInstrumentFile } from '../instruments/instrument-file'

export class CoilLine implements ConstructionColumns {
  @IsNotEmpty() label!: string
  @IsIn(MATERIALS) material!: ConstructionColumns['material']
  @IsPositive() @Max(12) gaugeMm!: number
  @IsOptional() @IsPositive() coreMm!: number | null
  @IsOptional() @IsIn(MATERIALS) beddingMaterial!: ConstructionColumns['beddingMaterial']
  @IsOptional() @IsPositive() beddingMm!: number | null
  @IsOptional() @IsIn(MATERIALS) wrapMaterial!: ConstructionColumns['wrapMaterial']
  @IsOptional() @IsPositive() wrapMm!: number | null
  @IsIn(['red', 'black', 'blue', 'natural']) colour!: StringColour
  @IsIn(TENSION_CLASSES) tensionClass!: TensionClass
  @IsIn(STRING_ENDS) end!: StringEnd
  @IsNotEmpty() maker!: string
  @IsNotEmpty() line!: string
  @IsNotEmpty() place!: string
  @IsInt() @Min(0) boughtDaysAgo!: number
  @IsPositive() lengthMm!: number
}

export class HistoryLine {
  @IsIn(['new set', 'break', 'reading', 'need']) do!: 'new set' | 'break' | 'reading' | 'need'
  @IsNumber() @Min(0) daysAgo!: number
  @IsNotEmpty() instrument!: string
  @IsOptional() @IsInt() string!: number
  @IsOptional() @IsIn(BREAK_SITES) site!: BreakSite
  @IsOptional() @IsPositive() mendedAfterHours!: number | null
  /** How the fitting came out against what was worked out; wraps, and mm. */
  @IsOptional() @IsNumber() wrapsOff?: number
  @IsOptional() @IsNumber() cutOffMm?: number
  @IsOptional() @IsNumber() cents!: number
  @IsOptional() @IsBoolean() broughtBack!: boolean
}

export class OccasionLine {
  @IsNotEmpty() name!: string
  @IsInt() daysAhead!: number
  @Matches(/^\d\d:\d\d$/) time!: string
}

export class SupplierLine {
  @Matches(/^[a-z-]+$/) slug!: string
  @IsNotEmpty() name!: string
  @IsIn(CURRENCIES) currency!: string
  @IsPositive() rate!: number
  @IsInt() @Min(0) postageMinor!: number
  @IsOptional() @IsInt() freeOverMinor!: number | null
  @IsInt() @Min(0) leadDays!: number
}

export class SupplyLine {
  @IsIn(SUPPLY_KINDS) kind!: SupplyKind
  @IsNotEmpty() name!: string
  @IsNotEmpty() place!: string
  @IsInt() @Min(0) count!: number
  @IsInt() @Min(0) least!: number
}

export interface ShelfFiles {
  readonly instruments: readonly Instrument[]
  readonly coils: readonly CoilLine[]
  readonly history: readonly HistoryLine[]
  readonly occasions: readonly OccasionLine[]
  readonly suppliers: readonly SupplierLine[]
  /** By the supplier's address. */
  readonly catalogues: ReadonlyMap<string, readonly CatalogueItem[]>
  readonly supplies: readonly SupplyLine[]
}

/**
 * Reads the whole shelf; the instrument with the most strings comes first.
 *
 * @param folder - of the open files
 * @throws RangeError that names the file and the row, when one can't be used
 */
export function readShelf(folder: string): ShelfFiles {
  const text = (name: string) => readFileSync(path.join(folder, name), 'utf8')
  const names = readdirSync(path.join(folder, 'instruments'))
    .filter((name) => name.endsWith('.json'))
    .sort()
  const csv = Papa.parse<Record<string, string>>(text('coils.csv'), {
    header: true,
    skipEmptyLines: true,
    dynamicTyping: true,
    // Cells that are empty are none.
    transform: (value) => (value === '' ? null : value) as string,
  })
  const suppliers = checked('suppliers.json', SupplierLine, JSON.parse(text('suppliers.json')))
  return {
    instruments: names
      .map((name) => fromInstrumentFile(JSON.parse(text(path.join('instruments', name)))))
      .sort((a, b) => b.positions.length - a.positions.length),
    coils: checked('coils.csv', CoilLine, csv.data),
    history: checked('history.json', HistoryLine, JSON.parse(text('history.json'))),
    occasions: checked('occasions.json', OccasionLine, JSON.parse(text('occasions.json'))),
    suppliers,
    catalogues: new Map(
      suppliers.map(({ slug }) => [
        slug,
        catalogueIn(`catalogues/${slug}.csv`, text(`catalogues/${slug}.csv`)),
      ]),
    ),
    supplies: checked('supplies.json', SupplyLine, JSON.parse(text('supplies.json'))),
  }
}

function catalogueIn(file: string, text: string): readonly CatalogueItem[] {
  const table = readTable(text)
  const {
    items,
    problems: [problem],
  } = mapCatalogue(table, guessCatalogueMapping(table))
  if (problem) throw new RangeError(`${file}, line ${problem.line}: ${problem.sentence}`)
  return items
}

function checked<T extends object>(file: string, line: new () => T, rows: readonly unknown[]): readonly T[] {
  return rows.map((row, i) => {
    const read = plainToInstance(line, row)
    const [error] = validateSync(read)
    if (error)
      throw new RangeError(
        `${file}, row ${i + 1}: ${Object.values(error.constraints ?? {})[0]}, got ${JSON.stringify(error.value)}.`,
      )
    return read
  })
}
