/**
 * Orders: from the plan to the packets on the shelf. Each function here is one action.
 */
import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm'
import { postageOf } from '@/core/stores/order-plan'
import type { DeskLine } from '@/core/stores/desk'
import { STAND_IN } from '@/core/stores/fits'
import { outerGauge } from '@/core/strings/construction'
import type { SoldPacket } from './catalogue/catalogue-cells'
import { addCoil } from './coils'
import type { Done, Store } from './database'
import { openNeeds, type Need } from './need-list'
import { found, Refusal } from './refusal'
import { coils, needs, orderedNeeds, orderLines, orders, suppliers, type OrderState } from './schema'
import { catalogue, contentsOf, packetColumns, packetFrom, type StoredItem, type Supplier } from './suppliers'

export interface OrderLine extends SoldPacket {
  readonly id: number
  readonly packs: number
  /** The strings it is for, each as an order must say it. */
  readonly forStrings: readonly string[]
  readonly answer: 'confirmed' | 'back-ordered' | 'substituted' | 'refused' | null
  readonly replacesId: number | null
  readonly received: number
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
  readonly lines: readonly { readonly itemId: number; readonly packs: number; readonly needIds: readonly number[] }[]
}

/**
 * Writes a plan down as orders, one for each supplier.
 *
 * @throws Refusal 409 when a part is gone from the catalogue, or a need is off the list or on its way already
 */
export function placeOrders(store: Store, planned: readonly PlannedOrder[]): Done<readonly number[]> {
  const items = new Map(catalogue(store).map((item) => [item.id, item]))
  const open = new Map(openNeeds(store).map((need) => [need.id, need]))
  for (const need of planned.flatMap(({ lines }) => lines.flatMap(({ needIds }) => needIds))) {
    if (!open.has(need)) throw new Refusal(409, 'The need list has changed since the plan was made; plan again.')
    if ((open.get(need)?.orderId ?? null) !== null) throw new Refusal(409, `The ${open.get(need)?.string} is on order already; plan again.`)
  }
  return store.act({ kind: 'order', summary: planned.length === 1 ? 'An order written' : `${planned.length} orders written` }, () => planned.map(({ supplierId, lines }) => {
    const supplier = found(store.rows.select().from(suppliers).where(eq(suppliers.id, supplierId)).get(), `There is no supplier ${supplierId}.`)
    const chosen = lines.map((line) => ({ ...line, item: itemIn(items, line.itemId, supplierId) }))
    const goods = chosen.reduce((sum, { item, packs }) => sum + item.priceMinor * packs, 0)
    const orderId = store.rows.insert(orders).values({ supplierId, state: 'to send', openedAt: store.now(), postageMinor: postageOf(supplier, goods) }).returning({ id: orders.id }).get().id
    for (const { item, packs, needIds } of chosen) {
      const lineId = insertLine(store, orderId, item, packs, needIds.flatMap((id) => open.get(id) ?? []).map(needWords), null)
      for (const needId of needIds) store.rows.insert(orderedNeeds).values({ needId, orderLineId: lineId }).run()
    }
    return orderId
  }))
}

function itemIn(items: ReadonlyMap<number, StoredItem>, id: number, supplierId: number): StoredItem {
  const item = items.get(id)
  if (item?.supplierId !== supplierId) throw new Refusal(409, 'A catalogue has changed since the plan was made; plan again.')
  return item
}

function insertLine(store: Store, orderId: number, item: StoredItem, packs: number, forStrings: readonly string[], replacesId: number | null): number {
  return store.rows.insert(orderLines).values({
    orderId, ...packetColumns(item), packs, forStrings: JSON.stringify(forStrings), replacesId,
  }).returning({ id: orderLines.id }).get().id
}

/** A string as an order must say it: both octave systems, and the instrument as its owner wrote it. */
function needWords({ lines, instrument }: Need): string {
  const said = new Map(lines)
  return `${said.get('Note') ?? ''}; ${instrument}, ${said.get('Instrument') ?? ''}`
}

/** All orders, the latest first. */
export function allOrders(store: Store): readonly Order[] {
  return store.rows.select().from(orders).orderBy(desc(orders.id)).all().map((row) => orderFrom(store, row))
}

/** One order; Refusal 404 when there is none. */
export function orderById(store: Store, id: number): Order {
  return orderFrom(store, found(store.rows.select().from(orders).where(eq(orders.id, id)).get(), `There is no order ${id}.`))
}

function orderFrom(store: Store, row: typeof orders.$inferSelect): Order {
  const supplier = found(store.rows.select().from(suppliers).where(eq(suppliers.id, row.supplierId)).get(), 'The order’s supplier is gone.')
  const lines = store.rows.select().from(orderLines).where(eq(orderLines.orderId, row.id)).orderBy(asc(orderLines.id)).all().map((line): OrderLine => ({
    ...packetFrom(line), id: line.id, packs: line.packs, forStrings: JSON.parse(line.forStrings) as string[],
    answer: line.answer, replacesId: line.replacesId, received: line.received,
  }))
  const goodsMinor = lines.filter(({ replacesId }) => replacesId === null).reduce((sum, line) => sum + line.priceMinor * line.packs, 0)
  return { id: row.id, supplier, state: row.state, openedAt: row.openedAt, sentAt: row.sentAt, ticket: row.ticket, postageMinor: row.postageMinor, lines, goodsMinor }
}

