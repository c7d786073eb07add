/**
 * Orders: from the plan to the packets in the stores. Each function here is one action.
 */
import { and, asc, desc, eq, inArray, like, lt, sql } from 'drizzle-orm'
import { postageOf, type Fill } from '@/core/stores/order-plan'
import type { DeskLine } from '@/core/stores/desk'
import { STAND_IN } from '@/core/stores/fits'
import { cutsIn } from '@/core/stores/offers'
import { keysFilledBy, specKey } from '@/core/stores/string-spec'
import { massPerLength } from '@/core/strings/construction'
import type { SoldPacket } from '@/core/stores/catalogue-cells'
import { addCoil } from '../stores/coils'
import type { Done, Store } from '../store/database'
import { grouped } from '../store/grouped'
import { inChunks } from '../store/in-chunks'
import { openNeeds, type Need } from './need-list'
import { found, Refusal } from '@/boundary/refusal'
import { coils, needs, orderedNeeds, orderLines, orders, suppliers, type OrderState } from '../store/schema'
import {
  allSuppliers,
  catalogue,
  contentsOf,
  packetColumns,
  packetFrom,
  type Content,
  type StoredItem,
  type Supplier,
} from './suppliers'

export interface OrderLine extends SoldPacket {
  readonly id: number
  readonly packs: number
  /** The strings it is for, each as an order must say it. */
  readonly forStrings: readonly string[]
  readonly answer: 'confirmed' | 'back-ordered' | 'substituted' | 'refused' | null
  readonly replacesId: number | null
  readonly received: number
  /** What was in a pack on the day it was ordered; null on orders from before that was kept. */
  readonly holds: readonly Content[] | null
}

export interface Order {
  readonly id: number
  readonly supplier: Supplier
  readonly state: OrderState
  readonly openedAt: number
  readonly sentAt: number | null
  readonly ticket: string | null
  readonly lines: readonly OrderLine[]
  /** In the supplier's currency, minor units. */
  readonly goodsMinor: number
  readonly postageMinor: number
}

/** One supplier's share of a plan. */
export interface PlannedOrder {
  readonly supplierId: number
  readonly lines: readonly PlannedLine[]
}

export interface PlannedLine {
  readonly itemId: number
  readonly packs: number
  /** The strings that are cut from it, need by need. */
  readonly fills: readonly Fill[]
}

/**
 * Writes a plan down as orders, one for each supplier.
 *
 * @throws Refusal 409 when a part is gone from the catalogue, a need is off the list or on its way already, or a line names
 * strings that can't be cut from it
 */
export function placeOrders(store: Store, planned: readonly PlannedOrder[]): Done<readonly number[]> {
  const items = new Map(catalogue(store).map((item) => [item.id, item]))
  const open = new Map(openNeeds(store).map((need) => [need.id, need]))
  const wanted = new Map<number, number>()
  for (const { needId, strings } of planned.flatMap(({ lines }) => lines.flatMap(({ fills }) => fills))) {
    const need = open.get(needId)
    if (!need) throw new Refusal(409, 'The need list has changed since the plan was made; plan again.')
    wanted.set(needId, (wanted.get(needId) ?? 0) + strings)
    if ((wanted.get(needId) ?? 0) > need.toOrder)
      throw new Refusal(409, `The ${need.string} is on order already; plan again.`)
  }
  if (
    planned.some(({ lines }) =>
      lines.some(({ fills }) => new Set(fills.map(({ needId }) => needId)).size < fills.length),
    )
  ) {
    throw new Refusal(400, 'A line names the same string twice.')
  }
  return store.act(
    {
      kind: 'order',
      summary: planned.length === 1 ? 'An order written' : `${planned.length} orders written`,
    },
    () =>
      planned.map(({ supplierId, lines }) => {
        const supplier = found(
          store.rows.select().from(suppliers).where(eq(suppliers.id, supplierId)).get(),
          `There is no supplier ${supplierId}.`,
        )
        const chosen = lines.map((line) => ({ ...line, item: itemIn(items, line.itemId, supplierId) }))
        const goods = chosen.reduce((sum, { item, packs }) => sum + item.priceMinor * packs, 0)
        const orderId = store.rows
          .insert(orders)
          .values({
            supplierId,
            state: 'to send',
            openedAt: store.now(),
            postageMinor: postageOf(supplier, goods),
          })
          .returning({ id: orders.id })
          .get().id
        for (const { item, packs, fills } of chosen) {
          const holds = contentsOf(item, partsOf(items, supplierId))
          for (const fill of fills) refuseUncut(holds, packs, fill, open.get(fill.needId) as Need, item)
          const lineId = insertLine(store, orderId, {
            item,
            packs,
            forStrings: fills.flatMap(({ needId }) => open.get(needId) ?? []).map(needWords),
            replacesId: null,
            holds,
          })
          for (const { needId, strings } of fills)
            store.rows.insert(orderedNeeds).values({ needId, orderLineId: lineId, strings }).run()
        }
        return orderId
      }),
  )
}

