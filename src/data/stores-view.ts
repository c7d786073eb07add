/**
 * The shelf as the stores' sheets show it.
 */
import { coilById, shelf, type Coil } from './coils'
import { jobsOnCoil, setAside } from './cutting'
import type { Store } from './database'
import { positionsBySpec, servedWords } from './served'

export interface CoilRow extends Coil {
  /** Positions it is exactly right for, in a few words. */
  readonly serves: string
  /** Length that open jobs are to cut from it, m. */
  readonly setAside: number
}

/** Every coil on the shelf, with what it serves and what is set aside of it. */
export function coilRows(store: Store): readonly CoilRow[] {
  const servedBy = positionsBySpec(store)
  const aside = setAside(store)
  return shelf(store).map((coil) => ({ ...coil, serves: servedWords(servedBy(coil)), setAside: aside.get(coil.id) ?? 0 }))
}

export interface CoilView {
  readonly coil: Coil
  readonly jobs: ReturnType<typeof jobsOnCoil>
  readonly serves: readonly { readonly slug: string; readonly instrument: string; readonly number: number }[]
}

/** One coil with everything there is to say of it; Refusal 404 when there is none. */
export function coilView(store: Store, id: number): CoilView {
  const coil = coilById(store, id)
  return {
    coil, jobs: jobsOnCoil(store, id),
    serves: positionsBySpec(store)(coil).map(({ instrument, position }) => ({ slug: instrument.slug, instrument: instrument.name, number: position.number })),
  }
}

/** Labels to print: a line for each coil, or for each position. */
export interface PacketLabel {
  readonly id: number
  readonly coil: Coil
  readonly serves: string
  /** Where its code leads: the first position it serves, else the coil. */
  readonly path: string
}

/** Labels of packets. */
export function packetLabels(store: Store, ids: readonly number[] | null): readonly PacketLabel[] {
  const servedBy = positionsBySpec(store)
  return shelf(store).filter(({ id }) => ids === null || ids.includes(id)).map((coil) => {
    const served = servedBy(coil)
    const [first] = served
    return { id: coil.id, coil, serves: servedWords(served), path: first ? `/instruments/${first.instrument.slug}?string=${first.position.number}` : `/stores/coils/${coil.id}` }
  })
}
