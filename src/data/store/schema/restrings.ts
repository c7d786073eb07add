/** Whole restrings: what is planned, and how far it is. */
import { RESTRING_WAYS } from '@/core/restring/taught-ways'
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { id } from './columns'
import { instruments, positions } from './instruments'
import { coils } from './stores'
import { jobs } from './jobs'

export const restrings = sqliteTable(
  'restring',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    begunAt: integer('begun_at').notNull(),
    endedAt: integer('ended_at'),
    /** The way that its plan was made by; null where it was moved about by hand. */
    way: text('restring_way', { enum: RESTRING_WAYS }),
    /** How long one is at it at a time, min. */
    sessionMinutes: integer('session_minutes').notNull(),
    /** Nothing was on it when it began: its strings were all off, or it was new. */
    fromBare: integer('from_bare', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('restring_of').on(t.instrumentId, t.endedAt)],
)

/** One piece of it: in which go, and at which place in that go it is brought up; both from 0. */
export const restringPieces = sqliteTable(
  'restring_piece',
  {
    id: id(),
    restringId: integer('restring_id')
      .notNull()
      .references(() => restrings.id, { onDelete: 'cascade' }),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    go: integer('go').notNull(),
    place: integer('place').notNull(),
    /** Null until its go is begun. */
    jobId: integer('job_id').references(() => jobs.id, { onDelete: 'set null' }),
    /** The coil that its plan cuts it from, until its job is opened; null where the stores had none. */
    coilId: integer('coil_id').references(() => coils.id),
    /** Whose string it is where several are at the instrument; empty where one does all. */
    hands: text('hands').notNull().default(''),
  },
  (t) => [
    uniqueIndex('restring_piece_once').on(t.restringId, t.positionId),
    index('restring_piece_job').on(t.jobId),
  ],
)
