/** A bare instrument strung: the order in which its strings go on, in goes that fit a session. */
import { TO_CHANGE } from '../fitting/covered'
import { positionAt, restPitch, type Instrument } from '../instrument/instrument'
import { tailFacts } from '../knots/fastenings'
import type { Batches } from './batch'

/** More strings than this are no go: nobody keeps so many half up at once. */
const MOST_IN_A_GO = 12

/**
 * The lowest and heaviest first, each before what lies over it or crosses it. Wound strings with beads go in from inside:
 * all of them hang before the harp is stood on the floor for their pins, so that they are one go however many they are.
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
  const hung = hungTogether(instrument, order)
  const rest = order.slice(hung.length)
  const goes = Array.from({ length: Math.ceil(rest.length / size) }, (_, i) =>
    rest.slice(i * size, (i + 1) * size),
  )
  return hung.length > 0 ? [hung, ...goes] : goes
}

/** Those that are hung before any is wound, as they come; none where a plain one has to go on between them. */
function hungTogether(instrument: Instrument, order: readonly number[]): readonly number[] {
  const isHung = (id: number) => {
    const { construction, tail } = positionAt(instrument, id)
    return construction.kind === 'wound' && tailFacts(tail.fastening).hold === 'bead'
  }
  const first = order.findIndex((id) => !isHung(id))
  const hung = order.slice(0, first < 0 ? order.length : first)
  return hung.length === order.filter(isHung).length ? hung : []
}
