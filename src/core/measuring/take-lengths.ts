/**
 * Several lengths taken over at once, each with its own error, as a picture tells them: neighbours correct each other.
 */
import type { Instrument } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { afterMeasuring, beliefsOf } from './beliefs'
import { isFirm, longer, quantitiesOf, type Measured, type QuantityKey } from './quantity'
import { expectInOrder } from './take-measure'

export interface ReadLength {
  /** Of a string of the piece. */
  readonly number: number
  /** Speaking length, m. */
  readonly length: number
  /** One standard deviation, m. */
  readonly error: number
}

/** A reading further off than this from what the others say of it is a slip of the mark: so many standard deviations. */
const SLIP = 4.5

/**
 * Takes readings over: what was measured by tape stays, and so does what the chart says but for the strings named; two
 * pictures of a string count by how sure each is. Everything else follows as far as it is believed to.
 *
 * @param replaced - strings of which the reading counts beside what the chart says, by number
 * @returns the instrument, and what is measured of it from now on
 * @throws RangeError with a sentence that can be shown, when a reading can’t be, or lengths come out of order
 */
export function takeLengths(
  instrument: Instrument,
  measured: readonly Measured[],
  readings: readonly ReadLength[],
  replaced: readonly number[] = [],
): { readonly instrument: Instrument; readonly measured: readonly Measured[] } {
  const quantities = quantitiesOf(instrument)
  const keyOf = (number: number): QuantityKey => {
    const piece = instrument.positions[number - 1]?.piece
    return `speaking ${instrument.positions.find((p) => p.piece === piece)?.number ?? number}`
  }
  const told = new Map(measured.map(({ key, error }) => [key, error]))
  const firm = new Set(measured.filter(isFirm).map(({ key }) => key))
  const fresh = readings.flatMap((reading) => {
    const key = keyOf(reading.number)
    const before = told.get(key)
    if (before === null || (firm.has(key) && !replaced.includes(reading.number))) return []
    const length = quantities.find((quantity) => quantity.key === key)?.value
    return before === undefined || length === undefined
      ? reading
      : bothOf({ ...reading, length, error: before }, reading)
  })
  const again = new Set(fresh.map(({ number }) => keyOf(number)))
  let beliefs = beliefsOf(
    quantities,
    measured.filter(({ key }) => !again.has(key)),
  )
  let off = quantities.map(() => 0)
  for (const { number, length, error } of fresh) {
    const key = keyOf(number)
    const at = quantities.findIndex((quantity) => quantity.key === key)
    const quantity = quantities[at]
    if (!quantity) throw new RangeError(`There is no string ${number} to measure.`)
    const surprise = Math.log(length / quantity.value) - itemAt(off, at)
    const expected = Math.sqrt(requireValue(beliefs.spread[at]?.[at]) + (error / quantity.value) ** 2)
    if (Math.abs(surprise) > SLIP * expected)
      throw new RangeError(
        `String ${number} would be ${Math.round(length * 1000)} mm, which does not go with the others and its family. Look at its marks, and at the size of the sheet or ruler.`,
      )
    const { follows, beliefs: after } = afterMeasuring(beliefs, { key, error })
    off = off.map((value, i) => value + itemAt(follows, i) * surprise)
    beliefs = after
  }
  const factors = new Map(
    quantities.flatMap(({ key, from }, i) =>
      key.startsWith('speaking') && (!firm.has(key) || again.has(key))
        ? [[instrument.positions[from - 1]?.piece, Math.exp(itemAt(off, i))] as const]
        : [],
    ),
  )
  const positions = instrument.positions.map((p) => longer(p, factors.get(p.piece) ?? 1))
  expectInOrder(instrument.positions, positions)
  return {
    instrument: { ...instrument, positions },
    measured: [
      ...measured.filter(({ key }) => !again.has(key)),
      ...fresh.map(({ number, error }) => ({ key: keyOf(number), error })),
    ],
  }
}

/** Two readings of one string as one. Where they contradict each other, the surer one counts alone: the other was a slip. */
function bothOf(before: ReadLength, now: ReadLength): ReadLength {
  const apart = Math.abs(before.length - now.length)
  if (apart > SLIP * Math.hypot(before.error, now.error)) return now.error <= before.error ? now : before
  const [a, b] = [before.error ** -2, now.error ** -2]
  return { ...now, length: (a * before.length + b * now.length) / (a + b), error: (a + b) ** -0.5 }
}
