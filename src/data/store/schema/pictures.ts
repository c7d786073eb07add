/** Pictures that are kept with an instrument. */
import { PICTURE_KINDS } from '@/core/pictures/picture-kind'
import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { id } from './columns'
import { instruments, positions } from './instruments'
import { jobs } from './jobs'

/** The bytes of a picture, once, however often it is kept. Not journaled: who kept or threw away what is said by `picture`. */
export const pictureFiles = sqliteTable('picture_file', {
  /** SHA-256 of the bytes. */
  hash: text('hash').primaryKey(),
  jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
  keptAt: integer('kept_at').notNull(),
  /** When it was last thrown away; null while it never was. */
  thrownAt: integer('thrown_at'),
})

export const pictures = sqliteTable(
  'picture',
  {
    id: id(),
    instrumentId: integer('instrument_id')
      .notNull()
      .references(() => instruments.id),
    positionId: integer('position_id').references(() => positions.id),
    jobId: integer('job_id').references(() => jobs.id),
    kind: text('kind', { enum: PICTURE_KINDS }).notNull(),
    note: text('note').notNull(),
    at: integer('at').notNull(),
    widthPx: integer('width_px').notNull(),
    heightPx: integer('height_px').notNull(),
    hash: text('hash')
      .notNull()
      .references(() => pictureFiles.hash),
  },
  (table) => [
    index('picture_instrument').on(table.instrumentId),
    index('picture_job').on(table.jobId),
    index('picture_hash').on(table.hash),
  ],
)
