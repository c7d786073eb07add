/**
 * What the order plan needs to know: the open needs, the catalogues, the terms, and by when things must be here.
 */
import type { BuyNeed, CatalogueOffer, SupplierTerms } from '@/core/stores/buying'
import { holdsFromAge } from '@/core/settle/band'
import { newString } from '@/core/settle/new-string'
import { FIRST_TUNED, SETTLED } from '@/core/settle/drift'
import { KERF } from '@/core/stores/cut-plan'
import { worthAsking } from '@/core/stores/reduce-buying'
import { fillings, specKey } from '@/core/stores/string-spec'
import { coreMaterial } from '@/core/strings/construction'
import { nearGauges, type NearGauge } from '@/core/stores/near-gauges'
import { DAY } from '@/core/units/time'
import { byPositionId } from '../instruments/instruments'
import type { Store } from '../store/database'
import { catalogueItems } from '../store/schema'
import { workshopSettings } from '../workshop/settings'
import { openNeeds, type Need } from '../buying/need-list'
import { occasionsAhead } from '../workshop/occasions'
import { allSuppliers, catalogue, offersOf, type Supplier } from '../buying/suppliers'

/** Time to fit what has come, before it starts settling, h. */
const TO_FIT = 24

export interface BuyingDate {
  readonly name: string
  readonly at: number
}

type NamedOffer = CatalogueOffer & { readonly part: string; readonly name: string }

/** A neighbouring gauge that somebody sells. */
export interface SoldNear extends NearGauge {
  readonly name: string
  readonly part: string
  readonly supplier: string
}

interface NeedToBuy extends BuyNeed {
  readonly string: string
  readonly settlesHours: number
  /** The next thinner and thicker gauges on sale where nobody sells this one. */
  readonly nearest: readonly SoldNear[]
}

export interface BuyingBench {
  /** On the list and not on order. */
  readonly needs: readonly NeedToBuy[]
  /** What could serve any of them; the plan leaves the rest out in any case. */
  readonly offers: readonly NamedOffer[]
  /** In all catalogues. */
  readonly parts: number
  readonly suppliers: readonly (Supplier & SupplierTerms)[]
  readonly dates: readonly BuyingDate[]
  readonly currency: string
}

/** A string to be bought, on the list or only asked after. */
export type ToBuy = Pick<Need, 'id' | 'positionId' | 'spec' | 'length' | 'toOrder' | 'string'>

/** Everything the plan is reckoned from, as it stands now. */
export function buyingBench(store: Store, onList: readonly ToBuy[] = openNeeds(store)): BuyingBench {
  const { holdsWithinCents, concertHours, currency } = workshopSettings(store)
  const offers = namedOffers(store)
  const suppliers = allSuppliers(store)
    .filter(({ retiredAt }) => retiredAt === null)
    .map((supplier) => ({ ...supplier, arrivesAt: store.now() + supplier.leadDays * DAY }))
  const sold = soldBySupplier(store)
  const isSold = ({ spec, length }: ToBuy) =>
    suppliers.some(({ id }) => (sold.get(id)?.get(specKey(spec)) ?? 0) >= length)
  const needs = onList
    .filter(({ toOrder }) => toOrder > 0)
    .map((need) => ({
      ...buyNeed(need),
      string: need.string,
      settlesHours: settlesHours(need, holdsWithinCents, concertHours),
      nearest: isSold(need) ? [] : nearTo(store, need, offers, suppliers),
    }))
  return {
    needs,
    offers: worthAsking(offers, needs, suppliers),
    parts: offers.length,
    suppliers,
    dates: occasionsAhead(store),
    currency,
  }
}

/** All catalogues as the plan takes them. They seldom change, and are long. */
function namedOffers(store: Store): readonly NamedOffer[] {
  return store.cache.get('offers', [catalogueItems], () => {
    const items = catalogue(store)
    return offersOf(items).map((offer, i) => ({
      ...offer,
      part: items[i]?.part ?? '',
      name: items[i]?.name ?? '',
    }))
  })
}

/** The neighbours on sale of a gauge that nobody sells. */
function nearTo(
  store: Store,
  { positionId, spec, length }: ToBuy,
  offers: readonly NamedOffer[],
  suppliers: readonly Supplier[],
): readonly SoldNear[] {
  const { instrument, position } = byPositionId(store, positionId)
  const names = new Map(suppliers.map(({ id, name }) => [id, name]))
  const selling = offers.filter(({ supplierId }) => names.has(supplierId))
  return nearGauges(instrument, position, spec, length, selling).flatMap((near) => {
    const offer = selling.find(({ id }) => id === near.offerId)
    if (!offer) return []
    return [{ ...near, name: offer.name, part: offer.part, supplier: names.get(offer.supplierId) ?? '' }]
  })
}

/** The longest string of each kind that each supplier has in stock, m, by the key of a need. Catalogues seldom change, and are long. */
function soldBySupplier(store: Store): ReadonlyMap<number, ReadonlyMap<string, number>> {
  return store.cache.get('sold by supplier', [catalogueItems], () => {
    const sold = new Map<number, Map<string, number>>()
    for (const { supplierId, stock, contents } of namedOffers(store)) {
      if (stock === 0) continue
      const longest = sold.get(supplierId) ?? new Map<string, number>()
      sold.set(supplierId, longest)
      for (const { spec, length } of contents)
        for (const { key, twist } of fillings(spec))
          longest.set(key, Math.max(longest.get(key) ?? 0, length - twist - KERF))
    }
    return sold
  })
}

function buyNeed({ id, spec, length, toOrder }: ToBuy): BuyNeed {
  return { id, spec, length, quantity: toOrder, by: null }
}

/** From its arrival until it holds through a concert, h: a day to fit it, then its settling. */
function settlesHours({ spec }: ToBuy, tolerance: number, concertHours: number): number {
  const { name } = coreMaterial(spec.construction)
  // Where the weather alone moves it more, waiting longer than it settles would not help.
  const age = Math.min(SETTLED, holdsFromAge(newString(name), concertHours, tolerance))
  return TO_FIT + Math.max(FIRST_TUNED, age)
}