function partsOf(
  items: ReadonlyMap<number, StoredItem>,
  supplierId: number,
): ReadonlyMap<string, StoredItem> {
  return new Map(
    [...items.values()].filter((item) => item.supplierId === supplierId).map((item) => [item.part, item]),
  )
}

/** A line can fill a need only with pieces of its kind that are long enough, and with no more strings than they hold. */
function refuseUncut(
  holds: readonly Content[],
  packs: number,
  { strings }: Fill,
  need: Need,
  item: StoredItem,
): void {
  const most = holds
    .filter(({ packet }) => keysFilledBy(packet).includes(specKey(need.spec)))
    .reduce(
      (sum, { packet, pieces }) =>
        sum +
        pieces * packs * cutsIn({ lengthLeft: packet.length, end: packet.end }, need.length, need.spec.end),
      0,
    )
  if (strings > most)
    throw new Refusal(
      409,
      `The ${need.string} can’t be cut from ${packs === 1 ? 'one pack' : `${packs} packs`} of ${item.name}; plan again.`,
    )
}

function itemIn(items: ReadonlyMap<number, StoredItem>, id: number, supplierId: number): StoredItem {
  const item = items.get(id)
  if (item?.supplierId !== supplierId)
    throw new Refusal(409, 'A catalogue has changed since the plan was made; plan again.')
  return item
}

interface NewLine {
  readonly item: StoredItem
  readonly packs: number
  readonly forStrings: readonly string[]
  readonly replacesId: number | null
  readonly holds: readonly Content[]
}

function insertLine(
  store: Store,
  orderId: number,
  { item, packs, forStrings, replacesId, holds }: NewLine,
): number {
  return store.rows
    .insert(orderLines)
    .values({
      orderId,
      ...packetColumns(item),
      packs,
      forStrings: JSON.stringify(forStrings),
      replacesId,
      holds: JSON.stringify(holds.map(({ packet, pieces }) => ({ ...packetColumns(packet), held: pieces }))),
    })
    .returning({ id: orderLines.id })
    .get().id
}

/** What a pack held when it was ordered, as the line keeps it. */
function heldIn(json: string | null): readonly Content[] | null {
  if (json === null) return null
  return (JSON.parse(json) as (Parameters<typeof packetFrom>[0] & { readonly held: number })[]).map(
    (row) => ({ packet: packetFrom(row), pieces: row.held }),
  )
}

/** A string as an order must say it: both octave systems, and the instrument as its owner wrote it. */
function needWords({ lines, instrument }: Need): string {
  const told = new Map(lines)
  return `${told.get('Say it') ?? ''} (${told.get('Note') ?? ''}); ${instrument}, ${told.get('Instrument') ?? ''}`
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

/** Some of the closed orders, the latest first: those before one, or the very latest. */
export function closedOrders(store: Store, most: number, before: number | null): readonly Order[] {
  return ordersFrom(
    store,
    store.rows
      .select()
      .from(orders)
      .where(and(eq(orders.state, 'closed'), before === null ? undefined : lt(orders.id, before)))
      .orderBy(desc(orders.id))
      .limit(most)
      .all(),
  )
}

/** One order; Refusal 404 when there is none. */
export function orderById(store: Store, id: number): Order {
  return orderFrom(
    store,
    found(store.rows.select().from(orders).where(eq(orders.id, id)).get(), `There is no order ${id}.`),
  )
}

type OrderRow = typeof orders.$inferSelect

const orderFrom = (store: Store, row: OrderRow): Order => ordersFrom(store, [row])[0] as Order

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
  return rows.map(({ id, supplierId, state, openedAt, sentAt, ticket, postageMinor }) => {
    const own = (lines.get(id) ?? []).map(lineFrom)
    return {
      id,
      supplier: found(by.get(supplierId), 'The order’s supplier is gone.'),
      state,
      openedAt,
      sentAt,
      ticket,
      postageMinor,
      lines: own,
      goodsMinor: own
        .filter(({ replacesId }) => replacesId === null)
        .reduce((sum, line) => sum + line.priceMinor * line.packs, 0),
    }
  })
}

