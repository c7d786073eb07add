/** What an order plan is made from, with the words it is told in. */
import type { BuyNeed, CatalogueOffer, SupplierTerms } from './buying'

export interface OrderBench {
  readonly needs: readonly (BuyNeed & { readonly string: string })[]
  readonly offers: readonly (CatalogueOffer & { readonly name: string; readonly simulated: boolean })[]
  readonly suppliers: readonly (SupplierTerms & { readonly name: string })[]
}
