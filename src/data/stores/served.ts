/**
 * Which positions each string in the stores is exactly right for.
 */
import { soldByClass, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { fillings, specAt, specKey, type StringSpec } from '@/core/stores/string-spec'
import type { Store } from '../store/database'
import { allInstruments } from '../instruments/instruments'
import { instruments, positions } from '../store/schema'

export interface Served {
  readonly instrument: Instrument
  readonly position: StringPosition
}

/** Positions by what they ask for. */
export function positionsBySpec(store: Store): (spec: StringSpec) => readonly Served[] {
  const bySpec = store.cache.get('positions by spec', [instruments, positions], () => sorted(store))
  return (spec) => fillings(spec).flatMap(({ key }) => bySpec.get(key) ?? [])
}

function sorted(store: Store): ReadonlyMap<string, readonly Served[]> {
  const bySpec = new Map<string, Served[]>()
  for (const { instrument } of allInstruments(store)) {
    for (const position of instrument.positions) {
      const key = specKey(specAt(position, soldByClass(instrument)))
      const served = bySpec.get(key)
      if (served) served.push({ instrument, position })
      else bySpec.set(key, [{ instrument, position }])
    }
  }
  return bySpec
}

/** Instruments that are named before the rest are counted. */
const NAMED = 3

/** Positions in a few words: `Lovage 22, 23`. */
export function servedWords(served: readonly Served[]): string {
  const byInstrument = new Map<string, number[]>()
  for (const { instrument, position } of served)
    byInstrument.set(instrument.name, [...(byInstrument.get(instrument.name) ?? []), position.called.number])
  const words = [...byInstrument].map(([name, numbers]) => `${name} ${numbers.join(', ')}`)
  const more = words.length - NAMED
  return more > 1 ? `${words.slice(0, NAMED).join('; ')}; ${more} more instruments` : words.join('; ')
}
