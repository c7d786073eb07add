import type { TermsRequest } from '@/boundary/requests/suppliers'
import { parseMoney } from '@/core/stores/money'

/** Terms as they are kept, out of what was typed. */
export function termsFrom({ rate, postage, freeOver, leadDays, simulated }: TermsRequest) {
  return {
    rate,
    leadDays,
    simulated,
    postageMinor: parseMoney(postage),
    freeOverMinor: freeOver.trim() === '' ? null : parseMoney(freeOver),
  }
}
