/**
 * The shelf of instruments, a page at a time, each with what is broken on it.
 */
import { FAMILIES, type Family } from '@/core/instrument/family'
import { samePiece, type Instrument } from '@/core/instrument/instrument'
import { pageOf, type PageOf } from '@/core/list/page-of'
import { leadingNames } from '@/core/instrument/names'
import { settlingStrings } from '../fitted/settling'
import { allInstruments, retiredInstruments } from '../instruments/instruments'
import { jobsOnStrings } from '../jobs/open-jobs'
import { grouped } from '@/core/list/grouped'
import type { Store } from '../store/database'

export const HANDS = ['broken', 'retune', 'retired'] as const
/** What an instrument may need a hand for. */
export type Hand = (typeof HANDS)[number]

/** What is looked for on the shelf. */
export interface ShelfAsked {
  /** Part of a name or of an owner. */
  readonly find: string
  readonly family: Family | null
  readonly needs: Hand | null
  /** Counted from 0. */
  readonly page: number
}

export interface ShelfEntry {
  readonly instrument: Instrument
  /** Numbers of the positions that wait for a string, and what they are called. */
  readonly broken: readonly number[]
  readonly brokenNames: readonly string[]
}

export interface ShelfPage {
  readonly entries: readonly ShelfEntry[]
  readonly at: PageOf
  /** How many there are, found or not. */
  readonly all: number
  /** Families that there are on the shelf. */
  readonly families: readonly Family[]
}

/** Instruments on one page. */
const SHOWN = 18

/** A page of the instruments that are looked for, in the order they were added. */
export function shelfView(store: Store, { find, family, needs, page }: ShelfAsked): ShelfPage {
  const all = needs === 'retired' ? retiredInstruments(store) : allInstruments(store)
  const words = find.trim().toLowerCase()
  const open = grouped(jobsOnStrings(store), ({ id }) => id)
  const now = store.now()
  const due =
    needs === 'retune'
      ? new Set(
          settlingStrings(store)
            .filter((s) => s.slipping || (s.nextAt !== null && s.nextAt <= now))
            .map(({ slug }) => slug),
        )
      : null
  const found = all.filter(
    ({ id, instrument }) =>
      (words === '' || `${instrument.name} ${instrument.owner}`.toLowerCase().includes(words)) &&
      (family === null || instrument.family === family) &&
      (needs !== 'broken' || open.has(id)) &&
      (due === null || due.has(instrument.slug)),
  )
  const at = pageOf(page, SHOWN, found.length)
  const there = new Set(all.map(({ instrument }) => instrument.family))
  return {
    at,
    all: all.length,
    families: FAMILIES.filter((one) => there.has(one)),
    entries: found.slice(at.from, at.to).map(({ id, instrument }) => {
      const jobs = open.get(id) ?? []
      return {
        instrument,
        broken: jobs.flatMap(({ position }) => samePiece(instrument, position).map((p) => p.number)),
        brokenNames: [
          ...new Set(jobs.map(({ position, habits }) => leadingNames(position, habits.octaveNames).name)),
        ],
      }
    }),
  }
}
