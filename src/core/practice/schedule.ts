/**
 * When a card is asked again: by the free spaced repetition scheduler (FSRS), a day being its shortest interval, since nobody
 * practises twice a day for their harp. Its states are plain numbers, so that they can be kept.
 */
import { createEmptyCard, fsrs, Rating, State, type Card as FsrsCard, type Grade } from 'ts-fsrs'
import { DAY } from '../units/time'
import { drillFacts } from './drill'
import type { Answer } from './question'
import { readCard } from './read-card'

/** What is remembered of a card by one person. */
export interface Remembered {
  readonly card: string
  /** ms since 1970 */
  readonly due: number
  /** Days after which nine in ten still know it. */
  readonly stability: number
  /** From 1, easy, to 10. */
  readonly difficulty: number
  readonly reps: number
  /** How often it was known and then not. */
  readonly lapses: number
  /** When it was asked last, ms since 1970. */
  readonly last: number
}

/** With this chance it is still known when it is asked again. */
export const WANTED = 0.9
/** A knot that is tied twice a year is asked at least as often, days. */
const LONGEST = 180

/** Nothing is left to chance: the same answers at the same times bring the same dates. */
const scheduler = fsrs({
  request_retention: WANTED,
  maximum_interval: LONGEST,
  enable_fuzz: false,
  enable_short_term: false,
})

/** A knot is tied with the hands in so long by one who knows it, ms: an estimate. */
const TIED_IN = 240_000

/** How well it was known: by whether it was right, and whether it came at once. */
export function gradeOf({
  card,
  drill,
  isRight,
  took,
}: Pick<Answer, 'card' | 'drill' | 'isRight' | 'took'>): Grade {
  if (!isRight) return Rating.Again
  const slow = readCard(card)?.about[1] === 'memory' ? TIED_IN : drillFacts(drill).slow
  return took > slow ? Rating.Hard : Rating.Good
}

/**
 * What is remembered of a card once it was answered.
 *
 * @param before - null where it was never asked
 * @param at - ms since 1970; a clock that was set back since counts as no time
 */
export function afterAnswer(before: Remembered | null, answer: Answer, at: number): Remembered {
  const now = Math.max(at, before?.last ?? at)
  const { card } = scheduler.next(
    before ? stored(before) : createEmptyCard(new Date(now)),
    new Date(now),
    gradeOf(answer),
  )
  return {
    card: answer.card,
    due: card.due.getTime(),
    stability: card.stability,
    difficulty: card.difficulty,
    reps: card.reps,
    lapses: card.lapses,
    last: now,
  }
}

/** The chance that it is still known, 0 to 1. */
export function recallOf(remembered: Remembered, at: number): number {
  return scheduler.get_retrievability(stored(remembered), new Date(Math.max(at, remembered.last)), false)
}

function stored({ due, stability, difficulty, reps, lapses, last }: Remembered): FsrsCard {
  return {
    due: new Date(due),
    stability,
    difficulty,
    reps,
    lapses,
    state: State.Review,
    learning_steps: 0,
    elapsed_days: 0,
    scheduled_days: Math.max(1, Math.round((due - last) / DAY)),
    last_review: new Date(last),
  }
}
