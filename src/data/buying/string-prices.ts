/** What strings cost: of each kind the cheapest way that anybody offers. */
import { KERF } from '@/core/stores/cut-plan'
import { fillings, specKey, type StringSpec } from '@/core/stores/string-spec'
import type { Store } from '../store/database'
import { catalogueItems, suppliers } from '../store/schema'
import { allSuppliers, catalogue, offersOf } from './suppliers'

/** A piece of a string on sale. */
interface Priced {
  /** Hundredths of its supplier’s money. */
  readonly minor: number
  /** String that it has beyond what a loop takes that must be twisted, m. */
  readonly length: number
  readonly twist: number
  /** Whether what is left of it is worth its share: a reel’s is, a packet’s rest is seldom used. */
  readonly shared: boolean
}

/**
 * Hundredths of a supplier’s money for one string; null where nobody sells it alone. A string from a reel costs its share
 * of the reel.
 *
 * @returns asked with the string and what is cut for it, m
 */
export function stringPrices(store: Store): (spec: StringSpec, cut: number) => number | null {
  const prices = store.cache.get('string prices', [catalogueItems, suppliers], () => {
    const selling = new Set(
      allSuppliers(store)
        .filter(({ retiredAt }) => retiredAt === null)
        .map(({ id }) => id),
    )
    const items = catalogue(store)
    const reels = new Set(items.flatMap(({ id, soldAs }) => (soldAs === 'reel' ? [id] : [])))
    const byKey = new Map<string, Priced[]>()
    for (const { id, supplierId, priceMinor, contents } of offersOf(items)) {
      const [only] = contents
      if (!only || contents.length > 1 || !selling.has(supplierId)) continue
      const { spec, length, pieces } = only
      for (const { key, twist } of fillings(spec)) {
        const priced = { minor: priceMinor / Math.max(1, pieces), length, twist, shared: reels.has(id) }
        byKey.set(key, [...(byKey.get(key) ?? []), priced])
      }
    }
    return byKey
  })
  return (spec, cut) => {
    const costs = (prices.get(specKey(spec)) ?? []).flatMap(({ minor, length, twist, shared }) => {
      const takes = cut + twist + KERF
      if (takes > length) return []
      return [Math.round(shared ? (minor * takes) / length : minor)]
    })
    return costs.length === 0 ? null : Math.min(...costs)
  }
}
