/**
 * Orders as they stand: those under way whole, and any of them as a line of a list.
 */
import { and, asc, desc, eq, inArray, lt, sql, type SQL } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { grouped } from '@/core/list/grouped'
import { itemAt } from '@/core/list/item-at'
import type { SentBy } from '@/core/stores/order-way'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { orderLines, orders, suppliers, type OrderState } from '../store/schema'
import { lineFrom, type OrderLine } from './order-lines'
import { allSuppliers, type Supplier } from './suppliers'

export interface Order {
  readonly id: number
  readonly supplier: Supplier
  readonly state: OrderState
  readonly openedAt: number
  readonly sentAt: number | null
  readonly sentBy: SentBy | null
  readonly ticket: string | null
  readonly lines: readonly OrderLine[]
  /** In the supplier's currency, minor units. */
  readonly goodsMinor: number
  readonly postageMinor: number
}

const OPEN_STATES: readonly OrderState[] = ['to send', 'sent', 'acknowledged', 'delivered']

/** Orders that are not closed, the latest first. */
export function openOrders(store: Store): readonly Order[] {
  return ordersFrom(
    store,
    store.rows
      .select()
      .from(orders)
      .where(inArray(orders.state, [...OPEN_STATES]))
      .orderBy(desc(orders.id))
      .all(),
  )
}

/** An order as a line of a list. */
export interface OrderInList {
  readonly id: number
  readonly supplier: string
  readonly simulated: boolean
  readonly state: OrderState
  readonly lines: number
  readonly openedAt: number
  /** Goods and postage, minor units of the currency. */
  readonly totalMinor: number
  readonly currency: string
}

/** Orders that are not closed, in a few words, the latest first. */
export function openInList(store: Store): readonly OrderInList[] {
  return inList(store, inArray(orders.state, [...OPEN_STATES]), -1)
}

/** Some of the closed orders, the latest first: those before one, or the very latest. */
export function closedInList(store: Store, most: number, before: number | null): readonly OrderInList[] {
  return inList(
    store,
    and(eq(orders.state, 'closed'), before === null ? undefined : lt(orders.id, before)),
    most,
  )
}

/** Lines are counted and added up where they lie: a page shows their number and sum alone. */
function inList(store: Store, which: SQL | undefined, most: number): readonly OrderInList[] {
  return store.rows
    .select({
      id: orders.id,
      supplier: suppliers.name,
      simulated: suppliers.simulated,
      state: orders.state,
      lines: sql<number>`(select count(*) from ${orderLines} where ${orderLines.orderId} = ${orders.id})`,
      openedAt: orders.openedAt,
      totalMinor: sql<number>`${orders.postageMinor} + coalesce((select sum(${orderLines.priceMinor} * ${orderLines.packs}) from ${orderLines} where ${orderLines.orderId} = ${orders.id} and ${orderLines.replacesId} is null), 0)`,
      currency: suppliers.currency,
    })
    .from(orders)
    .innerJoin(suppliers, eq(suppliers.id, orders.supplierId))
    .where(which)
    .orderBy(desc(orders.id))
    .limit(most)
    .all()
}

/** One order; Refusal 404 when there is none. */
export function orderById(store: Store, id: number): Order {
  return orderFrom(
    store,
    found(store.rows.select().from(orders).where(eq(orders.id, id)).get(), `There is no order ${id}.`),
  )
}

type OrderRow = typeof orders.$inferSelect

const orderFrom = (store: Store, row: OrderRow): Order => itemAt(ordersFrom(store, [row]), 0)

function ordersFrom(store: Store, rows: readonly OrderRow[]): readonly Order[] {
  const by = new Map(allSuppliers(store).map((supplier) => [supplier.id, supplier]))
  const lines = grouped(
    inChunks(
      rows.map(({ id }) => id),
      (ids) =>
        store.rows
          .select()
          .from(orderLines)
          .where(inArray(orderLines.orderId, [...ids]))
          .orderBy(asc(orderLines.id))
          .all(),
    ),
    (line) => line.orderId,
  )
  return rows.map(({ id, supplierId, state, openedAt, sentAt, sentBy, ticket, postageMinor }) => {
    const own = (lines.get(id) ?? []).map(lineFrom)
    return {
      id,
      supplier: found(by.get(supplierId), 'The order’s supplier is gone.'),
      state,
      openedAt,
      sentAt,
      sentBy,
      ticket,
      postageMinor,
      lines: own,
      goodsMinor: own
        .filter(({ replacesId }) => replacesId === null)
        .reduce((sum, line) => sum + line.priceMinor * line.packs, 0),
    }
  })
}

export function inState(order: Order, states: readonly OrderState[]): Order {
  if (!states.includes(order.state))
    throw new Refusal(409, `Order ${order.id} is ${order.state}; that can’t be done with it now.`)
  return order
}
