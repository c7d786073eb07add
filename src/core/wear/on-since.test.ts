/** Strings whose age nobody recorded: never taken for new, and no surer than what is known. */
import fc from 'fast-check'
import { chanceItBreaks, chanceBand, ageing } from './life'
import { LIFE_CLASSES, lifeFacts } from './life-class'
import {
  ageBetween,
  agesOver,
  agesWhenEntered,
  chanceBetween,
  onAlready,
  statedHolds,
  usualAge,
  yearsOn,
  type OnSince,
} from './on-since'
import { YEAR } from './period'

const unknown: OnSince = { since: 'unknown', fittedAt: 0, agedBefore: 0 }
const dated = (years: number): OnSince => ({ since: 'dated', fittedAt: -years * YEAR, agedBefore: 0 })
const about = (years: number): OnSince => ({ since: 'about', fittedAt: 0, agedBefore: years * YEAR })

test('a string put on on a day that is known ages by what its shape says, and no more', () => {
  const rate = lifeFacts('gut middle')
  expect(agesOver(rate, 1.5, dated(2), 0, YEAR / 4)).toBeCloseTo(
    ageing(rate.shape, [{ from: 2, to: 2.25, pace: 1.5 }]),
    12,
  )
  const ages = agesOver(rate, 1, dated(2), 0, YEAR)
  expect(chanceBetween(rate, 1, dated(2), 0, YEAR)).toEqual(chanceBand(rate, ages))
})

test('one of which nobody knows is likelier to break than a new one, in every class and at every pace', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LIFE_CLASSES),
      fc.double({ min: 0.3, max: 12, noNaN: true }),
      fc.double({ min: 1 / 52, max: 5, noNaN: true }),
      (lifeClass, pace, years) => {
        const rate = lifeFacts(lifeClass)
        const chance = chanceItBreaks(rate, agesOver(rate, pace, unknown, 0, years * YEAR))
        expect(chance).toBeGreaterThan(chanceItBreaks(rate, agesOver(rate, pace, dated(0), 0, years * YEAR)))
        expect(chance).toBeLessThanOrEqual(1)
        const [low, high] = chanceBetween(rate, pace, unknown, 0, years * YEAR)
        expect(low).toBeLessThanOrEqual(high)
        expect(high).toBeGreaterThanOrEqual(chance * 0.9)
      },
    ),
  )
})

test('what is not known is less sure: the band of its chance is wider than that of one of its usual age', () => {
  for (const lifeClass of LIFE_CLASSES) {
    const rate = lifeFacts(lifeClass)
    const years = usualAge(rate, 1) / YEAR
    const [low, high] = chanceBetween(rate, 1, unknown, 0, YEAR)
    const [knownLow, knownHigh] = chanceBand(rate, agesOver(rate, 1, dated(years), 0, YEAR))
    expect(high - low).toBeGreaterThan(0.85 * (knownHigh - knownLow))
    expect(low).toBeLessThan(knownLow * 1.05)
  }
})

test('ages that may be are weighed: all weights make one, none is older than sixteen years, few are where strings break soon', () => {
  const weights = (hazard: number) => agesWhenEntered(unknown, hazard, 2.2)
  for (const hazard of [1e-4, 0.01, 0.3, 5, 1e4]) {
    const ages = weights(hazard)
    expect(ages.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9)
    for (const { age } of ages) {
      expect(age).toBeGreaterThan(0)
      expect(age).toBeLessThan(16)
    }
  }
  const mean = (hazard: number) => weights(hazard).reduce((sum, { age, weight }) => sum + age * weight, 0)
  expect(mean(1e-4)).toBeGreaterThan(5)
  expect(mean(1)).toBeLessThan(1.5)
})

test('a year that is remembered is off by one; one that lived long tells of a slow rate', () => {
  const rate = lifeFacts('gut treble')
  const [low, high] = ageBetween(rate, 1, about(4), 0)
  expect(low).toBeCloseTo(3, 9)
  expect(high).toBeCloseTo(5, 9)
  // Left truncated at eleven years, a treble of gut would break at once at the rates of most.
  const old = chanceItBreaks(rate, agesOver(rate, 1, about(11), 0, YEAR))
  const { alpha, beta, shape } = rate
  const byHand = 1 - ((beta + 11 ** shape) / (beta + 12 ** shape)) ** alpha
  expect(old).toBeGreaterThan(byHand * 0.85)
  expect(old).toBeLessThan(byHand * 1.15)
})

test('nobody is surer than 99 % of strings of which nothing is known; of others as sure as the figures are', () => {
  expect(statedHolds(0.9999, 0)).toBe(0.9999)
  expect(statedHolds(0.9999, 1)).toBe(0.99)
  expect(statedHolds(0.98, 12)).toBe(0.98)
})

test('the years since it was entered are known, and count', () => {
  const rate = lifeFacts('brass and bronze')
  const ten: OnSince = { since: 'unknown', fittedAt: -10 * YEAR, agedBefore: 0 }
  expect(ageBetween(rate, 1, ten, 0)[0]).toBeGreaterThanOrEqual(10)
  expect(agesOver(rate, 1, ten, 0, YEAR)).toBeGreaterThan(agesOver(rate, 1, unknown, 0, YEAR))
})

test('a year is kept as the age that it gives on the day; one that can’t be is refused in a sentence', () => {
  const now = Date.UTC(2026, 11, 1)
  expect(onAlready(null, now)).toEqual({ since: 'unknown', agedBefore: 0 })
  const { since, agedBefore } = onAlready(2019, now)
  expect(since).toBe('about')
  expect(new Date(now - agedBefore).getUTCFullYear()).toBe(2019)
  expect(yearsOn({ since, fittedAt: now, agedBefore }, now)).toBeCloseTo(7.42, 1)
  expect(onAlready(2026, now).agedBefore).toBeGreaterThan(0)
  expect(() => onAlready(2027, now)).toThrow('The year must be between 1926 and 2026. You typed 2027.')
  expect(() => onAlready(1925, now)).toThrow('You typed 1925.')
  expect(() => onAlready(NaN, now)).toThrow('between 1926 and 2026')
})
