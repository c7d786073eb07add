/** What must be bought, and which order line fills it. */
import { STRING_COLOURS } from '@/core/instrument/instrument'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { construction, id } from './columns'
import { positions } from './instruments'
import { orderLines } from './orders'
import { jobs } from './jobs'

/** What must be bought, with all that an order has to say. */
export const needs = sqliteTable(
  'need',
  {
    id: id(),
    jobId: integer('job_id').references(() => jobs.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    ...construction(),
    colour: text('colour', { enum: STRING_COLOURS }).notNull(),
    /** Null where it is bought by gauge, length and end alone. */
    tensionClass: text('tension_class', { enum: SOLD_CLASSES }),
    end: text('end', { enum: STRING_ENDS }).notNull(),
    lengthMm: real('length_mm').notNull(),
    quantity: integer('quantity').notNull().default(1),
    /** How many of them have come. */
    met: integer('met').notNull().default(0),
    openedAt: integer('opened_at').notNull(),
    closedAt: integer('closed_at'),
  },
  (t) => [
    check('need_some', sql`${t.quantity} > 0 AND ${t.lengthMm} > 0 AND ${t.met} >= 0`),
    index('need_of_job').on(t.jobId),
    index('need_open').on(t.closedAt),
  ],
)

/** Which needs an order line is to fill. */
export const orderedNeeds = sqliteTable(
  'ordered_need',
  {
    id: id(),
    needId: integer('need_id')
      .notNull()
      .references(() => needs.id),
    orderLineId: integer('order_line_id')
      .notNull()
      .references(() => orderLines.id),
    /** How many of its strings come out of this line. */
    strings: integer('strings').notNull().default(1),
  },
  (t) => [
    uniqueIndex('ordered_need_once').on(t.needId, t.orderLineId),
    index('ordered_by').on(t.orderLineId),
    check('ordered_some', sql`${t.strings} > 0`),
  ],
)
