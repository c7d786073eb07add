/**
 * Moves marks along a line as little as needed so that none stand closer than a gap.
 *
 * @param wanted - places in rising order, in [0, 1]
 * @param gap - least distance; where all don't fit they are spread evenly
 * @returns places in [0, 1], in the same order
 */
import { itemAt } from '@/core/list/item-at'

export function spread(wanted: readonly number[], gap: number): number[] {
  const count = wanted.length
  const least = Math.min(gap, count > 1 ? 1 / (count - 1) : 1)
  const placed = [...wanted]
  for (let i = 1; i < count; i += 1) placed[i] = Math.max(itemAt(placed, i), itemAt(placed, i - 1) + least)
  const over = Math.max(0, (placed.at(-1) ?? 0) - 1)
  if (over > 0) {
    placed[count - 1] = 1
    for (let i = count - 2; i >= 0; i -= 1)
      placed[i] = Math.min(itemAt(placed, i), itemAt(placed, i + 1) - least)
  }
  return placed
}
