/**
 * What was measured of an instrument as it is kept: a key by itself where the usual tool measured it, with its error where
 * something else did.
 */
import { isQuantityKey, type Measured } from '@/core/measuring/quantity'

/** @throws RangeError when there is something else in it */
export function readMeasured(json: string): readonly Measured[] {
  return (JSON.parse(json) as readonly unknown[]).map((one) => {
    if (typeof one === 'string' && isQuantityKey(one)) return { key: one, error: null }
    const { key, error } = (one ?? {}) as Partial<Measured>
    if (typeof key === 'string' && isQuantityKey(key) && typeof error === 'number' && error > 0 && error < 1)
      return { key, error }
    throw new RangeError('expected keys of what was measured')
  })
}

/** The newest of each key, so that what is measured again counts once. */
export function measuredJson(measured: readonly Measured[]): string {
  const byKey = new Map(measured.map((one) => [one.key, one]))
  return JSON.stringify([...byKey.values()].map(({ key, error }) => (error === null ? key : { key, error })))
}
