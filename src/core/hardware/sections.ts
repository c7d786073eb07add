/**
 * Runs of strings with the same fastenings and kind of pin: what is typed and measured together.
 */
import type { StringPosition } from '../instrument/instrument'
import { hardwareCells, hardwareOf } from './cells'
import { HARDWARE_COLUMNS, isInWords } from './columns'

export interface Run {
  /** Numbers of the first and the last string. */
  readonly from: number
  readonly to: number
}

/** Strings next to each other that are alike in all words: fastenings, how the pin sits and is turned, mechanism. */
export function hardwareRuns(positions: readonly StringPosition[]): readonly Run[] {
  const words = positions.map((p) => {
    const cells = hardwareCells(hardwareOf(p), 'mm')
    return HARDWARE_COLUMNS.filter(isInWords)
      .map((column) => cells[column])
      .join('|')
  })
  const starts = words.flatMap((here, i) => (i === 0 || here !== words[i - 1] ? [i] : []))
  return starts.map((start, i) => ({ from: start + 1, to: starts[i + 1] ?? positions.length }))
}
