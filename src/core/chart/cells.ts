/**
 * A chart line as the cells of a table: every cell is text as a person types it, read and written without loss.
 */
import { readNamed } from '../names/grammar'
import { harpOctave, scientificOctaveOf } from '../pitch/harp-octave'
import { note, noteWord, type Note } from '../pitch/note'
import { parseNote } from '../pitch/parse-note'
import { outerGauge, type Construction, type WoundString } from '../strings/construction'
import type { FileUnit } from '../units/file-unit'
import type { LengthUnit } from '../units/length'
import { BOUNDS, canBe, type Bounded } from '../strings/bounds'
import { boundsText, lengthCell, readLengthCell } from '../strings/length-cells'
import type { StringColour } from '../instrument/instrument'
import type { ChartLine } from './chart-line'
import { inferWound } from './infer-wound'
import { makeText, makeWords, readMake, type Make } from './material-text'
import { LENGTH_COLUMNS, writtenCell, writtenIn, type LengthColumn } from '../strings/written-lengths'

export const CHART_COLUMNS = [
  'number',
  'label',
  'note',
  'colour',
  'material',
  'gauge',
  'core',
  'bedding',
  'wrap',
  'speaking',
  'free',
  'asked',
] as const
export type ChartColumn = (typeof CHART_COLUMNS)[number]

export type Cells = Readonly<Record<ChartColumn, string>>
export type Problems = Readonly<Partial<Record<ChartColumn, string>>>
/** The unit of a bare number in each length column. */
export type ColumnUnits = Readonly<Record<LengthColumn, FileUnit>>

/** Units of a table whose bare numbers are all in one. */
export const allIn = (unit: FileUnit): ColumnUnits => ({
  gauge: unit,
  core: unit,
  bedding: unit,
  wrap: unit,
  speaking: unit,
  free: unit,
})

const COLOURS: Readonly<Record<string, StringColour>> = {
  red: 'red',
  black: 'black',
  blue: 'blue',
  natural: 'natural',
  '': 'natural',
  none: 'natural',
  clear: 'natural',
  white: 'natural',
}

/** What each length column holds: outside of its bounds it is a slip of the unit. */
const BOUNDED: Record<LengthColumn, Bounded> = {
  gauge: 'gauge',
  core: 'core',
  bedding: 'bedding',
  wrap: 'wrap',
  speaking: 'speaking length',
  free: 'free length',
}

/** From what to what a column’s lengths can be, as a hint tells it; null for a column of words. */
export function boundsIn(column: ChartColumn, unit: 'mm' | 'in'): string | null {
  return column in BOUNDED ? boundsText(BOUNDED[column as LengthColumn], unit) : null
}

/**
 * The cells of a line. A length that somebody wrote in its own way stands as it was written, `.028 in`. Any other is in
 * mm to the nanometre that it is kept to, so that it reads back the same; in inches to a hundred-thousandth. Gauges have
 * two decimals at least, but in thousandths of an inch none.
 *
 * @param gaugeUnit - of gauges, where it is another
 */
export function cellsOf(line: ChartLine, unit: 'mm' | 'in', gaugeUnit: LengthUnit = unit): Cells {
  const length = (column: LengthColumn, metres: number | null) =>
    metres === null ? '' : (writtenCell(line.written?.[column], metres, unit) ?? lengthCell(metres, unit))
  const gauge = (column: LengthColumn, metres: number) =>
    writtenCell(line.written?.[column], metres, gaugeUnit) ?? gaugeCell(metres, gaugeUnit)
  const c = line.construction
  return {
    number: String(line.number),
    label: line.makerLabel ?? '',
    asked: line.askedMake ?? '',
    note:
      line.note.accidental === 0
        ? `${line.note.letter}${line.note.octave}`
        : `${noteWord(line.note)} ${line.note.octave}`,
    colour: line.colour,
    material: c ? makeText(c) : (line.make ?? ''),
    gauge: c ? gauge('gauge', outerGauge(c)) : '',
    core: c?.kind === 'wound' ? gauge('core', c.core.diameter) : '',
    bedding: c?.kind === 'wound' && c.bedding ? gauge('bedding', c.bedding.thickness) : '',
    wrap: c?.kind === 'wound' ? gauge('wrap', c.wrap.diameter) : '',
    speaking: length('speaking', line.speakingLength),
    free: length('free', line.freeLength),
  }
}

function gaugeCell(metres: number, unit: LengthUnit): string {
  if (unit === 'thou') return lengthCell(metres, 'thou')
  return lengthCell(metres, unit)
    .replace(/^(\d+)$/, '$1.')
    .replace(/\.\d?$/, (end) => end.padEnd(3, '0'))
}

export interface ReadLine {
  /** Null when number or note can't be read. */
  readonly line: ChartLine | null
  readonly problems: Problems
}

/**
 * Reads a row of cells. Empty cells of material, gauge and lengths are left open; anything that can't be read is told
 * at its cell.
 *
 * @param cells - as typed
 * @param units - of bare numbers
 */
