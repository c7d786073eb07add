/** Ways to restring that people are taught, as goes. A go is filled as far as the frame allows. */
import { itemAt } from '../list/item-at'
import type { Batches } from './batch'
import { passedFirst } from './passed-first'
import { unitsOf } from './plan'

export const RESTRING_WAYS = [
  'least time',
  'one for one, alternating ends',
  'heaviest first',
  'longest first',
  'lowest layer first',
] as const
export type RestringWay = (typeof RESTRING_WAYS)[number]

/** The ways that differ on this instrument: layers only where there are any. */
export const waysFor = (batches: Batches): readonly RestringWay[] =>
  RESTRING_WAYS.filter(
    (way) =>
      way !== 'lowest layer first' ||
      batches.bench.changed.some(({ over, crossing }) => over.length + crossing.length > 0),
  )

/** The goes of a school, each in the order in which it is brought up; no new string is loosened for another. */
export function goesBy(
  batches: Batches,
  way: Exclude<RestringWay, 'least time'>,
): readonly (readonly number[])[] {
  const goes = goesOf(batches, way)
  return passedFirst(batches, goes) ?? alongThePins(batches)
}

/** Goes that follow the pins, for a way whose own goes cross each other. */
function alongThePins(batches: Batches): readonly (readonly number[])[] {
  const along = batches.inOrder(batches.bench.changed.map(({ id }) => id))
  const place = (ids: readonly number[]) => Math.min(...ids.map((id) => along.indexOf(id)))
  return filled(
    batches,
    unitsOf(batches)
      .map((ids) => ({ ids: batches.inOrder(ids) }))
      .sort((a, b) => place(a.ids) - place(b.ids)),
  )
}

function goesOf(batches: Batches, way: Exclude<RestringWay, 'least time'>): readonly (readonly number[])[] {
  const units = unitsOf(batches).map((ids) => ({ ids: batches.inOrder(ids), ...weightOf(batches, ids) }))
  switch (way) {
    case 'one for one, alternating ends': {
      const along = [...units].sort((a, b) => a.at - b.at)
      // From both ends by turns, the bass end first.
      return along.map((_, i) => itemAt(along, i % 2 === 0 ? along.length - 1 - i / 2 : (i - 1) / 2).ids)
    }
    case 'heaviest first':
      return filled(
        batches,
        [...units].sort((a, b) => b.tension - a.tension || a.at - b.at),
      )
    case 'longest first':
      return filled(
        batches,
        [...units].sort((a, b) => b.length - a.length || a.at - b.at),
      )
    case 'lowest layer first':
      return filled(
        batches,
        [...units].sort((a, b) => b.layers - a.layers || b.length - a.length),
      )
  }
}

/** Goes filled in an order, each until the next unit would be too much. */
function filled(
  batches: Batches,
  units: readonly { readonly ids: readonly number[] }[],
): readonly (readonly number[])[] {
  const goes: (readonly number[])[] = []
  for (const { ids } of units) {
    const last = goes.at(-1)
    const both = [...(last ?? []), ...ids]
    if (last && batches.isAllowed(both)) goes[goes.length - 1] = both
    else goes.push(ids)
  }
  return goes
}

function weightOf(batches: Batches, ids: readonly number[]) {
  const pieces = ids.map(batches.piece)
  return {
    tension: pieces.reduce((sum, { tension }) => sum + tension, 0),
    at: pieces.reduce((sum, { at }) => sum + at, 0) / pieces.length,
    length: Math.max(...pieces.map(({ length }) => length)),
    /** How much lies over its lowest. */
    layers: Math.max(...pieces.map(({ over, crossing }) => over.length + crossing.length)),
  }
}
