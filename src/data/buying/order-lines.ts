/**
 * The lines of an order as rows: what was asked for, with what was in a pack on that day.
 */
import type { SoldPacket } from '@/core/stores/catalogue-cells'
import type { LineAnswer } from '@/core/stores/order-way'
import type { Store } from '../store/database'
import { orderLines } from '../store/schema'
import { packetColumns, packetFrom, type Content, type StoredItem } from './suppliers'

export interface OrderLine extends SoldPacket {
  readonly id: number
  readonly packs: number
  /** The strings it is for, each as an order must say it. */
  readonly forStrings: readonly string[]
  readonly answer: LineAnswer | null
  readonly replacesId: number | null
  readonly received: number
  /** What was in a pack on the day it was ordered; null on orders from before that was kept. */
  readonly holds: readonly Content[] | null
}

export function lineFrom(line: typeof orderLines.$inferSelect): OrderLine {
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

interface NewLine {
  readonly item: StoredItem
  readonly packs: number
  readonly forStrings: readonly string[]
  readonly replacesId: number | null
  readonly holds: readonly Content[]
}

export function insertLine(
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

/** Packs of a line that are still to come. */
export function outstanding(line: OrderLine): number {
  switch (line.answer) {
    case 'confirmed':
    case 'back-ordered':
      return line.packs - line.received
    case 'substituted':
    case 'refused':
      return 0
    case null:
      // Nobody answered for it: it may come all the same. What is offered in its place waits for a yes.
      return line.replacesId === null ? line.packs - line.received : 0
  }
}
