/**
 * A delivery booked in: a packet in the stores for each piece, and the needs that it fills closed.
 */
import { eq, like, or, sql } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { supplierName } from '@/core/stores/order-way'
import { addCoil } from '../stores/coils'
import type { Done, Store } from '../store/database'
import { coils, needs, orderedNeeds, orderLines, orders } from '../store/schema'
import { outstanding, type OrderLine } from './order-lines'
import { inState, orderById } from './orders'
import { catalogue, contentsOf } from './suppliers'

/** More than this is booked in in parts: each packet has its own line in the history. */
const MOST_PACKETS = 2000

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
  const there = orderById(store, id)
  // People send without a word; a simulated supplier answers first.
  const order = inState(
    there,
    there.supplier.simulated ? ['acknowledged', 'delivered'] : ['sent', 'acknowledged', 'delivered'],
  )
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
  const packets = coming.reduce(
    (sum, { line, packs }) =>
      sum + packs * (line.holds ?? contentsOf(line, byPart)).reduce((all, { pieces }) => all + pieces, 0),
    0,
  )
  if (packets > MOST_PACKETS)
    throw new Refusal(
      400,
      `That is ${packets} packets at once: book it in in parts of at most ${MOST_PACKETS}.`,
    )
  return store.act(
    { kind: 'delivery', summary: `A delivery from ${supplierName(order.supplier)} booked in` },
    () => {
      let nextPacket = highestPacket(store)
      const coilIds = coming.flatMap(({ line, packs }) => {
        store.rows
          .update(orderLines)
          .set({ received: line.received + packs })
          .where(eq(orderLines.id, line.id))
          .run()
        const made = (line.holds ?? contentsOf(line, byPart)).flatMap(({ packet, pieces }) =>
          Array.from({ length: pieces * packs }, () => {
            const label = `${packet.soldAs === 'reel' ? 'Reel' : 'Packet'} ${(nextPacket += 1)}`
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
    },
  )
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

/** The highest number of a packet or reel that there ever was. */
function highestPacket(store: Store): number {
  const [row] = store.rows
    .select({
      most: sql<number | null>`max(cast(substr(${coils.label}, instr(${coils.label}, ' ') + 1) as integer))`,
    })
    .from(coils)
    .where(or(like(coils.label, 'Packet %'), like(coils.label, 'Reel %')))
    .all()
  return row?.most ?? 0
}
