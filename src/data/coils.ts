/**
 * Coils in the stores.
 */
import { asc, eq } from 'drizzle-orm'
import type { ShelfCoil } from '@/core/stores/offers'
import type { StringEnd } from '@/core/stores/string-spec'
import { constructionColumns, constructionFrom } from './construction-columns'
import type { Store } from './database'
import { DUST, inMm, metres } from './millimetres'
import { found, Refusal } from './refusal'
import { coils, cuts } from './schema'

export interface Coil extends ShelfCoil {
  readonly label: string
  readonly maker: string
  readonly line: string
  readonly place: string
  readonly boughtAt: number
  /** Length when it came, m. */
  readonly boughtLength: number
  /** When it was thrown away; null while it is on the shelf. */
  readonly discardedAt: number | null
  /** Past cuts in order, m. */
  readonly cuts: readonly { readonly at: number; readonly length: number; readonly jobId: number | null }[]
}

/** The whole shelf, used-up coils left out unless they are asked for. */
export function shelf(store: Store, { usedUp = false } = {}): readonly Coil[] {
  const byCoil = new Map<number, (typeof cuts.$inferSelect)[]>()
  for (const cut of store.rows.select().from(cuts).orderBy(asc(cuts.id)).all()) byCoil.set(cut.coilId, [...(byCoil.get(cut.coilId) ?? []), cut])
  return store.rows.select().from(coils).orderBy(asc(coils.id)).all()
    .filter((row) => usedUp || (row.leftMm > 0 && row.discardedAt === null))
    .map((row) => coilFrom(row, byCoil.get(row.id) ?? []))
}

/** One coil; Refusal 404 when there is none. */
export function coilById(store: Store, id: number): Coil {
  const row = found(store.rows.select().from(coils).where(eq(coils.id, id)).get(), `There is no coil ${id} in the stores.`)
  return coilFrom(row, store.rows.select().from(cuts).where(eq(cuts.coilId, id)).all())
}

export type NewCoil = Omit<Coil, 'id' | 'cuts' | 'opened' | 'lengthLeft' | 'discardedAt' | 'end'> & { readonly end?: StringEnd; readonly lengthLeft?: number; readonly openedAt?: number | null; readonly orderLineId?: number }

/** Books a coil in; belongs inside an action. Returns its row id. */
export function addCoil(store: Store, coil: NewCoil): number {
  return store.rows.insert(coils).values({
    label: coil.label, ...constructionColumns(coil.construction), colour: coil.colour, tensionClass: coil.tensionClass,
    maker: coil.maker, line: coil.line, place: coil.place, end: coil.end ?? 'plain', orderLineId: coil.orderLineId ?? null, boughtAt: coil.boughtAt, openedAt: coil.openedAt ?? null,
    boughtMm: inMm(coil.boughtLength), leftMm: inMm(coil.lengthLeft ?? coil.boughtLength),
  }).returning({ id: coils.id }).get().id
}

/**
 * Cuts a length off a coil; belongs inside an action. A ready-made end goes with the first cut.
 *
 * @param length - m
 * @throws Refusal 409 when the coil has less left; the table's own check stands behind it
 */
export function cutCoil(store: Store, id: number, length: number, jobId: number | null): void {
  const coil = coilById(store, id)
  if (coil.discardedAt !== null) throw new Refusal(409, `${coil.label} was thrown away; nothing can be cut from it.`, 'cutMm')
  if (length > coil.lengthLeft + DUST) {
    throw new Refusal(409, `${coil.label} has only ${Math.round(coil.lengthLeft * 1000)} mm left; a cut of ${Math.round(length * 1000)} mm does not come out of it.`, 'cutMm')
  }
  const at = store.now()
  store.rows.insert(cuts).values({ coilId: id, jobId, at, lengthMm: inMm(length) }).run()
  store.rows.update(coils).set({ leftMm: Math.max(0, inMm(coil.lengthLeft - length)), end: 'plain', ...(coil.opened ? {} : { openedAt: at }) }).where(eq(coils.id, id)).run()
}

function coilFrom(row: typeof coils.$inferSelect, rows: readonly (typeof cuts.$inferSelect)[]): Coil {
  return {
    id: row.id, label: row.label, construction: constructionFrom(row), colour: row.colour, tensionClass: row.tensionClass,
    maker: row.maker, line: row.line, place: row.place, end: row.end, discardedAt: row.discardedAt, boughtAt: row.boughtAt, opened: row.openedAt !== null,
    boughtLength: metres(row.boughtMm), lengthLeft: metres(row.leftMm),
    cuts: rows.map((cut) => ({ at: cut.at, length: metres(cut.lengthMm), jobId: cut.jobId })),
  }
}
