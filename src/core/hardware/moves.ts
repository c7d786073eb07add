/**
 * What a value of the hardware moves: the figures that change when it is a little more.
 */
import { fittingFigures, type FittingFigures } from '../fitting/figures'
import type { Habits } from '../fitting/habits'
import { positionAt, type Instrument } from '../instrument/instrument'
import { figureOf, hardwareCells, hardwareOf, readHardware } from './cells'
import { HARDWARE, type HardwareColumn } from './columns'

export const MOVED = ['cut', 'slack', 'wraps', 'key', 'side', 'higher'] as const
export type Moved = (typeof MOVED)[number]

export interface Moves {
  /** By how much the value is more, m or a plain ratio. */
  readonly by: number
  /** What each figure gains: cut, slack and higher in m, wraps in turns, key and side in degrees. Those that stay are left out. */
  readonly figures: readonly { readonly of: Moved; readonly gains: number }[]
}

/** Least change that is worth a word, in the unit of each figure. */
const MIN_WORTH_A_WORD: Record<Moved, number> = {
  cut: 1e-4,
  slack: 1e-4,
  wraps: 0.005,
  key: 0.2,
  side: 0.05,
  higher: 5e-5,
}

/**
 * Works a string out twice, as it is and with one value a step more: a tenth of a millimetre where such things are
 * bought in tenths, else a millimetre.
 *
 * @returns null for a column of words, or where there is nothing to change
 */
export function movesOf(
  instrument: Instrument,
  habits: Habits,
  number: number,
  column: HardwareColumn,
): Moves | null {
  const position = positionAt(instrument, number)
  const line = hardwareOf(position)
  const value = figureOf(line, column)
  if (value === null) return null
  const by = stepOf(column)
  const cells = {
    ...hardwareCells(line, 'mm'),
    [column]: String(HARDWARE[column].is === 'ratio' ? value + by : (value + by) * 1000),
  }
  const { line: more } = readHardware(number, cells, 'mm')
  if (!more) return null
  const changed = {
    ...instrument,
    positions: instrument.positions.map((p) => (p.number === number ? { ...p, ...more } : p)),
  }
  const before = told(fittingFigures(instrument, position, habits), number)
  const after = told(fittingFigures(changed, positionAt(changed, number), habits), number)
  return {
    by,
    figures: MOVED.flatMap((of) => {
      const gains = after[of] - before[of]
      return Math.abs(gains) < MIN_WORTH_A_WORD[of] ? [] : [{ of, gains }]
    }),
  }
}

function stepOf(column: HardwareColumn): number {
  switch (column) {
    case 'gear':
      return 1
    case 'diameter':
    case 'eyelet':
    case 'thread':
      return 1e-4
    default:
      return 1e-3
  }
}

function told(figures: FittingFigures, number: number): Record<Moved, number> {
  const string = figures.strings.find(({ position }) => position.number === number) ?? figures.strings[0]
  if (!string) throw new RangeError(`expected the figures of string ${number}`)
  return {
    cut: figures.cut.total,
    slack: string.slack.length,
    wraps: string.wraps,
    key: string.key.snugToPitch,
    side: string.bank.sideAngle,
    higher: string.standHigher ?? 0,
  }
}
