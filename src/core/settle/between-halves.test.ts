/** A string put on at an interval: what each way of spending it buys. */
import { propertiesOf } from '../strings/materials'
import { ANY_STRING } from './belief'
import { betweenHalves } from './between-halves'
import { driftCents, FIRST_TUNED, newLaw } from './drift'
import { weatherOf } from './weather'

const gut = { start: newLaw(propertiesOf('gut').drift), share: ANY_STRING, weather: weatherOf('gut') }
const ways = (left: number, half = 45, tolerance = 5) =>
  betweenHalves(gut, FIRST_TUNED, left, half, tolerance)
const by = (left: number, way: string) => ways(left).find((one) => one.way === way)!

test('left alone it falls as its law says; every cycle leaves less to fall, the vigorous way least', () => {
  const from = FIRST_TUNED + 10 / 60
  const alone = by(10, 'leave it alone')
  expect(alone.falls).toBeCloseTo(-driftCents(gut.start, from, from + 0.75), 9)
  expect(alone).toMatchObject({ cycles: 0, takes: 0 })
  expect(by(10, 'gentle pulls')).toMatchObject({ cycles: 10, takes: 10 })
  expect(by(10, 'rubbing warm')).toMatchObject({ cycles: 6, takes: 9 })
  expect(by(10, 'gentle pulls').falls).toBeLessThan(alone.falls / 3)
  expect(by(10, 'big sideways motions').falls).toBeLessThan(by(10, 'gentle pulls').falls)
  expect(by(4, 'gentle pulls').falls).toBeGreaterThan(by(8, 'gentle pulls').falls)
})

test('touched up when it is told to be, it is never further off than it may be, and not touched where it holds', () => {
  for (const [left, half, tolerance] of [
    [10, 45, 5],
    [3, 45, 5],
    [20, 60, 2],
  ] as const)
    for (const { touchUps, sharp, falls } of ways(left, half, tolerance)) {
      expect(touchUps).toEqual([...touchUps].sort((a, b) => a - b))
      expect(touchUps.every((at) => at > 0 && at < half)).toBe(true)
      expect(sharp).toBeLessThanOrEqual(tolerance)
      if (falls <= 2 * tolerance) expect(touchUps).toEqual([])
    }
  const { touchUps, sharp } = by(1, 'leave it alone')
  expect(touchUps.length).toBeGreaterThan(0)
  const from = FIRST_TUNED + 1 / 60
  const first = from + touchUps[0]! / 60
  expect(sharp + driftCents(gut.start, from, first)).toBeCloseTo(-5, 6)
})

test('the longer the interval, the likelier it holds; without a minute only leaving it alone is there', () => {
  const chances = [2, 5, 10].map((left) => by(left, 'gentle pulls').chance)
  expect(chances).toEqual([...chances].sort((a, b) => a - b))
  expect(chances.at(-1)!).toBeGreaterThan(0.6)
  expect(by(2, 'leave it alone').chance).toBeLessThan(0.5)
  expect(ways(0).map(({ way }) => way)).toEqual(['leave it alone'])
})
