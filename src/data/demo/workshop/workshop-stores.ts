/** The stores of the laid-out workshop as they are used up and filled again. */
import { eq } from 'drizzle-orm'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import type { SoldPacket } from '@/core/stores/catalogue-cells'
import { outerGauge } from '@/core/strings/construction'
import { DAY } from '@/core/units/time'
import { packetColumns } from '../../buying/suppliers'
import type { Store } from '../../store/database'
import { inMm, metres } from '../../store/millimetres'
import { coils, needs, orderedNeeds, orderLines, orders } from '../../store/schema'
import { addCoil } from '../../stores/coils'
import type { Place } from './place'

/** A coil lies in the stores for so many days before what is left of it is thrown away. */
const KEPT_FOR = 500
/** Pieces that are bought together, and packets in an order. */
const LINES_AN_ORDER = 8

interface OpenCoil {
  readonly id: number
  readonly label: string
  left: number
  readonly boughtAt: number
}

/** The stores as they are used up and filled again. */
export class WorkshopStores {
  private readonly byKey = new Map<string, OpenCoil[]>()
  private readonly byId = new Map<number, OpenCoil>()
  private packet = 0

  constructor(
    private readonly store: Store,
    private readonly supplierIds: readonly number[],
    private readonly places: readonly Place[],
    private readonly random: () => number,
  ) {}

  /** The coil to cut from; bought where there is none. */
  coilFor(place: Place): number {
    const there = this.serving(place)
    if (there) return there.id
    this.buy(place)
    return requireValue(this.serving(place)).id
  }

  /** Notes what is cut off a coil; returns its label. */
  take(id: number, length: number): string {
    const coil = requireValue(this.byId.get(id))
    coil.left = metres(Math.max(0, inMm(coil.left) - inMm(length)))
    return coil.label
  }

  /** Orders at every stage that an order can be in, for the needs that are open. */
  orderWhatIsNeeded(): void {
    const open = this.store.rows.select().from(needs).all()
    open.slice(0, Math.floor(open.length / 2)).forEach((need, i) => {
      const place = requireValue(this.places.find(({ ids }) => ids.includes(need.positionId)))
      this.store.act({ kind: 'order', summary: 'An order written' }, () => {
        const state = (['to send', 'acknowledged', 'sent'] as const)[i % 3] ?? 'sent'
        const orderId = this.insertOrder(state, 4)
        const lineId = this.insertLine(orderId, place, state === 'acknowledged' ? 'confirmed' : null, 0)
        this.store.rows.insert(orderedNeeds).values({ needId: need.id, orderLineId: lineId }).run()
      })
    })
  }

  private serving({ key, cut }: Place): OpenCoil | undefined {
    const now = this.store.now()
    const all = this.byKey.get(key) ?? []
    const old = all.filter((coil) => coil.left < cut && now - coil.boughtAt > KEPT_FOR * DAY && coil.left > 0)
    if (old.length > 0) {
      this.store.act({ kind: 'stores', summary: `${old.length} remainders thrown away` }, () => {
        for (const { id } of old)
          this.store.rows.update(coils).set({ discardedAt: now }).where(eq(coils.id, id)).run()
      })
      this.byKey.set(
        key,
        all.filter((coil) => !old.includes(coil)),
      )
    }
    return this.byKey.get(key)?.find((coil) => coil.left >= cut + 0.001 && now >= coil.boughtAt)
  }

  /** An order of what is wanted now and of others that are likely to be wanted, written, sent and received. */
  private buy(wanted: Place): void {
    const { store, random } = this
    const others = Array.from({ length: LINES_AN_ORDER - 1 }, () =>
      itemAt(this.places, Math.floor(random() * this.places.length)),
    )
    const seen = new Set<string>()
    const lines = [wanted, ...others].filter(({ key }) => !seen.has(key) && seen.add(key))
    store.act({ kind: 'order', summary: 'An order written, sent and booked in' }, () => {
      const orderId = this.insertOrder('closed', 12)
      for (const place of lines) {
        const lineId = this.insertLine(orderId, place, 'confirmed', 1)
        const bought = Math.ceil(place.cut * (1 + Math.floor(random() * 3)) * 20 + 0.5) / 20
        const label = `Packet ${(this.packet += 1)}`
        const id = addCoil(store, {
          ...place.spec,
          label,
          maker: 'Fold & Fell',
          line: 'Singles',
          place: `Drawer ${'ABCDEFGH'[this.packet % 8]}${1 + (this.packet % 9)}`,
          boughtAt: store.now(),
          boughtLength: bought,
          orderLineId: lineId,
        })
        const coil = { id, label, left: bought, boughtAt: store.now() }
        this.byId.set(id, coil)
        this.byKey.set(place.key, [...(this.byKey.get(place.key) ?? []), coil])
      }
    })
  }

  private insertOrder(state: 'to send' | 'sent' | 'acknowledged' | 'closed', daysAgo: number): number {
    const at = this.store.now() - daysAgo * DAY
    return this.store.rows
      .insert(orders)
      .values({
        supplierId: itemAt(this.supplierIds, Math.floor(this.random() * this.supplierIds.length)),
        state,
        openedAt: at,
        sentAt: state === 'to send' ? null : at,
        postageMinor: 690,
      })
      .returning({ id: orders.id })
      .get().id
  }

  private insertLine(orderId: number, place: Place, answer: 'confirmed' | null, received: number): number {
    const packet = packetFor(place)
    return this.store.rows
      .insert(orderLines)
      .values({
        orderId,
        ...packetColumns(packet),
        packs: 1,
        received,
        answer,
        forStrings: JSON.stringify([`string ${place.position.number}; ${place.stored.instrument.name}`]),
        holds: JSON.stringify([{ ...packetColumns(packet), held: packet.pieces }]),
      })
      .returning({ id: orderLines.id })
      .get().id
  }
}

function packetFor({ spec, cut, position }: Place): SoldPacket {
  return {
    ...spec,
    part: `FF${position.number}-${Math.round(inMm(outerGauge(spec.construction)) * 100)}`,
    name: `String of ${inMm(outerGauge(spec.construction)).toFixed(2)} mm`,
    maker: 'Fold & Fell',
    line: 'Singles',
    soldAs: 'one string',
    length: Math.ceil(cut * 20) / 20,
    pieces: 1,
    priceMinor: 450,
    setOf: null,
  }
}
