/**
 * What must be bought: what was put on the list, and what belongs on it.
 */
import { and, asc, eq, isNull, ne } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { soldByClass } from '@/core/instrument/instrument'
import { specAt, type StringSpec } from '@/core/stores/string-spec'
import { workshopSettings } from '../workshop/settings'
import { byPositionId } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import { constructionFrom, specColumns } from '../store/construction-columns'
import type { Done, Store } from '../store/database'
import { inMm, metres } from '../store/millimetres'
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
import { orderDetailsFor, type OrderDetail } from './order-details'

export interface Need {
  readonly id: number
  readonly jobId: number | null
  readonly positionId: number
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

/** All that the list is read from. */
export const LISTED_FROM = [
  needs,
  orderedNeeds,
  orderLines,
  orders,
  house,
  instruments,
  positions,
  coverings,
] as const

/** Open needs, oldest first, each with all that an order must say. */
export function openNeeds(store: Store): readonly Need[] {
  return store.cache.get('open needs', LISTED_FROM, () => readNeeds(store))
}

function readNeeds(store: Store): readonly Need[] {
  const settings = workshopSettings(store)
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
        positionId: row.positionId,
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
        // What is bought, which may be a neighbour of what the chart asks for.
        lines: orderDetailsFor(
          stored.instrument,
          { ...stored.position, construction: constructionFrom(row) },
          stored.habits,
          settings,
        ),
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

/** A string to be put on the list, for a job or for the stores. */
export interface WantedString {
  readonly positionId: number
  readonly jobId: number | null
  readonly quantity: number
}

/**
 * Puts strings on the list, each with all that an order must say.
 *
 * @throws Refusal 409 when a job's string is on it already: two people may have seen the same suggestion
 */
export function addNeeds(store: Store, wanted: readonly WantedString[]): Done<void> {
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
  const rows = wanted.map((want) => needRow(store, want))
  const summary =
    rows.length === 1 ? 'One string put on the need list' : `${rows.length} strings put on the need list`
  return store.act({ kind: 'need', summary }, () => {
    for (const row of rows) store.rows.insert(needs).values(row).run()
  })
}

/** A string on the list, with all that an order must say. */
export function needRow(store: Store, { jobId, positionId, quantity }: WantedString) {
  const { instrument, position, habits } = byPositionId(store, positionId)
  return {
    jobId,
    positionId,
    quantity,
    ...specColumns(specAt(position, soldByClass(instrument))),
    lengthMm: Math.ceil(inMm(fittingFigures(instrument, position, habits).cut.total)),
    openedAt: store.now(),
  }
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
