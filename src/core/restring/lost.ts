/** What pieces that are brought up after one another take from each other. */
import { itemAt } from '../list/item-at'
import { boardStrings, type BoardYields } from '../rounds/board'
import type { Instrument } from '../instrument/instrument'
import type { Piece } from './piece'

/** Cents that one piece falls by when another is brought from slack to its pitch; of a pair the string that falls most counts. `senses` are factors by string. */
export function lostBetween(
  instrument: Instrument,
  pieces: readonly Piece[],
  { compliance, reach }: BoardYields,
  senses: readonly number[] = [],
): (fallen: number, raised: number) => number {
  const strings = boardStrings(instrument)
  const falls = new Map<number, number>()
  const key = (fallen: number, raised: number) => fallen * 1e6 + raised
  for (const fallen of pieces)
    for (const raised of pieces) {
      if (fallen === raised) continue
      const cents = fallen.numbers.map((number) => {
        const felt = itemAt(strings, number - 1)
        return (
          (senses[number - 1] ?? 1) *
          raised.numbers.reduce((sum, other) => {
            const pulls = itemAt(strings, other - 1)
            const apart = Math.hypot(felt.at.x - pulls.at.x, felt.at.y - pulls.at.y)
            const up = compliance * pulls.tension * pulls.lean * Math.exp(-apart / reach)
            return sum + up * felt.lean * felt.perMetre
          }, 0)
        )
      })
      falls.set(key(fallen.id, raised.id), Math.max(...cents))
    }
  return (fallen, raised) => falls.get(key(fallen, raised)) ?? 0
}
