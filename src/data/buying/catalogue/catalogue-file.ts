/**
 * A supplier's catalogue out of a CSV of any make, and back into one.
 */
import Papa from 'papaparse'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import type { RowProblem, ToldRows } from '@/core/list/told-rows'
import { makeText } from '@/core/chart/material-text'
import { outerGauge } from '@/core/strings/construction'
import { guarded } from '../../csv/formula-guard'
import type { FileUnit } from '@/core/units/file-unit'
import { guessColumns, guessUnit } from '../../csv/guess'
import type { OnRow, TextTable } from '../../csv/read-table'
import type { SoldClass } from '@/core/stores/string-spec'
import { inMm } from '../../store/millimetres'
import {
  CATALOGUE_COLUMNS,
  CATALOGUE_LENGTHS,
  readCatalogueCells,
  type CatalogueCells,
  type CatalogueColumn,
  type CatalogueItem,
  type CatalogueLength,
} from '@/core/stores/catalogue-cells'

export interface CatalogueMapping {
  readonly columns: Readonly<Record<CatalogueColumn, number | null>>
  readonly units: Readonly<Record<CatalogueLength, FileUnit>>
  /** The tension class of every row that gives none. */
  readonly classForAll: SoldClass
}

const HEADERS: Record<CatalogueColumn, string> = {
  part: 'part',
  name: 'name',
  material: 'material',
  gauge: 'gauge mm',
  core: 'core mm',
  bedding: 'bedding mm',
  wrap: 'wrap mm',
  colour: 'colour',
  class: 'tension class',
  end: 'end',
  maker: 'maker',
  line: 'line',
  sold: 'sold as',
  length: 'length mm',
  pieces: 'pieces',
  price: 'price',
  stock: 'stock',
  contents: 'set of',
}
const WORDS: Record<CatalogueColumn, RegExp> = {
  part: /part|art(?:icle|\.)|sku|code|^no\.?$|number/,
  name: /name|descr|text|what/,
  material: /material|made of|stuff|stoff/,
  gauge: /gauge|diam|thick|ø/,
  core: /core/,
  bedding: /bedding|underlay/,
  wrap: /wrap|wind|cover/,
  colour: /colou?r|dye|farbe|couleur/,
  class: /class|tension/,
  end: /^end|loop|ball/,
  maker: /maker|make|brand/,
  line: /^line|range|series/,
  sold: /sold|unit|form|reel|spool/,
  length: /length|long|länge/,
  pieces: /piece|pack|per|qty/,
  price: /price|cost|preis|prix|€|£/,
  stock: /stock|avail|on hand/,
  contents: /set of|contents|contains/,
}
const BY_SURENESS: readonly CatalogueColumn[] = [
  'contents',
  'core',
  'bedding',
  'wrap',
  'price',
  'stock',
  'length',
  'gauge',
  'class',
  'colour',
  'end',
  'material',
  'pieces',
  'part',
  'maker',
  'line',
  'name',
  'sold',
]

/** A mapping to begin with. */
export function guessCatalogueMapping({ header, rows }: TextTable): CatalogueMapping {
  const columns = guessColumns(header, CATALOGUE_COLUMNS, {
    named: HEADERS,
    words: WORDS,
    bySureness: BY_SURENESS,
  })
  const units = Object.fromEntries(
    CATALOGUE_LENGTHS.map((column) => {
      const index = columns[column]
      return [
        column,
        index === null
          ? 'mm'
          : guessUnit(
              itemAt(header, index),
              rows.map((row) => row[index] ?? ''),
              column === 'length',
            ),
      ]
    }),
  ) as Record<CatalogueLength, FileUnit>
  return { columns, units, classForAll: 'not given' }
}

interface MappedCatalogue extends ToldRows<CatalogueColumn> {
  readonly items: readonly CatalogueItem[]
}

