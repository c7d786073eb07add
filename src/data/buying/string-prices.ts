/** What strings cost: of each kind the cheapest piece that anybody offers. */
import { keysFilledBy, specKey, type StringSpec } from '@/core/stores/string-spec'
import type { Store } from '../store/database'
import { catalogueItems, suppliers } from '../store/schema'
import { allSuppliers, catalogue, offersOf } from './suppliers'

/** Hundredths of a supplier’s money for a piece of a string; null where nobody sells it alone. */
export function stringPrices(store: Store): (spec: StringSpec) => number | null {
  const prices = store.kept.get('string prices', [catalogueItems, suppliers], () => {
    const selling = new Set(
      allSuppliers(store)
        .filter(({ retiredAt }) => retiredAt === null)
        .map(({ id }) => id),
    )
    const cheapest = new Map<string, number>()
    for (const { supplierId, priceMinor, contents } of offersOf(catalogue(store))) {
      const [only] = contents
      if (!only || contents.length > 1 || !selling.has(supplierId)) continue
      const each = Math.round(priceMinor / Math.max(1, only.pieces))
      for (const key of keysFilledBy(only.spec))
        cheapest.set(key, Math.min(each, cheapest.get(key) ?? Infinity))
    }
    return cheapest
  })
  return (spec) => prices.get(specKey(spec)) ?? null
}
