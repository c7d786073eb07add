/**
 * What a go of practice asks: which cards, on which of the house's instruments.
 */
import { desc, eq } from 'drizzle-orm'
import { itemAt } from '@/core/list/item-at'
import { cardsOn, together, type Card } from '@/core/practice/cards'
import type { Drill, Own } from '@/core/practice/drill'
import { forDrill, toPractise } from '@/core/practice/due'
import { readCard } from '@/core/practice/read-card'
import type { Remembered } from '@/core/practice/schedule'
import { allInstruments, instrumentBySlug, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import type { Store } from '../store/database'
import { house, instruments, positions, practiceAnswers } from '../store/schema'
import { rememberedBy } from './practice'

/** What a go asks: cards in their order, each on one instrument, and those instruments. */
export interface PracticeGo {
  readonly cards: readonly Card[]
  readonly owns: readonly Own[]
  /** Another one asks otherwise. */
  readonly seed: number
}

/** A house of hundreds is practised on a few at a time. */
const MOST_INSTRUMENTS = 12
/** Five minutes at the bench. */
export const CARDS_IN_A_GO = 8

const ownOf = ({ instrument, habits }: StoredInstrument): Own => ({ instrument, habits })

/** The instruments that practice is made from: those with open jobs first. */
export function practisedOn(store: Store): readonly StoredInstrument[] {
  const all = allInstruments(store)
  if (all.length <= MOST_INSTRUMENTS) return all
  const open = new Set(openJobs(store).map(({ positionId }) => positionId))
  const hasJob = ({ positionIds }: StoredInstrument) => [...positionIds.values()].some((id) => open.has(id))
  return [...all.filter(hasJob), ...all.filter((one) => !hasJob(one))].slice(0, MOST_INSTRUMENTS)
}

/** Cards of some instruments; those of each are worked out anew only when a chart or a habit was written. */
export function cardsFrom(store: Store, owns: readonly StoredInstrument[]): readonly Card[] {
  return together(
    owns.map((own) =>
      store.cache.get(`practice cards ${own.id}`, [instruments, positions, house], () => cardsOn(ownOf(own))),
    ),
  )
}

/** Due cards that are about instruments beside those that are practised on, as long as they are on the shelf. */
export function alsoDue(
  store: Store,
  remembered: ReadonlyMap<string, Remembered>,
  known: readonly StoredInstrument[],
): readonly StoredInstrument[] {
  const slugs = new Set(known.map(({ instrument }) => instrument.slug))
  const due = [...remembered.values()].filter((one) => one.due <= store.now()).sort((a, b) => a.due - b.due)
  const more = new Set<string>()
  for (const { card } of due) {
    const slug = readCard(card)?.slug
    if (slug && !slugs.has(slug) && more.size < MOST_INSTRUMENTS) more.add(slug)
  }
  return allInstruments(store).filter(({ instrument }) => more.has(instrument.slug))
}

/** Each card on one instrument, and only the instruments that are asked for: a page carries no more along. */
function goOf(cards: readonly Card[], all: readonly StoredInstrument[], seed: number): PracticeGo {
  const asked = cards.map((card, i) => ({
    ...card,
    slugs: [itemAt(card.slugs, (seed + i) % card.slugs.length)],
  }))
  const slugs = new Set(asked.flatMap((card) => card.slugs))
  return {
    cards: asked,
    owns: all.filter(({ instrument }) => slugs.has(instrument.slug)).map(ownOf),
    seed,
  }
}

/** A seed that is another one after each answer. */
export function seedFor(store: Store, person: string): number {
  const last = store.rows
    .select({ id: practiceAnswers.id })
    .from(practiceAnswers)
    .where(eq(practiceAnswers.person, person))
    .orderBy(desc(practiceAnswers.id))
    .limit(1)
    .get()
  return (last?.id ?? 0) + 1
}

/** What is due for a person, and a little that is new. */
export function dueGo(store: Store, person: string): PracticeGo {
  const remembered = rememberedBy(store, person)
  const practised = practisedOn(store)
  const all = [...practised, ...alsoDue(store, remembered, practised)]
  const seed = seedFor(store, person)
  const cards = toPractise(cardsFrom(store, all), remembered, {
    now: store.now(),
    count: CARDS_IN_A_GO,
    seed,
  })
  return goOf(cards, all, seed)
}

/**
 * One drill on one instrument.
 *
 * @param first - id of a card that is asked first, where it was asked for
 * @throws Refusal 404 where there is no such instrument
 */
export function drillGo(
  store: Store,
  person: string,
  drill: Drill,
  slug: string,
  first?: string,
): PracticeGo {
  const own = instrumentBySlug(store, slug)
  const seed = seedFor(store, person)
  const all = cardsFrom(store, [own]).filter((card) => card.drill === drill)
  const cards = forDrill(all, rememberedBy(store, person), { now: store.now(), seed })
  const asked = cards.filter(({ id }) => id === first)
  return goOf([...asked, ...cards.filter(({ id }) => id !== first)].slice(0, CARDS_IN_A_GO), [own], seed)
}
