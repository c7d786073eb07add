/** What a string risks round a date, against sums by hand. */
import { DAY } from '../units/time'
import { AWAY, roundDate, type TowardDate } from './around-date'
import { lifeFacts } from './life-class'
import { FIRST_DAYS, YEAR } from './period'

const string: TowardDate = {
  lifeClass: 'gut middle',
  on: { since: 'dated', fittedAt: -YEAR, agedBefore: 0 },
  pace: 3,
  paceOfNew: 2,
  failsAtFirst: 0.05,
}
const rate = lifeFacts('gut middle')
const evening = { at: 20 * DAY, hours: 2 }
const end = 20 * DAY + DAY / 12
const grown = (from: number, to: number) => (to / YEAR) ** 2.2 - (from / YEAR) ** 2.2

test('it ages from the latest hour at which it could still be changed, left and changed', () => {
  const round = roundDate(string, rate, evening, 18 * DAY, 0)
  expect(round.agesIfLeft).toBeCloseTo(3 * grown(YEAR + 18 * DAY, YEAR + end), 12)
  expect(round.agesIfChanged).toBeCloseTo(2 * grown(18 * DAY, end), 12)
  // By then a new one has its first two days behind it.
  expect(round.failsIfChanged).toBe(0)
  AWAY.forEach((days, i) => {
    const from = Math.max(0, end - days * DAY)
    expect(round.agesAway[i]?.left).toBeCloseTo(3 * grown(YEAR + from, YEAR + end), 12)
    expect(round.agesAway[i]?.changed).toBeCloseTo(2 * grown(from, end), 12)
  })
})

test('where it is too late to settle, all the time until then counts, and so do the first days of a new one', () => {
  const round = roundDate(string, rate, evening, null, 0)
  expect(round.agesIfLeft).toBeCloseTo(3 * grown(YEAR, YEAR + end), 12)
  expect(round.failsIfChanged).toBe(0.05)
  expect(roundDate(string, rate, evening, FIRST_DAYS / 2, 0).failsIfChanged).toBeCloseTo(0.025, 12)
})

test('where no string is on nothing breaks that is left', () => {
  expect(roundDate({ ...string, on: null }, rate, evening, null, 0).agesIfLeft).toBe(0)
})
