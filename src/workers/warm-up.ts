/**
 * A made-up buying plan that is solved before the real one: WebAssembly is compiled in earnest only while it runs.
 */
import { type BuyNeed, type CatalogueOffer } from '@/core/stores/buying'
import { planOrder } from '@/core/stores/order-plan'
import type { StringSpec } from '@/core/stores/string-spec'
import { highsSolver } from './solver'

const KINDS = 60

/** Solves it; the answer is of no use. */
export async function warmUp(): Promise<void> {
  const spec = (kind: number): StringSpec => ({
    construction: { kind: 'plain', material: 'gut', gauge: (60 + kind) / 1e5 },
    colour: 'natural',
    tensionClass: 'concert',
    end: 'plain',
  })
  const needs = Array.from({ length: KINDS }, (_, id): BuyNeed => ({
    id,
    spec: spec(id),
    length: 0.4 + (id % 7) / 10,
    quantity: 1 + (id % 2),
    by: null,
  }))
  const offers = [1, 2, 3].flatMap((supplierId) =>
    needs.flatMap(({ id }) =>
      [0, 1].map((long): CatalogueOffer => ({
        id: supplierId * 1000 + id * 2 + long,
        supplierId,
        priceMinor: 600 + ((id * 37 + supplierId * 91 + long * 417) % 700),
        stock: 1 + ((id + supplierId) % 4),
        contents: [{ spec: spec(id), length: 1.2 + 1.2 * long, pieces: 1 }],
      })),
    ),
  )
  const suppliers = [1, 2, 3].map((id) => ({
    id,
    rate: 1,
    postageMinor: 500 + 100 * id,
    freeOverMinor: 9000,
    arrivesAt: 0,
  }))
  await planOrder(needs, offers, suppliers, highsSolver())
}
