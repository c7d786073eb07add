/**
 * Anchors, beads and glue, and the anchors that broken gut is made into.
 */
import { and, asc, desc, eq, gt, gte, isNull } from 'drizzle-orm'
import { ANCHOR_GAUGE, anchorsFrom, type SupplyKind } from '@/core/stores/supplies'
import { DAY } from '@/core/units/time'
import { constructionFrom } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { inMm } from '../store/millimetres'
import { byPositionId } from '../instruments/instruments'
import { stringOf } from '../jobs/string-of'
import { found, Refusal } from '@/boundary/refusal'
import { anchorsMade, breaks, fittedStrings, supplies } from '../store/schema'

export interface Supply {
  readonly id: number
  readonly kind: SupplyKind
  readonly name: string
  readonly place: string
  readonly count: number
  readonly least: number
  /** To be got: on the need list. */
  readonly wanted: number
}

/** A broken string of thick gut that nobody has made anchors of yet. */
export interface AnchorGut {
  readonly fittedId: number
  readonly string: string
  readonly at: number
  /** Anchors it is good for. */
  readonly anchors: number
}

/** Everything there is, by kind. */
export function allSupplies(store: Store): readonly Supply[] {
  return store.rows.select().from(supplies).orderBy(asc(supplies.kind), asc(supplies.name)).all()
}

export type NewSupply = Omit<Supply, 'id' | 'wanted'>

/** Adds a kind of thing to the stores. */
export function addSupply(store: Store, supply: NewSupply): Done<number> {
  return store.act({ kind: 'stores', summary: `${supply.count} ${supply.name} booked in` }, () =>
    insertSupply(store, supply),
  )
}

/** Writes a new kind of thing; belongs inside an action. */
export function insertSupply(store: Store, supply: NewSupply): number {
  return store.rows.insert(supplies).values(supply).returning({ id: supplies.id }).get().id
}

/**
 * Takes some, or puts some back.
 *
 * @throws Refusal 409 when more is taken than there is
 */
export function moveSupply(store: Store, id: number, by: number): Done<void> {
  const supply = supplyById(store, id)
  if (supply.count + by < 0)
    throw new Refusal(409, `There are ${supply.count} ${supply.name}; ${-by} can’t be taken.`, 'by')
  // What comes in is no longer to be got.
  const wanted = Math.max(0, supply.wanted - Math.max(0, by))
  return store.act(
    { kind: 'stores', summary: by < 0 ? `${-by} ${supply.name} taken` : `${by} ${supply.name} booked in` },
    () => {
      store.rows
        .update(supplies)
        .set({ count: supply.count + by, wanted })
        .where(eq(supplies.id, id))
        .run()
    },
  )
}

/** Things that run short and are not on the need list yet, with how many to get. */
export function shortSupplies(store: Store): readonly (Supply & { readonly short: number })[] {
  return allSupplies(store)
    .map((supply) => ({ ...supply, short: supply.least - supply.count - supply.wanted }))
    .filter(({ short }) => short > 0)
}

/**
 * Puts a small thing on the need list, or takes it off with none.
 *
 * @param wanted - how many are to be got
 */
export function wantSupply(store: Store, id: number, wanted: number): Done<void> {
  const supply = supplyById(store, id)
  return store.act(
    {
      kind: 'need',
      summary:
        wanted === 0
          ? `${supply.name} taken off the need list`
          : `${wanted} ${supply.name} put on the need list`,
    },
    () => {
      store.rows.update(supplies).set({ wanted }).where(eq(supplies.id, id)).run()
    },
  )
}

function supplyById(store: Store, id: number): Supply {
  return found(
    store.rows.select().from(supplies).where(eq(supplies.id, id)).get(),
    `There is no supply ${id} in the stores.`,
  )
}

/** Broken strings are kept for anchors so long, ms; older ones are thrown away by then. */
const KEPT_FOR = 365 * DAY
/** As many of them as anybody looks through. */
const SHOWN = 30

/** Broken strings of the last year that anchors can still be made of, the latest first. */
export function anchorGut(store: Store): readonly AnchorGut[] {
  const rows = store.rows
    .select({ positionId: breaks.positionId, at: breaks.at, string: fittedStrings })
    .from(breaks)
    .innerJoin(fittedStrings, eq(breaks.fittedId, fittedStrings.id))
    .leftJoin(anchorsMade, eq(anchorsMade.fittedId, fittedStrings.id))
    .where(
      and(
        gt(breaks.at, store.now() - KEPT_FOR),
        eq(fittedStrings.material, 'gut'),
        gte(fittedStrings.gaugeMm, inMm(ANCHOR_GAUGE)),
        isNull(fittedStrings.wrapMaterial),
        isNull(anchorsMade.id),
      ),
    )
    .orderBy(desc(breaks.at))
    .limit(SHOWN)
    .all()
  return rows.flatMap(({ positionId, at, string }): AnchorGut[] => {
    const stored = byPositionId(store, positionId)
    const anchors = anchorsFrom(constructionFrom(string), stored.position.freeLength)
    return anchors === 0
      ? []
      : [{ fittedId: string.id, string: stringOf(stored, stored.position), at, anchors }]
  })
}

/**
 * Books the anchors made of a broken string in.
 *
 * @throws Refusal 409 when it was done already, or the string makes none
 */
export function bookAnchors(store: Store, fittedId: number): Done<number> {
  const gut = anchorGut(store).find((one) => one.fittedId === fittedId)
  if (!gut) throw new Refusal(409, 'That string makes no anchors, or they are booked in already.')
  return store.act(
    { kind: 'stores', summary: `${gut.anchors} anchors made of the broken ${gut.string}` },
    () => {
      const name = 'gut anchors'
      const there = store.rows.select().from(supplies).where(eq(supplies.name, name)).get()
      const supplyId =
        there?.id ?? insertSupply(store, { kind: 'anchor', name, place: '', count: 0, least: 0 })
      store.rows
        .update(supplies)
        .set({ count: (there?.count ?? 0) + gut.anchors })
        .where(eq(supplies.id, supplyId))
        .run()
      store.rows.insert(anchorsMade).values({ fittedId, supplyId, at: store.now(), count: gut.anchors }).run()
      return gut.anchors
    },
  )
}
