/**
 * Suppliers, their terms and their catalogues.
 */
import { counted } from '@/core/list/counted'
import { and, asc, eq } from 'drizzle-orm'
import { AS_MANY_AS_ASKED, type CatalogueOffer } from '@/core/stores/buying'
import type { CatalogueItem, SoldPacket } from '@/core/stores/catalogue-cells'
import { constructionFrom, specColumns, type ConstructionColumns } from '../store/construction-columns'
import { addressOf } from '../store/address-of'
import type { Done, Store } from '../store/database'
import { inMm, metres } from '../store/millimetres'
import { found, Refusal } from '@/boundary/refusal'
import { catalogueItems, suppliers } from '../store/schema'

export interface Supplier {
  readonly id: number
  readonly slug: string
  readonly name: string
  readonly currency: string
  readonly rate: number
  readonly postageMinor: number
  readonly freeOverMinor: number | null
  readonly leadDays: number
  /** It answers by itself, for trying out. */
  readonly simulated: boolean
  /** Since when nothing is bought there any more, ms; null while it is. */
  readonly retiredAt: number | null
}

export interface StoredItem extends CatalogueItem {
  readonly id: number
  readonly supplierId: number
}

/** Every supplier, by name. */
export function allSuppliers(store: Store): readonly Supplier[] {
  return store.rows.select().from(suppliers).orderBy(asc(suppliers.name)).all()
}

/** One supplier; Refusal 404 when there is none. */
export function supplierBySlug(store: Store, slug: string): Supplier {
  return found(
    store.rows.select().from(suppliers).where(eq(suppliers.slug, slug)).get(),
    `There is no supplier called “${slug}”.`,
  )
}

/** A supplier's catalogue, or everybody's. */
export function catalogue(store: Store, supplierId?: number): readonly StoredItem[] {
  const all = store.rows.select().from(catalogueItems)
  return (supplierId === undefined ? all : all.where(eq(catalogueItems.supplierId, supplierId)))
    .orderBy(asc(catalogueItems.id))
    .all()
    .map((row) => ({
      ...packetFrom(row),
      id: row.id,
      supplierId: row.supplierId,
      stock: row.stock,
    }))
}

type PacketColumns = Pick<
  typeof catalogueItems.$inferSelect,
  | 'part'
  | 'name'
  | 'colour'
  | 'tensionClass'
  | 'end'
  | 'maker'
  | 'line'
  | 'soldAs'
  | 'lengthMm'
  | 'pieces'
  | 'priceMinor'
  | 'setOf'
  | keyof ConstructionColumns
>

/** The packet that columns hold. */
export function packetFrom(row: PacketColumns): SoldPacket {
  const { part, name, colour, tensionClass, end, maker, line, pieces, priceMinor } = row
  // What an order's line holds was written down before lines said how they are sold.
  const soldAs = row.soldAs ?? 'one string'
  return {
    part,
    name,
    construction: constructionFrom(row),
    colour,
    tensionClass,
    end,
    maker,
    line,
    soldAs,
    length: metres(row.lengthMm),
    pieces,
    priceMinor,
    setOf: row.setOf === null ? null : (JSON.parse(row.setOf) as SoldPacket['setOf']),
  }
}

/** A packet's columns. */
export function packetColumns(item: SoldPacket): PacketColumns {
  const { part, name, maker, line, soldAs, pieces, priceMinor, setOf } = item
  return {
    part,
    name,
    ...specColumns(item),
    maker,
    line,
    soldAs,
    lengthMm: inMm(item.length),
    pieces,
    priceMinor,
    setOf: setOf === null ? null : JSON.stringify(setOf),
  }
}

/** The packets that are in one pack of an item: itself, or the parts of a set. */
export function contentsOf(
  item: SoldPacket,
  ofItsSupplier: ReadonlyMap<string, SoldPacket>,
): readonly Content[] {
  if (item.setOf === null) return [{ packet: item, pieces: item.pieces }]
  return item.setOf.flatMap(({ part, count }) => {
    const packet = ofItsSupplier.get(part)
    return packet ? [{ packet, pieces: packet.pieces * count }] : []
  })
}

/** One kind of piece in a pack. */
export interface Content {
  readonly packet: SoldPacket
  readonly pieces: number
}

/** What a pack holds, as the plan takes it. */
export function asOffered(contents: readonly Content[]): CatalogueOffer['contents'] {
  return contents.map(({ packet: { construction, colour, tensionClass, end, length }, pieces }) => ({
    // What tells strings apart and nothing else: the plan carries hundreds of them.
    spec: { construction, colour, tensionClass, end },
    length,
    pieces,
  }))
}

