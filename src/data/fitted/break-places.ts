/**
 * Where strings broke on an instrument, place by place, how long each place was at work, and what a polish did.
 */
import { Refusal } from '@/boundary/refusal'
import { leadingNames } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { SETTLED } from '@/core/settle/drift'
import { HOUR } from '@/core/units/time'
import { sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
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
import { YEAR } from '@/core/wear/period'
import type { Done, Store } from '../store/database'
import { cachedForToday } from '../store/cached-for-today'
import { polishes } from '../store/schema'
import { livesByInstrument, LIVES_FROM, stringLives, type StringLife } from './lives'

/** A string is tuned about so often in a year, and so much oftener while it is new, whether that is logged or not; estimates. */
const TUNED_A_YEAR = 50
const TUNED_WHILE_NEW = 12
/** Places with an edge that can be sharp. */
const EDGED: ReadonlySet<BreakSite> = new Set([
  'tuning pin hole',
  'bridge pin',
  'lever or disc',
  'soundboard',
  'knot',
])
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

/** Every place of the house at which something broke, by instrument, the likeliest to be sharp first. */
export function breakPlaces(store: Store): ReadonlyMap<number, readonly Place[]> {
  return cachedForToday(store, 'break places', [...LIVES_FROM, polishes], () => {
    const lives = livesByInstrument(store)
    const polished = polishesOf(store)
    const rates = workshopSiteRates(store)
    return new Map(
      allInstruments(store).map((stored) => [
        stored.id,
        placesOf(stored, lives.get(stored.id) ?? [], polished, rates, store.now()),
      ]),
    )
  })
}

function placesOf(
  stored: StoredInstrument,
  lives: readonly StringLife[],
  polished: readonly Polish[],
  rates: ReadonlyMap<BreakSite, number>,
  now: number,
): readonly Place[] {
  const all = placesSeen(stored, lives, now, polished)
  const sharp = sharpPlaces(
    all.map(({ until }) => until),
    rates,
  )
  return sharp
    .map((place, i): Place => {
      const { since } = itemAt(all, i)
      return {
        ...place,
        polished: since && {
          at: since.at,
          breaks: since.breaks,
          chance: chanceItHelped(place, since, sharp, rates),
        },
      }
    })
    .filter(({ breaks, polished: at }) => breaks > 0 || at !== null)
    .sort((a, b) => b.chance - a.chance || b.breaks - a.breaks || a.position - b.position)
}

/** A place until it was polished, and since; all its time where it never was. */
interface PlaceBetween {
  readonly until: PlaceSeen
  readonly since: { readonly at: number; readonly breaks: number; readonly exposure: number } | null
}

function placesSeen(
  { instrument, positionIds }: StoredInstrument,
  lives: readonly StringLife[],
  now: number,
  polished: readonly Polish[],
): readonly PlaceBetween[] {
  return instrument.positions.flatMap((position) => {
    const id = requireValue(positionIds.get(position.number))
    // A wire that serves two positions is followed at the first, and breaks at either.
    const here = lives.filter((life) => life.positionId === id || life.gaveWay?.positionId === id)
    return sitesFor(position)
      .filter((site) => EDGED.has(site))
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
          exposure: here.reduce((sum, life) => sum + exposureOf(life, site, from, to, now), 0),
        })
        return {
          until: { position: position.number, site, ...between(0, at ?? Infinity) },
          since: at === null ? null : { at, ...between(at, Infinity) },
        }
      })
  })
}

/** How long a string was at work at a site between two times, years; retunes count as well where they drag it along. */
function exposureOf(
  { fittedAt, since, endedAt }: StringLife,
  site: BreakSite,
  from: number,
  to: number,
  now: number,
): number {
  const start = Math.max(fittedAt, from)
  const end = Math.min(endedAt ?? now, to)
  if (end <= start) return 0
  const years = (end - start) / YEAR
  if (!DRAGGED.has(site)) return years
  if (since !== 'dated') return years
  const isNew = (at: number) => Math.min(1, (at - fittedAt) / (SETTLED * HOUR))
  return years + ((isNew(end) - isNew(start)) * TUNED_WHILE_NEW) / TUNED_A_YEAR
}

const polishesOf = (store: Store): readonly Polish[] =>
  store.rows
    .select({ positionId: polishes.positionId, site: polishes.site, at: polishes.at })
    .from(polishes)
    .orderBy(polishes.at, polishes.id)
    .all()

/** How often strings break at each site in a year, over all instruments. */
function workshopSiteRates(store: Store): ReadonlyMap<BreakSite, number> {
  return cachedForToday(store, 'site rates', LIVES_FROM, () => workedOut(store))
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
        requireValue(positionIds.get(position.number)),
        sitesFor(position).filter((site) => EDGED.has(site)),
      )
  for (const { positionId, fittedAt, endedAt, gaveWay } of stringLives(store).values()) {
    const years = ((endedAt ?? store.now()) - fittedAt) / YEAR
    for (const site of sitesAt.get(positionId) ?? []) sum(site).exposure += years
    if (gaveWay && EDGED.has(gaveWay.site)) sum(gaveWay.site).breaks += 1
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
  if (!sitesFor(position).includes(site) || !EDGED.has(site))
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