/** Marks an order as sent, with the number that the supplier's desk gave it. */
export function markSent(store: Store, id: number, ticket: string): Done<void> {
  const order = inState(orderById(store, id), ['to send'])
  return store.act({ kind: 'order', summary: `Order ${id} sent to ${order.supplier.name}` }, () => {
    store.rows.update(orders).set({ state: 'sent', sentAt: store.now(), ticket }).where(eq(orders.id, id)).run()
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
      if (offered) insertLine(store, id, offered, line.packs, line.forStrings, line.id)
    }
    store.rows.update(orders).set({ state: 'acknowledged' }).where(eq(orders.id, id)).run()
  })
}

/** How much a substitution would change the tension where the asked-for string goes, as a share. */
export function substitutionChange(asked: OrderLine, offered: OrderLine): { readonly change: number; readonly stays: boolean } {
  const change = (outerGauge(offered.construction) / outerGauge(asked.construction)) ** 2 - 1
  return { change, stays: Math.abs(change) <= STAND_IN }
}

/** Takes what the supplier offers in place of a line, or refuses it. */
export function decideSubstitution(store: Store, id: number, lineId: number, accept: boolean): Done<void> {
  const order = inState(orderById(store, id), ['acknowledged'])
  const line = order.lines.find((one) => one.id === lineId && one.replacesId !== null)
  if (!line) throw new Refusal(404, `Order ${id} has no such substitution.`)
  if (line.answer !== null) throw new Refusal(409, 'That is decided already.')
  return store.act({ kind: 'order', summary: `${line.name} ${accept ? 'taken' : 'refused'} in place of another part of order ${id}` }, () => {
    store.rows.update(orderLines).set({ answer: accept ? 'confirmed' : 'refused' }).where(eq(orderLines.id, lineId)).run()
    // What is refused, or stood in for, is no longer on its way: its strings are free to be planned anew, or go on with the substitute.
    const replaced = store.rows.select().from(orderedNeeds).where(eq(orderedNeeds.orderLineId, line.replacesId as number)).all()
    for (const row of replaced) {
      if (accept) store.rows.update(orderedNeeds).set({ orderLineId: lineId }).where(eq(orderedNeeds.id, row.id)).run()
      else store.rows.delete(orderedNeeds).where(eq(orderedNeeds.id, row.id)).run()
    }
  })
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
 * Books a delivery in: a packet on the shelf for each piece, and the needs that it fills closed.
 *
 * @throws Refusal 409 when more came than is still to come
 */
export function receive(store: Store, id: number, arrived: readonly Arrived[], place: string): Done<{ readonly coilIds: readonly number[] }> {
  const order = inState(orderById(store, id), ['acknowledged', 'delivered'])
  const byPart = new Map(catalogue(store, order.supplier.id).map((item) => [item.part, item]))
  const coming = arrived.filter(({ packs }) => packs > 0).map(({ lineId, packs }) => {
    const line = order.lines.find((one) => one.id === lineId)
    if (!line) throw new Refusal(404, `Order ${id} has no line ${lineId}.`)
    const left = outstanding(line)
    if (packs > left) throw new Refusal(409, `${packs} of ${line.name} came, and ${left === 0 ? 'none was' : `${left} ${left === 1 ? 'was' : 'were'}`} still to come: book in what was ordered, and send the rest back.`, `line ${lineId}`)
    return { line, packs }
  })
  if (coming.length === 0) throw new Refusal(400, 'Say how many packs came.')
  return store.act({ kind: 'delivery', summary: `A delivery from ${order.supplier.name} booked in` }, () => {
    const coilIds = coming.flatMap(({ line, packs }) => {
      store.rows.update(orderLines).set({ received: line.received + packs }).where(eq(orderLines.id, line.id)).run()
      const made = contentsOf(line, byPart).flatMap(({ spec, length, pieces }) => Array.from({ length: pieces * packs }, () => {
        const of = line.setOf === null ? line : byPart.get(line.setOf.find(({ part }) => byPart.get(part) === spec)?.part ?? '') ?? line
        return addCoil(store, {
          label: nextLabel(store), construction: spec.construction, colour: spec.colour, tensionClass: spec.tensionClass, end: spec.end, maker: of.maker, line: of.line, place, boughtAt: store.now(), boughtLength: length, orderLineId: line.id,
        })
      }))
      if (line.received + packs === line.packs) closeNeedsOf(store, line.id)
      return made
    })
    const left = order.lines.reduce((sum, line) => sum + outstanding(line) - (coming.find((one) => one.line.id === line.id)?.packs ?? 0), 0)
    store.rows.update(orders).set({ state: left === 0 ? 'closed' : 'delivered' }).where(eq(orders.id, id)).run()
    return { coilIds }
  })
}

function closeNeedsOf(store: Store, lineId: number): void {
  const ids = store.rows.select().from(orderedNeeds).where(eq(orderedNeeds.orderLineId, lineId)).all().map(({ needId }) => needId)
  if (ids.length > 0) store.rows.update(needs).set({ closedAt: store.now() }).where(and(inArray(needs.id, ids), isNull(needs.closedAt))).run()
}

/** `Packet 131`: one more than the highest there ever was. */
function nextLabel(store: Store): string {
  const highest = store.rows.select({ label: coils.label }).from(coils).all().reduce((most, { label }) => Math.max(most, Number(/^Packet (\d+)$/.exec(label)?.[1] ?? 0)), 0)
  return `Packet ${highest + 1}`
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
  if (!states.includes(order.state)) throw new Refusal(409, `Order ${order.id} is ${order.state}; that can’t be done with it now.`)
  return order
}
