/** An order of work that somebody made: what is wrong with it, in a sentence. */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { isAllowed } from './frame'
import type { Batches } from './batch'
import { unitsOf } from './plan'

/**
 * The first thing that keeps goes from being done; null where they can be.
 *
 * @param nameOf - what a string is called, after “the”
 * @param fromBare - nothing is on: what lies over a string goes on later, in whichever go, and no load is kept
 */
export function problemOf(
  instrument: Instrument,
  batches: Batches,
  goes: readonly (readonly number[])[],
  nameOf: (position: StringPosition) => string,
  fromBare = false,
): string | null {
  const called = (id: number) => {
    const position = instrument.positions[id - 1]
    return position ? `the ${nameOf(position)}` : `string ${id}`
  }
  return (
    notTheSet(batches, goes, called) ??
    (fromBare
      ? outOfOrder(batches, goes.flat(), called)
      : (goes.map((ids) => problemOfGo(batches, ids, called)).find((problem) => problem !== null) ?? null))
  )
}

type Called = (id: number) => string

/** Every string once, and none beside. */
function notTheSet(batches: Batches, goes: readonly (readonly number[])[], called: Called): string | null {
  if (goes.some((ids) => ids.length === 0)) return 'A go without a string is none: leave it out.'
  const seen = new Set<number>()
  const wanted = new Set(batches.bench.changed.map(({ id }) => id))
  for (const id of goes.flat()) {
    if (seen.has(id)) return `${capital(called(id))} is in the order twice.`
    if (!wanted.has(id)) return `${capital(called(id))} is not one of the strings to change.`
    seen.add(id)
  }
  const missing = [...wanted].find((id) => !seen.has(id))
  return missing === undefined ? null : `${capital(called(missing))} is in no go of the order.`
}

/** A string that comes before one that it lies over, or crosses. */
function outOfOrder(batches: Batches, ids: readonly number[], called: Called): string | null {
  for (const [i, id] of ids.entries()) {
    const before = ids.slice(0, i).find((other) => batches.goesBefore(id, other))
    if (before !== undefined)
      return `${capital(called(before))} ${batches.piece(id).over.includes(before) ? 'lies over' : 'crosses'} ${called(id)}: ${called(id)} goes on first.`
  }
  return null
}

function problemOfGo(batches: Batches, ids: readonly number[], called: Called): string | null {
  const wanted = new Set(batches.bench.changed.map(({ id }) => id))
  for (const id of ids) {
    const elsewhere = batches.piece(id).over.find((other) => wanted.has(other) && !ids.includes(other))
    if (elsewhere !== undefined)
      return `${capital(called(elsewhere))} lies over ${called(id)}: they come off in the same go.`
  }
  const turnedRound = outOfOrder(batches, ids, called)
  if (turnedRound) return turnedRound
  const carried = batches.carried(ids)
  // What can't be parted is as it is.
  if (isAllowed(carried, batches.bench.allowed) || unitsOf(batches).some((unit) => sameSet(unit, ids)))
    return null
  const { share, shift } = batches.bench.allowed
  const others = ids.length === 1 ? '' : ` and ${ids.length - 1} more`
  return carried.share < share
    ? `With ${called(itemAt(ids, 0))}${others} off, the frame would carry ${percent(carried.share)} of its load; the house wants ${percent(share)}.`
    : `With ${called(itemAt(ids, 0))}${others} off, the load would move along the board by ${percent(Math.abs(carried.shift))} of it; at most ${percent(shift)} is kept to. Spread them along the board.`
}

const sameSet = (a: readonly number[], b: readonly number[]) =>
  a.length === b.length && a.every((one) => b.includes(one))
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
const percent = (share: number) => `${Math.floor(share * 100)} %`
