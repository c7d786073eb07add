/**
 * An instrument after something on it was measured: the value itself, and what follows from it for what is still assumed.
 */
import { boardProblem } from '../hardware/board-in-string'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { afterMeasuring, beliefsOf } from './beliefs'
import { isFirm, longer, quantitiesOf, scaled, type Measured, type QuantityKey } from './quantity'

/** Share by which a longer string may come out the shorter one before it is told. */
const SLIP = 0.03

/**
 * Takes a measured value over. Lengths that nobody measured follow it as far as they are believed to; those that were
 * measured, or that a chart says, stay.
 *
 * @param measured - quantities that were measured before
 * @param value - m
 * @throws RangeError with a sentence that can be shown, when it can't be
 */
export function takeMeasure(
  instrument: Instrument,
  measured: readonly Measured[],
  key: QuantityKey,
  value: number,
): Instrument {
  const quantities = quantitiesOf(instrument)
  const at = quantities.findIndex((quantity) => quantity.key === key)
  const quantity = quantities[at]
  if (!quantity) throw new RangeError('There is no such thing to measure on this instrument.')
  const told = Math.log(value / quantity.value)
  if (Math.abs(told) > 6 * quantity.prior)
    throw new RangeError(
      'That is so far from what instruments of this family have that it must be looked at again: is the unit right?',
    )
  if (!key.startsWith('speaking')) {
    const after = scaled(instrument, quantity, Math.exp(told))
    for (const position of after.positions) {
      const problem = boardProblem(position)
      if (problem) throw new RangeError(problem)
    }
    return after
  }
  const { follows } = afterMeasuring(
    beliefsOf(
      quantities,
      measured.filter((one) => one.key !== key),
    ),
    { key, error: null },
  )
  const factors = new Map(
    quantities.flatMap((other, i) => {
      if (!other.key.startsWith('speaking')) return []
      const stays = other.key !== key && measured.some((one) => one.key === other.key && isFirm(one))
      const by = i === at ? told : stays ? 0 : (follows[i] ?? 0) * told
      return [[instrument.positions[other.from - 1]?.piece, Math.exp(by)] as const]
    }),
  )
  const positions = instrument.positions.map((p) => longer(p, factors.get(p.piece) ?? 1))
  expectInOrder(instrument.positions, positions)
  return { ...instrument, positions }
}

/** @throws RangeError with a sentence that can be shown, when a string has come out shorter than a shorter one */
export function expectInOrder(before: readonly StringPosition[], after: readonly StringPosition[]): void {
  const falls = after.find((p, i) => {
    const shorter = after[i - 1]
    const [was, own] = [before[i - 1], before[i]]
    // Where lengths are much alike, one may be a little shorter than its neighbour.
    return (
      shorter &&
      was &&
      own &&
      was.speakingLength < own.speakingLength &&
      p.speakingLength < shorter.speakingLength * (1 - SLIP)
    )
  })
  if (falls)
    throw new RangeError(
      `String ${falls.number} would come out shorter than string ${falls.number - 1}: measure once more, or look at what was measured near it.`,
    )
}
