/** Reels, and loops twisted at plain wire, by a real solver against every way to cut them. */
import type { BuyNeed, CatalogueOffer, SupplierTerms } from '@/core/stores/buying'
import { cutPatterns, hasFewPatterns, piecesEnough } from '@/core/stores/cut-patterns'
import { KERF } from '@/core/stores/cut-plan'
import { planOrder, unmetBecause } from '@/core/stores/order-plan'
import { fillings, specKey, type StringSpec } from '@/core/stores/string-spec'
import { seeded } from '@/core/random/seeded'
import { highsSolver } from './solver'

const solve = highsSolver()
const wire = (more: Partial<StringSpec> = {}): StringSpec => ({
  construction: { kind: 'plain', material: 'brass', gauge: 0.0004 },
  colour: 'natural',
  tensionClass: 'not given',
  end: 'plain',
  ...more,
})
const wanted = (end: 'plain' | 'loop' = 'plain') => wire({ tensionClass: null, end })
/** What a loop takes that is twisted by hand. */
const TWIST = fillings(wire()).find(({ key }) => key === specKey(wanted('loop')))?.twist ?? 0
const supplier: SupplierTerms = { id: 1, rate: 1, postageMinor: 0, freeOverMinor: null, arrivesAt: 0 }
const need = (id: number, length: number, quantity = 1, end: 'plain' | 'loop' = 'plain'): BuyNeed => ({
  id,
  spec: wanted(end),
  length,
  quantity,
  by: null,
})
const offer = (id: number, priceMinor: number, length: number, spec = wire()): CatalogueOffer => ({
  id,
  supplierId: 1,
  priceMinor,
  stock: 99,
  contents: [{ spec, length, pieces: 1 }],
})

/**
 * The least that some strings cost from reels of one length and packets that give one string each, by every subset.
 *
 * @param cut - from a reel, m: with the loop that is twisted
 * @param lengths - from a packet, m
 */
function leastCost(
  cut: readonly number[],
  lengths: readonly number[],
  reel: { readonly price: number; readonly length: number },
  packet: { readonly price: number; readonly length: number },
): number {
  const all = 1 << cut.length
  // Reels that a subset takes: the fewest, and of those the most that is left on the last.
  const fewest: { reels: number; left: number }[] = [{ reels: 0, left: 0 }]
  for (let set = 1; set < all; set += 1) {
    let best = { reels: Infinity, left: 0 }
    cut.forEach((length, i) => {
      if ((set & (1 << i)) === 0) return
      const before = fewest[set ^ (1 << i)] as { reels: number; left: number }
      const takes = length + KERF
      if (takes > reel.length) return
      const after =
        takes <= before.left + 1e-9
          ? { reels: before.reels, left: before.left - takes }
          : { reels: before.reels + 1, left: reel.length - takes }
      if (after.reels < best.reels || (after.reels === best.reels && after.left > best.left)) best = after
    })
    fewest[set] = best
  }
  let least = Infinity
  for (let set = 0; set < all; set += 1) {
    const rest = lengths.filter((_, i) => (set & (1 << i)) === 0)
    if (rest.some((length) => length + KERF > packet.length)) continue
    least = Math.min(
      least,
      (fewest[set] as { reels: number }).reels * reel.price + rest.length * packet.price,
    )
  }
  return least
}

