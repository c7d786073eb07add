/**
 * Practice as it is kept: every answer, and when each card is asked again. One go is one action, undone as any other.
 */
import { and, asc, eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { readCard } from '@/core/practice/read-card'
import { drillFacts, DRILLS, type Drill } from '@/core/practice/drill'
import type { Answered } from '@/core/practice/measured'
import type { Answer } from '@/core/practice/question'
import { afterAnswer, recallOf, type Remembered } from '@/core/practice/schedule'
import { grouped } from '@/core/list/grouped'
import { HOUR } from '@/core/units/time'
import type { Done, Store } from '../store/database'
import { instruments, practiceAnswers, practiceCards } from '../store/schema'

/** An answer with how long ago it was given, s. */
export interface GivenAnswer extends Answer {
  readonly ago: number
}

/** What a person remembers, by the card. */
export function rememberedBy(store: Store, person: string): ReadonlyMap<string, Remembered> {
  return new Map(
    store.rows
      .select()
      .from(practiceCards)
      .where(eq(practiceCards.person, person))
      .all()
      .map(({ card, dueAt, lastAt, stability, difficulty, reps, lapses }) => [
        card,
        { card, due: dueAt, last: lastAt, stability, difficulty, reps, lapses },
      ]),
  )
}

/** All that a person answered, in order of time. */
export function answersBy(store: Store, person: string): readonly Answered[] {
  return store.rows
    .select()
    .from(practiceAnswers)
    .where(eq(practiceAnswers.person, person))
    .orderBy(asc(practiceAnswers.answeredAt), asc(practiceAnswers.id))
    .all()
    .map(({ drill, card, answeredAt, tookMs, isRight, mistake, off, recall }) => ({
      drill,
      card,
      at: answeredAt,
      took: tookMs,
      isRight,
      mistake,
      off,
      recall,
    }))
}

/**
 * Keeps how a go went.
 *
 * @param person - who; empty where nobody said
 * @throws Refusal 400 where a card is none, 404 where its instrument is not known here
 */
export function keepAnswers(store: Store, person: string, answers: readonly GivenAnswer[]): Done<void> {
  for (const { card, drill } of answers) {
    const read = readCard(card)
    if (!read || read.drill !== drill)
      throw new Refusal(400, `There is nothing called “${card}” to practise.`)
    if (read.slug !== null && !isKnown(store, read.slug))
      throw new Refusal(404, `There is no instrument called “${read.slug}” here.`)
  }
  return store.act({ kind: 'practice', summary: wentWords(answers) }, () => {
    const now = store.now()
    // In the order in which they were given, so that each rests on the one before.
    for (const answer of [...answers].sort((a, b) => b.ago - a.ago)) keepOne(store, person, answer, now)
  })
}

const isKnown = (store: Store, slug: string) =>
  store.rows.select({ id: instruments.id }).from(instruments).where(eq(instruments.slug, slug)).get() !==
  undefined

/** Within so long it is still the same go, ms. */
const SAME_GO = 12 * HOUR

function keepOne(store: Store, person: string, answer: GivenAnswer, now: number): void {
  const mine = and(eq(practiceCards.person, person), eq(practiceCards.card, answer.card))
  const row = store.rows.select().from(practiceCards).where(mine).get()
  const before: Remembered | null = row ? { ...row, due: row.dueAt, last: row.lastAt } : null
  const at = now - answer.ago * 1000
  // Asked again in the same go it shows nothing new of what is remembered.
  const isAgain = before !== null && at - before.last < SAME_GO
  if (!isAgain) {
    const { due, last, stability, difficulty, reps, lapses } = afterAnswer(before, answer, at)
    const state = { dueAt: due, lastAt: last, stability, difficulty, reps, lapses }
    if (row) store.rows.update(practiceCards).set(state).where(eq(practiceCards.id, row.id)).run()
    else
      store.rows
        .insert(practiceCards)
        .values({ person, card: answer.card, ...state })
        .run()
  }
  store.rows
    .insert(practiceAnswers)
    .values({
      person,
      card: answer.card,
      drill: answer.drill,
      answeredAt: at,
      tookMs: Math.round(answer.took),
      isRight: answer.isRight,
      mistake: answer.mistake,
      off: answer.off,
      recall: before === null || isAgain ? null : recallOf(before, at),
    })
    .run()
}

/** How a go went, for the history: `Practice: Tie it, 5 of 6 right`. */
function wentWords(answers: readonly GivenAnswer[]): string {
  const byDrill = grouped(answers, ({ drill }) => drill)
  const told = DRILLS.flatMap((drill: Drill) => {
    const all = byDrill.get(drill)
    return all
      ? [
          `${drillFacts(drill).title.replace(/\?$/, '')}, ${all.filter(({ isRight }) => isRight).length} of ${all.length} right`,
        ]
      : []
  })
  return `Practice: ${told.join('; ')}`
}