/** Catalogues as the plan takes them. */
export function offersOf(items: readonly StoredItem[]): readonly CatalogueOffer[] {
  const bySupplier = new Map<number, Map<string, CatalogueItem>>()
  for (const item of items)
    bySupplier.set(
      item.supplierId,
      (bySupplier.get(item.supplierId) ?? new Map<string, CatalogueItem>()).set(item.part, item),
    )
  return items.map((item) => ({
    id: item.id,
    supplierId: item.supplierId,
    priceMinor: item.priceMinor,
    stock: item.stock ?? AS_MANY_AS_ASKED,
    contents: asOffered(contentsOf(item, bySupplier.get(item.supplierId) ?? new Map())),
  }))
}

/** Changes a supplier's terms. */
export function changeTerms(store: Store, slug: string, terms: Partial<Terms>): Done<void> {
  const supplier = supplierBySlug(store, slug)
  return store.act({ kind: 'supplier', summary: `The terms of ${supplier.name} changed` }, () => {
    store.rows.update(suppliers).set(terms).where(eq(suppliers.id, supplier.id)).run()
  })
}

type Terms = Pick<Supplier, 'rate' | 'postageMinor' | 'freeOverMinor' | 'leadDays' | 'simulated'>

/**
 * Adds a supplier, under an address that no other has.
 *
 * @throws Refusal 409 when there is one of that name, 400 when the name has no letter to make an address of
 */
export function newSupplier(
  store: Store,
  { name, currency, ...terms }: Terms & Pick<Supplier, 'name' | 'currency'>,
): { readonly actionId: number; readonly slug: string } {
  const slug = addressOf(name)
  if (!/^[a-z]/.test(slug)) throw new Refusal(400, 'The name must begin with a letter from A to Z.', 'name')
  if (store.rows.select({ id: suppliers.id }).from(suppliers).where(eq(suppliers.slug, slug)).get())
    throw new Refusal(409, `There is a supplier called “${name}” already.`, 'name')
  const { actionId } = store.act({ kind: 'supplier', summary: `${name} added to the suppliers` }, () =>
    addSupplier(store, { slug, name, currency, ...terms, retiredAt: null }),
  )
  return { actionId, slug }
}

/** Stops buying at a supplier, or begins again. What was bought there stays as it is. */
export function retireSupplier(store: Store, slug: string, retired: boolean): Done<void> {
  const { id, name } = supplierBySlug(store, slug)
  const summary = retired ? `Nothing more is bought at ${name}` : `${name} is bought at again`
  return store.act({ kind: 'supplier', summary }, () => {
    store.rows
      .update(suppliers)
      .set({ retiredAt: retired ? store.now() : null })
      .where(eq(suppliers.id, id))
      .run()
  })
}

/**
 * Adds a line to a supplier's catalogue.
 *
 * @throws Refusal 409 when it has a part of that number
 */
export function addItem(store: Store, slug: string, item: CatalogueItem): Done<void> {
  const supplier = supplierBySlug(store, slug)
  const there = store.rows
    .select({ id: catalogueItems.id })
    .from(catalogueItems)
    .where(and(eq(catalogueItems.supplierId, supplier.id), eq(catalogueItems.part, item.part)))
    .get()
  if (there) throw new Refusal(409, `${supplier.name} has a part ${item.part} already.`, 'part')
  return store.act(
    { kind: 'supplier', summary: `${item.name} added to the catalogue of ${supplier.name}` },
    () => insertItems(store, supplier.id, [item]),
  )
}

/** Adds a supplier; belongs inside an action. */
export function addSupplier(store: Store, supplier: Omit<Supplier, 'id'>): number {
  return store.rows.insert(suppliers).values(supplier).returning({ id: suppliers.id }).get().id
}

/**
 * Puts a catalogue in the place of the supplier's old one. Orders keep what they were made from.
 *
 * @throws Refusal 400 when it is empty
 */
export function replaceCatalogue(store: Store, slug: string, items: readonly CatalogueItem[]): Done<number> {
  const supplier = supplierBySlug(store, slug)
  if (items.length === 0) throw new Refusal(400, 'There is no row in it that can be taken.')
  return store.act(
    { kind: 'supplier', summary: `A catalogue of ${counted(items.length, 'part')} from ${supplier.name}` },
    () => {
      store.rows.delete(catalogueItems).where(eq(catalogueItems.supplierId, supplier.id)).run()
      insertItems(store, supplier.id, items)
      return items.length
    },
  )
}

/** Writes a catalogue; belongs inside an action. */
export function insertItems(store: Store, supplierId: number, items: readonly CatalogueItem[]): void {
  for (const item of items) {
    store.rows
      .insert(catalogueItems)
      .values({ supplierId, ...packetColumns(item), stock: item.stock })
      .run()
  }
}
