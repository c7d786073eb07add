/** What the stores hold: strings, and small things. */
import { STRING_COLOURS } from '@/core/instrument/instrument'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { SUPPLY_KINDS } from '@/core/stores/supplies'
import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { construction, id } from './columns'
import { orderLines } from './orders'

/** One length of string in the stores: a packet's, a coil's or a remainder's. */
export const coils = sqliteTable(
  'coil',
  {
    id: id(),
    label: text('label').notNull(),
    ...construction(),
    colour: text('colour', { enum: STRING_COLOURS }).notNull(),
    tensionClass: text('tension_class', { enum: SOLD_CLASSES }).notNull(),
    maker: text('maker').notNull(),
    line: text('line').notNull(),
    place: text('place').notNull(),
    end: text('end', { enum: STRING_ENDS }).notNull().default('plain'),
    boughtAt: integer('bought_at').notNull(),
    openedAt: integer('opened_at'),
    boughtMm: real('bought_mm').notNull(),
    leftMm: real('left_mm').notNull(),
    /** It was in the hand and not in the stores, and nobody said how long it was. */
    inHand: integer('in_hand', { mode: 'boolean' }).notNull().default(false),
    /** When it was thrown away, with what was left of it. */
    discardedAt: integer('discarded_at'),
    /** The line of the order that it came with. */
    orderLineId: integer('order_line_id').references(() => orderLines.id),
  },
  (t) => [
    index('coil_came_with').on(t.orderLineId),
    index('coil_on_shelf')
      .on(t.id)
      .where(sql`left_mm > 0 AND discarded_at IS NULL`),
    check('coil_never_below_zero', sql`${t.leftMm} >= 0 AND ${t.boughtMm} > 0 AND ${t.gaugeMm} > 0`),
  ],
)

/** Small things the stores hold besides strings: anchors, beads, glue. */
export const supplies = sqliteTable(
  'supply',
  {
    id: id(),
    kind: text('kind', { enum: SUPPLY_KINDS }).notNull(),
    name: text('name').notNull(),
    place: text('place').notNull(),
    count: integer('count').notNull(),
    /** Below this there are too few. */
    least: integer('least').notNull(),
    /** To be got: on the need list. */
    wanted: integer('wanted').notNull().default(0),
  },
  (t) => [check('supply_never_below_zero', sql`${t.count} >= 0 AND ${t.least} >= 0 AND ${t.wanted} >= 0`)],
)
