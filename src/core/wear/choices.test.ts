import fc from 'fast-check'
import { chanceAllHold } from './breaks-ahead'
import { changesWorthMaking, cheapestThatHolds, type MayChange } from './change-before'
import { coverOf, smallestKit, type MayBreak } from './kit'
import { learnRates } from './life'
import { demandFor, enoughWith, runsOut } from './reorder'
import { setOrSingle } from './set-or-single'

const rates = learnRates([])
const classes = ['gut treble', 'gut middle', 'plain steel'] as const
const subsets = <T>(of: readonly T[]) =>
  Array.from({ length: 2 ** of.length }, (_, mask) => of.filter((_one, i) => (mask >> i) & 1))

describe('what to change before a date', () => {
  const string = fc.record({
    lifeClass: fc.constantFrom(...classes),
    agesIfLeft: fc.double({ min: 0, max: 3, noNaN: true }),
    agesIfChanged: fc.double({ min: 0, max: 0.5, noNaN: true }),
    failsIfChanged: fc.constantFrom(0, 0.02, 0.1),
    cost: fc.constantFrom(300, 450, 900),
  })
  const some = fc
    .array(string, { minLength: 1, maxLength: 8 })
    .map((all) => all.map((one, id): MayChange => ({ ...one, id })))
  const holdsOf = (strings: readonly MayChange[], ids: readonly number[]) =>
    chanceAllHold(
      rates,
      strings.map(({ id, lifeClass, agesIfLeft, agesIfChanged }) => ({
        lifeClass,
        ages: ids.includes(id) ? agesIfChanged : agesIfLeft,
      })),
    ) * ids.reduce((chance, id) => chance * (1 - (strings[id] as MayChange).failsIfChanged), 1)

  it('is as good as the best of all sets, at every cost, on 200 cases', () => {
    fc.assert(
      fc.property(some, (strings) => {
        const changes = changesWorthMaking(rates, strings)
        expect(changes[0]?.ids).toEqual([])
        for (const { ids, cost, holds } of changes) {
          expect(holds).toBeCloseTo(holdsOf(strings, ids), 10)
          expect(cost).toBe(ids.reduce((sum, id) => sum + (strings[id] as MayChange).cost, 0))
        }
        for (const set of subsets(strings)) {
          const cost = set.reduce((sum, one) => sum + one.cost, 0)
          const holds = holdsOf(
            strings,
            set.map(({ id }) => id),
          )
          // The best that costs no more holds at least as well.
          expect(changes.findLast((one) => one.cost <= cost)?.holds).toBeGreaterThanOrEqual(holds - 1e-10)
        }
      }),
      { numRuns: 200 },
    )
  })

  it('finds the cheapest that holds with a chance, and says where none does', () => {
    const strings = Array.from({ length: 47 }, (_, id): MayChange => ({
      id,
      lifeClass: classes[id % 3] as (typeof classes)[number],
      agesIfLeft: 0.05 + (id % 11) / 30,
      agesIfChanged: 0.001,
      failsIfChanged: 0,
      cost: 400 + 37 * (id % 9),
    }))
    const changes = changesWorthMaking(rates, strings)
    const enough = cheapestThatHolds(changes, 0.9)
    expect(enough?.holds).toBeGreaterThanOrEqual(0.9)
    const before = changes[changes.indexOf(enough as (typeof changes)[number]) - 1]
    expect(before?.holds).toBeLessThan(0.9)
    expect(cheapestThatHolds(changes, 1)).toBeNull()
  })
})

