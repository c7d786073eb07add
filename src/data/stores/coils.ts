/**
 * Coils in the stores.
 */
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { ShelfCoil } from '@/core/stores/offers'
import type { StringEnd } from '@/core/stores/string-spec'
import { constructionColumns, constructionFrom } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { DUST, inMm, metres } from '../store/millimetres'
import { found, Refusal } from '@/boundary/refusal'
import { coils, cuts, jobs, parkedTails } from '../store/schema'

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

/** The whole shelf, used-up coils left out unless they are asked for, and those whose rest hangs on a neck. */
export function shelf(store: Store, { usedUp = false } = {}): readonly Coil[] {
  const byCoil = new Map<number, (typeof cuts.$inferSelect)[]>()
  const parked = new Set(
    store.rows
      .select({ coilId: parkedTails.coilId })
      .from(parkedTails)
      .where(isNull(parkedTails.trimmedAt))
      .all()
      .map(({ coilId }) => coilId),
  )
  for (const cut of store.rows.select().from(cuts).orderBy(asc(cuts.id)).all())
    byCoil.set(cut.coilId, [...(byCoil.get(cut.coilId) ?? []), cut])
  return store.rows
    .select()
    .from(coils)
    .orderBy(asc(coils.id))
    .all()
    .filter((row) => usedUp || (row.leftMm > 0 && row.discardedAt === null && !parked.has(row.id)))
    .map((row) => coilFrom(row, byCoil.get(row.id) ?? []))
}

/** One coil; Refusal 404 when there is none. */
export function coilById(store: Store, id: number): Coil {
  const row = found(
    store.rows.select().from(coils).where(eq(coils.id, id)).get(),
    `There is no coil ${id} in the stores.`,
  )
  return coilFrom(row, store.rows.select().from(cuts).where(eq(cuts.coilId, id)).all())
}

export type NewCoil = Omit<Coil, 'id' | 'cuts' | 'opened' | 'lengthLeft' | 'discardedAt' | 'end'> & {
  readonly end?: StringEnd
  readonly lengthLeft?: number
  readonly openedAt?: number | null
  readonly orderLineId?: number
}

/** Books a coil in; belongs inside an action. Returns its row id. */
export function addCoil(store: Store, coil: NewCoil): number {
  return store.rows
    .insert(coils)
    .values({
      label: coil.label,
      ...constructionColumns(coil.construction),
      colour: coil.colour,
      tensionClass: coil.tensionClass,
      maker: coil.maker,
      line: coil.line,
      place: coil.place,
      end: coil.end ?? 'plain',
      orderLineId: coil.orderLineId ?? null,
      boughtAt: coil.boughtAt,
      openedAt: coil.openedAt ?? null,
      boughtMm: inMm(coil.boughtLength),
      leftMm: inMm(coil.lengthLeft ?? coil.boughtLength),
    })
    .returning({ id: coils.id })
    .get().id
}

/**
 * Cuts a length off a coil; belongs inside an action. A ready-made end goes with the first cut.
 *
 * @param length - m
 * @throws Refusal 409 when the coil has less left; the table's own check stands behind it
 */
export function cutCoil(store: Store, id: number, length: number, jobId: number | null): void {
  const coil = coilById(store, id)
  if (coil.discardedAt !== null)
    throw new Refusal(409, `${coil.label} was thrown away; nothing can be cut from it.`, 'cutMm')
  if (length > coil.lengthLeft + DUST) {
    throw new Refusal(
      409,
      `${coil.label} has only ${Math.round(coil.lengthLeft * 1000)} mm left; a cut of ${Math.round(length * 1000)} mm does not come out of it.`,
      'cutMm',
    )
  }
  const at = store.now()
  store.rows
    .insert(cuts)
    .values({ coilId: id, jobId, at, lengthMm: inMm(length) })
    .run()
  store.rows
    .update(coils)
    .set({
      leftMm: Math.max(0, inMm(coil.lengthLeft - length)),
      end: 'plain',
      ...(coil.opened ? {} : { openedAt: at }),
    })
    .where(eq(coils.id, id))
    .run()
}

/** Marks a coil as opened; belongs inside an action. */
export function openCoil(store: Store, id: number): void {
  store.rows
    .update(coils)
    .set({ openedAt: store.now() })
    .where(and(eq(coils.id, id), isNull(coils.openedAt)))
    .run()
}

/** Whether what is left of a coil hangs on a neck, uncut. */
export function isParked(store: Store, id: number): boolean {
  return (
    store.rows
      .select({ id: parkedTails.id })
      .from(parkedTails)
      .where(and(eq(parkedTails.coilId, id), isNull(parkedTails.trimmedAt)))
      .get() !== undefined
  )
}

function coilFrom(row: typeof coils.$inferSelect, rows: readonly (typeof cuts.$inferSelect)[]): Coil {
  return {
    id: row.id,
    label: row.label,
    construction: constructionFrom(row),
    colour: row.colour,
    tensionClass: row.tensionClass,
    maker: row.maker,
    line: row.line,
    place: row.place,
    end: row.end,
    discardedAt: row.discardedAt,
    boughtAt: row.boughtAt,
    opened: row.openedAt !== null,
    boughtLength: metres(row.boughtMm),
    lengthLeft: metres(row.leftMm),
    cuts: rows.map((cut) => ({ at: cut.at, length: metres(cut.lengthMm), jobId: cut.jobId })),
  }
}

/** What a person found on looking: how much is really left, where it lies, what it is called. */
export interface CoilCorrection {
  readonly label: string
  readonly place: string
  /** m */
  readonly lengthLeft: number
}

/**
 * Sets a coil right.
 *
 * @throws Refusal 400 when more is said to be left than was bought
 */
export function correctCoil(
  store: Store,
  id: number,
  { label, place, lengthLeft }: CoilCorrection,
): Done<void> {
  const coil = coilById(store, id)
  if (lengthLeft > coil.boughtLength + DUST)
    throw new Refusal(
      400,
      `${coil.label} came with ${Math.round(coil.boughtLength * 1000)} mm; it can’t have more left.`,
      'lengthLeft',
    )
  const change =
    Math.abs(lengthLeft - coil.lengthLeft) < DUST
      ? ''
      : `: ${Math.round(coil.lengthLeft * 1000)} mm were on record, ${Math.round(lengthLeft * 1000)} mm are there`
  return store.act({ kind: 'stores', summary: `${coil.label} set right${change}` }, () => {
    store.rows
      .update(coils)
      .set({ label, place, leftMm: inMm(lengthLeft) })
      .where(eq(coils.id, id))
      .run()
  })
}

/** Throws a coil away; it stays on record. */
export function discardCoil(store: Store, id: number): Done<void> {
  const coil = coilById(store, id)
  if (coil.discardedAt !== null) throw new Refusal(409, `${coil.label} was thrown away already.`)
  if (isParked(store, id))
    throw new Refusal(409, `The rest of ${coil.label} hangs on a neck; trim its tail first.`)
  const waiting = store.rows
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.coilId, id), isNull(jobs.finishedAt)))
    .get()
  if (waiting)
    throw new Refusal(409, `${coil.label} is set aside for an open job; choose another coil for it first.`)
  return store.act({ kind: 'stores', summary: `${coil.label} thrown away` }, () => {
    store.rows.update(coils).set({ discardedAt: store.now() }).where(eq(coils.id, id)).run()
  })
}