/** Carries a mapping out: items that can be taken, and what is wrong, row by row. */
export function mapCatalogue(
  table: TextTable,
  { columns, units, classForAll }: CatalogueMapping,
  onRow: OnRow = () => {},
): MappedCatalogue {
  const problems: RowProblem<CatalogueColumn>[] = []
  const items = new Map<string, CatalogueItem>()
  const onLine = new Map<string, number>()
  const preview = table.rows.map((row, i) => {
    onRow(i)
    const line = itemAt(table.lines, i)
    const written = Object.fromEntries(
      CATALOGUE_COLUMNS.map((column) => [
        column,
        columns[column] === null ? '' : (row[columns[column] as number] ?? ''),
      ]),
    ) as unknown as CatalogueCells
    const cells = {
      ...written,
      class: written.class.trim() || (classForAll === 'not given' ? '' : classForAll),
    }
    const { item, problems: wrong } = readCatalogueCells(cells, units)
    const told = Object.entries(wrong).map(([column, sentence]) => ({
      line,
      column: column as CatalogueColumn,
      sentence,
    }))
    if (item && items.has(item.part))
      told.push({
        line,
        column: 'part',
        sentence: `Part ${item.part} stands on line ${onLine.get(item.part)} already.`,
      })
    else if (item) {
      items.set(item.part, item)
      onLine.set(item.part, line)
    }
    problems.push(...told)
    return { line, cells, wrong: told.length > 0 }
  })
  for (const [part, item] of items) {
    const gone = item.setOf?.find((of) => !items.has(of.part))
    if (!gone) continue
    items.delete(part)
    problems.push({
      line: requireValue(onLine.get(part)),
      column: 'contents',
      sentence: `The set ${part} holds part ${gone.part}, which the file doesn’t have.`,
    })
  }
  return { items: [...items.values()], problems: problems.sort((a, b) => a.line - b.line), preview }
}

/**
 * Items of rows that were looked over before they were sent.
 *
 * @throws RangeError with a sentence for the first row that can't be taken
 */
export function fromRows(
  rows: readonly CatalogueCells[],
  units: CatalogueMapping['units'],
): readonly CatalogueItem[] {
  const table: TextTable = {
    header: [...CATALOGUE_COLUMNS],
    rows: rows.map((cells) => CATALOGUE_COLUMNS.map((column) => cells[column])),
    lines: rows.map((_, i) => i + 1),
  }
  const columns = Object.fromEntries(CATALOGUE_COLUMNS.map((column, i) => [column, i])) as Record<
    CatalogueColumn,
    number
  >
  const {
    items,
    problems: [problem],
  } = mapCatalogue(table, { columns, units, classForAll: 'not given' })
  if (problem) throw new RangeError(`Row ${problem.line}, ${problem.column}: ${problem.sentence}`)
  return items
}

/** A catalogue as CSV, lengths in millimetres. */
export function catalogueCsv(items: readonly CatalogueItem[]): string {
  const rows = items.map(({ construction: c, ...item }) =>
    [
      item.part,
      item.name,
      makeText(c),
      inMm(outerGauge(c)),
      c.kind === 'wound' ? inMm(c.core.diameter) : '',
      c.kind === 'wound' && c.bedding ? inMm(c.bedding.thickness) : '',
      c.kind === 'wound' ? inMm(c.wrap.diameter) : '',
      item.colour,
      item.tensionClass === 'not given' ? '' : item.tensionClass,
      item.end,
      item.maker,
      item.line,
      item.soldAs,
      inMm(item.length),
      item.pieces,
      (item.priceMinor / 100).toFixed(2),
      item.stock ?? '',
      item.setOf?.map(({ part, count }) => `${part} x${count}`).join('; ') ?? '',
    ].map((cell) => guarded(String(cell))),
  )
  return `${Papa.unparse({ fields: CATALOGUE_COLUMNS.map((column) => HEADERS[column]), data: rows }, { newline: '\n' })}\n`
}
