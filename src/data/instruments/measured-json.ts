/**
 * What was measured of an instrument as it is kept: a key by itself where the usual tool measured it, with its error where
 * something else did.
 */
import { isQuantityKey, type Measured, type QuantityKey } from '@/core/measuring/quantity'

/** Whether an entry is one of what was measured. */
export function isMeasured(one: unknown): one is QuantityKey | Measured {
  if (typeof one === 'string') return isQuantityKey(one)
  const { key, error } = (one ?? {}) as Partial<Measured>
  return typeof key === 'string' && isQuantityKey(key) && typeof error === 'number' && error > 0 && error < 1
}

/** What was measured, as it is kept. */
export function readMeasured(json: string): readonly Measured[] {
  return (JSON.parse(json) as readonly (QuantityKey | Measured)[]).map((one) =>
    typeof one === 'string' ? { key: one, error: null } : one,
  )
}

/** The newest of each key, so that what is measured again counts once. */
export function measuredJson(measured: readonly Measured[]): string {
  const byKey = new Map(measured.map((one) => [one.key, one]))
  return JSON.stringify([...byKey.values()].map(({ key, error }) => (error === null ? key : { key, error })))
}
