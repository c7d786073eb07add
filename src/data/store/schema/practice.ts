/** Practice: what was asked and how it was answered, and when each card is asked again, for each person by themselves. */
import { DRILLS } from '@/core/practice/drill'
import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { id } from './columns'

export const practiceAnswers = sqliteTable(
  'practice_answer',
  {
    id: id(),
    /** Who; empty where nobody said. */
    person: text('person').notNull(),
    card: text('card').notNull(),
    drill: text('drill', { enum: DRILLS }).notNull(),
    answeredAt: integer('answered_at').notNull(),
    tookMs: integer('took_ms').notNull(),
    isRight: integer('is_right', { mode: 'boolean' }).notNull(),
    /** How it went wrong, in a few words; null where it was right. */
    mistake: text('mistake'),
    /** How far off, where that was measured: wraps, cents or stages. */
    off: real('off'),
    /** The chance that it was still known, as it was reckoned before it was asked; null the first time. */
    recall: real('recall'),
  },
  (t) => [index('practice_answer_by').on(t.person, t.answeredAt)],
)

/** What is remembered of a card: see `core/practice/schedule.ts`. */
export const practiceCards = sqliteTable(
  'practice_card',
  {
    id: id(),
    person: text('person').notNull(),
    card: text('card').notNull(),
    dueAt: integer('due_at').notNull(),
    lastAt: integer('last_at').notNull(),
    /** Days after which nine in ten still know it. */
    stability: real('stability').notNull(),
    difficulty: real('difficulty').notNull(),
    reps: integer('reps').notNull(),
    lapses: integer('lapses').notNull(),
  },
  (t) => [
    uniqueIndex('practice_card_once').on(t.person, t.card),
    index('practice_card_due').on(t.person, t.dueAt),
  ],
)
