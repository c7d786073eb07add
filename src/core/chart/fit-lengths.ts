/**
 * Speaking lengths that were not measured, by a smooth curve through those that were: monotone in the logarithm of the
 * length, so that no string comes out longer than the next longer one.
 */
import { monotoneCurve, type Control } from '../instrument/monotone-curve'
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

/**
 * @param known - lengths by number, m
 * @param count - of strings
 * @returns lengths of strings 1 to count, m; those known as they are, beyond the last known one at the same slope
 * @throws RangeError when fewer than two are known, or they don't rise toward the bass
 */
export function fitLengths(known: ReadonlyMap<number, number>, count: number): readonly number[] {
  const controls = [...known]
    .sort(([a], [b]) => a - b)
    .map(([number, length]): Control => [number, Math.log(length)])
  if (controls.length < 2)
    throw new RangeError(
      `Expected at least two measured lengths to draw the others from, got ${controls.length}.`,
    )
  for (const [i, [number, log]] of controls.entries()) {
    const before = controls[i - 1]
    if (before && log < before[1] - 1e-9)
      throw new RangeError(
        `String ${number} is measured shorter than string ${before[0]}; lengths fall toward the treble.`,
      )
  }
  const curve = monotoneCurve(controls)
  const [first, last] = [itemAt(controls, 0), requireValue(controls.at(-1))]
  const slopeAt = (a: Control, b: Control) => (b[1] - a[1]) / (b[0] - a[0])
  const trebleSlope = slopeAt(first, itemAt(controls, 1))
  const bassSlope = slopeAt(requireValue(controls.at(-2)), last)
  return Array.from({ length: count }, (_, i) => {
    const number = i + 1
    const measured = known.get(number)
    if (measured !== undefined) return measured
    const log =
      number < first[0]
        ? first[1] + trebleSlope * (number - first[0])
        : number > last[0]
          ? last[1] + bassSlope * (number - last[0])
          : curve(number)
    return Math.round(Math.exp(log) * 1e4) / 1e4
  })
}
