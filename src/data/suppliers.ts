/**
 * Suppliers, their terms and their catalogues.
 */
import { asc, eq } from 'drizzle-orm'
import type { CatalogueOffer } from '@/core/stores/order-plan'
import type { StringSpec } from '@/core/stores/string-spec'
import type { CatalogueItem } from './catalogue/catalogue-cells'
import { constructionFrom } from './construction-columns'
import type { Done, Store } from './database'
import { inMm, metres } from './millimetres'
import { columnsOf } from './need-list'
import { found, Refusal } from './refusal'
import { catalogueItems, suppliers } from './schema'

export interface Supplier {
  readonly id: number
  readonly slug: string
  readonly name: string
  readonly currency: string
  readonly rate: number
  readonly postageMinor: number
  readonly freeOverMinor: number | null
  readonly leadDays: number
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
  return found(store.rows.select().from(suppliers).where(eq(suppliers.slug, slug)).get(), `There is no supplier called “${slug}”.`)
}

/** A supplier's catalogue, or everybody's. */
export function catalogue(store: Store, supplierId?: number): readonly StoredItem[] {
  const all = store.rows.select().from(catalogueItems)
  return (supplierId === undefined ? all : all.where(eq(catalogueItems.supplierId, supplierId))).orderBy(asc(catalogueItems.id)).all().map((row) => ({
    id: row.id, supplierId: row.supplierId, part: row.part, name: row.name, construction: constructionFrom(row), colour: row.colour, tensionClass: row.tensionClass, end: row.end,
    maker: row.maker, line: row.line, length: metres(row.lengthMm), pieces: row.pieces, priceMinor: row.priceMinor, stock: row.stock, setOf: setFrom(row.setOf),
  }))
}

/** What a set's column holds. */
export function setFrom(text: string | null): CatalogueItem['setOf'] {
  return text === null ? null : JSON.parse(text) as CatalogueItem['setOf']
}

/** The packets that are in one pack of an item: itself, or the parts of a set. */
export function contentsOf(item: StringSpec & Pick<CatalogueItem, 'setOf' | 'length' | 'pieces'>, ofItsSupplier: ReadonlyMap<string, CatalogueItem>): CatalogueOffer['contents'] {
  if (item.setOf === null) return [{ spec: item, length: item.length, pieces: item.pieces }]
  return item.setOf.flatMap(({ part, count }) => {
    const packet = ofItsSupplier.get(part)
    return packet ? [{ spec: packet, length: packet.length, pieces: packet.pieces * count }] : []
  })
}

/** Catalogues as the plan takes them. */
export function offersOf(items: readonly StoredItem[]): readonly CatalogueOffer[] {
  const bySupplier = new Map<number, Map<string, CatalogueItem>>()
  for (const item of items) bySupplier.set(item.supplierId, (bySupplier.get(item.supplierId) ?? new Map<string, CatalogueItem>()).set(item.part, item))
  return items.map((item) => ({ id: item.id, supplierId: item.supplierId, priceMinor: item.priceMinor, stock: item.stock, contents: contentsOf(item, bySupplier.get(item.supplierId) ?? new Map()) }))
}

/** Changes a supplier's terms. */
export function changeTerms(store: Store, slug: string, terms: Partial<Pick<Supplier, 'rate' | 'postageMinor' | 'freeOverMinor' | 'leadDays'>>): Done<void> {
  const supplier = supplierBySlug(store, slug)
  return store.act({ kind: 'supplier', summary: `The terms of ${supplier.name} changed` }, () => {
    store.rows.update(suppliers).set(terms).where(eq(suppliers.id, supplier.id)).run()
  })
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
  return store.act({ kind: 'supplier', summary: `A catalogue of ${items.length} parts from ${supplier.name}` }, () => {
    store.rows.delete(catalogueItems).where(eq(catalogueItems.supplierId, supplier.id)).run()
    insertItems(store, supplier.id, items)
    return items.length
  })
}

/** Writes a catalogue; belongs inside an action. */
export function insertItems(store: Store, supplierId: number, items: readonly CatalogueItem[]): void {
  for (const item of items) {
    store.rows.insert(catalogueItems).values({
      supplierId, part: item.part, name: item.name, ...columnsOf(item), maker: item.maker, line: item.line, lengthMm: inMm(item.length), pieces: item.pieces,
      priceMinor: item.priceMinor, stock: item.stock, setOf: item.setOf === null ? null : JSON.stringify(item.setOf),
    }).run()
  }
}
