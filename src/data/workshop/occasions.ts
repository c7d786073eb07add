/**
 * Dates that strings must be ready for: concerts, walks, lessons.
 */
import { asc, eq, gte } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { DAY } from '@/core/units/time'
import type { Done, Store } from '../store/database'
import { instruments, occasions } from '../store/schema'

export interface NewOccasion {
  readonly name: string
  /** ms since 1970 */
  readonly at: number
  /** How long it lasts, h; null for as long as the house's concerts do. */
  readonly hours: number | null
  /** Slugs of the instruments that it is for; none for all of them. */
  readonly instruments: readonly string[]
}

export interface Occasion extends NewOccasion {
  readonly id: number
}

/** Whether a date is for an instrument: one that names none is for all. */
export const isFor = ({ instruments: of }: Pick<NewOccasion, 'instruments'>, slug: string): boolean =>
  of.length === 0 || of.includes(slug)

/** Every date there is, the earliest first. */
export function allOccasions(store: Store): readonly Occasion[] {
  return store.rows.select().from(occasions).orderBy(asc(occasions.at)).all().map(occasionFrom)
}

/** Dates ahead, the next first; one of today still counts. */
export function occasionsAhead(store: Store): readonly Occasion[] {
  return store.rows
    .select()
    .from(occasions)
    .where(gte(occasions.at, store.now() - DAY / 2))
    .orderBy(asc(occasions.at))
    .all()
    .map(occasionFrom)
}

function occasionFrom({ id, name, at, hours, instruments: of }: typeof occasions.$inferSelect): Occasion {
  return { id, name, at, hours, instruments: JSON.parse(of) as string[] }
}

/**
 * Adds dates as one action. One of the same name and time as another is left out.
 *
 * @throws Refusal 409 when all of them are there already
 */
export function addOccasions(store: Store, dates: readonly NewOccasion[]): Done<number> {
  const there = new Set(allOccasions(store).map(({ name, at }) => `${at} ${name}`))
  const fresh = dates.filter(({ name, at }) => !there.has(`${at} ${name}`))
  const [first] = fresh
  if (!first)
    throw new Refusal(
      409,
      dates.length === 1 ? 'That date is there already.' : 'All of these dates are there already.',
    )
  for (const date of fresh) refuseUnknown(store, date.instruments)
  const summary = fresh.length === 1 ? `The date ${first.name} added` : `${fresh.length} dates added`
  return store.act({ kind: 'occasions', summary }, () => {
    for (const date of fresh) store.rows.insert(occasions).values(rowOf(date)).run()
    return fresh.length
  })
}

/** Changes a date; Refusal 404 when there is none. */
export function changeOccasion(store: Store, id: number, date: NewOccasion): Done<void> {
  occasionById(store, id)
  refuseUnknown(store, date.instruments)
  return store.act({ kind: 'occasions', summary: `The date ${date.name} changed` }, () => {
    store.rows.update(occasions).set(rowOf(date)).where(eq(occasions.id, id)).run()
  })
}

/** Takes a date away; Refusal 404 when there is none. */
export function dropOccasion(store: Store, id: number): Done<void> {
  const { name } = occasionById(store, id)
  return store.act({ kind: 'occasions', summary: `The date ${name} taken away` }, () => {
    store.rows.delete(occasions).where(eq(occasions.id, id)).run()
  })
}

function rowOf({ name, at, hours, instruments: of }: NewOccasion) {
  return { name, at, hours, instruments: JSON.stringify(of) }
}

function occasionById(store: Store, id: number) {
  return found(
    store.rows.select().from(occasions).where(eq(occasions.id, id)).get(),
    `There is no date ${id}.`,
  )
}

function refuseUnknown(store: Store, slugs: readonly string[]): void {
  if (slugs.length === 0) return
  const known = new Set(
    store.rows
      .select({ slug: instruments.slug })
      .from(instruments)
      .all()
      .map(({ slug }) => slug),
  )
  const unknown = slugs.find((slug) => !known.has(slug))
  if (unknown !== undefined)
    throw new Refusal(404, `There is no instrument called “${unknown}” on the shelf.`, 'instruments')
}
