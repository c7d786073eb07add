/**
 * What must be bought: what was put on the list, and what belongs on it.
 */
import { and, asc, eq, isNull, ne } from 'drizzle-orm'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { bestOffer, cutsIn, fitting, type SortedOut } from '@/core/stores/offers'
import { specAt, specKey, type StringSpec } from '@/core/stores/string-spec'
import type { Coil } from '../stores/coils'
import { FREE_FROM, freeStores } from '../stores/set-aside'
import { constructionFrom, specColumns } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { houseSettings } from '../house/house'
import { allInstruments, byPositionId, positionId, type StoredInstrument } from '../instruments/instruments'
import { jobsOnStrings, openJobs } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import { inMm, metres } from '../store/millimetres'
import { orderDetailsFor, type OrderDetail } from './order-details'
import { found, Refusal } from '@/boundary/refusal'
import {
  coverings,
  house,
  instruments,
  needs,
  orderedNeeds,
  orderLines,
  orders,
  positions,
} from '../store/schema'

export interface Need {
  readonly id: number
  readonly jobId: number | null
  readonly string: string
  /** The instrument's name. */
  readonly instrument: string
  readonly openedAt: number
  readonly spec: StringSpec
  /** m */
  readonly length: number
  readonly quantity: number
  /** How many of them have come already, how many are on their way, and how many are still to be ordered. */
  readonly met: number
  readonly onOrder: number
  readonly toOrder: number
  /** The latest order that brings some of it. */
  readonly orderId: number | null
  readonly lines: readonly OrderDetail[]
}

/** Open needs, oldest first, each with all that an order must say. */
export function openNeeds(store: Store): readonly Need[] {
  const { unit } = houseSettings(store)
  const ordered = onTheWay(store)
  return store.rows
    .select()
    .from(needs)
    .where(isNull(needs.closedAt))
    .orderBy(asc(needs.openedAt), asc(needs.id))
    .all()
    .map((row) => {
      const stored = byPositionId(store, row.positionId)
      const coming = ordered.get(row.id) ?? { strings: 0, orderId: null }
      return {
        id: row.id,
        jobId: row.jobId,
        openedAt: row.openedAt,
        spec: {
          construction: constructionFrom(row),
          colour: row.colour,
          tensionClass: row.tensionClass,
          end: row.end,
        },
        length: metres(row.lengthMm),
        quantity: row.quantity,
        met: row.met,
        onOrder: coming.strings,
        toOrder: Math.max(0, row.quantity - row.met - coming.strings),
        orderId: coming.orderId,
        string: stringOf(stored, stored.position),
        instrument: stored.instrument.name,
        lines: orderDetailsFor(stored.instrument, stored.position, stored.habits, unit),
      }
    })
}

/** Strings of each need that orders are still to bring. */
function onTheWay(
  store: Store,
): ReadonlyMap<number, { readonly strings: number; readonly orderId: number | null }> {
  const ordered = new Map<number, { strings: number; orderId: number | null }>()
  const links = store.rows
    .select({
      needId: orderedNeeds.needId,
      strings: orderedNeeds.strings,
      orderId: orderLines.orderId,
      packs: orderLines.packs,
      received: orderLines.received,
    })
    .from(orderedNeeds)
    .innerJoin(orderLines, eq(orderedNeeds.orderLineId, orderLines.id))
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(needs, eq(needs.id, orderedNeeds.needId))
    .where(and(isNull(needs.closedAt), ne(orders.state, 'closed')))
    .all()
  for (const { needId, strings, orderId, packs, received } of links) {
    const had = ordered.get(needId)
    const left = strings - Math.floor((strings * received) / packs)
    if (left > 0)
      ordered.set(needId, {
        strings: (had?.strings ?? 0) + left,
        orderId: Math.max(had?.orderId ?? 0, orderId),
      })
  }
  return ordered
}

/** A string that belongs on the list and is not on it yet. */
export interface SuggestedNeed {
  readonly positionId: number
  readonly jobId: number | null
  readonly string: string
  readonly why: 'broken, and nothing in the stores fits' | 'too few in the stores'
  /** How many to get. */
  readonly quantity: number
}

/**
 * What the stores can't do: broken strings that nothing fits, and charted strings of which fewer cuts are left than the
 * house wants. Strings alike in everything are one; the longest stands for them.
 */
export function suggestedNeeds(store: Store, onList = openNeeds(store)): readonly SuggestedNeed[] {
  const { leastSpares } = houseSettings(store)
  const stores = freeStores(store)
  const broken = jobsOnStrings(store).flatMap((job): SuggestedNeed[] => {
    const { row, instrument, position, habits, corrections } = job
    if (row.coilId !== null || row.sameString || onList.some(({ jobId }) => jobId === row.id)) return []
    const best = bestOffer(
      stores,
      position,
      soldByClass(instrument),
      (construction) => fittingFigures(instrument, position, habits, construction, corrections).cut.total,
    )
    if (best && best.leaves >= 0) return []
    return [
      {
        positionId: row.positionId,
        jobId: row.id,
        string: stringOf(job, position),
        why: 'broken, and nothing in the stores fits',
        quantity: 1,
      },
    ]
  })
  const listed = new Map<string, number>()
  for (const need of onList.filter(({ jobId }) => jobId === null))
    listed.set(specKey(need.spec), (listed.get(specKey(need.spec)) ?? 0) + need.quantity - need.met)
  const short = cutsOfEach(store, stores).flatMap(({ stored, position, key, there }): SuggestedNeed[] => {
    const quantity = leastSpares - there - (listed.get(key) ?? 0)
    return quantity <= 0
      ? []
      : [
          {
            positionId: positionId(stored, position.number),
            jobId: null,
            string: stringOf(stored, position),
            why: 'too few in the stores',
            quantity,
          },
        ]
  })
  return [...broken, ...short]
}

