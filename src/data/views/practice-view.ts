/**
 * What the page of practice shows: what is due for whoever is at the bench, and how it went so far.
 */
import { positionAt } from '@/core/instrument/instrument'
import { theName } from '@/core/instrument/names'
import { DRILLS, type Drill } from '@/core/practice/drill'
import { dueOf, toPractise } from '@/core/practice/due'
import type { Effect } from '@/core/practice/effect'
import { retentionOf, measuredDrills, type DrillMeasured, type Retention } from '@/core/practice/measured'
import type { OldString } from '@/core/practice/old-string'
import { recallOf } from '@/core/practice/schedule'
import { allInstruments, instrumentBySlug, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { practiceEffect } from '../practice/effect'
import { alsoDue, CARDS_IN_A_GO, cardsFrom, practisedOn, seedFor } from '../practice/goes'
import { oldStringOn } from '../practice/old-string'
import { answersBy, rememberedBy } from '../practice/practice'
import type { Store } from '../store/database'

export interface PracticeView {
  readonly slug: string
  /** Names of all instruments on the shelf. */
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
  /** How much is due now, and of how many cards that were ever asked. */
  readonly due: number
  readonly known: number
  /** What is due and new together, as it would be asked now. */
  readonly next: readonly { readonly drill: Drill; readonly about: string }[]
  /** When the next card is due, where none is; null where none was ever asked. */
  readonly dueAt: number | null
  /** Drills that this instrument has something to ask in. */
  readonly drills: readonly Drill[]
  readonly measured: readonly DrillMeasured[]
  readonly retention: readonly Retention[]
  /** What is likeliest forgotten by now, with the chance that it is still known. */
  readonly forgotten: readonly { readonly about: string; readonly recall: number; readonly last: number }[]
  readonly effect: Effect | null
  /** Strings to take off and put back, by their names, the best first; none where none can serve. */
  readonly olds: readonly (OldString & { readonly name: string })[]
  /** A job of practice on this instrument that is open; null where there is none. */
  readonly openOld: number | null
}

const FORGOTTEN_SHOWN = 5

/** All of practice for whoever is at the bench, with one instrument to choose drills on; null where the house has none. */
export function practiceView(store: Store, person: string, asked: string | undefined): PracticeView | null {
  const shelf = allInstruments(store)
  const practised = practisedOn(store)
  const own = asked === undefined ? practised[0] : instrumentBySlug(store, asked)
  if (!own) return null
  const now = store.now()
  const remembered = rememberedBy(store, person)
  const all = [...practised, ...alsoDue(store, remembered, practised)]
  const cards = cardsFrom(store, all)
  const answers = answersBy(store, person)
  const due = dueOf(cards, remembered, now)
  const known = cards.flatMap((card) => remembered.get(card.id) ?? [])
  const mine = new Set(cardsFrom(store, [own]).map(({ drill }) => drill))
  const about = new Map(cards.map((card) => [card.id, card.about]))
  const next = toPractise(cards, remembered, { now, count: CARDS_IN_A_GO, seed: seedFor(store, person) })
  return {
    slug: own.instrument.slug,
    instruments: shelf.map(({ instrument: { slug, name } }) => ({ slug, name })),
    due: due.length,
    known: known.length,
    next: next.map(({ drill, about: words }) => ({ drill, about: words })),
    dueAt: known.length === 0 ? null : Math.min(...known.map((one) => one.due)),
    drills: DRILLS.filter((drill) => mine.has(drill)),
    measured: measuredDrills(answers),
    retention: retentionOf(answers),
    forgotten: known
      .map((one) => ({ about: about.get(one.card) ?? one.card, recall: recallOf(one, now), last: one.last }))
      .sort((a, b) => a.recall - b.recall)
      .slice(0, FORGOTTEN_SHOWN),
    effect: practiceEffect(store, person),
    olds: oldsNamed(store, own),
    openOld: openOldOn(store, own),
  }
}

/** So many strings are offered to be taken off. */
const OLDS_SHOWN = 6

function oldsNamed(store: Store, own: StoredInstrument): PracticeView['olds'] {
  return oldStringOn(store, own)
    .slice(0, OLDS_SHOWN)
    .map((old) => ({
      ...old,
      name: theName(positionAt(own.instrument, old.number), own.habits.octaveNames),
    }))
}

function openOldOn(store: Store, stored: StoredInstrument): number | null {
  const ids = new Set(stored.positionIds.values())
  return openJobs(store).find((row) => row.forPractice && ids.has(row.positionId))?.id ?? null
}
