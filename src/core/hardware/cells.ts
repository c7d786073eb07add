/**
 * A line of hardware as the cells of a table: text as a person types it, read and written without loss.
 */
import { BOUNDS, canBe, type Bounded } from '../strings/bounds'
import { lengthCell, readLengthCell } from '../strings/length-cells'
import { HARDWARE_LENGTHS, writtenCell, writtenIn, type HardwareLength } from '../strings/written-lengths'
import type { TuningPin } from '../winding/pin'
import { acceptedText, HARDWARE, HARDWARE_COLUMNS, type HardwareColumn, type HardwareLine } from './columns'

export type HardwareCells = Readonly<Record<HardwareColumn, string>>
export type HardwareProblems = Readonly<Partial<Record<HardwareColumn, string>>>

type Value = string | number | null

const values = ({
  head: { fastening, pin },
  tail,
  mechanism,
}: HardwareLine): Record<HardwareColumn, Value> => ({
  tail: tail.fastening,
  bearing: tail.bearing,
  board: tail.boardThickness,
  eyelet: tail.eyeletBore,
  post: tail.postDiameter,
  mechanism,
  head: fastening,
  setting: pin.setting,
  turned: pin.turnedBy,
  tightens: pin.tightens,
  gear: pin.gearRatio,
  diameter: pin.diameter,
  thread: pin.threadPitch,
  height: pin.height,
  datum: pin.heightDatum,
  holeToEnd: pin.holeToEnd,
  bridgeHeight: pin.bridgeHeight,
  toBridge: pin.toBridge,
})

/** What the sheet has of a position. */
export function hardwareOf({ number, head, tail, mechanism, written = {} }: HardwareLine): HardwareLine {
  return { number, head, tail, mechanism, written }
}

/** A value of a line as a number, m or a plain ratio; null where it is a word or there is none. */
export function figureOf(line: HardwareLine, column: HardwareColumn): number | null {
  const value = values(line)[column]
  return typeof value === 'number' ? value : null
}

/**
 * The cells of a line. A length that somebody wrote in its own way stands as it was written, `1/8 in`. Any other is in
 * mm to the nanometre that it is kept to, so that it reads back the same; in inches to a hundred-thousandth.
 */
export function hardwareCells(line: HardwareLine, unit: 'mm' | 'in'): HardwareCells {
  const has = values(line)
  const text = (column: HardwareColumn) => {
    const value = has[column]
    if (typeof value !== 'number') return value ?? ''
    return HARDWARE[column].is === 'ratio'
      ? String(value)
      : (writtenCell(line.written?.[column as HardwareLength], value, unit) ?? lengthCell(value, unit))
  }
  return Object.fromEntries(HARDWARE_COLUMNS.map((column) => [column, text(column)])) as HardwareCells
}

/**
 * Reads a row of cells; what can't be read is told at its cell.
 *
 * @param unit - of bare numbers
 * @returns the line, null when anything in it can't be read
 */
export function readHardware(
  number: number,
  cells: HardwareCells,
  unit: 'mm' | 'in',
): { readonly line: HardwareLine | null; readonly problems: HardwareProblems } {
  const problems: Partial<Record<HardwareColumn, string>> = {}
  const read = Object.fromEntries(
    HARDWARE_COLUMNS.map((column) => {
      try {
        return [column, readCell(column, cells[column].trim(), unit)]
      } catch (error) {
        problems[column] = (error as RangeError).message
        return [column, null]
      }
    }),
  ) as Record<HardwareColumn, never>
  const line: HardwareLine = {
    number,
    mechanism: read.mechanism,
    head: {
      fastening: read.head,
      pin: {
        setting: read.setting,
        turnedBy: read.turned,
        diameter: read.diameter,
        gearRatio: read.gear,
        tightens: read.tightens,
        threadPitch: read.thread,
        height: read.height,
        heightDatum: read.datum,
        holeToEnd: read.holeToEnd,
        bridgeHeight: read.bridgeHeight,
        toBridge: read.toBridge,
      },
    },
    tail: {
      fastening: read.tail,
      bearing: read.bearing,
      boardThickness: read.board,
      eyeletBore: read.eyelet,
      postDiameter: read.post,
    },
    written: writtenIn(HARDWARE_LENGTHS, cells, unit),
  }
  if (Object.keys(problems).length === 0 && holeIsInTheWood(line.head.pin))
    problems.holeToEnd =
      'The string hole would lie in the wood: the pin must stand higher than its end is from the hole.'
  return { line: Object.keys(problems).length > 0 ? null : line, problems }
}

function holeIsInTheWood({ heightDatum, height, holeToEnd }: TuningPin): boolean {
  return heightDatum === 'top of pin' && height <= holeToEnd
}

function readCell(column: HardwareColumn, text: string, unit: 'mm' | 'in'): Value {
  const kind = HARDWARE[column]
  if (text === '' || text === '–') {
    if (kind.is !== 'ratio' && kind.none) return null
    throw new RangeError(
      kind.is === 'word'
        ? `Choose one of: ${kind.words.join('; ')}.`
        : `Enter a value. ${acceptedText(column, unit)}`,
    )
  }
  switch (kind.is) {
    case 'word':
      return readWord(text, kind.words)
    case 'ratio':
      return readRatio(text, kind.bounded)
    case 'length':
      return readLengthCell(text, kind.bounded, unit)
  }
}

/** Told by any beginning that is one word's alone. */
function readWord(text: string, words: readonly string[]): string {
  const said = text.toLowerCase()
  const exact = words.find((one) => one === said)
  const [first, ...more] = words.filter((one) => one.startsWith(said))
  if (exact !== undefined) return exact
  if (first !== undefined && more.length === 0) return first
  throw new RangeError(`Expected one of: ${words.join('; ')}. Got “${text}”.`)
}

/** `4`, `4:1` or `1 : 4`: turns of the key for one of the pin. */
function readRatio(text: string, bounded: Bounded): number {
  const [, a, b] = /^(\d+(?:[.,]\d+)?)(?:\s*:\s*(\d+(?:[.,]\d+)?))?$/.exec(text) ?? []
  const figure = (one: string) => Number(one.replace(',', '.'))
  const value = a === undefined ? NaN : b === undefined ? figure(a) : ratioOf(figure(a), figure(b))
  if (!canBe(bounded, value))
    throw new RangeError(
      `Expected turns of the key for one of the pin, ${BOUNDS[bounded][0]} to ${BOUNDS[bounded][1]}, got “${text}”.`,
    )
  return value
}

/** Written either way round, a gear only ever slows the pin. */
function ratioOf(a: number, b: number): number {
  return Math.max(a, b) / Math.min(a, b)
}
