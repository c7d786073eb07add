import { DAY } from '@/core/units/time'
import { roundDate } from '@/core/wear/around-date'
import { chanceItBreaks, type Rates } from '@/core/wear/life'
import type { BeforeDate } from '@/data/views/before-date'

/** The same before a date that is moved by some days: what each string risks then. When someone is there is left out. */
export function movedBy(before: BeforeDate, days: number): BeforeDate {
  if (days === 0) return before
  const date = { ...before.date, at: before.date.at + days * DAY }
  return {
    ...before,
    date,
    strings: before.strings.map((string) => {
      const due = date.at - string.lead
      const latest = due > before.now ? due : null
      const rate = (before.rates as Rates)[string.lifeClass]
      const round = roundDate(string, rate, date, latest, before.now)
      return { ...string, ...round, latest, risk: chanceItBreaks(rate, round.agesIfLeft) }
    }),
  }
}
