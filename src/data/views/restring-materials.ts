/** What a set of strings is cut from, and what buying the rest of it would come to. */
import { Refusal } from '@/boundary/refusal'
import { soldByClass, positionAt } from '@/core/instrument/instrument'
import { fittingFigures } from '@/core/fitting/figures'
import { specAt } from '@/core/stores/string-spec'
import { stringOf } from '../jobs/string-of'
import { positionId, type StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { buyingBench, type BuyingBench } from './buying-bench'

const MAX_LISTED = 200

/**
 * Numbers of strings as an address lists them, `1,2,3`.
 *
 * @throws Refusal 400 where they are no such list, 404 where a string is nowhere
 */
export function listedPieces(stored: StoredInstrument, text: string): readonly number[] {
  const ids = text.split(',', MAX_LISTED + 1)
  if (ids.length > MAX_LISTED || !ids.every((id) => /^[1-9]\d{0,2}$/.test(id)))
    throw new Refusal(400, 'Expected the strings by their numbers.', 'pieces')
  return [...new Set(ids.map(Number))].map((id) => {
    positionId(stored, id)
    return id
  })
}

/** What it takes to buy some strings, as the order plan asks it: nothing of it is on the need list yet. */
export function buyingFor(store: Store, stored: StoredInstrument, ids: readonly number[]): BuyingBench {
  const { instrument, habits } = stored
  return buyingBench(
    store,
    ids.map((id) => {
      const position = positionAt(instrument, id)
      return {
        id,
        positionId: positionId(stored, id),
        spec: specAt(position, soldByClass(instrument)),
        length: fittingFigures(instrument, position, habits).cut.total,
        toOrder: 1,
        string: stringOf(stored, position),
      }
    }),
  )
}