function lineFrom(line: typeof orderLines.$inferSelect): OrderLine {
  return {
    ...packetFrom(line),
    id: line.id,
    packs: line.packs,
    forStrings: JSON.parse(line.forStrings) as string[],
    answer: line.answer,
    replacesId: line.replacesId,
    received: line.received,
    holds: heldIn(line.holds),
  }
}

/** An order that waits to be sent; Refusal 409 when it was. */
export function toSend(store: Store, id: number): Order {
  return inState(orderById(store, id), ['to send'])
}

/** Marks an order as sent, with the number that the supplier's desk gave it. */
export function markSent(store: Store, id: number, ticket: string): Done<void> {
  const order = toSend(store, id)
  return store.act({ kind: 'order', summary: `Order ${id} sent to ${order.supplier.name}` }, () => {
    store.rows
      .update(orders)
      .set({ state: 'sent', sentAt: store.now(), ticket })
      .where(eq(orders.id, id))
      .run()
  })
}

/** Takes the supplier's answer down, line by line; what it offers instead becomes a line of its own, to be decided. */
export function takeAnswer(store: Store, id: number, answered: readonly DeskLine[]): Done<void> {
  const order = inState(orderById(store, id), ['sent'])
  const items = new Map(catalogue(store, order.supplier.id).map((item) => [item.part, item]))
  return store.act({ kind: 'order', summary: `${order.supplier.name} answered order ${id}` }, () => {
    for (const line of order.lines) {
      const said = answered.find(({ part }) => part === line.part)
      if (!said) continue
      store.rows.update(orderLines).set({ answer: said.answer }).where(eq(orderLines.id, line.id)).run()
      const offered = said.offered === null ? undefined : items.get(said.offered)
      if (offered)
        insertLine(store, id, {
          item: offered,
          packs: line.packs,
          forStrings: line.forStrings,
          replacesId: line.id,
          holds: contentsOf(offered, items),
        })
    }
    store.rows.update(orders).set({ state: 'acknowledged' }).where(eq(orders.id, id)).run()
  })
}

/** How much a substitution would change the tension where the asked-for string goes, as a share: tension goes with the mass of each metre. */
export function substitutionChange(
  asked: OrderLine,
  offered: OrderLine,
): { readonly change: number; readonly stays: boolean } {
  const change = massPerLength(offered.construction) / massPerLength(asked.construction) - 1
  return { change, stays: Math.abs(change) <= STAND_IN }
}

/** Takes what the supplier offers in place of a line, or refuses it. */
export function decideSubstitution(store: Store, id: number, lineId: number, accept: boolean): Done<void> {
  const order = inState(orderById(store, id), ['acknowledged'])
  const line = order.lines.find((one) => one.id === lineId && one.replacesId !== null)
  if (!line) throw new Refusal(404, `Order ${id} has no such substitution.`)
  if (line.answer !== null) throw new Refusal(409, 'That is decided already.')
  return store.act(
    {
      kind: 'order',
      summary: `${line.name} ${accept ? 'taken' : 'refused'} in place of another part of order ${id}`,
    },
    () => {
      store.rows
        .update(orderLines)
        .set({ answer: accept ? 'confirmed' : 'refused' })
        .where(eq(orderLines.id, lineId))
        .run()
      // What is refused, or stood in for, is no longer on its way: its strings are free to be planned anew, or go on with the substitute.
      const replaced = store.rows
        .select()
        .from(orderedNeeds)
        .where(eq(orderedNeeds.orderLineId, line.replacesId as number))
        .all()
      for (const row of replaced) {
        if (accept)
          store.rows
            .update(orderedNeeds)
            .set({ orderLineId: lineId })
            .where(eq(orderedNeeds.id, row.id))
            .run()
        else store.rows.delete(orderedNeeds).where(eq(orderedNeeds.id, row.id)).run()
      }
    },
  )
}

/** Packs of a line that are still to come. */
export function outstanding(line: OrderLine): number {
  return line.answer === 'confirmed' || line.answer === 'back-ordered' ? line.packs - line.received : 0
}

export interface Arrived {
  readonly lineId: number
  readonly packs: number
}

/**
 * Books a delivery in: a packet in the stores for each piece, and the needs that it fills closed.
 *
 * @throws Refusal 409 when more came than is still to come
 */
