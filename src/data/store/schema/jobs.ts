/** Replacing one string: how far it has got, what was measured, cut and fitted. */
import { MISHAPS } from '@/core/fitting/mishaps'
import { ASKED, STEP_KEYS } from '@/core/fitting/step'
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
import { id } from './columns'
import { positions } from './instruments'
import { coils } from './stores'
import { fittedStrings, breaks } from './fitted'

/** Replacing one string: from the break, or from the wish to replace it, to the logged fitting. */
export const jobs = sqliteTable(
  'job',
  {
    id: id(),
    positionId: integer('position_id')
      .notNull()
      .references(() => positions.id),
    breakId: integer('break_id').references(() => breaks.id),
    openedAt: integer('opened_at').notNull(),
    coilId: integer('coil_id').references(() => coils.id),
    /** The string came off whole and is put back; nothing is cut. */
    sameString: integer('same_string', { mode: 'boolean' }).notNull().default(false),
    /** A good string is taken off and put back, to learn how. */
    forPractice: integer('for_practice', { mode: 'boolean' }).notNull().default(false),
    /** Habits of its own, where they differ from the instrument's: JSON. */
    habits: text('habits').notNull().default('{}'),
    /** The job that this one is done together with; null where it is done alone, or leads the others. */
    leadId: integer('lead_id').references((): AnySQLiteColumn => jobs.id),
    finishedAt: integer('finished_at'),
  },
  (t) => [
    index('job_open').on(t.finishedAt),
    index('job_at').on(t.positionId),
    index('job_lead').on(t.leadId),
    index('job_coil').on(t.coilId),
  ],
)

/** How far a job has got: one row for each step done. */
export const jobSteps = sqliteTable(
  'job_step',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    step: text('step', { enum: STEP_KEYS }).notNull(),
    doneAt: integer('done_at').notNull(),
  },
  (t) => [uniqueIndex('job_step_once').on(t.jobId, t.step)],
)

/** What was measured while a job went on: one row for each thing. Lengths in mm; turns, wraps and cents as they are. */
export const jobMeasures = sqliteTable(
  'job_measure',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    what: text('what', { enum: ASKED }).notNull(),
    value: real('value').notNull(),
    at: integer('at').notNull(),
  },
  (t) => [uniqueIndex('job_measure_once').on(t.jobId, t.what)],
)

/** What went wrong on the way. */
export const jobMishaps = sqliteTable(
  'job_mishap',
  {
    id: id(),
    jobId: integer('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    step: text('step', { enum: STEP_KEYS }).notNull(),
    mishap: text('mishap', { enum: MISHAPS }).notNull(),
    at: integer('at').notNull(),
    /** String that it cost; null where none was lost. */
    lostMm: real('lost_mm'),
  },
  (t) => [index('mishap_of_job').on(t.jobId)],
)

export const cuts = sqliteTable(
  'coil_cut',
  {
    id: id(),
    coilId: integer('coil_id')
      .notNull()
      .references(() => coils.id),
    jobId: integer('job_id').references(() => jobs.id),
    at: integer('at').notNull(),
    lengthMm: real('length_mm').notNull(),
  },
  (t) => [
    check('cut_positive', sql`${t.lengthMm} > 0`),
    index('cut_of').on(t.coilId),
    index('cut_for').on(t.jobId),
  ],
)

/** What was predicted and what was measured. */
export const fittings = sqliteTable(
  'fitting',
  {
    id: id(),
    jobId: integer('job_id').references(() => jobs.id),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    at: integer('at').notNull(),
    predictedCutMm: real('predicted_cut_mm'),
    cutMm: real('cut_mm'),
    predictedWraps: real('predicted_wraps'),
    wraps: real('wraps'),
    gaugeMm: real('measured_gauge_mm'),
  },
  (t) => [
    index('fitting_of_job').on(t.jobId),
    index('fitting_of').on(t.fittedId),
    index('fitting_when').on(t.at),
  ],
)

/** What fittings on each position came to beside what was worked out: kept up to date by triggers, see `kept-sums.ts`. */
export const fittingSums = sqliteTable('fitting_sum', {
  positionId: integer('position_id')
    .primaryKey()
    .references(() => positions.id),
  fittings: integer('fittings').notNull().default(0),
  wrapsCount: integer('wraps_count').notNull().default(0),
  wrapsOff: real('wraps_off').notNull().default(0),
  cutCount: integer('cut_count').notNull().default(0),
  cutOffMm: real('cut_off_mm').notNull().default(0),
})

/** Tails left long on the neck until the string has settled. While nothing is cut yet, the rest of the coil hangs there. */
export const parkedTails = sqliteTable(
  'parked_tail',
  {
    id: id(),
    fittedId: integer('fitted_id')
      .notNull()
      .references(() => fittedStrings.id),
    /** Null where a fitting of another kind left it. */
    jobId: integer('job_id').references(() => jobs.id),
    /** The coil whose rest hangs on the neck; null where the string was cut off its coil already. */
    coilId: integer('coil_id').references(() => coils.id),
    parkedAt: integer('parked_at').notNull(),
    trimmedAt: integer('trimmed_at'),
  },
  (t) => [uniqueIndex('parked_once').on(t.fittedId), index('parked_now').on(t.trimmedAt)],
)
