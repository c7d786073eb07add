/**
 * An instrument before a date: what each string risks that evening if it is left and if it is changed, what changing costs, by
 * when it must be done, and what to carry.
 */
import { found, Refusal } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { TO_CHANGE } from '@/core/fitting/covered'
import { firstOfPieces, soldByClass } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { specAt, specKey } from '@/core/stores/string-spec'
import { coreMaterial, materialWord, outerGauge } from '@/core/strings/construction'
import type { Material } from '@/core/strings/materials'
import { roundDate, type Evening, type RoundDate, type TowardDate } from '@/core/wear/around-date'
import { MOST_TOGETHER } from '@/core/wear/kit'
import { chanceItBreaks, type Rates } from '@/core/wear/life'
import { lifeClass, type LifeClass, type Rate } from '@/core/wear/life-class'
import { yearsOn } from '@/core/wear/on-since'
import { stringPrices } from '../buying/string-prices'
import { stringsOn } from '../fitted/fitted'
import {
  conditionsSeen,
  firstDaysShare,
  workshopRates,
  paceNow,
  stringLives,
  type Look,
} from '../fitted/lives'
import { workshopSettings } from '../workshop/settings'
import { isFor, occasionsAhead, type Occasion } from '../workshop/occasions'
import { allInstruments, positionId, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import type { Store } from '../store/database'
import { kindsInStores, type KindInStores } from '../stores/kinds-in-stores'
import { allSupplies } from '../stores/supplies'
import { latestToFit, type LatestFit } from './latest-fit'

/** Changing one string, min; our own estimate. */
const PER_STRING = TO_CHANGE.settingOut + TO_CHANGE.string

/** A string that may be carried for. */
export interface MayCarry {
  readonly name: string
  readonly lifeClass: LifeClass
  readonly what: string
  /** What would replace it: strings of one kind share what is carried. */
  readonly kind: string
  readonly positionId: number
  /** Outer gauge and cut, m. */
  readonly gauge: number
  readonly cut: number
  readonly needsAnchor: boolean
  /** Nobody knows since when it is on. */
  readonly ageUnknown: boolean
  readonly agesAway: RoundDate['agesAway']
}

/** A string before the date. */
export interface StringBefore extends MayCarry, RoundDate, TowardDate {
  readonly number: number
  /** Years; null where no string is on. */
  readonly age: number | null
  readonly look: Look | null
  /** Chance that it breaks too late if it is left. */
  readonly risk: number
  /** The latest hour to change it, ms; null where that is past. */
  readonly latest: number | null
  /** How long before a date it must be on, ms, whoever is there. */
  readonly lead: number
  /** Hundredths of the house's money: the string, null where no price is known, and its minutes. */
  readonly price: number | null
  readonly minutes: number
  /** It is broken, or its job is open. */
  readonly jobId: number | null
}

export interface BeforeDate {
  readonly date: Pick<Occasion, 'id' | 'name'> & Evening
  readonly dates: readonly Pick<Occasion, 'id' | 'name'>[]
  readonly slug: string
  readonly instrumentName: string
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
  readonly strings: readonly StringBefore[]
  /** Of the classes of these strings. */
  readonly rates: Readonly<Partial<Record<LifeClass, Rate>>>
  readonly stores: Readonly<Record<string, KindInStores>>
  /** Anchors in the stores. */
  readonly anchors: number
  readonly now: number
  readonly sureChance: number
  readonly hourMinor: number
  readonly currency: string
}

/**
 * @param slug - of the instrument; the first that the date is for where none is named
 * @returns null where no date is ahead
 */
export function beforeDate(store: Store, dateId: number | null, slug: string | null): BeforeDate | null {
  const now = store.now()
  const dates = occasionsAhead(store).filter(({ at }) => at > now)
  const date = dates.find(({ id }) => id === dateId) ?? dates[0]
  if (!date) return null
  const settings = workshopSettings(store)
  const hours = date.hours ?? settings.concertHours
  const concerned = allInstruments(store).filter(({ instrument }) => isFor(date, instrument.slug))
  const stored = found(
    slug === null ? concerned[0] : concerned.find(({ instrument }) => instrument.slug === slug),
    `There is no such instrument for ${date.name}.`,
  )
  const rates = workshopRates(store)
  const strings = stringsBefore(store, stored, { at: date.at, hours }, rates)
  return {
    date: { id: date.id, name: date.name, at: date.at, hours },
    dates: dates.map(({ id, name }) => ({ id, name })),
    slug: stored.instrument.slug,
    instrumentName: stored.instrument.name,
    instruments: concerned.map(({ instrument }) => ({ slug: instrument.slug, name: instrument.name })),
    strings,
    rates: Object.fromEntries(strings.map((one) => [one.lifeClass, rates[one.lifeClass]])),
    stores: kindsInStores(store, stored),
    anchors: anchorsInStores(store),
    now,
    sureChance: settings.sureChance,
    hourMinor: settings.hourMinor,
    currency: settings.currency,
  }
}

/** What may have to be carried for all instruments of a date together. */
export interface KitForDate extends Pick<BeforeDate, 'rates' | 'stores' | 'anchors' | 'sureChance'> {
  readonly date: BeforeDate['date']
  readonly instruments: BeforeDate['instruments']
  readonly strings: readonly MayCarry[]
}

/** @throws Refusal 404 where there is no such date ahead, or it is for more instruments than anybody carries for */
export function kitForDate(store: Store, dateId: number | null): KitForDate {
  const date = found(
    occasionsAhead(store).find(({ id, at }) => id === dateId && at > store.now()),
    'There is no such date ahead.',
  )
  const { concertHours, sureChance } = workshopSettings(store)
  const hours = date.hours ?? concertHours
  const concerned = allInstruments(store).filter(({ instrument }) => isFor(date, instrument.slug))
  if (concerned.length > MOST_TOGETHER)
    throw new Refusal(
      404,
      `${date.name} is for ${concerned.length} instruments: more than one kit can be for.`,
    )
  const rates = workshopRates(store)
  const stores: Record<string, KindInStores> = {}
  const strings = concerned.flatMap((stored) => {
    // What the stores hold of a kind is said by the instrument that asks for the longest cuts.
    for (const [kind, there] of Object.entries(kindsInStores(store, stored)))
      if (there.cuts < (stores[kind]?.cuts ?? Infinity)) stores[kind] = there
    return stringsBefore(store, stored, { at: date.at, hours }, rates).map(
      ({
        name,
        lifeClass: of,
        what,
        gauge,
        kind,
        positionId,
        cut,
        needsAnchor,
        ageUnknown,
        agesAway,
      }): MayCarry => ({
        name: `${name} of ${stored.instrument.name}`,
        lifeClass: of,
        what,
        gauge,
        kind,
        positionId,
        cut,
        needsAnchor,
        ageUnknown,
        agesAway,
      }),
    )
  })
  return {
    date: { id: date.id, name: date.name, at: date.at, hours },
    instruments: concerned.map(({ instrument }) => ({ slug: instrument.slug, name: instrument.name })),
    strings,
    rates: Object.fromEntries(strings.map((one) => [one.lifeClass, rates[one.lifeClass]])),
    stores,
    anchors: anchorsInStores(store),
    sureChance,
  }
}

function stringsBefore(
  store: Store,
  stored: StoredInstrument,
  date: Evening,
  rates: Rates,
): readonly StringBefore[] {
  const now = store.now()
  const { instrument, habits } = stored
  const lives = stringLives(store)
  const seen = conditionsSeen(store)
  const priceOf = stringPrices(store)
  const fittedAt = new Map(
    stringsOn(store, stored.id).flatMap(({ id, positionIds: of }) => of.map((at) => [at, id])),
  )
  const jobAt = new Map(openJobs(store).map(({ positionId, id }) => [positionId, id]))
  const latestOf = new Map<Material, LatestFit>()
  const failsAtFirst = firstDaysShare(store)
  return firstOfPieces(instrument).map((position): StringBefore => {
    const { name: material } = coreMaterial(position.construction)
    const fit = latestOf.get(material) ?? latestToFit(store, material, date)
    latestOf.set(material, fit)
    const at = positionId(stored, position.number)
    const fittedId = fittedAt.get(at)
    const life = fittedId === undefined ? undefined : lives.get(fittedId)
    const conditions = life ? (seen.get(life.fittedId) ?? []) : []
    const toward: TowardDate = {
      lifeClass: life?.lifeClass ?? lifeClass(position.construction, position.note),
      on: life ? { since: life.since, fittedAt: life.fittedAt, agedBefore: life.agedBefore } : null,
      pace: life ? paceNow(life, conditions) : 1,
      paceOfNew: life?.pace ?? 1,
      failsAtFirst,
    }
    const round = roundDate(toward, rates[toward.lifeClass], date, fit.latest, now)
    const spec = specAt(position, soldByClass(instrument))
    const figures = fittingFigures(instrument, position, habits)
    return {
      number: position.number,
      name: leadingNames(position, habits.octaveNames).name,
      what: materialWord(position.construction),
      gauge: outerGauge(position.construction),
      ...toward,
      ...round,
      age: life ? yearsOn(life, now) : null,
      ageUnknown: life?.since === 'unknown',
      look: conditions.at(-1) ?? null,
      risk: chanceItBreaks(rates[toward.lifeClass], round.agesIfLeft),
      ...fit,
      price: priceOf(spec, figures.cut.total),
      minutes: PER_STRING,
      jobId: jobAt.get(at) ?? null,
      kind: specKey(spec),
      positionId: at,
      cut: figures.cut.total,
      needsAnchor: figures.anchor !== null,
    }
  })
}

/** Anchors that lie ready, of whatever they are made. */
function anchorsInStores(store: Store): number {
  return allSupplies(store).reduce((sum, { kind, count }) => sum + (kind === 'anchor' ? count : 0), 0)
}
