/**
 * The time ahead of the whole shelf, a year or what is asked: which instruments will ask for strings, which places to look at, how long each class lasts.
 */
import { leadingNames } from '@/core/instrument/names'
import { chanceAllHold, expectedBreaks, type AtRisk } from '@/core/wear/breaks-ahead'
import { chanceBand, medianLife } from '@/core/wear/life'
import { LIFE_CLASSES, type LifeClass } from '@/core/wear/life-class'
import { YEAR, yearsOf, type Period } from '@/core/wear/period'
import { siteWord } from '@/core/wear/break-sites'
import { breakPlaces, type Place } from '../fitted/break-places'
import {
  AGEING_FROM,
  agesBetween,
  brokeOfItself,
  conditionsSeen,
  workshopRates,
  stringLives,
  type StringLife,
} from '../fitted/lives'
import { occasionsAhead } from '../workshop/occasions'
import { allInstruments, byPositionId, type StoredInstrument } from '../instruments/instruments'
import type { Store } from '../store/database'
import { whatGoesWith, type GoesWithLine } from './wear-why'
import { cachedForToday } from '../store/cached-for-today'
import { polishes, roomReadings } from '../store/schema'

/** What the time asked for brings an instrument. */
export interface InstrumentYear {
  readonly slug: string
  readonly name: string
  readonly owner: string
  readonly strings: number
  /** Those of which nobody knows since when they are on. */
  readonly unknown: number
  /** Strings bound to break within it, on average. */
  readonly expected: number
  /** Chance that at least one does. */
  readonly any: number
  /** The string that is likeliest to. */
  readonly likeliest: { readonly number: number; readonly name: string; readonly chance: number } | null
}

/** How long strings of a class last here. */
export interface ClassLife {
  readonly lifeClass: LifeClass
  /** Those on now, and all that broke of themselves. */
  readonly on: number
  readonly broke: number
  /** By what age half of them have broken, years; and what is usual. */
  readonly half: number
  /** Chance that a sound one of usual load breaks within its first two years, four houses of five within the band. */
  readonly inTwoYears: readonly [number, number]
  /** Breaks expected within the time asked for. */
  readonly expected: number
}

/** A place that may be sharp. */
export interface SharpLine extends Place {
  readonly slug: string
  readonly instrumentName: string
  /** `bridge pin` … of which string. */
  readonly where: string
  readonly name: string
}

export interface WearShelf {
  readonly instruments: readonly InstrumentYear[]
  readonly classes: readonly ClassLife[]
  readonly sharp: readonly SharpLine[]
  readonly within: Period
  /** Breaks expected on the whole shelf, and between what and what four times of five. */
  readonly expected: number
  readonly band: readonly [number, number]
  readonly on: number
  /** Those of which nobody knows since when they are on. */
  readonly unknown: number
  /** What breaks go with, and how surely. */
  readonly goesWith: readonly GoesWithLine[]
  readonly dates: readonly { readonly id: number; readonly name: string; readonly at: number }[]
}

/** A place is worth a look from this chance on. */
const WORTH_A_LOOK = 0.3
const TWO_YEARS = 2

export function wearShelf(store: Store, within: Period = 'a year'): WearShelf {
  const now = store.now()
  return {
    ...cachedForToday(
      store,
      `wear of the shelf within ${within}`,
      [...AGEING_FROM, polishes, roomReadings],
      () => workedOut(store, within),
    ),
    dates: occasionsAhead(store)
      .filter(({ at }) => at > now)
      .map(({ id, name, at }) => ({ id, name, at })),
  }
}

