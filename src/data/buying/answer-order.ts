/**
 * What becomes of an order between the house and the supplier’s desk: sent, answered, decided, given up.
 */
import { eq, inArray } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { requireValue } from '@/core/list/require-value'
import type { DeskLine } from '@/core/stores/desk'
import { STAND_IN } from '@/core/stores/fits'
import { supplierName, type LineAnswer, type SentBy, type SentByHand } from '@/core/stores/order-way'
import { massPerLength } from '@/core/strings/construction'
import type { Done, Store } from '../store/database'
import { orderedNeeds, orderLines, orders } from '../store/schema'
import { insertLine, type OrderLine } from './order-lines'
import { inState, orderById, type Order } from './orders'
import { catalogue, contentsOf } from './suppliers'

/** An order that waits to be sent; Refusal 409 when it was. */
export function toSend(store: Store, id: number): Order {
  return inState(orderById(store, id), ['to send'])
}

/**
 * Marks an order as sent.
 *
 * @param by - the way; the simulator’s goes with the ticket that it gave
 */
export function markSent(store: Store, id: number, by: SentBy, ticket: string | null = null): Done<void> {
  const order = toSend(store, id)
  const to = supplierName(order.supplier)
  const how = by === 'simulator' ? '' : by === 'shop' ? ', in the shop' : `, by ${by}`
  return store.act({ kind: 'order', summary: `Order ${id} sent to ${to}${how}` }, () => {
    store.rows
      .update(orders)
      .set({ state: 'sent', sentAt: store.now(), sentBy: by, ticket })
      .where(eq(orders.id, id))
      .run()
  })
}

/**
 * Marks an order as sent by a person.
 *
 * @throws Refusal 409 where its supplier is simulated, or it was sent
 */
export function markSentByHand(store: Store, id: number, by: SentByHand): Done<void> {
  const { supplier } = toSend(store, id)
  if (supplier.simulated)
    throw new Refusal(409, `${supplierName(supplier)} takes orders by itself: send it to the simulator.`)
  return markSent(store, id, by)
}

/** What a supplier says of one line. */
export interface AnsweredLine {
  readonly lineId: number
  readonly answer: LineAnswer
  /** The part offered in its place. */
  readonly offered: string | null
}

/**
 * Takes down what a supplier’s desk answered.
 *
 * @throws Refusal 409 where its supplier is real: nothing is confirmed that nobody confirmed
 */
export function takeDeskAnswer(store: Store, id: number, answered: readonly DeskLine[]): Done<void> {
  const order = orderById(store, id)
  if (!order.supplier.simulated)
    throw new Refusal(409, `${order.supplier.name} is not simulated: enter what they answered.`)
  return takeAnswer(
    store,
    id,
    order.lines.flatMap((line) => {
      const said = answered.find(({ part }) => part === line.part)
      return said ? [{ lineId: line.id, answer: said.answer, offered: said.offered }] : []
    }),
  )
}

/**
 * Takes the supplier's answer down, line by line; what it offers instead becomes a line of its own, to be decided. A line that it
 * has not got is free to be planned anew. Lines of which it said nothing stay open.
 *
 * @throws Refusal 400 where nothing is answered, a line is no part of the order, or what is offered is not in the catalogue
 */
export function takeAnswer(store: Store, id: number, answered: readonly AnsweredLine[]): Done<void> {
  const order = inState(orderById(store, id), ['sent', 'acknowledged'])
  if (answered.length === 0) throw new Refusal(400, 'Enter an answer for at least one line.')
  const items = new Map(catalogue(store, order.supplier.id).map((item) => [item.part, item]))
  const answers = answered.map(({ lineId, answer, offered }) => {
    const line = order.lines.find((one) => one.id === lineId && one.replacesId === null)
    if (!line) throw new Refusal(404, `Order ${id} has no line ${lineId}.`)
    if (line.answer !== null && line.answer !== 'back-ordered')
      throw new Refusal(409, `${line.name} is answered already.`, `line ${lineId}`)
    const item = offered === null ? undefined : items.get(offered)
    if (answer === 'substituted' && (!item || item.part === line.part))
      throw new Refusal(
        400,
        `What do they offer in place of ${line.part}? Add that part to the catalogue of ${order.supplier.name} first.`,
        `line ${lineId}`,
      )
    return { line, answer, item }
  })
  const who = supplierName(order.supplier)
  return store.act({ kind: 'order', summary: `${who} answered order ${id}` }, () => {
    for (const { line, answer, item } of answers) {
      store.rows.update(orderLines).set({ answer }).where(eq(orderLines.id, line.id)).run()
      if (answer === 'refused')
        store.rows.delete(orderedNeeds).where(eq(orderedNeeds.orderLineId, line.id)).run()
      if (answer === 'substituted' && item)
        insertLine(store, id, {
          item,
          packs: line.packs,
          forStrings: line.forStrings,
          replacesId: line.id,
          holds: contentsOf(item, items),
        })
    }
    const isOver = orderById(store, id).lines.every(
      ({ answer, received, packs }) => answer === 'refused' || received === packs,
    )
    store.rows
      .update(orders)
      .set({ state: isOver ? 'closed' : 'acknowledged' })
      .where(eq(orders.id, id))
      .run()
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
        .where(eq(orderedNeeds.orderLineId, requireValue(line.replacesId)))
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

/** Gives an order up: what it was for may be planned anew. */
export function cancelOrder(store: Store, id: number): Done<void> {
  const order = inState(orderById(store, id), ['to send', 'sent', 'acknowledged', 'delivered'])
  return store.act(
    { kind: 'order', summary: `Order ${id} to ${supplierName(order.supplier)} given up` },
    () => {
      const lineIds = order.lines.map((line) => line.id)
      store.rows.delete(orderedNeeds).where(inArray(orderedNeeds.orderLineId, lineIds)).run()
      store.rows.update(orders).set({ state: 'closed' }).where(eq(orders.id, id)).run()
    },
  )
}
