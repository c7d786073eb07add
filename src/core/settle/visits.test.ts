import fc from 'fast-check'
import { HOUR } from '../units/time'
import { decadesBetween } from './drift'
import { isOpen, openSlots, whenOpen, type OpenHours } from './open-hours'
import { planVisits, planWithFewer, type VisitedString } from './visits'

const string = (perDecade: number, fittedAt: number, id = `${perDecade} ${fittedAt}`): VisitedString => ({
  id,
  law: { perDecade, tau: 0.05 },
  fittedAt,
  tunedAt: fittedAt + 0.25 * HOUR,
  left: 0,
})

/** What a choice of visits costs: each visit one, and half for each cent that a string strays too far. */
function costOf(
  strings: readonly VisitedString[],
  visits: readonly number[],
  end: number,
  keep: number,
  hold: number,
) {
  const stops = [...visits, end]
  let cost = visits.length
  for (const { law, fittedAt, tunedAt } of strings) {
    stops.forEach((stop, i) => {
      const from = i === 0 ? tunedAt : stops[i - 1]!
      const age = (at: number) => Math.max(0, at - fittedAt) / HOUR
      const fall = law.perDecade * decadesBetween(age(from), Math.max(age(from), age(stop)), law.tau)
      // Whoever comes leaves a string sharp by half of what it falls; as it stands now it is left at pitch.
      const allowed = (i === 0 ? 1 : 2) * (stop === end ? Math.min(keep, hold) : keep)
      cost += 0.5 * Math.max(0, fall - allowed)
    })
  }
  return cost
}

test('of two visits no other choice strays less, and as many as the plan needs stray no more than it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(8, 45, 110), { minLength: 1, maxLength: 3 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 90 }), { minLength: 3, maxLength: 9 }),
      (drifts, hours) => {
        const strings = drifts.map((perDecade, i) => string(perDecade, -HOUR, `s${i}`))
        const slots = hours.sort((a, b) => a - b).map((hour) => hour * HOUR)
        const asked = { strings, slots, until: 100 * HOUR, hours: 2, keepWithin: 10, holdWithin: 5 }
        const strayed = (chosen: readonly number[]) =>
          costOf(strings, chosen, 102 * HOUR, 10, 5) - chosen.length
        const two = planWithFewer(asked, 2)
        expect(two.visits.length).toBeLessThanOrEqual(2)
        const ours = strayed(two.visits.map(({ at }) => at))
        for (const a of slots)
          for (const b of slots.filter((at) => at >= a))
            expect(ours).toBeLessThanOrEqual(strayed(a === b ? [a] : [a, b]) + 1e-6)
        const plan = planVisits(asked)
        const asMany = planWithFewer(asked, plan.visits.length)
        expect(strayed(asMany.visits.map(({ at }) => at))).toBeLessThanOrEqual(
          strayed(plan.visits.map(({ at }) => at)) + 1e-6,
        )
      },
    ),
    { numRuns: 60 },
  )
})

test('no other choice of visits is better than the plan', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          perDecade: fc.constantFrom(8, 45, 110),
          since: fc.double({ min: 0.3, max: 60, noNaN: true }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      fc.uniqueArray(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 8 }),
      fc.constantFrom(5, 10, 15),
      (drawn, hours, keep) => {
        const strings = drawn.map(({ perDecade, since }, i) => string(perDecade, -since * HOUR, `s${i}`))
        const slots = hours.sort((a, b) => a - b).map((hour) => hour * HOUR)
        const [until, hold] = [100 * HOUR, 5]
        const { visits } = planVisits({ strings, slots, until, hours: 2, keepWithin: keep, holdWithin: hold })
        const cost = (chosen: readonly number[]) => costOf(strings, chosen, until + 2 * HOUR, keep, hold)
        const ours = cost(visits.map(({ at }) => at))
        for (let choice = 0; choice < 2 ** slots.length; choice += 1)
          expect(ours).toBeLessThanOrEqual(cost(slots.filter((_, i) => (choice >> i) & 1)) + 1e-6)
      },
    ),
  )
})

