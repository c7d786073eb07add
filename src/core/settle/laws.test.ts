import fc from 'fast-check'
import {
  decadesBetween,
  driftCents,
  FOR_EVER,
  nextRetune,
  readyFrom,
  retunePlan,
  type DriftModel,
} from './drift'

const laws = fc.record<DriftModel>({
  perDecade: fc.double({ min: 5, max: 150, noNaN: true }),
  tau: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
})
const hours = fc.double({ min: 0.1, max: 500, noNaN: true })
const tolerances = fc.double({ min: 2, max: 30, noNaN: true })

test('falls add up: tuned once and read twice, the second fall holds the first', () => {
  fc.assert(
    fc.property(laws, hours, hours, hours, (law, start, a, b) => {
      const whole = driftCents(law, start, start + a + b)
      expect(driftCents(law, start, start + a) + driftCents(law, start + a, start + a + b)).toBeCloseTo(
        whole,
        9,
      )
    }),
  )
})

test('a string only falls, and ever more slowly', () => {
  fc.assert(
    fc.property(laws, hours, hours, (law, start, step) => {
      const first = driftCents(law, start, start + step)
      const second = driftCents(law, start + step, start + 2 * step)
      expect(first).toBeLessThan(0)
      expect(second).toBeLessThan(0)
      expect(second).toBeGreaterThan(first)
    }),
  )
})

test('at the next retune it has fallen by just the tolerance', () => {
  fc.assert(
    fc.property(laws, hours, tolerances, (law, tuned, tolerance) => {
      const next = nextRetune(law, tuned, tolerance)
      if (next < FOR_EVER) expect(driftCents(law, tuned, next)).toBeCloseTo(-tolerance, 6)
      else expect(driftCents(law, tuned, next)).toBeGreaterThan(-tolerance - 1e-9)
    }),
  )
})

test('tuned when it is ready, it falls by just the tolerance through the window', () => {
  fc.assert(
    fc.property(laws, tolerances, fc.double({ min: 0.5, max: 6, noNaN: true }), (law, tolerance, window) => {
      const ready = readyFrom(law, tolerance, window)
      const fall = driftCents(law, ready, ready + window)
      if (ready > 0) expect(fall).toBeCloseTo(-tolerance, 6)
      else expect(fall).toBeGreaterThanOrEqual(-tolerance - 1e-9)
    }),
  )
})

test('every interval of a plan is the same multiple of the last', () => {
  const law: DriftModel = { perDecade: 110, tau: 0.05 }
  const ages = [0.25, ...retunePlan(law, 0.25, 15, 1000, 30)]
  const gaps = ages.slice(1).map((age, i) => age - ages[i]!)
  const multiples = gaps.slice(1).map((gap, i) => gap / gaps[i]!)
  for (const multiple of multiples) expect(multiple).toBeCloseTo(10 ** (15 / 110), 9)
})

test('ages below nothing are refused', () => {
  expect(() => decadesBetween(-1, 2, 0.05)).toThrow('age when tuned: expected zero or more, got -1.')
  expect(() => readyFrom({ perDecade: 45, tau: 0.05 }, 5, 0)).toThrow('window')
  expect(() => nextRetune({ perDecade: 0, tau: 0.05 }, 1, 5)).toThrow('drift per decade')
})
