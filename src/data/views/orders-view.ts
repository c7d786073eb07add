/**
 * An order with everything its sheet shows: what it weighs against, what has come, what may be done next.
 */
import { eq, inArray } from 'drizzle-orm'
import { leadingNames } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { shareOut } from '@/core/stores/share-out'
import { fillings, specKey } from '@/core/stores/string-spec'
import { byPositionId } from '../instruments/instruments'
import { constructionFrom } from '../store/construction-columns'
import { positionsBySpec, servedWords } from '../stores/served'
import type { Store } from '../store/database'
import { deskState } from '../buying/desk'
import { lineWords } from '../buying/order-sheet'
import { substitutionChange } from '../buying/answer-order'
import { outstanding, type OrderLine } from '../buying/order-lines'
import { orderById, type Order } from '../buying/orders'
import { coils, needs, orderedNeeds } from '../store/schema'

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
  /** What is in it and where it goes; null where it is one kind of packet with one piece in it. */
  readonly holdsWhat: readonly HeldView[] | null
}

/** One kind of piece in the packs of a line. */
export interface HeldView {
  readonly name: string
  readonly pieces: number
  /** Strings that it was ordered for, with how many of it each takes. */
  readonly goes: readonly { readonly who: string; readonly strings: number }[]
  readonly spare: number
  /** Positions that what is spare is right for. */
  readonly serves: string
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
      // A person's supplier often answers by sending it.
      sent: line.answer === 'confirmed' || !order.supplier.simulated ? outstanding(line) : 0,
      holdsWhat: heldViews(store, line),
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

/** A set, or several pieces in a packet: what goes where and what is spare. */
function heldViews(store: Store, line: OrderLine): readonly HeldView[] | null {
  const contents = line.holds ?? []
  if (contents.length < 2 && (contents[0]?.pieces ?? 1) < 2) return null
  const wanted = store.rows
    .select({ need: needs, strings: orderedNeeds.strings })
    .from(orderedNeeds)
    .innerJoin(needs, eq(needs.id, orderedNeeds.needId))
    .where(eq(orderedNeeds.orderLineId, line.id))
    .orderBy(orderedNeeds.id)
    .all()
    .map(({ need, strings }) => {
      const on = byPositionId(store, need.positionId)
      return {
        who: `${leadingNames(on.position).name} of ${on.instrument.name}`,
        key: specKey({ ...need, construction: constructionFrom(need) }),
        strings,
      }
    })
  const servedBy = positionsBySpec(store)
  const shared = shareOut(
    contents.map(({ packet, pieces }) => ({
      keys: fillings(packet).map(({ key }) => key),
      pieces: pieces * line.packs,
    })),
    wanted,
  )
  return contents.map(({ packet, pieces }, i) => ({
    name: packet.name,
    pieces: pieces * line.packs,
    ...itemAt(shared, i),
    serves: servedWords(servedBy(packet)),
  }))
}

/** Milliseconds until the desk answers; 0 when it has, or when the order is not with it. */
export function answersIn(store: Store, order: Pick<Order, 'state' | 'ticket' | 'supplier'>): number {
  return order.state === 'sent' && order.ticket !== null
    ? deskState(store, order.supplier.slug, order.ticket, Date.now()).answersIn
    : 0
}
