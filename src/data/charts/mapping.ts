/**
 * Which column of a file is which of the chart's, and what its bare numbers are counted in; guessed from the header and
 * then the person's to change.
 */
import { CHART_COLUMNS, LENGTH_COLUMNS, type ChartColumn, type LengthColumn } from '@/core/chart/cells'
import { HEADERS } from './chart-csv'
import type { TextTable } from './read-table'

export const FILE_UNITS = ['mm', 'cm', 'm', 'in', 'thou'] as const
export type FileUnit = (typeof FILE_UNITS)[number]

export interface Mapping {
  /** Index of the file's column; null where the file has none and the chart keeps what it has. */
  readonly columns: Readonly<Record<ChartColumn, number | null>>
  readonly units: Readonly<Record<LengthColumn, FileUnit>>
  /** Where the file numbers no strings: which end its first row is. */
  readonly startsAt: 'the shortest' | 'the longest'
  /** Makers write the letters alone: an E4 on an instrument tuned in flats is then the string that sounds E-flat at rest. */
  readonly letters: 'as tuned at rest' | 'as written'
}

const WORDS: Record<ChartColumn, RegExp> = {
  number: /^(?:no\.?|nr\.?|num(?:ber)?|string|string n(?:o\.?|umber)|#|pos(?:ition)?|n°|saite|corde)$|number/,
  label: /label|maker.?s|code|name/,
  note: /note|pitch|tone|ton$/,
  colour: /colou?r|dye|farbe|couleur/,
  material: /material|made of|type|stuff|stoff|matière/,
  gauge: /gauge|diam|thick|ø|calib|stärke|durchmesser/,
  core: /core/,
  bedding: /bedding|under.?lay/,
  wrap: /wrap|wind|cover/,
  speaking: /speaking|sounding|vibrating|scale|^length|length$|mensur|länge|longueur/,
  free: /free|overall|total|pin.?to|full/,
}

/** The order in which columns are given away: the surer word first. */
const BY_SURENESS: readonly ChartColumn[] = ['core', 'bedding', 'wrap', 'free', 'speaking', 'gauge', 'number', 'colour', 'material', 'note', 'label']

/** A mapping to begin with. */
export function guessMapping({ header, rows }: TextTable): Mapping {
  const taken = new Set<number>()
  const columns: Record<ChartColumn, number | null> = Object.fromEntries(CHART_COLUMNS.map((c) => [c, null])) as Record<ChartColumn, number | null>
  const plain = header.map((name) => name.toLowerCase().replace(/’/g, '\'').trim())
  for (const column of CHART_COLUMNS) claim(column, plain.findIndex((name) => name === HEADERS[column].toLowerCase().replace(/’/g, '\'')))
  for (const column of BY_SURENESS) {
    if (columns[column] === null) claim(column, plain.findIndex((name, i) => !taken.has(i) && WORDS[column].test(name)))
  }
  function claim(column: ChartColumn, index: number): void {
    if (index < 0 || taken.has(index)) return
    columns[column] = index
    taken.add(index)
  }
  const units = Object.fromEntries(LENGTH_COLUMNS.map((column) => {
    const index = columns[column]
    return [column, index === null ? 'mm' : guessUnit(column, plain[index] as string, rows.map((row) => row[index] ?? ''))]
  })) as Record<LengthColumn, FileUnit>
  return { columns, units, startsAt: 'the shortest', letters: plain.includes(HEADERS.note) ? 'as written' : 'as tuned at rest' }
}

/** From the header's own words, else from the size of what stands in the column. */
function guessUnit(column: LengthColumn, name: string, cells: readonly string[]): FileUnit {
  if (/\bmm\b|millim/.test(name)) return 'mm'
  if (/\bthou\b|\bmil\b/.test(name)) return 'thou'
  if (/\bcm\b|centim/.test(name)) return 'cm'
  if (/\bin\b|inch|"|″/.test(name)) return 'in'
  if (/\bm\b|metre|meter/.test(name)) return 'm'
  const bare = cells.filter((cell) => /^[\d.,]+$/.test(cell)).map((cell) => Number(cell.replace(',', '.'))).filter((n) => n > 0).sort((a, b) => a - b)
  const middle = bare[Math.floor(bare.length / 2)]
  if (middle === undefined) return 'mm'
  if (column === 'speaking' || column === 'free') return middle < 3 ? 'm' : middle < 90 ? 'in' : 'mm'
  return middle >= 8 ? 'thou' : middle < 0.16 ? 'in' : 'mm'
}
