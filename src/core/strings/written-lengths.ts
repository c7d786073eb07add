/**
 * Lengths as somebody wrote them: `.028 in` stays `.028 in`, beside the metres that are reckoned with. A text holds only
 * while it reads as those metres: where a later measurement changes them, it no longer counts, and nobody has to delete it.
 */
import type { FileUnit } from '../units/file-unit'
import { parseLength, type LengthUnit } from '../units/length'

/** Columns of a chart that hold a length. */
export const LENGTH_COLUMNS = ['gauge', 'core', 'bedding', 'wrap', 'speaking', 'free'] as const
export type LengthColumn = (typeof LENGTH_COLUMNS)[number]
/** Columns of the fittings sheet that hold one. */
export const HARDWARE_LENGTHS = [
  'board',
  'eyelet',
  'post',
  'diameter',
  'thread',
  'height',
  'holeToEnd',
  'bridgeHeight',
  'toBridge',
] as const
export type HardwareLength = (typeof HARDWARE_LENGTHS)[number]
const WRITTEN_COLUMNS: readonly string[] = [...LENGTH_COLUMNS, ...HARDWARE_LENGTHS]

/** By column, with its unit: `.028 in`, `28 1/2 in`, `80.5 cm`. */
export type Written = Readonly<Partial<Record<LengthColumn | HardwareLength, string>>>

/** Whether parsed JSON is such a record, each text of it a length. */
export function isWritten(json: unknown): json is Written {
  return (
    typeof json === 'object' &&
    json !== null &&
    Object.entries(json).every(
      ([column, text]) => WRITTEN_COLUMNS.includes(column) && typeof text === 'string' && isLength(text),
    )
  )
}

function isLength(text: string): boolean {
  try {
    return parseLength(text, 'mm') >= 0
  } catch {
    return false
  }
}

/** Two lengths that differ by less are one: they are stored to the nanometre. */
const SAME = 2e-9

/**
 * @param text - as typed, in a cell whose bare numbers are in `unit`
 * @returns with its unit; null where it is a decimal of millimetres, which is written back from the metres
 */
export function withUnit(text: string, unit: FileUnit): string | null {
  const typed = text.trim()
  const named = /[a-z"″]+\.?$/i.exec(typed)
  if ((named?.[0] ?? unit).toLowerCase() === 'mm') return null
  return named ? typed : `${typed} ${unit}`
}

/**
 * @param written - with its unit
 * @param metres - the length as it is now
 * @returns the text while it reads as this length, else null
 */
export function stillWritten(written: string | undefined, metres: number): string | null {
  if (written === undefined) return null
  try {
    return Math.abs(parseLength(written, 'mm') - metres) < SAME ? written : null
  } catch {
    return null
  }
}

/** The text for a cell whose bare numbers are in `unit`: without its unit where it is that one. */
export function writtenCell(written: string | undefined, metres: number, unit: LengthUnit): string | null {
  const text = stillWritten(written, metres)
  return text?.endsWith(` ${unit}`) ? text.slice(0, -unit.length - 1) : text
}

/**
 * What cells hold that is not a plain decimal of millimetres, by column, with its unit.
 *
 * @param units - of bare numbers
 */
export function writtenIn<Column extends keyof Written>(
  columns: readonly Column[],
  cells: Readonly<Record<Column, string>>,
  units: FileUnit | Readonly<Record<Column, FileUnit>>,
): Written {
  return Object.fromEntries(
    columns.flatMap((column) => {
      const unit = typeof units === 'string' ? units : units[column]
      const text = cells[column].trim() === '' ? null : withUnit(cells[column], unit)
      return text === null ? [] : [[column, text]]
    }),
  )
}