interface Longest {
  readonly stored: StoredInstrument
  readonly position: StringPosition
  readonly key: string
  /** m */
  readonly cut: number
}

/** For each string that a chart asks for the longest place where it goes, with its cut. Charts and habits alone decide it. */
function longestOfEach(store: Store): readonly Longest[] {
  return store.kept.get('longest of each', [instruments, positions, coverings, house], () => {
    const longest = new Map<string, Omit<Longest, 'cut'>>()
    for (const stored of allInstruments(store)) {
      for (const position of stored.instrument.positions) {
        const key = specKey(specAt(position, soldByClass(stored.instrument)))
        const had = longest.get(key)
        if (!had || had.position.freeLength < position.freeLength) longest.set(key, { stored, position, key })
      }
    }
    return [...longest.values()].map((one) => ({
      ...one,
      cut: fittingFigures(one.stored.instrument, one.position, one.stored.habits).cut.total,
    }))
  })
}

/** How many strings of each kind can be cut from what is there. The stores are kept; so is this, as long as they are. */
function cutsOfEach(store: Store, stores: SortedOut<Coil>) {
  return store.kept.get('cuts of each', FREE_FROM, () =>
    longestOfEach(store).map((one) => ({
      ...one,
      there: cutsThere(stores, one.stored, one.position, one.cut),
    })),
  )
}

/** Strings that can be cut for a position from what is exactly right. */
function cutsThere(
  stores: SortedOut<Coil>,
  { instrument }: StoredInstrument,
  position: StringPosition,
  cut: number,
): number {
  const { end } = specAt(position, soldByClass(instrument))
  return fitting(stores, position, soldByClass(instrument))
    .filter(({ fit }) => fit.grade === 'exact')
    .flatMap(({ coils }) => coils)
    .reduce((sum, coil) => sum + cutsIn(coil, cut, end), 0)
}

/**
 * Puts strings on the list, each with all that an order must say.
 *
 * @throws Refusal 409 when a job's string is on it already: two people may have seen the same suggestion
 */
export function addNeeds(
  store: Store,
  wanted: readonly Pick<SuggestedNeed, 'positionId' | 'jobId' | 'quantity'>[],
): Done<void> {
  const jobIds = wanted.flatMap(({ jobId }) => jobId ?? [])
  if (new Set(jobIds).size < jobIds.length)
    throw new Refusal(400, 'One job’s string is put on the list once.')
  const open = new Map(openJobs(store).map((job) => [job.id, job]))
  for (const { jobId, positionId: at } of wanted) {
    if (jobId === null) continue
    const job = open.get(jobId)
    if (!job)
      throw new Refusal(409, `Job ${jobId} is finished, or there is none: its string needs no buying.`)
    if (job.positionId !== at) throw new Refusal(400, `Job ${jobId} is of another string.`)
  }
  const there = openNeeds(store).find(
    ({ jobId }) => jobId !== null && wanted.some((want) => want.jobId === jobId),
  )
  if (there) throw new Refusal(409, `The ${there.string} is on the need list already.`)
  const rows = wanted.map((want) => {
    const { instrument, position, habits } = byPositionId(store, want.positionId)
    return {
      jobId: want.jobId,
      positionId: want.positionId,
      quantity: want.quantity,
      ...specColumns(specAt(position, soldByClass(instrument))),
      lengthMm: Math.ceil(inMm(fittingFigures(instrument, position, habits).cut.total)),
      openedAt: store.now(),
    }
  })
  const summary =
    rows.length === 1 ? 'One string put on the need list' : `${rows.length} strings put on the need list`
  return store.act({ kind: 'need', summary }, () => {
    for (const row of rows) store.rows.insert(needs).values(row).run()
  })
}

/**
 * Puts on the list what belongs there, however long it is.
 *
 * @throws Refusal 409 when nothing is missing any more
 */
export function addSuggestedNeeds(store: Store): Done<void> {
  const suggested = suggestedNeeds(store)
  if (suggested.length === 0) throw new Refusal(409, 'All that belongs on the list is on it.')
  return addNeeds(store, suggested)
}

/** Takes a string off the list. */
export function dropNeed(store: Store, id: number): Done<void> {
  const row = found(
    store.rows.select().from(needs).where(eq(needs.id, id)).get(),
    `There is no need ${id} on the list.`,
  )
  if (row.closedAt !== null) throw new Refusal(409, 'That is off the list already.')
  const stored = byPositionId(store, row.positionId)
  return store.act(
    {
      kind: 'need',
      summary: `${stringOf(stored, stored.position)} taken off the need list`,
      instrumentId: stored.id,
    },
    () => {
      store.rows.update(needs).set({ closedAt: store.now() }).where(eq(needs.id, id)).run()
    },
  )
}
