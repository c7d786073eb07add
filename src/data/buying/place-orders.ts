/**
 * A buying plan written down as orders, one for each supplier.
 */
import { eq } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { requireValue } from '@/core/list/require-value'
import { cutsIn } from '@/core/stores/offers'
import { postageOf, type Fill } from '@/core/stores/buying'
import { twistToFill } from '@/core/stores/string-spec'
import type { Done, Store } from '../store/database'
import { orderedNeeds, orders, suppliers } from '../store/schema'
import { openNeeds, type Need } from './need-list'
import { insertLine } from './order-lines'
import { catalogue, contentsOf, type Content, type StoredItem } from './suppliers'

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
          for (const fill of fills) refuseUncut(holds, packs, fill, requireValue(open.get(fill.needId)), item)
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
  const most = holds.reduce((sum, { packet, pieces }) => {
    const twist = twistToFill(packet, need.spec)
    if (twist === null) return sum
    const { length, end } = packet
    return sum + pieces * packs * cutsIn({ lengthLeft: length, end }, need.length + twist, need.spec.end)
  }, 0)
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

/** A string as an order must say it: both octave systems, and the instrument as its owner wrote it. */
function needWords({ lines, instrument }: Need): string {
  const told = new Map(lines)
  return `${told.get('Say it') ?? ''} (${told.get('Note') ?? ''}); ${instrument}, ${told.get('Instrument') ?? ''}`
}
