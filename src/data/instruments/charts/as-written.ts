/**
 * A chart’s table as people have it, made into one that can be mapped: octave and letter that stand in two columns become one name,
 * and which end the first row is is told from the lengths, the gauges or the notes.
 */
import { semitoneNumber } from '@/core/pitch/note'
import { parseLength } from '@/core/units/length'
import { readNoteCell } from '@/core/chart/cells'
import type { TextTable } from '../../csv/read-table'

const OCTAVE = /octave|oktave|ottava|octava|^oct\.?$|^okt\.?$/i
const NOTE = /note|pitch|tone|^ton$|nota|^string$|saite|corde|corda|cuerda/i
const BARE_LETTER = /^[a-h](?:#|♯|b|♭|is|es|s)?$/i

/** Puts the octave to the letter where each has a column of its own. */
export function joinOctaves(table: TextTable): TextTable {
  const octaveAt = table.header.findIndex((name) => OCTAVE.test(name.trim()))
  const noteAt = table.header.findIndex(
    (name, i) =>
      i !== octaveAt &&
      NOTE.test(name.trim()) &&
      table.rows.some((row) => (row[i] ?? '') !== '') &&
      table.rows.every((row) => (row[i] ?? '') === '' || BARE_LETTER.test((row[i] ?? '').trim())),
  )
  if (octaveAt < 0 || noteAt < 0) return table
  const octaves = table.rows.map((row) => Number(/-?\d/.exec(row[octaveAt] ?? '')?.[0] ?? NaN))
  const known = octaves.filter(Number.isFinite)
  const [first, last] = [known[0], known.at(-1)]
  // Within one octave nothing tells how it is counted: the notes are then asked for, cell by cell.
  if (first === undefined || last === undefined || first === last) return table
  const shortestFirst = isShortestFirst(table) ?? true
  // Harp octaves are counted from the treble: they rise toward the long strings.
  const isHarp = last > first === shortestFirst
  const rows = table.rows.map((row, i) =>
    Number.isFinite(octaves[i])
      ? row.with(
          noteAt,
          isHarp ? `${octaves[i]}${row[noteAt]?.trim()}` : `${row[noteAt]?.trim()}${octaves[i]}`,
        )
      : row,
  )
  return {
    ...table,
    header: table.header.with(noteAt, 'note').with(octaveAt, 'octave (joined)'),
    rows,
  }
}

/** Which end the first row is: by lengths, else by gauges; null where neither tells. */
function isShortestFirst({ header, rows }: TextTable): boolean | null {
  for (const words of [
    /speaking|sounding|vibrating|scale|length|mensur|länge|longueur/i,
    /gauge|diam|thick|ø|calib|stärke/i,
  ]) {
    const at = header.findIndex((name) => words.test(name))
    if (at < 0) continue
    const values = rows.flatMap((row) => figureOf(row[at] ?? ''))
    const [first, last] = [values[0], values.at(-1)]
    if (first !== undefined && last !== undefined && first !== last) return first < last
  }
  return null
}

function figureOf(text: string): readonly number[] {
  try {
    return [parseLength(text, 'mm')]
  } catch {
    return []
  }
}

/** Which end the first row is, where the file numbers no strings. */
export function startsAt(table: TextTable, noteAt: number | null): 'the shortest' | 'the longest' {
  const byLength = isShortestFirst(table)
  if (byLength !== null) return byLength ? 'the shortest' : 'the longest'
  if (noteAt === null) return 'the shortest'
  const pitches = table.rows.flatMap((row) => {
    try {
      return [semitoneNumber(readNoteCell(row[noteAt] ?? ''))]
    } catch {
      return []
    }
  })
  const [first, last] = [pitches[0], pitches.at(-1)]
  return first !== undefined && last !== undefined && first < last ? 'the longest' : 'the shortest'
}
