/** A bare instrument strung: the order in which its strings go on, in goes that fit a session. */
import { TO_CHANGE } from '../fitting/covered'
import type { Instrument } from '../instrument/instrument'
import { restPitch } from '../instrument/instrument'
import type { Batches } from './batch'

/** More strings than this are no go: nobody keeps so many half up at once. */
const MOST_IN_A_GO = 12

/**
 * The lowest and heaviest first, each before what lies over it or crosses it.
 *
 * @param minutes - of a session
 * @throws RangeError with a sentence where layers run in a circle, or the session has no time
 */
export function goesFromBare(
  instrument: Instrument,
  batches: Batches,
  minutes: number,
): readonly (readonly number[])[] {
  if (!(minutes > 0)) throw new RangeError('A session takes some minutes: nothing is done in none.')
  const pitch = (id: number) => {
    const position = instrument.positions[id - 1]
    return position ? restPitch(instrument, position) : 0
  }
  const order = batches.inOrder(
    batches.bench.changed.map(({ id }) => id),
    (a, b) => pitch(a) - pitch(b) || batches.piece(b).tension - batches.piece(a).tension || b - a,
  )
  const size = Math.min(MOST_IN_A_GO, Math.max(1, Math.floor(minutes / TO_CHANGE.string)))
  return Array.from({ length: Math.ceil(order.length / size) }, (_, i) =>
    order.slice(i * size, (i + 1) * size),
  )
}
