/**
 * The coils as the stores' sheets show them.
 */
import { pages } from '@/boundary/paths'
import { pageOf, type PageOf } from '@/core/list/page-of'
import { leadingNames } from '@/core/instrument/names'
import { otherMake } from '@/core/stores/asked-make'
import { hasLainTooLong, lainTooLongWords } from '@/core/stores/keeps'
import { materialWord, outerGauge } from '@/core/strings/construction'
import { YEAR } from '@/core/wear/period'
import { coilById, openCoils, withCuts, type Coil, type CutCoil } from '../stores/coils'
import { coils as coilTable, instruments, parkedTails, positions } from '../store/schema'
import { jobsOnCoil, setAside } from '../stores/set-aside'
import type { Store } from '../store/database'
import { positionsBySpec, servedWords, type Served } from '../stores/served'

export const COIL_ORDERS = ['label', 'material', 'gauge', 'left', 'bought'] as const
export type CoilOrder = (typeof COIL_ORDERS)[number]

/** What is looked for in the stores, and in which order. */
export interface CoilsAsked {
  /** Words that a coil must have, all as one text. */
  readonly look: string
  /** Null for any. */
  readonly material: string | null
  readonly openedOnly: boolean
  readonly by: CoilOrder
  readonly down: boolean
  /** Counted from 0. */
  readonly page: number
}

export interface CoilRow extends Coil {
  /** Positions it is exactly right for, in a few words. */
  readonly serves: string
  /** Length that open jobs are to cut from it, m. */
  readonly setAside: number
  /** Where its make and line differ from what a chart asks for: a sentence. */
  readonly otherMake: string | null
  /** Where it has lain longer than it keeps: a sentence. */
  readonly lainTooLong: string | null
}

export interface CoilsPage {
  readonly rows: readonly CutCoil<CoilRow>[]
  readonly at: PageOf
  /** How many there are, found or not. */
  readonly all: number
  readonly materials: readonly string[]
}

/** Shorter than any string that is ever cut, m. */
const SCRAP = 0.1
const ROWS = 25
const inOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)
const byNumber = new Intl.Collator('en', { numeric: true })

const ORDERS: Readonly<Record<CoilOrder, (a: Coil, b: Coil) => number>> = {
  label: (a, b) => byNumber.compare(a.label, b.label),
  material: (a, b) => inOrder(materialWord(a.construction), materialWord(b.construction)),
  gauge: (a, b) => outerGauge(a.construction) - outerGauge(b.construction),
  left: (a, b) => a.lengthLeft - b.lengthLeft,
  bought: (a, b) => a.boughtAt - b.boughtAt,
}

/** A page of the coils that are looked for, each with what it serves and what is set aside of it. */
export function coilsPage(
  store: Store,
  { look, material, openedOnly, by, down, page }: CoilsAsked,
): CoilsPage {
  const servedBy = positionsBySpec(store)
  const aside = setAside(store)
  const all = sortedCoils(store, by, down)
  const isLookedFor = lookedFor(store, look)
  const found = all.filter(
    (coil) =>
      isLookedFor(coil) &&
      (material === null || materialWord(coil.construction) === material) &&
      (!openedOnly || coil.opened),
  )
  const at = pageOf(page, ROWS, found.length)
  const rows = found.slice(at.from, at.to).map((coil): CoilRow => {
    const served = servedBy(coil)
    return {
      ...coil,
      serves: servedWords(served),
      setAside: (aside.get(coil.id) ?? []).reduce((sum, { length }) => sum + length, 0),
      otherMake: makeDiffers(coil, served),
      lainTooLong: lainTooLong(coil, store.now()),
    }
  })
  return {
    rows: withCuts(store, rows),
    at,
    all: all.length,
    materials: materialsIn(store),
  }
}

