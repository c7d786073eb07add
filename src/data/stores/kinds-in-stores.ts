/** What the stores hold for an instrument, by the kind of string that would be cut. */
import { firstOfPieces, soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { specAt, specKey } from '@/core/stores/string-spec'
import type { StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { coverings, house, instruments, positions } from '../store/schema'
import { FREE_FROM, freeStores } from './set-aside'
import { offersAt } from './spares'

/** What of a kind is in the stores. */
export interface KindInStores {
  readonly cuts: number
  /** The coil to take, and where it lies. */
  readonly from: string | null
}

/** Kinds by what would replace a string of them. Kept for those looked at. */
export function kindsInStores(
  store: Store,
  stored: StoredInstrument,
): Readonly<Record<string, KindInStores>> {
  return store.cache.get(
    `kinds in stores of ${stored.id}`,
    [...FREE_FROM, instruments, positions, coverings, house],
    () => lookedUp(store, stored),
  )
}

function lookedUp(
  store: Store,
  { instrument, habits }: StoredInstrument,
): Readonly<Record<string, KindInStores>> {
  const coils = freeStores(store)
  const longest = new Map<string, StringPosition>()
  for (const position of firstOfPieces(instrument)) {
    const kind = specKey(specAt(position, soldByClass(instrument)))
    const had = longest.get(kind)
    if (!had || had.freeLength < position.freeLength) longest.set(kind, position)
  }
  return Object.fromEntries(
    [...longest].map(([kind, position]): [string, KindInStores] => {
      const enough = offersAt(coils, instrument, position, habits).filter(({ leaves }) => leaves >= 0)
      const exact = enough.filter(({ fit }) => fit.grade === 'exact')
      const [best] = exact.length > 0 ? exact : enough
      return [
        kind,
        {
          cuts: exact.reduce((sum, { yields }) => sum + yields, 0),
          from: best ? `${best.coil.label}, ${best.coil.place}` : null,
        },
      ]
    }),
  )
}