export function receive(
  store: Store,
  id: number,
  arrived: readonly Arrived[],
  place: string,
): Done<{ readonly coilIds: readonly number[] }> {
  const order = inState(orderById(store, id), ['acknowledged', 'delivered'])
  const byPart = new Map(catalogue(store, order.supplier.id).map((item) => [item.part, item]))
  const twice = arrived.find(({ lineId }, i) => arrived.findIndex((one) => one.lineId === lineId) < i)
  if (twice)
    throw new Refusal(
      400,
      'A line of the order is told twice: say once how many of its packs came.',
      `line ${twice.lineId}`,
    )
  const coming = arrived
    .filter(({ packs }) => packs > 0)
    .map(({ lineId, packs }) => {
      const line = order.lines.find((one) => one.id === lineId)
      if (!line) throw new Refusal(404, `Order ${id} has no line ${lineId}.`)
      const left = outstanding(line)
      if (packs > left)
        throw new Refusal(
          409,
          `${packs} of ${line.name} came, and ${left === 0 ? 'none was' : `${left} ${left === 1 ? 'was' : 'were'}`} still to come: book in what was ordered, and send the rest back.`,
          `line ${lineId}`,
        )
      return { line, packs }
    })
  if (coming.length === 0) throw new Refusal(400, 'Say how many packs came.')
  return store.act({ kind: 'delivery', summary: `A delivery from ${order.supplier.name} booked in` }, () => {
    let nextPacket = highestPacket(store)
    const coilIds = coming.flatMap(({ line, packs }) => {
      store.rows
        .update(orderLines)
        .set({ received: line.received + packs })
        .where(eq(orderLines.id, line.id))
        .run()
      const made = (line.holds ?? contentsOf(line, byPart)).flatMap(({ packet, pieces }) =>
        Array.from({ length: pieces * packs }, () => {
          const label = `Packet ${(nextPacket += 1)}`
          return addCoil(store, {
            ...packet,
            label,
            place,
            boughtAt: store.now(),
            boughtLength: packet.length,
            orderLineId: line.id,
          })
        }),
      )
      meetNeeds(store, line, line.received + packs)
      return made
    })
    const left = order.lines.reduce(
      (sum, line) => sum + outstanding(line) - (coming.find((one) => one.line.id === line.id)?.packs ?? 0),
      0,
    )
    store.rows
      .update(orders)
      .set({ state: left === 0 ? 'closed' : 'delivered' })
      .where(eq(orders.id, id))
      .run()
    return { coilIds }
  })
}

/** Strings of a need that have come with a line when so many of its packs have. */
function come(strings: number, received: number, packs: number): number {
  return Math.floor((strings * received) / packs)
}

/** What comes with a delivery meets the needs that the line was cut for, and closes those that nothing more is wanted of. */
function meetNeeds(store: Store, line: OrderLine, received: number): void {
  for (const { needId, strings } of store.rows
    .select()
    .from(orderedNeeds)
    .where(eq(orderedNeeds.orderLineId, line.id))
    .all()) {
    const more = come(strings, received, line.packs) - come(strings, line.received, line.packs)
    const need = store.rows.select().from(needs).where(eq(needs.id, needId)).get()
    if (!need || more === 0) continue
    const met = need.met + more
    store.rows
      .update(needs)
      .set({ met, ...(met >= need.quantity && need.closedAt === null ? { closedAt: store.now() } : {}) })
      .where(eq(needs.id, needId))
      .run()
  }
}

/** The highest number of a packet that there ever was. */
function highestPacket(store: Store): number {
  const [row] = store.rows
    .select({ most: sql<number | null>`max(cast(substr(${coils.label}, 8) as integer))` })
    .from(coils)
    .where(like(coils.label, 'Packet %'))
    .all()
  return row?.most ?? 0
}

/** Gives an order up: what it was for may be planned anew. */
export function cancelOrder(store: Store, id: number): Done<void> {
  const order = inState(orderById(store, id), ['to send', 'sent', 'acknowledged', 'delivered'])
  return store.act({ kind: 'order', summary: `Order ${id} to ${order.supplier.name} given up` }, () => {
    const lineIds = order.lines.map((line) => line.id)
    store.rows.delete(orderedNeeds).where(inArray(orderedNeeds.orderLineId, lineIds)).run()
    store.rows.update(orders).set({ state: 'closed' }).where(eq(orders.id, id)).run()
  })
}

function inState(order: Order, states: readonly OrderState[]): Order {
  if (!states.includes(order.state))
    throw new Refusal(409, `Order ${order.id} is ${order.state}; that can’t be done with it now.`)
  return order
}
