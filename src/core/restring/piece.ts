/**
 * What is changed in a restring, piece by piece: a wire that is two strings is one of them. Each with what it pulls, where along
 * the board it pulls, and what lies over it.
 */
import { isInBox, isOnFoot } from '../knots/fastenings'
import {
  firstOfPieces,
  NoSuchString,
  positionAt,
  restPitch,
  samePiece,
  type Instrument,
  type StringPosition,
} from '../instrument/instrument'
import { directlyOver, layersOver } from '../instrument/layers'
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { tension } from '../strings/tension'

export interface Piece {
  /** The first of its positions stands for it. */
  readonly id: number
  readonly numbers: readonly number[]
  /** At pitch, all its strings together, N. */
  readonly tension: number
  /** Where it pulls, along the board from its treble end, m. */
  readonly at: number
  /** Its longest speaking length, m. */
  readonly length: number
  /** Its end is fastened inside, with the instrument lying. */
  readonly inside: boolean
  /** Pieces that lie over it on its foot: they must be off before it is, and go on after it. By id. */
  readonly over: readonly number[]
  /** Pieces that cross over its pin: they are moved aside for it, where they don’t come off as well. By id. */
  readonly crossing: readonly number[]
}

/** All pieces of an instrument, by number. */
export function piecesOf(instrument: Instrument): readonly Piece[] {
  const along = alongBoard(instrument)
  return firstOfPieces(instrument).map((position) => {
    const strings = samePiece(instrument, position)
    const pulls = strings.map((p) => tension(p.construction, p.speakingLength, restPitch(instrument, p)))
    const all = pulls.reduce((a, b) => a + b, 0)
    const own = new Set(strings.map(({ number }) => number))
    const others = (over: readonly StringPosition[]) => [
      ...new Set(
        over
          .filter(({ number }) => !own.has(number))
          .map((p) => requireValue(samePiece(instrument, p)[0]?.number)),
      ),
    ]
    const onFoot = strings.filter(isOnFoot)
    return {
      id: position.number,
      numbers: strings.map(({ number }) => number),
      tension: all,
      at: strings.reduce((sum, p, i) => sum + along(p.number) * itemAt(pulls, i), 0) / all,
      length: Math.max(...strings.map(({ speakingLength }) => speakingLength)),
      inside: isInBox(position),
      over: others(onFoot.flatMap((p) => layersOver(instrument, p))),
      crossing: others(strings.filter((p) => !isOnFoot(p)).flatMap((p) => directlyOver(instrument, p))),
    }
  })
}

/**
 * The pieces that some strings are.
 *
 * @throws RangeError with a sentence where a string is named twice; NoSuchString where there is none
 */
export function piecesToChange(
  instrument: Instrument,
  pieces: readonly Piece[],
  numbers: readonly number[],
): readonly Piece[] {
  if (numbers.length === 0) throw new NoSuchString('Choose at least one string.')
  const named = new Set<number>()
  for (const number of numbers) {
    positionAt(instrument, number)
    if (named.has(number)) throw new RangeError(`String ${number} is in the set twice.`)
    named.add(number)
  }
  return pieces.filter((piece) => piece.numbers.some((number) => named.has(number)))
}

/** How far along the board a string stands, from the first, m. */
function alongBoard({ positions }: Instrument): (number: number) => number {
  const first = positions[0]?.at.tail ?? { x: 0, y: 0 }
  const last = positions.at(-1)?.at.tail ?? first
  const length = Math.hypot(last.x - first.x, last.y - first.y)
  return (number) => {
    const { x, y } = positions[number - 1]?.at.tail ?? first
    return length === 0
      ? 0
      : ((x - first.x) * (last.x - first.x) + (y - first.y) * (last.y - first.y)) / length
  }
}
