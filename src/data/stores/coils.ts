/**
 * Coils in the stores.
 */
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { StoredCoil } from '@/core/stores/offers'
import type { StringEnd } from '@/core/knots/string-ends'
import { specKey } from '@/core/stores/string-spec'
import { constructionColumns, constructionFrom } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { grouped } from '@/core/list/grouped'
import { inChunks } from '../store/in-chunks'
import { DUST, inMm, metres } from '../store/millimetres'
import { found, Refusal } from '@/boundary/refusal'
import { coils, cuts, jobs, parkedTails } from '../store/schema'

export interface Coil extends StoredCoil {
  readonly label: string
  readonly maker: string
  readonly line: string
  readonly place: string
  readonly boughtAt: number
  /** Length when it came, m. */
  readonly boughtLength: number
  /** It was in the hand and not in the stores, and nobody said how long it was: its lengths are what a job takes. */
  readonly inHand: boolean
  /** When it was thrown away; null while it is in the stores. */
  readonly discardedAt: number | null
  /** What tells its string from others: see `specKey`. */
  readonly key: string
}

export interface Cut {
  readonly at: number
  /** m */
  readonly length: number
  readonly jobId: number | null
}

/** Coils that something can be cut from: not used up, not thrown away, and their rest not parked on a neck. By row id. */
export function openCoils(store: Store): readonly Coil[] {
  return store.cache.get('open coils', [coils, parkedTails], () => {
    const parked = new Set(
      store.rows
        .select({ coilId: parkedTails.coilId })
        .from(parkedTails)
        .where(isNull(parkedTails.trimmedAt))
        .all()
        .map(({ coilId }) => coilId),
    )
    return [...coilsLeft(store).values()].filter(({ id }) => !parked.has(id))
  })
}

/** Coils with something left that were not thrown away, read again only where they were written. */
function coilsLeft(store: Store): ReadonlyMap<number, Coil> {
  return store.cache.rows('coils left', coils, (ids) => {
    // As the partial index says it, so that SQLite takes it.
    const left = sql`left_mm > 0 AND discarded_at IS NULL`
    const read = (some: readonly number[] | null) =>
      store.rows
        .select()
        .from(coils)
        .where(some ? and(left, inArray(coils.id, [...some])) : left)
        .orderBy(asc(coils.id))
        .all()
    return (ids ? inChunks(ids, read) : read(null)).map((row) => [row.id, coilFrom(row)] as const)
  })
}

/** A coil with what was cut from it, as it is drawn. */
export type CutCoil<C extends Coil = Coil> = C & { readonly cuts: readonly Cut[] }

/** Some coils with their past cuts, each in order. */
export function withCuts<C extends Coil>(store: Store, some: readonly C[]): readonly CutCoil<C>[] {
  const rows = inChunks(
    some.map(({ id }) => id),
    (ids) =>
      store.rows
        .select()
        .from(cuts)
        .where(inArray(cuts.coilId, [...ids]))
        .orderBy(asc(cuts.id))
        .all(),
  )
  const byCoil = grouped(rows, ({ coilId }) => coilId)
  return some.map((coil) => ({
    ...coil,
    cuts: (byCoil.get(coil.id) ?? []).map(({ at, lengthMm, jobId }) => ({
      at,
      length: metres(lengthMm),
      jobId,
    })),
  }))
}

/** One coil; Refusal 404 when there is none. */
export function coilById(store: Store, id: number): Coil {
  const row = found(
    store
      .prepared('coil by id', (rows) =>
        rows
          .select()
          .from(coils)
          .where(eq(coils.id, sql.placeholder('id')))
          .prepare(),
      )
      .get({ id }),
    `There is no coil ${id} in the stores.`,
  )
  return coilFrom(row)
}

export type NewCoil = Omit<
  Coil,
  'id' | 'key' | 'opened' | 'inHand' | 'lengthLeft' | 'discardedAt' | 'end'
> & {
  readonly end?: StringEnd
  readonly lengthLeft?: number
  readonly openedAt?: number | null
  readonly inHand?: boolean
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
      inHand: coil.inHand ?? false,
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

function coilFrom(row: typeof coils.$inferSelect): Coil {
  const spec = {
    construction: constructionFrom(row),
    colour: row.colour,
    tensionClass: row.tensionClass,
    end: row.end,
  }
  return {
    ...spec,
    id: row.id,
    key: specKey(spec),
    label: row.label,
    maker: row.maker,
    line: row.line,
    place: row.place,
    inHand: row.inHand,
    discardedAt: row.discardedAt,
    boughtAt: row.boughtAt,
    opened: row.openedAt !== null,
    boughtLength: metres(row.boughtMm),
    lengthLeft: metres(row.leftMm),
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

/** Of a string in the hand whose length nobody knew nothing is left once it is cut; belongs inside an action. */
export function forgetRest(store: Store, coilId: number, cut: number): void {
  store.rows
    .update(coils)
    .set({ boughtMm: inMm(cut), leftMm: 0 })
    .where(eq(coils.id, coilId))
    .run()
}
