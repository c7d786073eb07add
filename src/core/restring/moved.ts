/** A string put into another go by hand. */
import { itemAt } from '../list/item-at'
import type { Batches } from './batch'
import { unitsOf } from './plan'

/**
 * The order with a piece moved, and with it whatever lies over it or under it: that can’t be parted.
 *
 * @param to - the go it is put into, from 0; one more than there are for a new one
 */
export function movedTo(
  batches: Batches,
  goes: readonly (readonly number[])[],
  id: number,
  to: number,
): readonly (readonly number[])[] {
  const unit = unitsOf(batches).find((one) => one.includes(id)) ?? [id]
  const there = goes[to] ?? []
  const moved = goes.map((ids, go) =>
    go === to
      ? batches.inOrder([...there.filter((one) => !unit.includes(one)), ...unit])
      : ids.filter((one) => !unit.includes(one)),
  )
  return [...moved, ...(to >= goes.length ? [batches.inOrder(unit)] : [])].filter((ids) => ids.length > 0)
}

/** A go put before or after its neighbour. */
export function goMoved(
  goes: readonly (readonly number[])[],
  go: number,
  by: 1 | -1,
): readonly (readonly number[])[] {
  const other = goes[go + by]
  return other ? goes.with(go, other).with(go + by, itemAt(goes, go)) : goes
}