test('each string is left sharp by half of what it falls until it is touched again, and never strays further', () => {
  const strings = [string(45, 0, 'gut'), string(110, -40 * HOUR, 'nylon'), string(8, -3 * HOUR, 'steel')]
  const slots = [...Array(60).keys()].map((i) => (i + 1) * 3 * HOUR)
  const plan = planVisits({ strings, slots, until: 170 * HOUR, hours: 2, keepWithin: 15, holdWithin: 5 })
  expect(plan.over).toBeLessThan(1e-6)
  expect(plan.visits.length).toBeLessThan(8)
  for (const { touches } of plan.visits)
    for (const { leave, otherwise } of touches) {
      expect(leave).toBeGreaterThan(0)
      expect(leave).toBeLessThanOrEqual(15 + 1e-9)
      expect(Math.abs(otherwise)).toBeGreaterThan(5)
    }
  // Steel that hardly moves is not touched at every visit.
  const touched = (id: string) =>
    plan.visits.filter(({ touches }) => touches.some((one) => one.id === id)).length
  expect(touched('steel')).toBeLessThan(touched('gut'))
  expect(touched('steel')).toBeGreaterThan(0)
})

test('where nobody is there in time it says by how much a string strays', () => {
  const plan = planVisits({
    strings: [string(110, 0)],
    slots: [HOUR, 40 * HOUR],
    until: 60 * HOUR,
    hours: 2,
    keepWithin: 10,
    holdWithin: 5,
  })
  expect(plan.over).toBeGreaterThan(10)
})

describe('open hours', () => {
  const hours: OpenHours = { opens: 9, closes: 17.5, days: [1, 2, 3, 4, 5], timeZone: 'Europe/Berlin' }
  const at = (text: string) => Date.parse(text)
  test('are the house’s own, on its days, without what is taken', () => {
    expect(isOpen(at('2026-11-24T08:30:00+01:00'), hours)).toBe(false)
    expect(isOpen(at('2026-11-24T09:00:00+01:00'), hours)).toBe(true)
    expect(isOpen(at('2026-11-24T17:30:00+01:00'), hours)).toBe(true)
    expect(isOpen(at('2026-11-22T12:00:00+01:00'), hours)).toBe(false)
    const busy = [{ from: at('2026-11-24T10:00:00+01:00'), until: at('2026-11-24T12:00:00+01:00') }]
    const slots = openSlots(at('2026-11-24T00:00:00+01:00'), at('2026-11-25T00:00:00+01:00'), hours, busy)
    expect(slots).toHaveLength(18 - 4)
  })
  test('keep their clock when the clocks change', () => {
    const slots = openSlots(at('2026-03-27T00:00:00Z'), at('2026-03-31T00:00:00Z'), hours)
    expect(new Date(slots[0]!).toISOString()).toBe('2026-03-27T08:00:00.000Z')
    expect(new Date(slots[18]!).toISOString()).toBe('2026-03-30T07:00:00.000Z')
  })
  test('a retune at nine past midnight is moved to the evening before, or to the first hour there is', () => {
    const due = at('2026-11-25T00:09:00+01:00')
    const moved = (now: string) => new Date(whenOpen(due, at(now), hours)).toISOString()
    expect(moved('2026-11-24T10:00:00+01:00')).toBe('2026-11-24T16:30:00.000Z')
    expect(moved('2026-11-24T23:00:00+01:00')).toBe('2026-11-25T08:00:00.000Z')
    // One that is due in the day stays, and one that is overdue is due now.
    expect(whenOpen(at('2026-11-24T11:11:00+01:00'), due - 20 * HOUR, hours)).toBe(
      at('2026-11-24T11:11:00+01:00'),
    )
    expect(whenOpen(due, due + HOUR, hours)).toBe(due)
  })
})
