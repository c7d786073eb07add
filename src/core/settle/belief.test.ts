import fc from 'fast-check'
import { bandAt, chanceItHolds, expectedAt, holdsFromAge, type Known } from './band'
import { ANY_STRING, SettlingBeliefs, SPREAD, type Evidence } from './belief'
import { decadesBetween, driftCents, type DriftModel } from './drift'
import { oddsOf } from './odds'
import type { CentsReading } from './cents-reading'
import { judgeReading } from './readings'
import { LAW_OFF, READING_OFF, weatherOf, weatherOff } from './weather'

const gut: DriftModel = { perDecade: 45, tau: 0.05 }
const weather = weatherOf('gut')
const anyGut: Known = { start: gut, weather, share: ANY_STRING }

const evidence = (id: string, instrument: string, readings: readonly CentsReading[]): Evidence => ({
  id,
  instrument,
  material: 'gut',
  start: gut,
  weather,
  readings,
})
const readingAt = (tuned: number, age: number, factor: number): CentsReading => ({
  tuned,
  left: 0,
  age,
  cents: factor * driftCents(gut, tuned, age),
})

/** Solves the same tree as one set of normal equations: the house, each instrument, each string. */
function bySolving(strings: readonly Evidence[], asked: string): { mean: number; off: number } {
  const names = ['house', ...new Set(strings.map((s) => s.instrument)), ...strings.map((s) => s.id)]
  const at = (name: string) => names.indexOf(name)
  const a = names.map(() => names.map(() => 0))
  const b = names.map(() => 0)
  const tie = (i: number, j: number, spread: number) => {
    const p = 1 / spread ** 2
    a[i]![i]! += p
    a[j]![j]! += p
    a[i]![j]! -= p
    a[j]![i]! -= p
  }
  a[0]![0]! += 1 / SPREAD.workshop ** 2
  b[0]! += 1 / SPREAD.workshop ** 2
  for (const instrument of new Set(strings.map((s) => s.instrument)))
    tie(0, at(instrument), SPREAD.instrument)
  for (const s of strings) {
    tie(at(s.instrument), at(s.id), SPREAD.string)
    for (const r of s.readings) {
      const fall = s.start.perDecade * decadesBetween(r.tuned, r.age, s.start.tau)
      const variance = READING_OFF ** 2 + (LAW_OFF * fall) ** 2 + weatherOff(s.weather, r.age - r.tuned) ** 2
      a[at(s.id)]![at(s.id)]! += fall ** 2 / variance
      b[at(s.id)]! += (fall * (r.left - r.cents)) / variance
    }
  }
  const solve = (right: readonly number[]) => {
    const m = a.map((row, i) => [...row, right[i]!])
    for (let i = 0; i < m.length; i += 1)
      for (let k = 0; k < m.length; k += 1) {
        if (k === i) continue
        const by = m[k]![i]! / m[i]![i]!
        m[k] = m[k]!.map((value, c) => value - by * m[i]![c]!)
      }
    return m.map((row, i) => row.at(-1)! / row[i]!)
  }
  const unit = names.map((name) => (name === asked ? 1 : 0))
  return { mean: solve(b)[at(asked)]!, off: Math.sqrt(solve(unit)[at(asked)]!) }
}

test('the messages of the tree give what solving it whole gives, for strings among them and new ones', () => {
  const reading = fc.record({
    tuned: fc.double({ min: 0.25, max: 40, noNaN: true }),
    longer: fc.double({ min: 0.5, max: 100, noNaN: true }),
    factor: fc.double({ min: 0.5, max: 1.8, noNaN: true }),
  })
  fc.assert(
    fc.property(
      fc.array(
        fc.record({ of: fc.constantFrom('A', 'B', 'C'), readings: fc.array(reading, { maxLength: 3 }) }),
        { minLength: 1, maxLength: 6 },
      ),
      (drawn) => {
        const strings = drawn.map(({ of, readings }, i) =>
          evidence(
            `s${i}`,
            of,
            readings.map(({ tuned, longer, factor }) => readingAt(tuned, tuned + longer, factor)),
          ),
        )
        const beliefs = new SettlingBeliefs(strings)
        for (const string of strings) {
          const told = beliefs.of(string)
          const solved = bySolving(strings, string.id)
          expect(told.mean).toBeCloseTo(solved.mean, 8)
          expect(told.off).toBeCloseTo(solved.off, 8)
        }
        const fresh = evidence('new', 'A', [])
        expect(beliefs.of(fresh).mean).toBeCloseTo(bySolving([...strings, fresh], 'new').mean, 8)
      },
    ),
  )
})

