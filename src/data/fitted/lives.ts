/**
 * The lives of all strings that were ever on: how old each grew, how hard it worked, how it looked, and how it ended. From them
 * comes how long strings of each class last in this house.
 */
import { and, asc, eq, inArray, isNotNull, sql } from 'drizzle-orm'
import { habitsFor } from '@/core/fitting/habits'
import { restPitch } from '@/core/instrument/instrument'
import { grouped } from '@/core/list/grouped'
import { requireValue } from '@/core/list/require-value'
import { utilisation } from '@/core/strings/tension'
import { siteFacts, type BreakSite } from '@/core/wear/break-sites'
import { BY_CONDITION, learnRates, paceByLoad, type Aged, type Condition, type Rates } from '@/core/wear/life'
import { lifeClass, lifeFacts, type LifeClass } from '@/core/wear/life-class'
import { agesOver, usualAge, yearsOn, type OnSince } from '@/core/wear/on-since'
import { FIRST_DAYS } from '@/core/wear/period'
import type { Sign } from '@/core/wear/signs'
import { habitChange } from '../workshop/settings'
import { byPositionId } from '../instruments/instruments'
import { constructionFrom } from '../store/construction-columns'
import type { Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { cachedForToday } from '../store/cached-for-today'
import {
  breaks,
  fittedPositions,
  fittedStrings,
  fittings,
  house,
  inspections,
  instruments,
  jobs,
  positions,
} from '../store/schema'

export interface StringLife extends OnSince {
  readonly fittedId: number
  readonly instrumentId: number
  /** The first of its positions. */
  readonly positionId: number
  readonly lifeClass: LifeClass
  /** By its load alone: how much faster than usual for its class it ages. */
  readonly pace: number
  /** Null while it is on. */
  readonly endedAt: number | null
  /** How many wraps it got beyond what was worked out; null where nobody counted. */
  readonly wrapsOff: number | null
  /** It was helped to settle when it was fitted. */
  readonly helped: boolean
  /** It was tied, or locked on its pin, otherwise than its chart says; null where it was fitted in no job. */
  readonly otherKnot: boolean | null
  readonly otherLock: boolean | null
  /** Where it gave way, and at which of its positions; null where it did not. */
  readonly gaveWay: { readonly site: BreakSite; readonly positionId: number } | null
}

/** How a string looked from then on. */
export interface Seen {
  readonly at: number
  readonly condition: Condition
}

/** The same, with what was seen of it. */
export interface Look extends Seen {
  readonly signs: readonly Sign[]
}

/** All that lives are read from: how long strings were on, and how they ended. */
export const LIVES_FROM = [fittedStrings, fittedPositions, breaks, house, instruments, positions] as const

/** All that is reckoned of how strings age: how they looked as well. */
export const AGEING_FROM = [...LIVES_FROM, inspections] as const

/** Every life, by the fitted string’s id. Of what was written since, only the strings concerned are read again. */
export function stringLives(store: Store): ReadonlyMap<number, StringLife> {
  // A chart decides pitch and load, habits the knot: where one was written, all are read anew.
  return store.cache.rows(
    'lives',
    fittedStrings,
    (ids) => (ids === null ? readLives(store) : inChunks(ids, (some) => readLives(store, some))),
    [house, instruments, positions],
  )
}

/** Lives by their instrument, in the order in which the strings were fitted. */
export function livesByInstrument(store: Store): ReadonlyMap<number, readonly StringLife[]> {
  return store.cache.get('lives by instrument', LIVES_FROM, () =>
    grouped([...stringLives(store).values()], ({ instrumentId }) => instrumentId),
  )
}

/** How many strings of each class there ever were, and how many of them broke of themselves. */
export function livesByClass(
  store: Store,
): ReadonlyMap<LifeClass, { readonly strings: number; readonly broke: number }> {
  return store.cache.get('lives by class', LIVES_FROM, () => {
    const lives = grouped([...stringLives(store).values()], ({ lifeClass: of }) => of)
    return new Map(
      [...lives].map(([of, all]) => [of, { strings: all.length, broke: all.filter(brokeOfItself).length }]),
    )
  })
}

function readLives(store: Store, ids?: readonly number[]): readonly (readonly [number, StringLife])[] {
  const which = ids && inArray(fittedStrings.id, [...ids])
  const rows = store.rows
    .select({
      string: fittedStrings,
      positionId: sql<number>`min(${fittedPositions.positionId})`,
      wrapsOff: sql<number | null>`min(${fittings.wraps} - ${fittings.predictedWraps})`,
      jobHabits: sql<string | null>`min(${jobs.habits})`,
    })
    .from(fittedStrings)
    .innerJoin(fittedPositions, eq(fittedPositions.fittedId, fittedStrings.id))
    .leftJoin(fittings, eq(fittings.fittedId, fittedStrings.id))
    .leftJoin(jobs, eq(jobs.id, fittings.jobId))
    .where(which)
    .groupBy(fittedStrings.id)
    .orderBy(asc(fittedStrings.id))
    .all()
  const gaveWay = new Map(
    store.rows
      .select({ fittedId: breaks.fittedId, site: breaks.site, positionId: breaks.positionId })
      .from(breaks)
      .where(and(isNotNull(breaks.fittedId), ids && inArray(breaks.fittedId, [...ids])))
      .all()
      .map(({ fittedId, ...way }) => [fittedId, way]),
  )
  const workAt = new Map<string, { readonly lifeClass: LifeClass; readonly pace: number }>()
  return rows.map(({ string, positionId, wrapsOff, jobHabits }) => {
    const key = `${positionId} ${string.material} ${string.gaugeMm} ${string.coreMm} ${string.wrapMaterial} ${string.wrapMm}`
    let work = workAt.get(key)
    if (!work) {
      const { instrument, position } = byPositionId(store, positionId)
      const construction = constructionFrom(string)
      const kind = lifeClass(construction, position.note)
      const use = utilisation(construction, position.speakingLength, restPitch(instrument, position))
      work = { lifeClass: kind, pace: paceByLoad(kind, use) }
      workAt.set(key, work)
    }
    const { id, instrumentId, fittedAt, since, endedAt, agedMs } = string
    const helped = string.stretchCycles > 0
    return [
      id,
      {
        fittedId: id,
        instrumentId,
        positionId,
        ...work,
        since,
        fittedAt,
        agedBefore: since === 'unknown' ? usualAge(lifeFacts(work.lifeClass), work.pace) : agedMs,
        endedAt,
        wrapsOff,
        helped,
        ...otherThanCharted(store, positionId, jobHabits),
        gaveWay: gaveWay.get(id) ?? null,
      },
    ]
  })
}

/** Whether a job’s habits, on those that hold on its instrument, had another knot or lock than the chart’s. */
function otherThanCharted(
  store: Store,
  positionId: number,
  jobHabits: string | null,
): Pick<StringLife, 'otherKnot' | 'otherLock'> {
  if (jobHabits === null) return { otherKnot: null, otherLock: null }
  const { knot, lock } = habitsFor(byPositionId(store, positionId).habits, {}, habitChange(jobHabits))
  return { otherKnot: knot !== 'as charted', otherLock: lock !== 'as charted' }
}

/** How strings looked, by the fitted string, in order of time. */
export function conditionsSeen(store: Store): ReadonlyMap<number, readonly Look[]> {
  return store.cache.get('conditions', [inspections], () =>
    grouped(
      store.rows
        .select()
        .from(inspections)
        .where(isNotNull(inspections.fittedId))
        .orderBy(asc(inspections.at), asc(inspections.id))
        .all()
        .map(({ fittedId, at, condition, signs }) => ({
          fittedId,
          at,
          condition,
          signs: JSON.parse(signs) as Sign[],
        })),
      ({ fittedId }) => requireValue(fittedId),
    ),
  )
}

/** How a life is counted: it broke of itself, or only ended. */
export function brokeOfItself(life: StringLife): boolean {
  return life.gaveWay !== null && siteFacts(life.gaveWay.site).broke && !inFirstDays(life)
}

/** Whether it ended within two days of being fitted; one that was on already was fitted long before. */
export const inFirstDays = ({
  endedAt,
  fittedAt,
  since,
}: Pick<StringLife, 'endedAt' | 'fittedAt' | 'since'>): boolean =>
  since === 'dated' && endedAt !== null && endedAt - fittedAt < FIRST_DAYS

/** The stretches of a life until a time, ms: as it looked, it aged. */
export function stretchesOf(life: StringLife, seen: readonly Seen[], until: number): readonly Aged[] {
  const years = (at: number) => yearsOn(life, at)
  const end = years(Math.min(until, life.endedAt ?? until))
  const stretches: Aged[] = []
  // One that was put back is followed from the age that it had.
  let from = years(life.fittedAt)
  let pace = life.pace
  for (const { at, condition } of seen) {
    const to = Math.min(end, years(at))
    if (to > from) stretches.push({ from, to, pace })
    from = Math.max(from, to)
    pace = life.pace * BY_CONDITION[condition]
  }
  if (end > from) stretches.push({ from, to: end, pace })
  return stretches
}

/** How a string ages as it is now. */
export function paceNow(life: StringLife, seen: readonly Seen[]): number {
  const last = seen.at(-1)
  return life.pace * (last ? BY_CONDITION[last.condition] : 1)
}

/** What a string will have aged by between two times to come, ms, as it is now; years^shape of its class. */
export function agesBetween(
  rates: Rates,
  life: StringLife,
  seen: readonly Seen[],
  from: number,
  to: number,
): number {
  return agesOver(rates[life.lifeClass], paceNow(life, seen), life, from, to)
}

/** How long strings of each class last in this house, by all that was watched. */
export function workshopRates(store: Store): Rates {
  return cachedForToday(store, 'rates', AGEING_FROM, () => {
    const seen = conditionsSeen(store)
    return learnRates(
      [...stringLives(store).values()].map((life) => ({
        lifeClass: life.lifeClass,
        aged: stretchesOf(life, seen.get(life.fittedId) ?? NOTHING, store.now()),
        broke: brokeOfItself(life),
      })),
    )
  })
}

const NOTHING: readonly Seen[] = []

/** A share at first: of strings put on, so many give way for their knot or becket within two days. As badly known as from thirty. */
const FIRST_DAYS_AT_FIRST = { failed: 1, of: 30 }

/** The share of strings that gave way, slipped or pulled through in their first days in this house. */
export function firstDaysShare(store: Store): number {
  return store.cache.get('first days', LIVES_FROM, () => {
    let [failed, of] = [FIRST_DAYS_AT_FIRST.failed, FIRST_DAYS_AT_FIRST.of]
    for (const life of stringLives(store).values()) {
      // How it began nobody saw.
      if (life.since !== 'dated') continue
      of += 1
      if (life.gaveWay && inFirstDays(life)) failed += 1
    }
    return failed / of
  })
}
