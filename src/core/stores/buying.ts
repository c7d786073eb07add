/**
 * What buying is planned from, and what a plan is.
 */
import type { StringSpec } from './string-spec'

export interface BuyNeed {
  readonly id: number
  readonly spec: StringSpec
  /** Of each string, m. */
  readonly length: number
  readonly quantity: number
  /** The time it must have come by; null when any time will do. */
  readonly by: number | null
}

export interface SupplierTerms {
  readonly id: number
  /** Minor units of the house's currency for one of the supplier's. */
  readonly rate: number
  readonly postageMinor: number
  /** Goods worth at least this go without postage; null when there is no such limit. */
  readonly freeOverMinor: number | null
  /** When an order sent now would come. */
  readonly arrivesAt: number
}

/** More packs than anyone orders at once. */
export const AS_MANY_AS_ASKED = 9999

export interface CatalogueOffer {
  readonly id: number
  readonly supplierId: number
  readonly priceMinor: number
  /** Packs the supplier has; {@link AS_MANY_AS_ASKED} where the price list does not say. */
  readonly stock: number
  /** What is in a pack; a set has several. */
  readonly contents: readonly {
    readonly spec: StringSpec
    readonly length: number
    readonly pieces: number
  }[]
}

export interface OrderPlan {
  /** Each line with the strings that are cut from it, need by need. */
  readonly lines: readonly {
    readonly offerId: number
    readonly packs: number
    readonly fills: readonly Fill[]
  }[]
  readonly bySupplier: readonly SupplierPart[]
  /** In the house's currency, minor units. */
  readonly totalMinor: number
  /** Strings that nobody can send in time. */
  readonly unmet: readonly { readonly needId: number; readonly quantity: number }[]
  readonly gap: number
}

/** Strings of one need that come out of a line. */
export interface Fill {
  readonly needId: number
  readonly strings: number
}

/** What one supplier is to send; goods and postage in the supplier's currency, the total in the house's. */
export interface SupplierPart {
  readonly supplierId: number
  readonly goodsMinor: number
  readonly postageMinor: number
  readonly totalMinor: number
}

/** Postage for goods of a worth, in the supplier's minor units. */
export function postageOf(
  { postageMinor, freeOverMinor }: Pick<SupplierTerms, 'postageMinor' | 'freeOverMinor'>,
  goodsMinor: number,
): number {
  return freeOverMinor !== null && goodsMinor >= freeOverMinor ? 0 : postageMinor
}
