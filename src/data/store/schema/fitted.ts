/** Strings that are on or were: where, how they stood, how they broke. */
import { READING_KINDS } from '@/core/settle/readings'
import { STRETCHINGS } from '@/core/settle/stretching'
import { BREAK_SITES } from '@/core/wear/break-sites'
import { SINCE } from '@/core/wear/on-since'
import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { construction, id } from './columns'
import { instruments, positions } from './instruments'
import { coils, supplies } from './stores'

/** One physical string while it is on its positions. */
export const fittedStrings = sqliteTable(
  'fitted_string',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    coilId: integer('coil_id').references(() => coils.id),
    ...construction(),
    /** Of a string that was on already when its instrument was entered: when that was. */
    fittedAt: integer('fitted_at').notNull(),
    /** How well it is known since when it is on. */
    since: text('since', { enum: SINCE }).notNull().default('dated'),
    endedAt: integer('ended_at'),
    /** It was on before and is put back: it settles as one that was moved, not as a new one. */
    moved: integer('moved', { mode: 'boolean' }).notNull().default(false),
    /** How long it had been on before it was put back, ms: so old it was when it was fitted. */
    agedMs: integer('aged_ms').notNull().default(0),
    /** Cycles of helping it settle that were given when it was fitted. */
    stretchCycles: integer('stretch_cycles').notNull().default(0),
    stretchedBy: text('stretched_by', { enum: STRETCHINGS }),
  },
  (t) => [index('fitted_on').on(t.instrumentId, t.endedAt), index('fitted_now').on(t.endedAt, t.fittedAt)],
)

export const fittedPositions = sqliteTable(
  'fitted_position',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
  },
  (t) => [index('fitted_position_at').on(t.positionId), index('fitted_position_of').on(t.fittedId)],
)

export const breaks = sqliteTable(
  'string_break',
  {
    id: id(),
    /** Where it was seen to give way. */
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    fittedId: integer('fitted_id').references(() => fittedStrings.id),
    at: integer('at').notNull(),
    site: text('site', { enum: BREAK_SITES }).notNull(),
  },
  (t) => [index('break_at').on(t.positionId), index('break_when').on(t.at)],
)

/** How far a string stood from pitch, and whether it was brought back. */
export const readings = sqliteTable(
  'cents_reading',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    at: integer('at').notNull(),
    cents: real('cents').notNull(),
    broughtBack: integer('brought_back', { mode: 'boolean' }).notNull(),
    /** What it was taken for when it was logged, so that what was told and what is kept are one. Null on readings from before it was kept. */
    kind: text('kind', { enum: READING_KINDS }),
  },
  (t) => [index('reading_of').on(t.fittedId), index('reading_at').on(t.positionId)],
)

/** Broken strings whose gut was booked in as anchors, so that none is booked in twice. */
export const anchorsMade = sqliteTable(
  'anchors_made',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    supplyId: integer('supply_id')
      .notNull()
      .references(() => supplies.id),
    at: integer('at').notNull(),
    count: integer('count').notNull(),
  },
  (t) => [uniqueIndex('anchors_made_once').on(t.fittedId), check('anchors_made_some', sql`${t.count} > 0`)],
)
