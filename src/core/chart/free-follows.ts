/**
 * The free length of a row whose speaking length was set and whose free length nobody typed: what lies beyond the bridge pin stays.
 * A free length that a preset supposed thus never stands in the way of a measured speaking length.
 */
import { parseLength } from '../units/length'
import { lengthCell } from '../strings/length-cells'
import type { Cells, ColumnUnits } from './cells'
import type { ChartLine } from './chart-line'

/**
 * @param cells - of the row as they stand
 * @param had - the row before its speaking length was set
 * @param units - of bare numbers
 * @returns the cell of the free length, in mm with its unit; as it stands where nothing follows
 */
export function freeFollowing(
  cells: Cells,
  { speakingLength, freeLength }: Pick<ChartLine, 'speakingLength' | 'freeLength'>,
  units: ColumnUnits,
): string {
  if (speakingLength === null || freeLength === null || cells.speaking.trim() === '') return cells.free
  try {
    const speaking = parseLength(cells.speaking, units.speaking)
    return `${lengthCell(speaking + freeLength - speakingLength, 'mm')} mm`
  } catch {
    // What can’t be read is told at its own cell.
    return cells.free
  }
}
