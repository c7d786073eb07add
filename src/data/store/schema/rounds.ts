/** Temperaments of the house's own, and instruments tuned string by string. */
import { ROUND_ORDERS } from '@/core/rounds/tuning-round'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { id } from './columns'
import { instruments, positions } from './instruments'

export const temperaments = sqliteTable('temperament', {
  id: id(),
  name: text('name').notNull().unique(),
  /** Cents above C of the twelve notes: JSON. */
  degrees: text('degrees').notNull(),
})

/** An instrument tuned from its first string to its last. */
export const tuningRounds = sqliteTable(
  'tuning_round',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    startedAt: integer('started_at').notNull(),
    endedAt: integer('ended_at'),
    /** The temperament that it was tuned in, and its cents above C as they were then: JSON. */
    temperament: text('temperament').notNull(),
    degrees: text('degrees').notNull(),
    tuneOrder: text('tune_order', { enum: ROUND_ORDERS }).notNull(),
    withinCents: real('within_cents').notNull(),
  },
  (t) => [index('round_of').on(t.instrumentId, t.startedAt)],
)

/** A string at its turn in a round: where it was found, and where it was left; null where it was only heard. */
export const roundReadings = sqliteTable(
  'round_reading',
  {
    id: id(),
    roundId: integer('round_id')
      .notNull()
      .references(() => tuningRounds.id),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    at: integer('at').notNull(),
    foundCents: real('found_cents').notNull(),
    leftCents: real('left_cents'),
  },
  (t) => [
    index('round_reading_of').on(t.roundId),
    index('round_reading_at').on(t.positionId),
    index('round_reading_when').on(t.at),
  ],
)
