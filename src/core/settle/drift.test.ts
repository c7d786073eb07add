import { driftCents, nextRetune, readyFrom, retunePlan, STARTING_TAU, type DriftModel } from './drift'

const gut: DriftModel = { perDecade: 45, tau: STARTING_TAU }

test('worked figures of the drift law', () => {
  expect(nextRetune(gut, 1, 10)).toBeCloseTo(1.7015, 4)
  expect(readyFrom(gut, 5, 2)).toBeCloseTo(6.81, 2)
  expect(driftCents(gut, 0.25, 6)).toBeCloseTo(-58.71, 2)
})

test('each retune in a plan falls due when the string has fallen by just the tolerance', () => {
  const plan = retunePlan(gut, 0.25, 10, 200, 50)
  expect(plan.length).toBeGreaterThan(5)
  plan.forEach((age, i) => expect(driftCents(gut, plan[i - 1] ?? 0.25, age)).toBeCloseTo(-10, 9))
  expect(plan.at(-1)).toBeLessThanOrEqual(200)
  expect(retunePlan(gut, 0.25, 10, 200, 3)).toHaveLength(3)
})

test('a nonsense tolerance is refused by name', () => {
  expect(() => nextRetune(gut, 1, 0)).toThrow('tolerance: expected a number greater than zero, got 0.')
})
