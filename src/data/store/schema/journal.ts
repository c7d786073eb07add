/** What people did, row by row. */
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { plainId } from './columns'
import { house, occasions, roomReadings } from './workshop'
import { coils, supplies } from './stores'
import { cuts, jobs, jobSteps, jobMeasures, jobMishaps, fittings, parkedTails } from './jobs'
import { fittedStrings, fittedPositions, breaks, readings, anchorsMade } from './fitted'
import { needs, orderedNeeds } from './needs'
import { instruments, positions, coverings } from './instruments'
import { pictures } from './pictures'
import { roundReadings, temperaments, tuningRounds } from './rounds'
import { practiceAnswers, practiceCards } from './practice'
import { restringPieces, restrings } from './restrings'
import { inspections, polishes } from './wear'
import { suppliers, catalogueItems, orders, orderLines } from './orders'

/** What a person did, in one transaction. Appended to, never changed. */
export const actions = sqliteTable(
  'action',
  {
    id: plainId(),
    at: integer('at').notNull(),
    kind: text('kind').notNull(),
    summary: text('summary').notNull(),
    /** Who did it, by name; null where nobody said. */
    by: text('by'),
    instrumentId: integer('instrument_id'),
    undoes: integer('undoes'),
  },
  (t) => [
    uniqueIndex('undone_once').on(t.undoes),
    index('action_on').on(t.instrumentId),
    index('action_kind').on(t.kind),
    index('action_when').on(t.at),
  ],
)

/** What an action answered, by the key that its sender gave it: sent again, it is the same action. */
export const answeredRequests = sqliteTable('answered_request', {
  id: plainId(),
  key: text('key').notNull().unique(),
  /** What was asked, in a few characters: another request with the same key is refused. */
  asked: text('asked').notNull(),
  answer: text('answer').notNull(),
  at: integer('at').notNull(),
})

/** Every row an action wrote, before and after. Appended to, never changed. */
export const changes = sqliteTable(
  'change',
  {
    id: plainId(),
    actionId: integer('action_id')
      .notNull()
      .references(() => actions.id),
    tableName: text('table_name').notNull(),
    rowId: integer('row_id').notNull(),
    before: text('before'),
    after: text('after'),
  },
  (t) => [index('change_of').on(t.actionId)],
)

/** Tables whose rows the journal follows. */
export const journaled = {
  house,
  coils,
  cuts,
  fittedStrings,
  fittedPositions,
  breaks,
  jobs,
  jobSteps,
  jobMeasures,
  jobMishaps,
  fittings,
  needs,
  readings,
  instruments,
  positions,
  coverings,
  occasions,
  supplies,
  anchorsMade,
  suppliers,
  catalogueItems,
  orders,
  orderLines,
  orderedNeeds,
  parkedTails,
  pictures,
  temperaments,
  tuningRounds,
  roundReadings,
  roomReadings,
  inspections,
  polishes,
  restrings,
  restringPieces,
  practiceAnswers,
  practiceCards,
} as const
