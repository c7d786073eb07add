/**
 * What is believed of an instrument's quantities: each by its logarithm, normally distributed round what is assumed now.
 * Lengths of neighbours go together; a measurement of one tells of the others.
 */
import { itemAt } from '../list/item-at'
import type { Measured, Quantity } from './quantity'

/** Strings apart over which lengths forget each other: a neck is one smooth curve. */
const REACH = 12
/** Share of a length's variance that is its own: pins and pegs are drilled by hand. */
const OWN = 0.02

export interface Beliefs {
  readonly quantities: readonly Quantity[]
  /** Covariance of their logarithms, row by row. */
  readonly spread: readonly (readonly number[])[]
}

/** What the preset leaves open, with what was measured of it; what was measured of a part that is gone since is passed over. */
export function beliefsOf(quantities: readonly Quantity[], measured: readonly Measured[]): Beliefs {
  const spread = quantities.map((a, i) =>
    quantities.map((b, k) => {
      if (i === k) return a.prior ** 2
      const both = a.key.startsWith('speaking') && b.key.startsWith('speaking')
      return both ? (1 - OWN) * a.prior * b.prior * Math.exp(-(((a.from - b.from) / REACH) ** 2)) : 0
    }),
  )
  const there = new Set(quantities.map(({ key }) => key))
  return measured
    .filter(({ key }) => there.has(key))
    .reduce<Beliefs>((now, one) => afterMeasuring(now, one).beliefs, { quantities, spread })
}

/**
 * What is believed once a quantity is measured.
 *
 * @returns the beliefs, and by how much each quantity's logarithm follows that of the measured one
 */
export function afterMeasuring(
  { quantities, spread }: Beliefs,
  { key, error }: Measured,
): { readonly beliefs: Beliefs; readonly follows: readonly number[] } {
  const at = quantities.findIndex((quantity) => quantity.key === key)
  const row = spread[at]
  const quantity = quantities[at]
  if (!row || !quantity) throw new RangeError(`expected a quantity of the instrument, got ${key}`)
  const noise = ((error ?? quantity.error) / quantity.value) ** 2
  const whole = itemAt(row, at) + noise
  const follows = row.map((covariance) => covariance / whole)
  return {
    follows,
    beliefs: {
      quantities,
      spread: spread.map((of, i) => of.map((value, k) => value - itemAt(follows, i) * itemAt(row, k))),
    },
  }
}
