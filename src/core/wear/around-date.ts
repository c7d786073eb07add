/** What a string risks round a date, left as it is and put on new now. Times in ms. */
import { HOUR } from '../units/time'
import { ageing } from './life'
import type { LifeClass, Rate } from './life-class'
import { agesOver, type OnSince } from './on-since'
import { FIRST_DAYS, YEAR } from './period'

/** A string as it goes toward a date. */
export interface TowardDate {
  readonly lifeClass: LifeClass
  /** Null where no string is on. */
  readonly on: OnSince | null
  /** How fast it ages as it is, and how fast a new one does. */
  readonly pace: number
  readonly paceOfNew: number
  /** The share of new strings that give way in their first days. */
  readonly failsAtFirst: number
}

export interface Evening {
  readonly at: number
  readonly hours: number
}

/** Ageing in years^shape of its class, over the time in which a break can’t be mended any more. */
export interface RoundDate {
  readonly agesIfLeft: number
  readonly agesIfChanged: number
  readonly failsIfChanged: number
  /** What it ages by while one is away so long; see `AWAY`. */
  readonly agesAway: readonly { readonly left: number; readonly changed: number }[]
}

/** How long one is away, days. */
export const AWAY = [1, 3, 7, 30] as const

/**
 * @param rate - of the string's class
 * @param latest - the latest hour at which a new string still settles; null where that is past
 */
export function roundDate(
  { on, pace, paceOfNew, failsAtFirst }: TowardDate,
  rate: Rate,
  { at, hours }: Evening,
  latest: number | null,
  now: number,
): RoundDate {
  const end = at + hours * HOUR
  const left = (from: number) => (on === null ? 0 : agesOver(rate, pace, on, from, end))
  const changed = (from: number) =>
    ageing(rate.shape, [{ from: years(now, from), to: years(now, end), pace: paceOfNew }])
  // From then on a string that breaks can't be replaced by one that settles in time.
  const tooLate = Math.max(now, latest ?? now)
  return {
    agesIfLeft: left(tooLate),
    agesIfChanged: changed(tooLate),
    failsIfChanged: failsAtFirst * Math.max(0, 1 - (tooLate - now) / FIRST_DAYS),
    agesAway: AWAY.map((days) => {
      const leaving = Math.max(now, end - days * 24 * HOUR)
      return { left: left(leaving), changed: changed(leaving) }
    }),
  }
}

const years = (since: number, at: number) => Math.max(0, (at - since) / YEAR)
