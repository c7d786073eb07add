/**
 * Puts an instrument on the shelf as an action of its own, under an address that no other has.
 */
import { eq } from 'drizzle-orm'
import type { Instrument } from '@/core/instrument/instrument'
import { addressOf } from '../store/address-of'
import type { Store } from '../store/database'
import { stringAll, type OnAlready } from '../fitted/on-already'
import { addInstrument, type Known } from './instruments'
import { Refusal } from '@/boundary/refusal'
import { instruments } from '../store/schema'

/** Words of an address that lead elsewhere. */
const TAKEN = ['new']

/**
 * @param known - what was measured of it; null where its chart came whole
 * @param on - what is said of the strings that are on it; where nothing is said it is strung, nobody knows since when
 * @throws Refusal 409 when another instrument has that name, 400 when the name has no letter to make an address of
 */
export function putOnShelf(
  store: Store,
  instrument: Instrument,
  known: Known | null = null,
  on: OnAlready = { year: null },
): { readonly actionId: number; readonly slug: string; readonly name: string } {
  const name = instrument.name.trim()
  const slug = addressOf(name)
  if (!/^[a-z]/.test(slug)) throw new Refusal(400, 'The name must begin with a letter from A to Z.', 'name')
  const there =
    TAKEN.includes(slug) ||
    store.rows.select({ id: instruments.id }).from(instruments).where(eq(instruments.slug, slug)).get() !==
      undefined
  if (there) throw new Refusal(409, `There is an instrument called “${name}” already.`, 'name')
  const { actionId } = store.act({ kind: 'shelf', summary: `${name} put on the shelf` }, () => {
    addInstrument(store, { ...instrument, slug, name }, known)
    stringAll(store, slug, on)
  })
  return { actionId, slug, name }
}
