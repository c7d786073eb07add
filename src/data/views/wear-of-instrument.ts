/**
 * An instrument's strings as they wear: how old, how they look, how likely each is to break, where it broke before, and what
 * went with strings that gave way in their first days.
 */
import { soldByClass, type Instrument } from '@/core/instrument/instrument'
import { grouped } from '@/core/list/grouped'
import { fittingFigures } from '@/core/fitting/figures'
import { requireValue } from '@/core/list/require-value'
import { specAt } from '@/core/stores/string-spec'
import { chanceAllHold, expectedBreaks } from '@/core/wear/breaks-ahead'
import { chanceItBreaks } from '@/core/wear/life'
import type { LifeClass, Rate } from '@/core/wear/life-class'
import { ageBetween, chanceBetween, yearsOn, type OnSince } from '@/core/wear/on-since'
import { YEAR, yearsOf, type Period } from '@/core/wear/period'
import { stringPrices } from '../buying/string-prices'
import { breakPlaces, type Place } from '../fitted/break-places'
import { stringsOn } from '../fitted/fitted'
import {
  agesBetween,
  conditionsSeen,
  workshopRates,
  inFirstDays,
  livesByClass,
  livesByInstrument,
  paceNow,
  stringLives,
  type Look,
  type Seen,
  type StringLife,
} from '../fitted/lives'
import { settlingStrings } from '../fitted/settling'
import { stringRecords, type StringRecord } from '../fitted/string-records'
import { workshopSettings } from '../workshop/settings'
import type { StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import type { Store } from '../store/database'
import { sparesOf } from '../stores/spares'

/** A string that is on, as it wears. */
export interface WearingString extends StringRecord, OnSince {
  readonly number: number
  readonly lifeClass: LifeClass
  /** Years; the likeliest where it is not known, and within what it lies four times of five. */
  readonly age: number
  readonly ageBand: readonly [number, number]
  /** How much faster than usual it ages, by its load and its look. */
  readonly pace: number
  readonly look: Look | null
  /** Chance that it breaks within the time asked for, and within what that lies as far as the rate is known. */
  readonly chance: number
  readonly band: readonly [number, number]
  /** Every look at it. */
  readonly looks: readonly Seen[]
  /** Where it should stand now, cents; null where it has settled. */
  readonly stands: number | null
}

/** A string that was on a position: from when to when, and how it ended. */
export interface PastString extends StringRecord {
  readonly number: number
  readonly fittedAt: number
  readonly endedAt: number
  readonly site: Place['site'] | null
  readonly inFirstDays: boolean
  /** When it was looked at, and how it looked. */
  readonly looks: readonly Seen[]
}

export interface InstrumentWear {
  readonly instrument: Instrument
  readonly broken: readonly number[]
  readonly within: Period
  readonly strings: readonly WearingString[]
  readonly past: readonly PastString[]
  readonly places: readonly Place[]
  readonly expected: number
  readonly any: number
  /** Strings of which nobody knows since when they are on. */
  readonly unknown: number
  /** Strings of a kind together: how many are on, and the chance that at least one breaks. */
  readonly kinds: Readonly<Partial<Record<LifeClass, { readonly on: number; readonly any: number }>>>
  /** Breaks of themselves that the rates rest on, by class, over the house. */
  readonly restsOn: Readonly<Partial<Record<LifeClass, { readonly broke: number; readonly strings: number }>>>
  readonly spares: Readonly<Record<number, string>>
  /** What a new string of each number costs, hundredths; null where nobody sells it alone. */
  readonly prices: Readonly<Record<number, number | null>>
  readonly rates: Readonly<Partial<Record<LifeClass, Rate>>>
  readonly hourMinor: number
  readonly currency: string
}

const NOTHING_ON_RECORD: StringRecord = { coil: null, mishaps: [], readAt: [] }

export function wearOf(store: Store, stored: StoredInstrument, within: Period = 'a year'): InstrumentWear {
  const now = store.now()
  const priceOf = stringPrices(store)
  const { hourMinor, currency } = workshopSettings(store)
  const rates = workshopRates(store)
  const lives = stringLives(store)
  const seen = conditionsSeen(store)
  const records = stringRecords(store, stored.id)
  const recordOf = ({ fittedId }: StringLife) => records.get(fittedId) ?? NOTHING_ON_RECORD
  const numbers = new Map([...stored.positionIds].map(([number, id]) => [id, number]))
  const standing = new Map(
    settlingStrings(store)
      .filter(({ slug }) => slug === stored.instrument.slug)
      .map(({ fitted, expectedNow }) => [fitted.id, expectedNow]),
  )
  const on = stringsOn(store, stored.id).flatMap((fitted) => {
    const life = lives.get(fitted.id)
    return life ? [{ life, numbers: fitted.positionIds.map((id) => requireValue(numbers.get(id))) }] : []
  })
  const until = now + yearsOf(within) * YEAR
  const ahead = (life: StringLife) => agesBetween(rates, life, seen.get(life.fittedId) ?? [], now, until)
  const risks = on.map(({ life }) => ({ lifeClass: life.lifeClass, ages: ahead(life) }))
  const strings = on
    .flatMap(({ life, numbers: served }) =>
      served.map((number): WearingString => {
        const rate = rates[life.lifeClass]
        const pace = paceNow(life, seen.get(life.fittedId) ?? [])
        return {
          ...recordOf(life),
          since: life.since,
          agedBefore: life.agedBefore,
          number,
          lifeClass: life.lifeClass,
          fittedAt: life.fittedAt,
          age: yearsOn(life, now),
          ageBand: ageBetween(rate, pace, life, now),
          pace,
          look: seen.get(life.fittedId)?.at(-1) ?? null,
          looks: seen.get(life.fittedId) ?? [],
          chance: chanceItBreaks(rate, ahead(life)),
          band: chanceBetween(rate, pace, life, now, until),
          stands: standing.get(life.fittedId) ?? null,
        }
      }),
    )
    .sort((a, b) => a.number - b.number)
  const classes = new Set(strings.map(({ lifeClass }) => lifeClass))
  const byClass = livesByClass(store)
  const past: PastString[] = []
  for (const life of livesByInstrument(store).get(stored.id) ?? []) {
    const number = numbers.get(life.gaveWay?.positionId ?? life.positionId)
    if (life.endedAt === null || number === undefined) continue
    past.push({
      ...recordOf(life),
      number,
      fittedAt: life.fittedAt,
      endedAt: life.endedAt,
      site: life.gaveWay?.site ?? null,
      inFirstDays: inFirstDays(life),
      looks: seen.get(life.fittedId) ?? [],
    })
  }
  return {
    instrument: stored.instrument,
    broken: openJobs(store)
      .filter(({ positionId, breakId }) => breakId !== null && numbers.has(positionId))
      .map(({ positionId }) => requireValue(numbers.get(positionId))),
    within,
    strings,
    past,
    places: breakPlaces(store).get(stored.id) ?? [],
    expected: expectedBreaks(rates, risks),
    any: 1 - chanceAllHold(rates, risks),
    unknown: on.filter(({ life }) => life.since === 'unknown').length,
    kinds: Object.fromEntries(
      [...grouped(risks, ({ lifeClass }) => lifeClass)].map(([kind, all]) => [
        kind,
        { on: all.length, any: 1 - chanceAllHold(rates, all) },
      ]),
    ),
    restsOn: Object.fromEntries([...classes].map((one) => [one, byClass.get(one)])),
    spares: sparesOf(store, stored),
    prices: Object.fromEntries(
      stored.instrument.positions.map((position) => [
        position.number,
        priceOf(
          specAt(position, soldByClass(stored.instrument)),
          fittingFigures(stored.instrument, position, stored.habits).cut.total,
        ),
      ]),
    ),
    rates: Object.fromEntries([...classes].map((one) => [one, rates[one]])),
    hourMinor,
    currency,
  }
}
