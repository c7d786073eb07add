/**
 * Money in whole minor units: cents, pence.
 */
import { itemAt } from '../list/item-at'

/** Currencies that a supplier may keep; each has a hundred minor units. */
export const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'CHF',
  'SEK',
  'DKK',
  'NOK',
  'PLN',
  'CZK',
  'AUD',
  'CAD',
] as const

/** Longer figures than this are no price of a string. */
const MOST_DIGITS = 12

/**
 * Reads a price such as `12.50`, `12,50`, `1.299,00`, `€ 7`, `7.90 EUR`.
 *
 * @returns minor units
 * @throws RangeError with a sentence that can be shown, when it is no price
 */
export function parseMoney(text: string): number {
  const plain = text
    .trim()
    .replace(/^(?:[€£$]|[a-z]{3})\s*/i, '')
    .replace(/\s*(?:[€£$]|[a-z]{3})$/i, '')
    .replace(/[\s’']/g, '')
  // A nought never leads thousands: “0.995” is no 995.
  const found =
    plain.length > MOST_DIGITS ? null : /^([1-9]\d{0,2}(?:[.,]\d{3})+|\d+)(?:[.,](\d{1,2}))?$/.exec(plain)
  if (!found) throw new RangeError(`Expected a price such as “12.50”, got “${text.trim()}”.`)
  return Number(itemAt(found, 1).replace(/[.,]/g, '')) * 100 + Number((found[2] ?? '0').padEnd(2, '0'))
}

/** `12.50 EUR` */
export function moneyText(minor: number, currency: string): string {
  return `${minor < 0 ? '−' : ''}${Math.floor(Math.abs(minor) / 100)}.${String(Math.abs(minor) % 100).padStart(2, '0')} ${currency}`
}
