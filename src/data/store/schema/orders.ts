/** Suppliers with their catalogues, and what was ordered from them. */
import { SENT_BY } from '@/core/stores/order-way'
import { sql } from 'drizzle-orm'
import {
  type AnySQLiteColumn,
  check,
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core'
import { id, packet, plainId } from './columns'

/** Who sells strings, and on which terms. Money is in the minor unit of its currency. */
export const suppliers = sqliteTable(
  'supplier',
  {
    id: id(),
    slug: text('slug').notNull().unique(),
    name: text('name').notNull(),
    currency: text('currency').notNull(),
    /** Minor units of the house's currency for one of the supplier's. */
    rate: real('rate').notNull(),
    postageMinor: integer('postage_minor').notNull(),
    freeOverMinor: integer('free_over_minor'),
    leadDays: integer('lead_days').notNull(),
    /** It answers by itself, for trying out; nobody sells anything there. */
    simulated: integer('simulated', { mode: 'boolean' }).notNull().default(false),
    /** Since when nothing is bought there any more. */
    retiredAt: integer('retired_at'),
  },
  (t) => [check('supplier_terms', sql`${t.rate} > 0 AND ${t.postageMinor} >= 0 AND ${t.leadDays} >= 0`)],
)

/** A line of a supplier's catalogue: a packet of one string, or a set of other parts. */
export const catalogueItems = sqliteTable(
  'catalogue_item',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    ...packet(),
    /** Packs that can be had; null where the price list does not say. */
    stock: integer('stock'),
  },
  (t) => [
    uniqueIndex('part_once').on(t.supplierId, t.part),
    check(
      'item_sane',
      sql`${t.gaugeMm} > 0 AND ${t.lengthMm} > 0 AND ${t.pieces} > 0 AND ${t.priceMinor} >= 0 AND ${t.stock} >= 0`,
    ),
  ],
)

export type OrderState = 'to send' | 'sent' | 'acknowledged' | 'delivered' | 'closed'

export const orders = sqliteTable(
  'purchase_order',
  {
    id: id(),
    supplierId: integer('supplier_id')
      .notNull()
      .references(() => suppliers.id),
    state: text('state').$type<OrderState>().notNull(),
    openedAt: integer('opened_at').notNull(),
    sentAt: integer('sent_at'),
    /** How it was sent; null where it was not, or before that was kept. */
    sentBy: text('sent_by', { enum: SENT_BY }),
    /** The number that the supplier's desk gave it. */
    ticket: text('ticket'),
    postageMinor: integer('postage_minor').notNull(),
  },
  (t) => [index('order_state').on(t.state)],
)

/** What an order asks for, as it stood in the catalogue that day. */
export const orderLines = sqliteTable(
  'order_line',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    ...packet(),
    packs: integer('packs').notNull(),
    /** Which strings it is for, as an order must say them. */
    forStrings: text('for_strings').notNull(),
    /** What a set held on that day, whole: JSON; null for a packet. */
    holds: text('holds'),
    answer: text('answer', { enum: ['confirmed', 'back-ordered', 'substituted', 'refused'] }),
    /** The line that the supplier offers in its place. */
    replacesId: integer('replaces_id').references((): AnySQLiteColumn => orderLines.id),
    /** Packs that have come. */
    received: integer('received').notNull().default(0),
  },
  (t) => [
    check(
      'never_more_than_ordered',
      sql`${t.packs} > 0 AND ${t.received} >= 0 AND ${t.received} <= ${t.packs}`,
    ),
    index('line_of').on(t.orderId),
  ],
)

/** The stand-in of the suppliers' desks: what came in, and when. No part of the house's records. */
export const deskTickets = sqliteTable('desk_ticket', {
  id: plainId(),
  supplierSlug: text('supplier_slug').notNull(),
  csv: text('csv').notNull(),
  seed: integer('seed').notNull(),
  delayMs: integer('delay_ms').notNull(),
  /** By the machine's clock: the stand-in keeps no other. */
  cameAt: integer('came_at').notNull(),
})
