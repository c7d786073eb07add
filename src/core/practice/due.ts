/**
 * What to practise now: first what is likeliest forgotten of what is due, then a little that is new.
 */
import { DRILLS } from './drill'
import type { Card } from './cards'
import { recallOf, type Remembered } from './schedule'
import { seeded } from '../random/seeded'
import { shuffled } from './shuffled'

/** So much is new at once: more would all be due on one day again. */
const NEW_AT_ONCE = 4
/** So many things are learned at a time; what is kept for a week counts as learned. */
const LEARNED_AT_ONCE = 12
const LEARNED = 7

export type RememberedBy = ReadonlyMap<string, Remembered>

/** Those that were asked and are due, the likeliest forgotten first. */
export function dueOf(cards: readonly Card[], remembered: RememberedBy, now: number): readonly Card[] {
  return cards
    .flatMap((card) => {
      const known = remembered.get(card.id)
      return known && known.due <= now ? [{ card, recall: recallOf(known, now) }] : []
    })
    .sort((a, b) => a.recall - b.recall || (a.card.id < b.card.id ? -1 : 1))
    .map(({ card }) => card)
}

/**
 * Cards to be asked now. Nothing new is taken up while much is due, or while many things are only half learned.
 *
 * @param count - at most so many
 * @param seed - decides which new ones come first, drill by drill
 */
export function toPractise(
  cards: readonly Card[],
  remembered: RememberedBy,
  { now, count, seed }: { readonly now: number; readonly count: number; readonly seed: number },
): readonly Card[] {
  const due = dueOf(cards, remembered, now).slice(0, count)
  const halfLearned = cards.filter(({ id }) => (remembered.get(id)?.stability ?? LEARNED) < LEARNED).length
  const fresh = Math.min(NEW_AT_ONCE - due.length, LEARNED_AT_ONCE - halfLearned, count - due.length)
  return [...due, ...newCards(cards, remembered, seed).slice(0, Math.max(0, fresh))]
}

/** What was never asked, one of each drill in turn; that drill first of which least is known. */
function newCards(cards: readonly Card[], remembered: RememberedBy, seed: number): readonly Card[] {
  const random = seeded(seed)
  const rows = shuffled(DRILLS, random)
    .map((drill) => {
      const all = cards.filter((card) => card.drill === drill)
      const unasked = all.filter(({ id }) => !remembered.has(id))
      return { known: all.length - unasked.length, row: shuffled(unasked, random) }
    })
    .sort((a, b) => a.known - b.known)
  const longest = Math.max(0, ...rows.map(({ row }) => row.length))
  return Array.from({ length: longest }, (_, i) => i).flatMap((i) => rows.flatMap(({ row }) => row[i] ?? []))
}

/** For one drill alone: what is due of it, what is new, and then what was longest ago, so that there is always something. */
export function forDrill(
  cards: readonly Card[],
  remembered: RememberedBy,
  { now, seed }: { readonly now: number; readonly seed: number },
): readonly Card[] {
  const due = dueOf(cards, remembered, now)
  const unasked = shuffled(
    cards.filter(({ id }) => !remembered.has(id)),
    seeded(seed),
  )
  const rest = cards
    .filter((card) => !due.includes(card) && remembered.has(card.id))
    .toSorted((a, b) => (remembered.get(a.id)?.last ?? 0) - (remembered.get(b.id)?.last ?? 0))
  return [...due, ...unasked, ...rest]
}

/** The chance that it is still known below which it is offered before a job. */
const OFFERED_BELOW = 0.8

/** Before a job: of what it asks for, the one thing that is likeliest forgotten; null where all of it is fresh. */
export function beforeJob(
  cards: readonly Card[],
  remembered: RememberedBy,
  now: number,
): { readonly card: Card; readonly last: number | null } | null {
  const [first] = cards
    .map((card) => {
      const known = remembered.get(card.id)
      return { card, last: known?.last ?? null, recall: known ? recallOf(known, now) : 0 }
    })
    .filter(({ recall }) => recall < OFFERED_BELOW)
    .sort((a, b) => (a.last ?? Infinity) - (b.last ?? Infinity) || a.recall - b.recall)
  return first ? { card: first.card, last: first.last } : null
}