/** Coils that more than a scrap is left of, in an order that is kept: thousands are not sorted for a page of them. */
function sortedCoils(store: Store, by: CoilOrder, down: boolean): readonly Coil[] {
  return store.cache.get(`coils by ${by}${down ? ', down' : ''}`, [coilTable, parkedTails], () =>
    openCoils(store)
      .filter(({ lengthLeft }) => lengthLeft >= SCRAP)
      .sort((a, b) => (down ? -1 : 1) * ORDERS[by](a, b) || a.id - b.id),
  )
}

function materialsIn(store: Store): readonly string[] {
  return store.cache.get('materials of coils', [coilTable, parkedTails], () =>
    [
      ...new Set(sortedCoils(store, 'material', false).map(({ construction }) => materialWord(construction))),
    ].sort(),
  )
}

/** Whether a coil has some words in what it can be looked for by; any has where there are none. */
function lookedFor(store: Store, look: string): (coil: Coil) => boolean {
  const words = look.trim().toLowerCase()
  if (words === '') return () => true
  const texts = store.cache.get('coil texts', [coilTable, parkedTails, instruments, positions], () => {
    const servedBy = positionsBySpec(store)
    const serves = new Map<string, string>()
    return new Map(
      openCoils(store).map((coil) => {
        const known = serves.get(coil.key) ?? servedWords(servedBy(coil))
        serves.set(coil.key, known)
        return [coil.id, haystack(coil, known)]
      }),
    )
  })
  return ({ id }) => texts.get(id)?.includes(words) ?? false
}

/** All that a coil can be looked for by. */
function haystack(coil: Coil, serves: string): string {
  const gauge = (outerGauge(coil.construction) * 1000).toFixed(2)
  return `${coil.label} ${coil.place} ${materialWord(coil.construction)} ${gauge} ${coil.colour} ${coil.tensionClass} ${coil.end} ${coil.maker} ${coil.line} ${serves}`.toLowerCase()
}

export interface CoilView {
  readonly coil: CutCoil
  readonly jobs: ReturnType<typeof jobsOnCoil>
  readonly serves: readonly {
    readonly slug: string
    readonly instrument: string
    readonly number: number
    readonly called: string
  }[]
  readonly otherMake: string | null
  readonly lainTooLong: string | null
}

function lainTooLong({ construction, boughtAt }: Coil, now: number): string | null {
  const years = (now - boughtAt) / YEAR
  return hasLainTooLong(construction, years) ? lainTooLongWords(construction, years) : null
}

/** One coil with everything there is to say of it; Refusal 404 when there is none. */
export function coilView(store: Store, id: number): CoilView {
  const [coil] = withCuts(store, [coilById(store, id)]) as [CutCoil]
  const served = positionsBySpec(store)(coil)
  return {
    coil,
    jobs: jobsOnCoil(store, id),
    otherMake: makeDiffers(coil, served),
    lainTooLong: lainTooLong(coil, store.now()),
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

export interface LabelsPage {
  readonly labels: readonly PacketLabel[]
  readonly at: PageOf
}

/** Labels on one page: as many as an A4 sheet of them holds. */
const LABELS = 24

/**
 * A page of packet labels, the newest packets first, since those want one.
 *
 * @param ids - those alone; null for all that have the words looked for
 */
export function packetLabels(
  store: Store,
  {
    ids,
    look,
    page,
  }: { readonly ids: readonly number[] | null; readonly look: string; readonly page: number },
): LabelsPage {
  const servedBy = positionsBySpec(store)
  const isAsked = ids ? ({ id }: Coil) => ids.includes(id) : lookedFor(store, look)
  // They lie in the order they were booked in.
  const found = openCoils(store).filter(isAsked).toReversed()
  const at = pageOf(page, LABELS, found.length)
  const labels = found.slice(at.from, at.to).map((coil) => {
    const served = servedBy(coil)
    const [first] = served
    return {
      id: coil.id,
      coil,
      serves: servedWords(served),
      path: first ? pages.instrument(first.instrument.slug, first.position.number) : pages.coil(coil.id),
    }
  })
  return { labels, at }
}
