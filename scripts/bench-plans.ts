/**
 * How long the plans take that are integer programs, as measured here: `npm run bench`.
 */
import { itemAt } from '@/core/list/item-at'
import { seeded } from '@/core/random/seeded'
import { planCuts } from '@/core/stores/cut-plan'
import { type BuyNeed, type CatalogueOffer } from '@/core/stores/buying'
import { planOrder } from '@/core/stores/order-plan'
import type { StringSpec } from '@/core/stores/string-spec'
import { DAY } from '@/core/units/time'
import { highsSolver } from '@/workers/solver'
import { warmUp } from '@/workers/warm-up'

const NEEDS = 150

/** 150 strings of 120 kinds, three suppliers that sell most of them in short and long packets, and sets of five. */
function buying(random: () => number) {
  const spec = (kind: number): StringSpec => ({
    construction: { kind: 'plain', material: 'gut', gauge: (60 + kind) / 1e5 },
    colour: 'natural',
    tensionClass: 'concert',
    end: 'plain',
  })
  const needs = Array.from({ length: NEEDS }, (_, id): BuyNeed => ({
    id,
    spec: spec(id % 120),
    length: 0.3 + 0.8 * random(),
    quantity: 1 + Math.floor(2 * random()),
    by: null,
  }))
  const offers: CatalogueOffer[] = []
  for (const supplierId of [1, 2, 3]) {
    for (let kind = 0; kind < 120; kind += 1) {
      const price = 500 + 900 * random()
      for (const long of [0, 1])
        if (random() < 0.8)
          offers.push({
            id: offers.length,
            supplierId,
            priceMinor: Math.round(price * (1 + 0.7 * long)),
            stock: 1 + Math.floor(4 * random()),
            contents: [{ spec: spec(kind), length: 1.2 + 1.2 * long, pieces: 1 }],
          })
    }
    for (let set = 0; set < 20; set += 1)
      offers.push({
        id: offers.length,
        supplierId,
        priceMinor: Math.round(3000 + 1500 * random()),
        stock: 2,
        contents: Array.from({ length: 5 }, (_, i) => ({
          spec: spec((set * 6 + i) % 120),
          length: 1.2,
          pieces: 1,
        })),
      })
  }
  const suppliers = [1, 2, 3].map((id) => ({
    id,
    rate: itemAt([1, 1.17, 0.94], id - 1),
    postageMinor: 500 + 200 * id,
    freeOverMinor: id === 3 ? null : 9000,
    arrivesAt: id * DAY,
  }))
  return { needs, offers, suppliers }
}

async function main(): Promise<void> {
  const random = seeded(3)
  const gaps: number[] = []
  const solve = highsSolver({ worthless: 0.4 })
  const started = performance.now()
  await warmUp()
  console.log(
    `warming the engine up, as the sheet does when it opens: ${(performance.now() - started).toFixed(0)} ms`,
  )
  const times: number[] = []
  for (let run = 0; run < 7; run += 1) {
    const { needs, offers, suppliers } = buying(random)
    const start = performance.now()
    const plan = await planOrder(needs, offers, suppliers, solve)
    times.push(performance.now() - start)
    gaps.push(plan.gap)
    if (run === 0)
      console.log(
        `buying: ${needs.length} needs, ${offers.length} offers of 3 suppliers; ${plan.lines.length} lines, ${plan.unmet.length} left out`,
      )
  }
  const sorted = [...times].sort((a, b) => a - b)
  console.log(
    `buying: median ${itemAt(sorted, 3).toFixed(0)} ms, slowest ${itemAt(sorted, 6).toFixed(0)} ms of 7; largest gap ${Math.max(...gaps)}`,
  )

  const cutting: number[] = []
  for (let run = 0; run < 20; run += 1) {
    const coils = Array.from({ length: 20 }, (_, id) => ({
      id,
      left: 0.3 + 1.7 * random(),
      opened: random() < 0.5,
      most: null,
    }))
    const jobs = Array.from({ length: 12 }, (_, id) => ({
      id,
      options: [0, 1, 2].map((step) => ({
        coilId: (id * 2 + step) % 20,
        length: 0.3 + 0.8 * random(),
        grade: 'exact' as const,
      })),
    }))
    const start = performance.now()
    await planCuts(jobs, coils, solve)
    cutting.push(performance.now() - start)
  }
  console.log(`cutting: 12 jobs, 20 coils: median ${cutting.sort((a, b) => a - b)[10]?.toFixed(0)} ms of 20`)
}

void main()