test.each([
  ['few strings, every way to cut a column', 5, 100],
  ['so many strings that a reel is planned by its length', 12, 100],
])('%s: nothing costs less than the plan', async (_, strings, rounds) => {
  const random = seeded(strings)
  let byLength = 0
  for (let round = 0; round < rounds; round += 1) {
    const lengths = Array.from({ length: strings }, () => Math.round(300 + 900 * random()) / 1000)
    const reel = { price: 400 + Math.floor(600 * random()), length: 2 + Math.round(30 * random()) / 10 }
    // A packet with a ready loop gives one string, however long it is.
    const packet = { price: 90 + Math.floor(200 * random()), length: 1.25 }
    const needs = lengths.map((length, i) => need(i + 1, length, 1, 'loop'))
    const plan = await planOrder(
      needs,
      [offer(1, reel.price, reel.length), offer(2, packet.price, packet.length, wire({ end: 'loop' }))],
      [supplier],
      solve,
    )
    const cut = lengths.map((length) => length + TWIST)
    expect(plan.unmet).toEqual([])
    expect(plan.totalMinor).toBe(leastCost(cut, lengths, reel, packet))
    if (
      !hasFewPatterns(
        needs.map((one, i) => ({ ...one, length: cut[i] as number })),
        reel.length,
        KERF,
      )
    )
      byLength += 1
  }
  expect(byLength).toBe(strings === 12 ? rounds : 0)
})

test('two strings of 350 mm cost one reel of ten metres', async () => {
  const plan = await planOrder([need(1, 0.35, 2)], [offer(1, 900, 10)], [supplier], solve)
  expect(plan).toMatchObject({ totalMinor: 900, unmet: [], gap: 0 })
  expect(plan.lines).toEqual([{ offerId: 1, packs: 1, fills: [{ needId: 1, strings: 2 }] }])
})

test('plain wire serves a loop end if the loop’s own length is on it, and a ready loop comes first at the same price', async () => {
  expect(TWIST).toBeGreaterThan(0.04)
  expect(TWIST).toBeLessThan(0.12)
  const needs = [need(1, 0.5, 1, 'loop')]
  const just = offer(1, 100, 0.5 + TWIST + KERF)
  const short = offer(1, 100, 0.5 + TWIST + KERF - 0.001)
  expect((await planOrder(needs, [just], [supplier], solve)).unmet).toEqual([])
  const none = await planOrder(needs, [short], [supplier], solve)
  expect(unmetBecause(none, needs, [short], [supplier])).toMatchObject([{ why: 'nobody sells it' }])
  const ready = offer(2, 100, 0.6, wire({ end: 'loop' }))
  expect((await planOrder(needs, [just, ready], [supplier], solve)).lines).toMatchObject([{ offerId: 2 }])
})

test('thick wire and gut get no loop twisted by hand', () => {
  const thick = wire({ construction: { kind: 'plain', material: 'brass', gauge: 0.00081 } })
  const gut = wire({ construction: { kind: 'plain', material: 'gut', gauge: 0.0004 } })
  const ends = (spec: StringSpec) => new Set(fillings(spec).map(({ key }) => key.split('|').at(-1)))
  expect(ends(thick)).toEqual(new Set(['plain']))
  expect(ends(gut)).toEqual(new Set(['plain']))
  expect(ends(wire())).toEqual(new Set(['plain', 'loop']))
})

test('a string whose packet gives no class serves every class, and one that gives a class only its own', () => {
  const classes = (spec: StringSpec) =>
    fillings(spec)
      .filter(({ twist }) => twist === 0)
      .map(({ key }) => key.split('|')[4])
  expect(classes(wire())).toEqual(expect.arrayContaining(['concert', 'lever', 'folk', 'wire', 'any class']))
  expect(classes(wire({ tensionClass: 'lever' }))).toEqual(['lever', 'any class'])
})

test('so many pieces as are ever used hold all that is wanted, and a whole reel is one pattern', () => {
  const list = [
    { id: 1, length: 1.2, quantity: 3 },
    { id: 2, length: 0.7, quantity: 2 },
  ]
  // 3 × 1.202 + 2 × 0.702 = 5.01 m.
  expect(piecesEnough(list, 5.011, KERF)).toBe(1)
  expect(piecesEnough(list, 5.009, KERF)).toBe(2)
  expect(piecesEnough(list, 1.21, KERF)).toBe(5)
  expect(cutPatterns(list, 5.011, KERF, 'plain')).toEqual([
    new Map([
      [1, 3],
      [2, 2],
    ]),
  ])
})
