/**
 * Measured lengths as they are written down: a number and a length on each line.
 */
import { itemAt } from '../list/item-at'
import { parseLength, type LengthUnit } from '../units/length'

/**
 * @param text - such as `1: 76 mm`, a line each; semicolons part them too
 * @param bare - unit of a bare number
 * @returns lengths by the string's number, m
 * @throws RangeError with a sentence that can be shown, naming the line
 */
export function readLengths(text: string, bare: LengthUnit): ReadonlyMap<number, number> {
  const lengths = new Map<number, number>()
  for (const line of text
    .split(/[\n;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')) {
    const found = /^(?:no\.?|string)?\s*(\d{1,3})\s*[:=\s]\s*(.+)$/i.exec(line)
    if (!found) throw new RangeError(`Expected a number and a length such as “1: 76 mm”, got “${line}”.`)
    const length = parseLength(itemAt(found, 2), bare)
    if (length < 0.01 || length > 3)
      throw new RangeError(
        `A speaking length of “${itemAt(found, 2).trim()}” can’t be right; expected 10 mm to 3000 mm.`,
      )
    lengths.set(Number(found[1]), length)
  }
  return lengths
}
