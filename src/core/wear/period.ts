/** Times that wear is reckoned in. */
import { DAY, HOUR } from '../units/time'

/** ms */
export const YEAR = 365.25 * DAY
/** A string that gives way sooner gave way for its knot or its becket, and says nothing of how strings wear, ms. */
export const FIRST_DAYS = 48 * HOUR

/** Stretches of time ahead that a chance is asked for. */
export const PERIODS = [
  'a month',
  'three months',
  'half a year',
  'a year',
  'two years',
  'five years',
] as const
export type Period = (typeof PERIODS)[number]

const YEARS: Readonly<Record<Period, number>> = {
  'a month': 1 / 12,
  'three months': 1 / 4,
  'half a year': 1 / 2,
  'a year': 1,
  'two years': 2,
  'five years': 5,
}

/** How long it is, years. */
export const yearsOf = (period: Period): number => YEARS[period]
