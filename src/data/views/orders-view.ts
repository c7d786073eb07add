/**
 * An order with everything its sheet shows: what it weighs against, what has come, what may be done next.
 */
import { inArray } from 'drizzle-orm'
import type { Store } from '../store/database'
import { deskState } from '../buying/desk'
import { lineWords } from '../buying/order-sheet'
import { substitutionChange } from '../buying/answer-order'
import { outstanding, type OrderLine } from '../buying/order-lines'
import { orderById, type Order } from '../buying/orders'
import { coils } from '../store/schema'

export interface OrderLineView extends OrderLine {
  readonly words: string
  readonly outstanding: number
  /** The line that it would stand in for. */
  readonly inPlaceOf: {
    readonly part: string
    readonly name: string
    readonly change: number
    readonly stays: boolean
  } | null
  /** Packs that the desk says it has sent. */
  readonly sent: number
}

export interface OrderView extends Omit<Order, 'lines'> {
  readonly lines: readonly OrderLineView[]
  /** Substitutions that wait for a yes or no. */
  readonly undecided: number
  /** What came with it. */
  readonly coilIds: readonly number[]
}

/**
 * @param store - open
 * @param id - of the order
 * @throws Refusal 404 when there is none
 */
export function orderView(store: Store, id: number): OrderView {
  const order = orderById(store, id)
  const lines = order.lines.map((line): OrderLineView => {
    const asked = order.lines.find((one) => one.id === line.replacesId)
    return {
      ...line,
      words: lineWords(line),
      outstanding: outstanding(line),
      sent: line.answer === 'confirmed' ? outstanding(line) : 0,
      inPlaceOf: asked ? { part: asked.part, name: asked.name, ...substitutionChange(asked, line) } : null,
    }
  })
  const coilIds = store.rows
    .select({ id: coils.id })
    .from(coils)
    .where(
      inArray(
        coils.orderLineId,
        lines.map((line) => line.id),
      ),
    )
    .all()
    .map((coil) => coil.id)
  return {
    ...order,
    lines,
    coilIds,
    undecided: lines.filter(({ replacesId, answer }) => replacesId !== null && answer === null).length,
  }
}

/** Milliseconds until the desk answers; 0 when it has, or when the order is not with it. */
export function answersIn(store: Store, order: Pick<Order, 'state' | 'ticket' | 'supplier'>): number {
  return order.state === 'sent' && order.ticket !== null
    ? deskState(store, order.supplier.slug, order.ticket, Date.now()).answersIn
    : 0
}