function workedOut(store: Store, within: Period): Omit<WearShelf, 'dates'> {
  const now = store.now()
  const rates = workshopRates(store)
  const seen = conditionsSeen(store)
  const riskOf = (life: StringLife): AtRisk => ({
    lifeClass: life.lifeClass,
    ages: agesBetween(rates, life, seen.get(life.fittedId) ?? [], now, now + yearsOf(within) * YEAR),
  })
  const shelf = new Map(allInstruments(store).map((one) => [one.id, one]))
  const on = new Map<number, { readonly life: StringLife; readonly risk: AtRisk }[]>()
  const classes = new Map(LIFE_CLASSES.map((one) => [one, { on: 0, broke: 0, expected: 0 }]))
  const all: AtRisk[] = []
  let unknown = 0
  for (const life of stringLives(store).values()) {
    const sum = classes.get(life.lifeClass)
    if (sum && brokeOfItself(life)) sum.broke += 1
    if (life.endedAt !== null || !shelf.has(life.instrumentId)) continue
    const risk = riskOf(life)
    all.push(risk)
    if (life.since === 'unknown') unknown += 1
    if (sum) {
      sum.on += 1
      sum.expected += expectedBreaks(rates, [risk])
    }
    const ofInstrument = on.get(life.instrumentId)
    if (ofInstrument) ofInstrument.push({ life, risk })
    else on.set(life.instrumentId, [{ life, risk }])
  }
  const expected = expectedBreaks(rates, all)
  const places = breakPlaces(store)
  return {
    within,
    on: all.length,
    unknown,
    goesWith: whatGoesWith(store),
    expected,
    band: bandOf(all, rates),
    instruments: [...shelf.values()]
      .map((stored) => yearOf(store, stored, on.get(stored.id) ?? [], rates))
      .sort((a, b) => b.expected - a.expected || a.name.localeCompare(b.name)),
    classes: LIFE_CLASSES.flatMap((lifeClass) => {
      const sum = classes.get(lifeClass)
      if (!sum || sum.on + sum.broke === 0) return []
      const rate = rates[lifeClass]
      return [
        {
          lifeClass,
          ...sum,
          half: medianLife(rate),
          inTwoYears: chanceBand(rate, TWO_YEARS ** rate.shape),
        },
      ]
    }),
    sharp: [...shelf.values()]
      .flatMap((stored) => sharpOf(stored, places.get(stored.id) ?? []))
      .sort((a, b) => b.chance - a.chance),
  }
}

function yearOf(
  store: Store,
  { instrument }: StoredInstrument,
  on: readonly { readonly life: StringLife; readonly risk: AtRisk }[],
  rates: ReturnType<typeof workshopRates>,
): InstrumentYear {
  const risks = on.map(({ risk }) => risk)
  let likeliest: InstrumentYear['likeliest'] = null
  for (const { life, risk } of on) {
    const chance = expectedBreaks(rates, [risk])
    if (chance <= (likeliest?.chance ?? 0)) continue
    const { position, habits } = byPositionId(store, life.positionId)
    likeliest = { number: position.number, name: leadingNames(position, habits.octaveNames).name, chance }
  }
  return {
    slug: instrument.slug,
    name: instrument.name,
    owner: instrument.owner,
    strings: on.length,
    unknown: on.filter(({ life }) => life.since === 'unknown').length,
    expected: expectedBreaks(rates, risks),
    any: 1 - chanceAllHold(rates, risks),
    likeliest,
  }
}

function sharpOf(stored: StoredInstrument, places: readonly Place[]): readonly SharpLine[] {
  return places
    .filter(({ chance }) => chance >= WORTH_A_LOOK)
    .map((place) => {
      const { instrument, habits } = stored
      const position = instrument.positions[place.position - 1]
      return {
        ...place,
        slug: instrument.slug,
        instrumentName: instrument.name,
        where: position ? siteWord(place.site, position) : '',
        name: position ? leadingNames(position, habits.octaveNames).name : '',
      }
    })
}

/** From and to what breaks number four times of five: what is not known of the rates and chance, taken together as normal. */
function bandOf(all: readonly AtRisk[], rates: ReturnType<typeof workshopRates>): readonly [number, number] {
  let mean = 0
  let variance = 0
  for (const lifeClass of LIFE_CLASSES) {
    const { alpha } = rates[lifeClass]
    const among = all.filter((one) => one.lifeClass === lifeClass)
    const expected = expectedBreaks(rates, among)
    mean += expected
    variance += expected + expected ** 2 / alpha
  }
  const off = 1.2816 * Math.sqrt(variance)
  return [Math.max(0, Math.round(mean - off)), Math.round(mean + off)]
}
