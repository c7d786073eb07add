/** How strings looked when somebody looked, and places that were polished because strings break there. */
import { BREAK_SITES } from '@/core/wear/break-sites'
import { CONDITIONS } from '@/core/wear/life'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { id } from './columns'
import { fittedStrings } from './fitted'
import { positions } from './instruments'

/** A string as it looked. One that is on since nobody knows when has no row of its own to point at. */
export const inspections = sqliteTable(
  'inspection',
  {
    id: id(),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    fittedId: integer('fitted_id').references(() => fittedStrings.id),
    at: integer('at').notNull(),
    condition: text('condition', { enum: CONDITIONS }).notNull(),
    /** What was seen: JSON. */
    signs: text('signs').notNull().default('[]'),
  },
  (t) => [index('inspection_of').on(t.fittedId), index('inspection_at').on(t.positionId, t.at)],
)

export const polishes = sqliteTable(
  'polish',
  {
    id: id(),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    site: text('site', { enum: BREAK_SITES }).notNull(),
    at: integer('at').notNull(),
  },
  (t) => [index('polish_at').on(t.positionId)],
)
