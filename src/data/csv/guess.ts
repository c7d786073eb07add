/**
 * Which column of a file is which, and what its bare numbers are counted in: guesses, which are then the person's to change.
 */
import type { FileUnit } from '@/core/units/file-unit'

interface ColumnWords<Column extends string> {
  /** The header that each column leaves this program with. */
  readonly named: Readonly<Record<Column, string>>
  /** What others call it; lower case. */
  readonly words: Readonly<Record<Column, RegExp>>
  /** The order in which the file's columns are given away: the surer word first. */
  readonly bySureness: readonly Column[]
}

/** Index of the file's column for each of ours; null where the file seems to have none. */
export function guessColumns<Column extends string>(
  header: readonly string[],
  columns: readonly Column[],
  { named, words, bySureness }: ColumnWords<Column>,
): Record<Column, number | null> {
  const plain = header.map(plainly)
  const taken = new Set<number>()
  const guessed = Object.fromEntries(columns.map((column) => [column, null])) as Record<Column, number | null>
  const claim = (column: Column, index: number) => {
    if (index < 0 || taken.has(index)) return
    guessed[column] = index
    taken.add(index)
  }
  for (const column of columns)
    claim(
      column,
      plain.findIndex((name) => name === plainly(named[column])),
    )
  for (const column of bySureness)
    if (guessed[column] === null)
      claim(
        column,
        plain.findIndex((name, i) => !taken.has(i) && words[column].test(name)),
      )
  return guessed
}

function plainly(name: string): string {
  return name.toLowerCase().replace(/’/g, "'").trim()
}

/**
 * The unit of a column's bare numbers: from the header's own words, else from the size of what stands in it.
 *
 * @param name - the header
 * @param cells - as they stand
 * @param isLong - a length rather than a diameter
 */
export function guessUnit(name: string, cells: readonly string[], isLong: boolean): FileUnit {
  const plain = plainly(name)
  if (/\bmm\b|millim/.test(plain)) return 'mm'
  if (/\bthou\b|\bmil\b/.test(plain)) return 'thou'
  if (/\bcm\b|centim/.test(plain)) return 'cm'
  if (/\bin\b|inch|"|″/.test(plain)) return 'in'
  if (/\bm\b|metre|meter/.test(plain)) return 'm'
  const bare = cells
    .filter((cell) => /^[\d.,]+$/.test(cell))
    .map((cell) => Number(cell.replace(',', '.')))
    .filter((n) => n > 0)
    .sort((a, b) => a - b)
  const middle = bare[Math.floor(bare.length / 2)]
  if (middle === undefined) return 'mm'
  if (isLong) return middle < 3 ? 'm' : middle < 90 ? 'in' : 'mm'
  return middle >= 8 ? 'thou' : middle < 0.16 ? 'in' : 'mm'
}
