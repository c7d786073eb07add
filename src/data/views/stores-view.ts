/**
 * The shelf as the stores' sheets show it.
 */
import { leadingNames } from '@/core/instrument/names'
import { otherMake } from '@/core/stores/asked-make'
import { coilById, shelf, type Coil } from '../stores/coils'
import { jobsOnCoil, setAside } from '../stores/cutting'
import type { Store } from '../store/database'
import { positionsBySpec, servedWords, type Served } from '../stores/served'

export interface CoilRow extends Coil {
  /** Positions it is exactly right for, in a few words. */
  readonly serves: string
  /** Length that open jobs are to cut from it, m. */
  readonly setAside: number
  /** Where its make and line differ from what a chart asks for: a sentence. */
  readonly otherMake: string | null
}

/** Every coil on the shelf, with what it serves and what is set aside of it. */
export function coilRows(store: Store): readonly CoilRow[] {
  const servedBy = positionsBySpec(store)
  const aside = setAside(store)
  return shelf(store).map((coil) => {
    const served = servedBy(coil)
    return {
      ...coil,
      serves: servedWords(served),
      setAside: (aside.get(coil.id) ?? []).reduce((sum, { length }) => sum + length, 0),
      otherMake: makeDiffers(coil, served),
    }
  })
}

export interface CoilView {
  readonly coil: Coil
  readonly jobs: ReturnType<typeof jobsOnCoil>
  readonly serves: readonly {
    readonly slug: string
    readonly instrument: string
    readonly number: number
    readonly called: string
  }[]
  readonly otherMake: string | null
}

/** One coil with everything there is to say of it; Refusal 404 when there is none. */
export function coilView(store: Store, id: number): CoilView {
  const coil = coilById(store, id)
  const served = positionsBySpec(store)(coil)
  return {
    coil,
    jobs: jobsOnCoil(store, id),
    otherMake: makeDiffers(coil, served),
    serves: served.map(({ instrument, position }) => ({
      slug: instrument.slug,
      instrument: instrument.name,
      number: position.number,
      called: leadingNames(position).name,
    })),
  }
}

/** The first chart that asks for another make, in a sentence. */
function makeDiffers(coil: Coil, served: readonly Served[]): string | null {
  return (
    served.map(({ position }) => otherMake(coil, position.askedMake)).find((sentence) => sentence !== null) ??
    null
  )
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
  return shelf(store)
    .filter(({ id }) => ids === null || ids.includes(id))
    .map((coil) => {
      const served = servedBy(coil)
      const [first] = served
      return {
        id: coil.id,
        coil,
        serves: servedWords(served),
        path: first
          ? `/instruments/${first.instrument.slug}?string=${first.position.number}`
          : `/stores/coils/${coil.id}`,
      }
    })
}
