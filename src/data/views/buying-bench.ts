/**
 * What the order plan needs to know: the open needs, the catalogues, the terms, and by when things must be here.
 */
import type { BuyNeed, CatalogueOffer, SupplierTerms } from '@/core/stores/buying'
import { FIRST_TUNED, newLaw, readyFrom } from '@/core/settle/drift'
import { worthAsking } from '@/core/stores/reduce-buying'
import { coreMaterial } from '@/core/strings/construction'
import type { Store } from '../store/database'
import { catalogueItems } from '../store/schema'
import { houseSettings } from '../house/house'
import { openNeeds, type Need } from '../buying/need-list'
import { occasionsAhead } from '../house/occasions'
import { allSuppliers, catalogue, offersOf, type Supplier } from '../buying/suppliers'

const HOUR = 3_600_000
const DAY = 24 * HOUR
/** Time to fit what has come, before it starts settling, h. */
const TO_FIT = 24

export interface BuyingDate {
  readonly name: string
  readonly at: number
}

type NamedOffer = CatalogueOffer & { readonly part: string; readonly name: string }

export interface BuyingBench {
  /** On the list and not on order. */
  readonly needs: readonly (BuyNeed & { readonly string: string; readonly settlesHours: number })[]
  /** What could serve any of them; the plan leaves the rest out in any case. */
  readonly offers: readonly NamedOffer[]
  /** In all catalogues. */
  readonly parts: number
  readonly suppliers: readonly (Supplier & SupplierTerms)[]
  readonly dates: readonly BuyingDate[]
  readonly currency: string
}

/** A string to be bought, on the list or only asked after. */
export type ToBuy = Pick<Need, 'id' | 'spec' | 'length' | 'toOrder' | 'string'>

/** Everything the plan is reckoned from, as it stands now. */
export function buyingBench(store: Store, onList: readonly ToBuy[] = openNeeds(store)): BuyingBench {
  const { holdsWithinCents, concertHours, currency } = houseSettings(store)
  const offers = namedOffers(store)
  const needs = onList
    .filter(({ toOrder }) => toOrder > 0)
    .map((need) => ({
      ...buyNeed(need),
      string: need.string,
      settlesHours: settlesHours(need, holdsWithinCents, concertHours),
    }))
  const suppliers = allSuppliers(store)
    .filter(({ retiredAt }) => retiredAt === null)
    .map((supplier) => ({ ...supplier, arrivesAt: store.now() + supplier.leadDays * DAY }))
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
  return store.kept.get('offers', [catalogueItems], () => {
    const items = catalogue(store)
    return offersOf(items).map((offer, i) => ({
      ...offer,
      part: items[i]?.part ?? '',
      name: items[i]?.name ?? '',
    }))
  })
}

function buyNeed({ id, spec, length, toOrder }: ToBuy): BuyNeed {
  return { id, spec, length, quantity: toOrder, by: null }
}

/** From its arrival until it holds through a concert, h: a day to fit it, then its settling. */
function settlesHours({ spec }: ToBuy, tolerance: number, concertHours: number): number {
  const { drift } = coreMaterial(spec.construction)
  return TO_FIT + Math.max(FIRST_TUNED, readyFrom(newLaw(drift), tolerance, concertHours))
}