test('readings pull a string’s law their way, its like a little, and make both surer', () => {
  const fast = evidence('fast', 'A', [readingAt(0.25, 2, 1.5), readingAt(2, 20, 1.5)])
  const beliefs = new SettlingBeliefs([fast])
  const own = beliefs.of(fast)
  const beside = beliefs.of(evidence('beside', 'A', []))
  const elsewhere = beliefs.of(evidence('elsewhere', 'B', []))
  expect(own.mean).toBeGreaterThan(1.35)
  expect(own.mean).toBeLessThan(1.5)
  expect(beside.mean).toBeGreaterThan(elsewhere.mean)
  expect(elsewhere.mean).toBeGreaterThan(1)
  expect(own.off).toBeLessThan(beside.off)
  expect(beside.off).toBeLessThan(elsewhere.off)
  expect(elsewhere.off).toBeLessThan(ANY_STRING.off)
  expect(new SettlingBeliefs([]).of(evidence('alone', 'A', []))).toEqual({
    mean: 1,
    off: expect.closeTo(ANY_STRING.off, 9) as number,
  })
})

test('whatever is typed, a drift stays within a fifth and five times of its like', () => {
  const wild = (cents: number) => evidence('wild', 'A', [{ tuned: 1, left: 0, age: 1000, cents }])
  expect(new SettlingBeliefs([wild(1200)]).of(wild(1200)).mean).toBe(0.2)
  expect(new SettlingBeliefs([wild(-1200)]).of(wild(-1200)).mean).toBe(5)
})

test('a reading taken the moment it was tuned teaches nothing', () => {
  const { mean } = new SettlingBeliefs([]).of(
    evidence('now', 'A', [{ tuned: 3, left: 0, age: 3, cents: -20 }]),
  )
  expect(mean).toBe(1)
})

test('the band is the wider the further it looks, and holds what is expected', () => {
  for (const age of [3, 30, 300]) {
    const [low, high] = bandAt(anyGut, 2, 0, age)
    const { cents } = expectedAt(anyGut, 2, 0, age)
    expect((low + high) / 2).toBeCloseTo(cents, 9)
  }
  const width = (age: number) => bandAt(anyGut, 2, 0, age)[1] - bandAt(anyGut, 2, 0, age)[0]
  expect(width(30)).toBeGreaterThan(width(3))
})

test('the older a string is the likelier it holds, and from the age that is told it does', () => {
  const chances = [1, 5, 25, 125, 625].map((age) => chanceItHolds(anyGut, age, 2, 5))
  expect(chances).toEqual([...chances].sort((a, b) => a - b))
  const from = holdsFromAge(anyGut, 2, 5)
  expect(chanceItHolds(anyGut, from, 2, 5)).toBeCloseTo(0.9, 3)
  // The law alone says 6.81 h, where the chance is but a half.
  expect(from).toBeGreaterThan(6.81)
  expect(chanceItHolds(anyGut, 6.81, 2, 5)).toBeLessThan(0.6)
})

test('the odds of a reading add up, and a deeper one is the likelier a slip', () => {
  const expected = expectedAt(anyGut, 2, 0, 6)
  let slip = 0
  for (const cents of [-20, -40, -60, -90, -200, -1200]) {
    const odds = oddsOf(expected, cents)
    expect(odds.settling + odds.slip + odds.weather).toBeCloseTo(1, 9)
    expect(odds.slip).toBeGreaterThanOrEqual(slip)
    slip = odds.slip
  }
  expect(slip).toBeGreaterThan(0.999)
  expect(oddsOf(expected, 60).weather).toBeGreaterThan(0.9)
})

test('a fall far past what is known is a slip, an ordinary one is not, a rise is odd', () => {
  const judged = (cents: number) => judgeReading(anyGut, { tuned: 2, left: 0, age: 6, cents }).kind
  expect(judged(-22)).toBe('settling')
  expect(judged(-80)).toBe('slip')
  expect(judged(12)).toBe('rise')
  // What was left at −100 is judged from there.
  expect(judgeReading(anyGut, { tuned: 2, left: -100, age: 6, cents: -122 }).kind).toBe('settling')
})
