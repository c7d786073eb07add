/** The rule by which backups are kept. */
import { DAY } from '../units/time'
import { keptTimes } from './retention'

const from = Date.UTC(2026, 0, 1, 3)

test('of three years of nightly backups the last of seven days, four weeks and twelve months are left', () => {
  const nights = Array.from({ length: 1096 }, (_, i) => from + i * DAY)
  const kept = [...keptTimes(nights)].sort((a, b) => b - a)
  const last = nights.at(-1) as number
  for (let day = 0; day < 7; day += 1) expect(kept).toContain(last - day * DAY)
  expect(kept.length).toBeGreaterThanOrEqual(7 + 2 + 11)
  expect(kept.length).toBeLessThanOrEqual(7 + 4 + 12)
  expect(new Set(kept.map((at) => new Date(at).toISOString().slice(0, 7))).size).toBe(12)
})

test('taken day by day and thinned out each day, the same are left', () => {
  let left: readonly number[] = []
  const nights = Array.from({ length: 500 }, (_, i) => from + i * DAY)
  for (const night of nights) left = [...keptTimes([...left, night])]
  const last = nights.at(-1) as number
  expect(left).toContain(last)
  expect(left.filter((at) => at > last - 7 * DAY)).toHaveLength(7)
  expect(new Set(left.map((at) => new Date(at).toISOString().slice(0, 7))).size).toBe(12)
})

test('of several on one day the last is kept, and what is old is kept while nothing newer takes its place', () => {
  expect(keptTimes([from, from + 1000, from + 2000])).toEqual(new Set([from + 2000]))
  expect(keptTimes([from, from + 400 * DAY])).toEqual(new Set([from, from + 400 * DAY]))
})
