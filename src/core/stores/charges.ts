/** What work costs its owner: strings by kind, and time. Estimates, as long as nobody has written an invoice. */
import type { StringSpec } from './string-spec'

/** A string that was put on. */
export interface ChargedString {
  /** `gut, 1.10 mm` */
  readonly what: string
  readonly spec: StringSpec
  /** m */
  readonly cut: number
}

export interface Charge {
  readonly what: string
  /** Strings, or hours. */
  readonly count: number
  /** Hundredths of the workshop's money; null where nobody sells it alone. */
  readonly each: number | null
  readonly amount: number | null
}

export interface Charges {
  readonly strings: readonly Charge[]
  /** Null where time costs nothing, or was not recorded. */
  readonly work: Charge | null
  /** Of what has a price. */
  readonly total: number
  readonly currency: string
}

/** What an hour costs, in which money, and what a string does; a price is null where nobody sells it alone. */
interface Prices {
  readonly hourMinor: number
  readonly currency: string
  readonly priceOf: (spec: StringSpec, cut: number) => number | null
}

/** @param minutes - of work; null where nobody recorded it */
export function chargesOf(
  strings: readonly ChargedString[],
  minutes: number | null,
  { hourMinor, currency, priceOf }: Prices,
): Charges {
  const kinds = new Map<string, Charge>()
  for (const { what, spec, cut } of strings) {
    const each = kinds.get(what)?.each ?? priceOf(spec, cut)
    const count = (kinds.get(what)?.count ?? 0) + 1
    kinds.set(what, { what, count, each, amount: each === null ? null : each * count })
  }
  const hours = minutes === null ? 0 : minutes / 60
  const work =
    hours * hourMinor < 1
      ? null
      : { what: 'work', count: hours, each: hourMinor, amount: Math.round(hours * hourMinor) }
  const all = [...kinds.values(), ...(work ? [work] : [])]
  return {
    strings: [...kinds.values()],
    work,
    total: all.reduce((sum, { amount }) => sum + (amount ?? 0), 0),
    currency,
  }
}
