/** What work costs its owner, by the suppliers’ prices and the workshop’s hour. */
import { chargesOf, type ChargedString, type Charges } from '@/core/stores/charges'
import { stringPrices } from '../buying/string-prices'
import { workshopSettings } from '../workshop/settings'
import type { Store } from '../store/database'

/** @param minutes - of work; null where nobody recorded it */
export function chargesFor(store: Store, strings: readonly ChargedString[], minutes: number | null): Charges {
  const { hourMinor, currency } = workshopSettings(store)
  return chargesOf(strings, minutes, { hourMinor, currency, priceOf: stringPrices(store) })
}
