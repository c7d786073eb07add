/**
 * Two neighbouring strings made one wire round two posts, and such a wire made two strings again.
 */
import { sameGauges, sameMake, surfaceMaterial } from '../strings/construction'
import { renumbered, type ChangedStrings } from './change-strings'
import { positionAt, samePiece, type Instrument, type StringPosition } from './instrument'

/** Of a post where nothing says how thick it is, m. */
const POST = 0.0025

/**
 * Makes a string and the next longer one a single wire that goes round two posts. Their notes stay their own.
 *
 * @param number - of the shorter one
 * @throws RangeError with a sentence where there is no next one, one is half of a wire already, or they are no wire of one gauge
 */
export function pairedWithNext(instrument: Instrument, number: number): ChangedStrings {
  const first = positionAt(instrument, number)
  const second = instrument.positions[number]
  if (!second) throw new RangeError(`String ${number} is the last one. Choose the one before it.`)
  for (const p of [first, second])
    if (samePiece(instrument, p).length > 1)
      throw new RangeError(`String ${p.number} is half of a wire already.`)
  const [a, b] = [first.construction, second.construction]
  if (!surfaceMaterial(a).wire || !surfaceMaterial(b).wire)
    throw new RangeError('Only a wire goes round two posts. Change the material in the chart first.')
  if (!sameMake(a, b) || !sameGauges(a, b))
    throw new RangeError(
      `Strings ${number} and ${number + 1} have different gauges. One wire has one gauge: correct the chart first.`,
    )
  const post = first.tail.postDiameter ?? second.tail.postDiameter ?? POST
  return changed(instrument, (p) =>
    p === first || p === second
      ? {
          ...p,
          piece: first.piece,
          construction: a,
          tail: { ...p.tail, fastening: 'round two posts', postDiameter: post, eyeletBore: null },
        }
      : p,
  )
}

/**
 * Makes a wire that is two strings two strings, each with a loop on its post.
 *
 * @throws RangeError with a sentence where the string is no half of a wire
 */
export function unpaired(instrument: Instrument, number: number): ChangedStrings {
  const both = samePiece(instrument, positionAt(instrument, number))
  if (both.length === 1) throw new RangeError(`String ${number} has its own wire already.`)
  return changed(instrument, (p) =>
    both.includes(p)
      ? {
          ...p,
          piece: p === both[0] ? p.piece : Number.MAX_SAFE_INTEGER,
          tail: { ...p.tail, fastening: 'loop on a hitch pin' },
        }
      : p,
  )
}

function changed(instrument: Instrument, change: (p: StringPosition) => StringPosition): ChangedStrings {
  return renumbered(
    instrument,
    instrument.positions.map((p) => [change(p), p.number] as const),
  )
}
