/**
 * What becomes of an order between the house and the supplier’s desk: sent, answered, decided, given up.
 */
import { eq, inArray } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import type { DeskLine } from '@/core/stores/desk'
import { STAND_IN } from '@/core/stores/fits'
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

/** Gives an order up: what it was for may be planned anew. */
export function cancelOrder(store: Store, id: number): Done<void> {
  const order = inState(orderById(store, id), ['to send', 'sent', 'acknowledged', 'delivered'])
  return store.act({ kind: 'order', summary: `Order ${id} to ${order.supplier.name} given up` }, () => {
    const lineIds = order.lines.map((line) => line.id)
    store.rows.delete(orderedNeeds).where(inArray(orderedNeeds.orderLineId, lineIds)).run()
    store.rows.update(orders).set({ state: 'closed' }).where(eq(orders.id, id)).run()
  })
}