describe('what to carry', () => {
  const string = fc.record({
    lifeClass: fc.constantFrom(...classes),
    ages: fc.double({ min: 0, max: 2, noNaN: true }),
    kind: fc.constantFrom('a', 'b', 'c', 'd'),
  })

  it('is the smallest kit of all kits, on 200 cases', () => {
    fc.assert(
      fc.property(
        fc.array(string, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0.3, max: 0.995, noNaN: true }),
        (strings: readonly MayBreak[], wanted) => {
          const most = new Map<string, number>()
          for (const { kind } of strings) most.set(kind, (most.get(kind) ?? 0) + 1)
          let kits: readonly (readonly (readonly [string, number])[])[] = [[]]
          for (const [kind, upTo] of most)
            kits = kits.flatMap((kit) =>
              Array.from({ length: upTo + 1 }, (_, n) => [...kit, [kind, n] as const]),
            )
          const told = kits.map((kit) => ({
            size: kit.reduce((sum, [, n]) => sum + n, 0),
            covers: coverOf(rates, strings, new Map(kit)),
          }))
          const good = told.filter(({ covers }) => covers >= wanted)
          const least = Math.min(...good.map(({ size }) => size))
          const best = Math.max(...good.filter(({ size }) => size === least).map(({ covers }) => covers))
          const found = smallestKit(rates, strings, wanted)
          expect([...(found?.pieces.values() ?? [])].reduce((a, b) => a + b, 0)).toBe(least)
          expect(found?.covers).toBeCloseTo(best, 9)
        },
      ),
      { numRuns: 200 },
    )
  })

  it('covers what closed forms say: nothing carried is no break, a piece for each is everything', () => {
    const strings: MayBreak[] = [
      { lifeClass: 'gut treble', ages: 0.4, kind: 'a' },
      { lifeClass: 'gut treble', ages: 0.7, kind: 'a' },
      { lifeClass: 'gut middle', ages: 3, kind: 'a' },
    ]
    expect(coverOf(rates, strings, new Map())).toBeCloseTo(chanceAllHold(rates, strings), 10)
    expect(coverOf(rates, strings, new Map([['a', 3]]))).toBeCloseTo(1, 10)
    expect(smallestKit(rates, strings, 1.01)).toBeNull()
  })
})

describe('what to reorder', () => {
  it('is enough with the chance asked for, and one piece fewer is not', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            lifeClass: fc.constantFrom(...classes),
            ages: fc.double({ min: 0, max: 3, noNaN: true }),
          }),
          { minLength: 1, maxLength: 30 },
        ),
        fc.double({ min: 0.5, max: 0.99, noNaN: true }),
        (strings, chance) => {
          const demand = demandFor(rates, strings)
          const enough = enoughWith(demand, chance)
          expect(runsOut(demand, enough)).toBeLessThanOrEqual(1 - chance + 1e-9)
          if (enough > 0) expect(runsOut(demand, enough - 1)).toBeGreaterThan(1 - chance - 1e-9)
        },
      ),
    )
  })

  it('keeps more of what shares a rate than of what does not', () => {
    const one = demandFor(
      rates,
      Array.from({ length: 30 }, () => ({ lifeClass: 'gut treble', ages: 0.3 }) as const),
    )
    const mean = one.expected
    const alone = Math.exp(-mean)
    // Two in a hundred months of thirty strings with a rate of their own would need this many.
    let [sum, count, term] = [alone, 0, alone]
    while (sum < 0.98) sum += term *= mean / ++count
    expect(enoughWith(one, 0.98)).toBeGreaterThan(count)
  })
})

describe('a set or single strings', () => {
  const section = (age: number) =>
    Array.from({ length: 10 }, () => ({ lifeClass: 'plain steel', age, pace: 1, price: 4 }) as const)

  it('pays where setting out costs much and the strings are old, and not where they are new', () => {
    const costs = { perString: 5, perTime: 60 }
    const old = setOrSingle(rates, section(9), costs, 3)
    expect(old.saves).toBeGreaterThan(4 * old.error)
    const fresh = setOrSingle(rates, section(0.2), costs, 3)
    expect(fresh.saves).toBeLessThan(-4 * fresh.error)
    expect(old.single - old.set).toBeCloseTo(old.saves, 9)
  })

  it('breaks as often as the chance of a break says', () => {
    // So short a time that none breaks twice.
    const { breaksSingle } = setOrSingle(rates, section(4), { perString: 0, perTime: 0 }, 0.05, 20_000)
    const { shape, alpha, beta } = rates['plain steel']
    const told = 10 * (1 - (1 + (4.05 ** shape - 4 ** shape) / beta) ** -alpha)
    expect(breaksSingle / told).toBeCloseTo(1, 1)
  })
})
