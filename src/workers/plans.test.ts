/** The plans by a real solver, against every other way there is. */
import { worthCutting } from '@/core/stores/worth-cutting'
import { seeded } from '@/core/random/seeded'
import { CUT_COST, KERF, planCuts, type CoilLeft, type CutJob } from '@/core/stores/cut-plan'
import {
  postageOf,
  type BuyNeed,
  type CatalogueOffer,
  type OrderPlan,
  type SupplierTerms,
} from '@/core/stores/buying'
import { planOrder, planUnreduced, planWithOne, unmetBecause } from '@/core/stores/order-plan'
import type { StringSpec } from '@/core/stores/string-spec'
import { DAY } from '@/core/units/time'
import { highsSolver } from './solver'

const solve = highsSolver()

describe('cutting', () => {
  /** The least cost of all ways to cut, by trying each job on each of its coils, with a bound to cut branches off. */
  function exhaustive(jobs: readonly CutJob[], coils: readonly CoilLeft[]): number {
    const index = new Map(coils.map(({ id }, i) => [id, i]))
    const left = coils.map((coil) => coil.left)
    const cuts = coils.map(() => 0)
    // What is left over is never less than nothing: a job served costs at least its grade.
    const least = jobs.map((job) =>
      Math.min(CUT_COST.unserved, ...job.options.map(({ grade }) => CUT_COST.grade[grade])),
    )
    const after = least.map((_, i) => least.slice(i).reduce((sum, cost) => sum + cost, 0))
    let best = Infinity
    const leftover = () =>
      coils.reduce((sum, _, i) => sum + (cuts[i]! > 0 ? CUT_COST.leftover * left[i]! : 0), 0)
    const go = (at: number, cost: number) => {
      if (cost + (after[at] ?? 0) >= best) return
      const job = jobs[at]
      if (!job) {
        best = Math.min(best, cost + leftover())
        return
      }
      for (const { coilId, length, grade } of job.options) {
        const i = index.get(coilId)!
        const coil = coils[i]!
        if (left[i]! < length + KERF - 1e-9 || (coil.most !== null && cuts[i]! >= coil.most)) continue
        const opens = cuts[i] === 0 && !coil.opened ? CUT_COST.fresh : 0
        left[i]! -= length + KERF
        cuts[i]! += 1
        go(at + 1, cost + CUT_COST.grade[grade] + opens)
        left[i]! += length + KERF
        cuts[i]! -= 1
      }
      go(at + 1, cost + CUT_COST.unserved)
    }
    go(0, 0)
    return best
  }

  test('on 200 random cases of 12 jobs and 20 coils nothing costs less than the plan', async () => {
    const random = seeded(4)
    for (let round = 0; round < 200; round += 1) {
      const coils = Array.from({ length: 20 }, (_, id): CoilLeft => ({
        id,
        left: Math.round(300 + 1700 * random()) / 1000,
        opened: random() < 0.5,
        most: random() < 0.1 ? 1 : null,
      }))
      const jobs = Array.from({ length: 12 }, (_, id): CutJob => {
        const length = Math.round(250 + 900 * random()) / 1000
        const from = Math.floor(random() * 20)
        // Neighbouring positions share coils, as gauges do on an instrument.
        return {
          id,
          options: [0, 1, 2]
            .filter(() => random() < 0.75)
            .map((step) => ({
              coilId: (from + step) % 20,
              length: length + step * 0.003,
              grade: step === 0 ? 'exact' : step === 1 ? 'other colour' : 'next gauge',
            })),
        }
      })
      const plan = await planCuts(jobs, coils, solve)
      expect(plan.gap).toBe(0)
      expect(plan.cost).toBeCloseTo(exhaustive(jobs, coils), 3)
      for (const coil of coils) {
        const cuts = plan.cuts.filter(({ coilId }) => coilId === coil.id)
        expect(cuts.reduce((sum, { length }) => sum + length + KERF, 0)).toBeLessThanOrEqual(coil.left + 1e-6)
        expect(cuts.length).toBeLessThanOrEqual(coil.most ?? Infinity)
      }
      expect([...plan.cuts.map(({ jobId }) => jobId), ...plan.unserved].sort((a, b) => a - b)).toEqual(
        jobs.map(({ id }) => id),
      )
    }
  }, 180_000)

  test('what is left out beforehand changes no plan: kinds of many like coils cost the same with all of them', async () => {
    const random = seeded(3)
    for (let round = 0; round < 12; round += 1) {
      const coils: CoilLeft[] = Array.from({ length: 40 }, (_, i) => ({
        id: i + 1,
        left: Math.round(4 + random() * 30) / 10,
        opened: random() < 0.4,
        most: i % 4 === 3 ? 1 : null,
      }))
      // Coils of one kind serve the same strings, each kind some of them.
      const jobs: CutJob[] = Array.from({ length: 7 }, (_, id) => ({
        id,
        options: [0, 1, 2, 3].flatMap((kind) => {
          if (random() < 0.4) return []
          const length = 0.5 + 0.1 * kind + 0.07 * id
          return coils
            .filter(({ id: coilId }) => (coilId - 1) % 4 === kind)
            .map(
              ({ id: coilId }) => ({ coilId, length, grade: kind === 0 ? 'exact' : 'next gauge' }) as const,
            )
        }),
      }))
      const worth = worthCutting(jobs, coils)
      expect(worth.length).toBeLessThan(coils.length)
      const [whole, less] = [await planCuts(jobs, coils, solve), await planCuts(jobs, worth, solve)]
      expect([less.gap, whole.gap]).toEqual([0, 0])
      expect(less.cost).toBeCloseTo(whole.cost, 6)
    }
  }, 120_000)

  test('a remainder that just does is cut before a longer one, and a fresh coil last', async () => {
    const job = (id: number): CutJob => ({
      id,
      options: [1, 2, 3].map((coilId) => ({ coilId, length: 0.6, grade: 'exact' as const })),
    })
    const coils: CoilLeft[] = [
      { id: 1, left: 1.3, opened: false, most: null },
      { id: 2, left: 1.1, opened: true, most: null },
      { id: 3, left: 0.61, opened: true, most: null },
    ]
    expect((await planCuts([job(1)], coils, solve)).cuts).toEqual([expect.objectContaining({ coilId: 3 })])
    expect(await planCuts([job(1), job(2), job(3)], coils, solve)).toMatchObject({ opens: 1, unserved: [] })
    expect((await planCuts([job(1), job(2), job(3), job(4), job(5)], coils, solve)).unserved).toHaveLength(1)
  })
})

