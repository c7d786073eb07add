/**
 * Where strings broke on an instrument, place by place, how long each place was at work, and what a polish did.
 */
import { and, eq, inArray, sql } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { leadingNames } from '@/core/instrument/names'
import { siteFacts, sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import {
  chanceItHelped,
  sharpPlaces,
  siteRates,
  type PlaceSeen,
  type SharpPlace,
} from '@/core/wear/sharp-places'
import {
  allInstruments,
  byPositionId,
  positionId as idOfPosition,
  type StoredInstrument,
} from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { inChunks } from '../store/in-chunks'
import { keptForToday } from '../store/kept-for-today'
import { polishes, readings } from '../store/schema'
import { LIVES_FROM, stringLives, YEAR, type StringLife } from './lives'

/** A string is tuned about so often in a year, whether that is logged or not; an estimate. */
const TUNED_A_YEAR = 50
/** Where every retune drags the string along. */
const DRAGGED: ReadonlySet<BreakSite> = new Set(['tuning pin hole', 'bridge pin', 'lever or disc'])

export interface Place extends SharpPlace {
  /** Null where it was never polished; else since when, what happened since, and the chance that it helped. */
  readonly polished: { readonly at: number; readonly breaks: number; readonly chance: number } | null
}

interface Polish {
  readonly positionId: number
  readonly site: BreakSite
  readonly at: number
}

/** All of an instrument's places at which something broke, the likeliest to be sharp first. */
export function breakPlaces(store: Store, stored: StoredInstrument): readonly Place[] {
  return keptForToday(store, `break places of ${stored.id}`, [...LIVES_FROM, polishes, readings], () => {
    const lives = [...stringLives(store).values()].filter(({ instrumentId }) => instrumentId === stored.id)
    const retunes = retunesOf(store, lives)
    const polished = polishesOf(store, [...stored.positionIds.values()])
    const all = placesSeen(stored, lives, retunes, store.now(), polished)
    const rates = houseSiteRates(store)
    const sharp = sharpPlaces(
      all.map(({ until }) => until),
      rates,
    )
    return sharp
      .map((place, i): Place => {
        const { since } = all[i] as PlaceBetween
        return {
          ...place,
          polished: since && {
            at: since.at,
            breaks: since.breaks,
            chance: chanceItHelped(place, since, sharp, rates),
          },
        }
      })
      .filter(({ breaks, polished }) => breaks > 0 || polished !== null)
      .sort((a, b) => b.chance - a.chance || b.breaks - a.breaks || a.position - b.position)
  })
}

/** A place until it was polished, and since; all its time where it never was. */
interface PlaceBetween {
  readonly until: PlaceSeen
  readonly since: { readonly at: number; readonly breaks: number; readonly exposure: number } | null
}

function placesSeen(
  { instrument, positionIds }: StoredInstrument,
  lives: readonly StringLife[],
  retunes: ReadonlyMap<number, number>,
  now: number,
  polished: readonly Polish[],
): readonly PlaceBetween[] {
  return instrument.positions.flatMap((position) => {
    const id = positionIds.get(position.number) as number
    // A wire that serves two positions is followed at the first, and breaks at either.
    const here = lives.filter((life) => life.positionId === id || life.gaveWay?.positionId === id)
    return sitesFor(position)
      .filter((site) => siteFacts(site).broke)
      .map((site): PlaceBetween => {
        const at = polished.findLast((one) => one.positionId === id && one.site === site)?.at ?? null
        const between = (from: number, to: number) => ({
          breaks: here.filter(
            ({ gaveWay, endedAt }) =>
              gaveWay?.site === site &&
              gaveWay.positionId === id &&
              endedAt !== null &&
              endedAt >= from &&
              endedAt < to,
          ).length,
          exposure: here.reduce((sum, life) => sum + exposureOf(life, site, retunes, from, to, now), 0),
        })
        return {
          until: { position: position.number, site, ...between(0, at ?? Infinity) },
          since: at === null ? null : { at, ...between(at, Infinity) },
        }
      })
  })
}

/** How long a string was at work at a site between two times, years; its logged retunes count where they drag it. */
function exposureOf(
  { fittedId, fittedAt, endedAt }: StringLife,
  site: BreakSite,
  retunes: ReadonlyMap<number, number>,
  from: number,
  to: number,
  now: number,
): number {
  const end = endedAt ?? now
  const whole = Math.max(1, end - fittedAt)
  const share = Math.max(0, Math.min(end, to) - Math.max(fittedAt, from)) / whole
  const years = (share * whole) / YEAR
  return DRAGGED.has(site) ? years + (share * (retunes.get(fittedId) ?? 0)) / TUNED_A_YEAR : years
}

/** Readings at which each string was brought back. */
function retunesOf(store: Store, lives: readonly StringLife[]): ReadonlyMap<number, number> {
  return new Map(
    inChunks(
      lives.map(({ fittedId }) => fittedId),
      (ids) =>
        store.rows
          .select({ fittedId: readings.fittedId, count: sql<number>`count(*)` })
          .from(readings)
          .where(and(inArray(readings.fittedId, [...ids]), eq(readings.broughtBack, true)))
          .groupBy(readings.fittedId)
          .all(),
    ).map(({ fittedId, count }) => [fittedId, count]),
  )
}

function polishesOf(store: Store, positionIds: readonly number[]): readonly Polish[] {
  return inChunks(positionIds, (ids) =>
    store.rows
      .select({ positionId: polishes.positionId, site: polishes.site, at: polishes.at })
      .from(polishes)
      .where(inArray(polishes.positionId, [...ids]))
      .orderBy(polishes.at, polishes.id)
      .all(),
  )
}

/** How often strings break at each site in a year, over all instruments. */
function houseSiteRates(store: Store): ReadonlyMap<BreakSite, number> {
  return keptForToday(store, 'site rates', LIVES_FROM, () => workedOut(store))
}

function workedOut(store: Store): ReadonlyMap<BreakSite, number> {
  const sums = new Map<BreakSite, { breaks: number; exposure: number }>()
  const sum = (site: BreakSite) => {
    const found = sums.get(site) ?? { breaks: 0, exposure: 0 }
    sums.set(site, found)
    return found
  }
  const sitesAt = new Map<number, readonly BreakSite[]>()
  for (const { instrument, positionIds } of allInstruments(store))
    for (const position of instrument.positions)
      sitesAt.set(
        positionIds.get(position.number) as number,
        sitesFor(position).filter((site) => siteFacts(site).broke),
      )
  for (const { positionId, fittedAt, endedAt, gaveWay } of stringLives(store).values()) {
    const years = ((endedAt ?? store.now()) - fittedAt) / YEAR
    for (const site of sitesAt.get(positionId) ?? []) sum(site).exposure += years
    if (gaveWay && siteFacts(gaveWay.site).broke) sum(gaveWay.site).breaks += 1
  }
  return siteRates([...sums].map(([site, one]) => ({ site, ...one })))
}

/**
 * Logs that a place was polished.
 *
 * @throws Refusal 404 where the instrument has no such string, 400 where its strings have no such place
 */
export function logPolish(
  store: Store,
  stored: StoredInstrument,
  number: number,
  site: BreakSite,
): Done<void> {
  const positionId = idOfPosition(stored, number)
  const { position, instrument, habits } = byPositionId(store, positionId)
  if (!sitesFor(position).includes(site) || !siteFacts(site).broke)
    throw new Refusal(400, `A string of ${instrument.name} has no such place to polish.`, 'site')
  const { name } = leadingNames(position, habits.octaveNames)
  return store.act(
    {
      kind: 'polish',
      instrumentId: stored.id,
      summary: `${name} of ${instrument.name} polished ${siteWord(site, position).toLowerCase()}`,
    },
    () => {
      store.rows.insert(polishes).values({ positionId, site, at: store.now() }).run()
    },
  )
}