export function readCells(cells: Cells, units: ColumnUnits): ReadLine {
  const problems: Partial<Record<ChartColumn, string>> = {}
  const attempt = <T>(column: ChartColumn, read: () => T): T | null => {
    try {
      return read()
    } catch (error) {
      problems[column] = (error as RangeError).message
      return null
    }
  }
  const length = (column: LengthColumn) =>
    cells[column].trim() === ''
      ? null
      : attempt(column, () => readLength(column, cells[column], units[column]))
  const number = attempt('number', () => readNumber(cells.number))
  const note = attempt('note', () => readNoteCell(cells.note))
  const colour = attempt('colour', () => readColour(cells.colour))
  const [speakingLength, freeLength] = [length('speaking'), length('free')]
  if (speakingLength !== null && freeLength !== null && freeLength <= speakingLength)
    problems.free =
      'The free length runs from end knot to tuning pin and must be longer than the speaking length.'
  const make = cells.material.trim() === '' ? null : attempt('material', () => readMake(cells.material))
  if (cells.material.trim() === '' && cells.gauge.trim() !== '')
    problems.material = 'A gauge without its material can’t be reckoned with.'
  const construction = make && readConstruction(make, cells, length, problems)
  const line =
    number === null || note === null
      ? null
      : {
          number,
          note,
          makerLabel: cells.label.trim() || null,
          askedMake: cells.asked.trim() || null,
          colour: colour ?? 'natural',
          construction,
          make: make && makeWords(make),
          speakingLength,
          freeLength,
          written: writtenIn(LENGTH_COLUMNS, cells, units),
        }
  return { line, problems }
}

/** A note in scientific pitch, or told by its harp octave: `4th-octave A`. */
export function readNoteCell(text: string): Note {
  const named = readNamed(text)
  if (named?.is !== 'note' || named.counted !== 'harp') return parseNote(text)
  return note(named.letter, scientificOctaveOf(named.letter, harpOctave(named.octave)), named.accidental ?? 0)
}

function readNumber(text: string): number {
  const number = Number(text.trim())
  if (text.trim() === '' || !Number.isInteger(number) || number < 1 || number > 999)
    throw new RangeError(`Expected the string’s number, counted from the top, got “${text.trim()}”.`)
  return number
}

function readColour(text: string): StringColour {
  const said = text.trim().toLowerCase()
  const colour = Object.hasOwn(COLOURS, said) ? COLOURS[said] : undefined
  if (!colour) throw new RangeError(`Expected red, black, blue or natural, got “${text.trim()}”.`)
  return colour
}

function readLength(column: LengthColumn, text: string, unit: FileUnit): number {
  const where = column === 'free' || column === 'speaking' ? `for a ${column} length` : `for a ${column}`
  return readLengthCell(text, BOUNDED[column], unit, where)
}

/** A wound string is measured over its wrap, which yields: so far the sum may be off the gauge, as a share. */
const GAUGE_DIFFERS = 0.05

function readConstruction(
  make: Make,
  cells: Cells,
  length: (column: LengthColumn) => number | null,
  problems: Partial<Record<ChartColumn, string>>,
): Construction | null {
  if (make.kind === 'plain') {
    const gauge = length('gauge')
    return gauge === null ? null : { kind: 'plain', material: make.material, gauge }
  }
  const [gauge, core, thickness, wrap] = [length('gauge'), length('core'), length('bedding'), length('wrap')]
  const isEmpty = (column: LengthColumn) => cells[column].trim() === ''
  // A chart that has the outer gauge alone keeps it: what makes it up is inferred.
  if (gauge !== null && isEmpty('core') && isEmpty('wrap'))
    return madeUpOrTold(inferWound(make, gauge), problems)
  if (make.bedding !== null && thickness === null && core !== null) {
    problems.bedding ??= `The bedding of ${make.bedding} needs its thickness.`
    return null
  }
  const bedding = make.bedding !== null && thickness !== null ? { material: make.bedding, thickness } : null
  if (gauge !== null && core !== null && isEmpty('wrap') && gauge > core + 2 * (thickness ?? 0))
    return madeUpOrTold(
      {
        kind: 'wound',
        core: { material: make.core, diameter: core },
        wrap: { material: make.wrap, diameter: (gauge - core) / 2 - (thickness ?? 0) },
        bedding,
      },
      problems,
    )
  if (core === null || wrap === null) {
    if (problems.core === undefined && core === null && (wrap !== null || cells.gauge.trim() !== ''))
      problems.core = 'A wound string needs its core’s diameter.'
    if (problems.wrap === undefined && wrap === null && core !== null)
      problems.wrap = 'A wound string needs its wrap’s diameter.'
    return null
  }
  const outer = core + 2 * (wrap + (thickness ?? 0))
  if (gauge !== null && Math.abs(outer / gauge - 1) > GAUGE_DIFFERS)
    problems.gauge ??= `Core and wrap make ${Number((outer * 1000).toPrecision(4))} mm, the gauge says ${Number((gauge * 1000).toPrecision(4))} mm. Clear core and wrap to have them inferred.`
  return {
    kind: 'wound',
    core: { material: make.core, diameter: core },
    wrap: { material: make.wrap, diameter: wrap },
    bedding,
  }
}

/** What an outer gauge makes up, where it can be a wound string; else it is told at the gauge. */
function madeUpOrTold(
  made: WoundString,
  problems: Partial<Record<ChartColumn, string>>,
): Construction | null {
  const { core, wrap, bedding } = made
  if (
    canBe('core', core.diameter) &&
    canBe('wrap', wrap.diameter) &&
    (bedding === null || canBe('bedding', bedding.thickness))
  )
    return made
  const mm = (metres: number) => Number((metres * 1000).toPrecision(3))
  const range = (what: 'core' | 'wrap') => BOUNDS[what].map(mm).join(' to ')
  problems.gauge ??= `With this gauge the core would be ${mm(core.diameter)} mm and the wrap ${mm(wrap.diameter)} mm. A core is ${range('core')} mm, a wrap ${range('wrap')} mm.`
  return null
}