describe('buying', () => {
  const gut = (gaugeMm: number): StringSpec => ({
    construction: { kind: 'plain', material: 'gut', gauge: gaugeMm / 1000 },
    colour: 'natural',
    tensionClass: 'concert',
    end: 'plain',
  })
  const need = (id: number, gaugeMm: number, more: Partial<BuyNeed> = {}): BuyNeed => ({
    id,
    spec: gut(gaugeMm),
    length: 0.6,
    quantity: 1,
    by: null,
    ...more,
  })
  const offer = (
    id: number,
    supplierId: number,
    gaugeMm: number,
    priceMinor: number,
    more: Partial<CatalogueOffer> & { readonly length?: number } = {},
  ): CatalogueOffer => ({
    id,
    supplierId,
    priceMinor,
    stock: 5,
    contents: [{ spec: gut(gaugeMm), length: more.length ?? 0.7, pieces: 1 }],
    ...more,
  })
  const near: SupplierTerms = { id: 1, rate: 1, postageMinor: 500, freeOverMinor: null, arrivesAt: 2 * DAY }
  const far: SupplierTerms = { id: 2, rate: 1.2, postageMinor: 800, freeOverMinor: 3000, arrivesAt: 9 * DAY }

  test('one long packet is bought where it yields three strings for less than three short ones', async () => {
    const plan = await planOrder(
      [need(1, 1, { quantity: 3 })],
      [offer(1, 1, 1, 1000), offer(2, 1, 1, 1900, { length: 1.9 })],
      [near],
      solve,
    )
    expect(plan.lines).toEqual([{ offerId: 2, packs: 1, fills: [{ needId: 1, strings: 3 }] }])
    expect(plan.totalMinor).toBe(2400)
  })

  test('a set is taken where it costs less than its parts', async () => {
    const set: CatalogueOffer = {
      id: 9,
      supplierId: 1,
      priceMinor: 2500,
      stock: 1,
      contents: [1, 1.1, 1.2].map((mm) => ({ spec: gut(mm), length: 0.7, pieces: 1 })),
    }
    const parts = [offer(1, 1, 1, 1000), offer(2, 1, 1.1, 1000), offer(3, 1, 1.2, 1000)]
    expect(
      (await planOrder([need(1, 1), need(2, 1.1), need(3, 1.2)], [...parts, set], [near], solve)).lines,
    ).toEqual([{ offerId: 9, packs: 1, fills: [1, 2, 3].map((needId) => ({ needId, strings: 1 })) }])
    expect((await planOrder([need(1, 1), need(2, 1.1)], [...parts, set], [near], solve)).totalMinor).toBe(
      2500,
    )
  })

  test('goods are added up to free postage where that is cheaper, and rates are reckoned in', async () => {
    const needs = [need(1, 1), need(2, 1.1)]
    const plan = await planOrder(
      needs,
      [offer(1, 2, 1, 1600), offer(2, 2, 1.1, 1500), offer(3, 1, 1.1, 1700)],
      [near, far],
      solve,
    )
    expect(plan.bySupplier).toEqual([{ supplierId: 2, goodsMinor: 3100, postageMinor: 0, totalMinor: 3720 }])
    expect(postageOf(far, 2999)).toBe(800)
    expect(postageOf(far, 3000)).toBe(0)
  })

  test('what can’t come in time is left out, with the soonest that it could', async () => {
    const needs = [
      need(1, 1, { by: 5 * DAY }),
      need(2, 1.1, { by: 5 * DAY }),
      need(3, 1.5),
      need(4, 1.2, { quantity: 9 }),
    ]
    const offers = [offer(1, 2, 1, 900), offer(2, 1, 1.1, 900), offer(4, 1, 1.2, 900)]
    const plan = await planOrder(needs, offers, [near, far], solve)
    expect(unmetBecause(plan, needs, offers, [near, far])).toEqual([
      { needId: 1, quantity: 1, why: 'too late', soonest: 9 * DAY },
      { needId: 3, quantity: 1, why: 'nobody sells it', soonest: null },
      { needId: 4, quantity: 4, why: 'too few in stock', soonest: null },
    ])
    expect(plan.lines.map(({ offerId }) => offerId)).toEqual([2, 4])
  })

  test('no split is dearer than one supplier alone, and small cases are the cheapest of all ways', async () => {
    const random = seeded(8)
    for (let round = 0; round < 40; round += 1) {
      const needs = [1, 1.1, 1.2].map((mm, i) => need(i + 1, mm, { quantity: 1 + Math.floor(2 * random()) }))
      const offers = [1, 2].flatMap((supplierId) =>
        [1, 1.1, 1.2].flatMap((mm, i) =>
          [0, 1].map((long) =>
            offer(
              supplierId * 100 + i * 10 + long,
              supplierId,
              mm,
              Math.round((600 + 900 * random()) * (1 + long * 0.6)),
              { length: long ? 1.3 : 0.7, stock: 2 },
            ),
          ),
        ),
      )
      const suppliers = [{ ...near, freeOverMinor: random() < 0.5 ? 2500 : null }, far]
      const plan = await planOrder(needs, offers, suppliers, solve)
      const one = (await planWithOne(needs, offers, suppliers, solve))!
      expect(plan.unmet).toEqual([])
      expect(plan.totalMinor).toBeLessThanOrEqual(one.totalMinor + 1)
      expect(plan.totalMinor).toBeLessThanOrEqual(cheapest(needs, offers, suppliers) + 1)
    }
  }, 60_000)

  test('what is joined and left out beforehand changes no cost, and every need is told what it gets', async () => {
    const random = seeded(21)
    const pick = <T>(of: readonly T[]) => of[Math.floor(of.length * random())] as T
    for (let round = 0; round < 60; round += 1) {
      // Alike more often than not, and of lengths that differ where they are not.
      const needs = Array.from({ length: 7 }, (_, i) =>
        need(i + 1, pick([1, 1, 1.1]), {
          quantity: pick([1, 1, 2]),
          length: pick([0.6, 0.6, 0.3]),
          by: pick([null, null, 5 * DAY]),
        }),
      )
      const offers = Array.from({ length: 14 }, (_, i) =>
        offer(i + 1, pick([1, 2]), pick([1, 1.1, 1.3]), pick([600, 650, 900, 1500]), {
          length: pick([0.7, 0.7, 1.3]),
          stock: pick([0, 1, 3, 20]),
        }),
      )
      const suppliers = [{ ...near, freeOverMinor: pick([null, 2500]) }, far]
      const plan = await planOrder(needs, offers, suppliers, solve)
      const whole = await planUnreduced(needs, offers, suppliers, solve)
      const left = (of: OrderPlan) => of.unmet.reduce((sum, { quantity }) => sum + quantity, 0)
      expect([left(plan), plan.totalMinor]).toEqual([left(whole), whole.totalMinor])
      const got = (id: number) =>
        plan.lines
          .flatMap(({ fills }) => fills)
          .filter(({ needId }) => needId === id)
          .reduce((sum, { strings }) => sum + strings, 0) +
        (plan.unmet.find(({ needId }) => needId === id)?.quantity ?? 0)
      expect(needs.map(({ id }) => got(id))).toEqual(needs.map(({ quantity }) => quantity))
    }
  }, 60_000)

  interface Way {
    /** By supplier. */
    readonly goods: readonly number[]
    readonly strings: number
  }

  /** Every number of packs of every offer, each need by itself, postage by the two suppliers. */
  function cheapest(
    needs: readonly BuyNeed[],
    offers: readonly CatalogueOffer[],
    suppliers: readonly SupplierTerms[],
  ): number {
    const perNeed = needs.map((n) => {
      const of = offers.filter(
        ({ contents: [c] }) =>
          c!.spec.construction.kind === 'plain' &&
          c!.spec.construction.gauge === (n.spec.construction as { gauge: number }).gauge,
      )
      let ways: Way[] = [{ goods: suppliers.map(() => 0), strings: 0 }]
      for (const o of of) {
        const yields = Math.floor(o.contents[0]!.length / (n.length + KERF))
        ways = ways.flatMap((way) =>
          Array.from({ length: o.stock + 1 }, (_, packs) => ({
            goods: way.goods.map(
              (sum, i) => sum + (suppliers[i]!.id === o.supplierId ? packs * o.priceMinor : 0),
            ),
            strings: way.strings + packs * yields,
          })),
        )
      }
      return ways.filter(({ strings }) => strings >= n.quantity)
    })
    let best = Infinity
    const go = (at: number, goods: readonly number[]) => {
      const ways = perNeed[at]
      if (!ways) {
        const costs = suppliers.map((s, i) =>
          goods[i] === 0 ? 0 : Math.round((goods[i]! + postageOf(s, goods[i]!)) * s.rate),
        )
        best = Math.min(best, costs[0]! + costs[1]!)
        return
      }
      for (const way of ways) go(at + 1, [goods[0]! + way.goods[0]!, goods[1]! + way.goods[1]!])
    }
    go(0, [0, 0])
    return best
  }
})
