/** A gauge that nobody sells: its neighbours, what they do, and one of them bought in its place. */
import { sentenceOf } from '@/boundary/sentence-of'
import { fitOf } from '@/core/stores/fits'
import { massPerLength, outerGauge } from '@/core/strings/construction'
import { eachOnDemo } from '../demo/each-on-demo'
import { byPositionId } from '../instruments/instruments'
import type { Store } from '../store/database'
import { catalogueItems } from '../store/schema'
import { buyingBench } from '../views/buying-bench'
import { openNeeds } from './need-list'
import { takeOtherGauge } from './other-gauge'
import { addSuggestedNeeds } from './suggested-needs'
import { addItem, allSuppliers, catalogue, retireSupplier } from './suppliers'
import { eq, ne } from 'drizzle-orm'
import type { CatalogueItem } from '@/core/stores/catalogue-cells'

let store: Store
eachOnDemo((opened) => {
  store = opened
})

/** A plain string on the list, and a catalogue of three gauges round it, none of them its own. */
function only(...factors: readonly number[]) {
  addSuggestedNeeds(store)
  const need = openNeeds(store).find(
    ({ spec, toOrder }) => spec.construction.kind === 'plain' && toOrder > 0,
  )!
  const { construction } = need.spec
  if (construction.kind !== 'plain') throw new Error('It is wound.')
  store.act({ kind: 'supplier', summary: 'Nothing sold' }, () => {
    store.rows.delete(catalogueItems).run()
  })
  const slug = allSuppliers(store)[0]!.slug
  factors.forEach((factor, i) => {
    const item: CatalogueItem = {
      ...need.spec,
      construction: { ...construction, gauge: construction.gauge * factor },
      tensionClass: 'not given',
      part: `N${i}`,
      name: `near ${factor}`,
      maker: '',
      line: '',
      soldAs: 'reel',
      length: 10,
      pieces: 1,
      priceMinor: 900,
      stock: 3,
      setOf: null,
    }
    addItem(store, slug, item)
  })
  return need
}
const nearest = (id: number) => buyingBench(store).needs.find((need) => need.id === id)!.nearest

test('the next thinner and the next thicker are offered, with what each does; tension goes with the square of the gauge', () => {
  const need = only(0.7, 0.97, 1.04, 1.2)
  const near = nearest(need.id)
  expect(near.map(({ name }) => name)).toEqual(['near 0.97', 'near 1.04'])
  expect(near[0]!.tensionChange).toBeCloseTo(0.97 ** 2 - 1, 9)
  expect(near[1]!.tensionChange).toBeCloseTo(1.04 ** 2 - 1, 9)
  // Stress goes with length and pitch alone: a thicker string of the same make breaks at the same pitch.
  expect(near[0]!.semitonesToBreaking).toBeCloseTo(near[1]!.semitonesToBreaking, 6)
  expect(near.every(({ standsIn }) => standsIn)).toBe(true)
})

test('what only a supplier sells that nothing is bought at any more, or too short, has neighbours too', () => {
  const need = only(1, 1.04)
  expect(nearest(need.id)).toEqual([])
  const [selling, other] = allSuppliers(store)
  const item = catalogue(store).find(({ name }) => name === 'near 1.04')!
  store.act({ kind: 'supplier', summary: 'Moved' }, () => {
    store.rows
      .update(catalogueItems)
      .set({ supplierId: other!.id })
      .where(eq(catalogueItems.id, item.id))
      .run()
  })
  retireSupplier(store, selling!.slug, true)
  expect(nearest(need.id).map(({ name }) => name)).toEqual(['near 1.04'])
  retireSupplier(store, selling!.slug, false)
  store.act({ kind: 'supplier', summary: 'Shortened' }, () => {
    store.rows.update(catalogueItems).set({ lengthMm: 50 }).where(ne(catalogueItems.id, item.id)).run()
  })
  expect(nearest(need.id).map(({ name }) => name)).toEqual(['near 1.04'])
})

test('a neighbour beyond 12 % of tension is shown, and said to be too far', () => {
  expect(nearest(only(1.05, 0.93).id).map(({ standsIn }) => standsIn)).toEqual([true, false])
  expect(1.05 ** 2 - 1).toBeLessThan(0.12)
  expect(1 - 0.93 ** 2).toBeGreaterThan(0.12)
})

test('bought in its place, the need asks for it, its order says it, and it fits as the next gauge', () => {
  const need = only(0.97, 1.04)
  const item = catalogue(store).find(({ name }) => name === 'near 1.04')!
  takeOtherGauge(store, need.id, item.id)
  const now = openNeeds(store).find(({ id }) => id === need.id)!
  expect(outerGauge(now.spec.construction)).toBeCloseTo(outerGauge(item.construction), 9)
  expect(new Map(now.lines).get('Gauge')).not.toBe(new Map(need.lines).get('Gauge'))
  const { position, instrument } = byPositionId(store, need.positionId)
  expect(fitOf(item, position, instrument.tensionClass).grade).toBe('next gauge')
  // The chart stays as it is.
  expect(massPerLength(position.construction)).toBeCloseTo(massPerLength(need.spec.construction), 12)
})

test('a part that is no neighbour is refused', () => {
  const need = only(0.7, 0.97, 1.04)
  const far = catalogue(store).find(({ name }) => name === 'near 0.7')!
  expect(sentenceOf(() => takeOtherGauge(store, need.id, far.id))).toBe(
    'That part is no longer the nearest gauge on sale. Plan again.',
  )
})
