/**
 * An instrument before a date: what each string risks that evening if it is left and if it is changed, what changing costs, by
 * when it must be done, and what to carry.
 */
import { found } from '@/boundary/refusal'
import { fittingFigures } from '@/core/fitting/figures'
import { MINUTES } from '@/core/fitting/covered'
import { firstOfPieces, soldByClass, type StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { specAt, specKey } from '@/core/stores/string-spec'
import { coreMaterial, materialWord } from '@/core/strings/construction'
import type { Material } from '@/core/strings/materials'
import { ageing, chanceItBreaks, type Rates } from '@/core/wear/life'
import { lifeClass, lifeFacts, type LifeClass, type Rate } from '@/core/wear/life-class'
import { stringPrices } from '../buying/string-prices'
import { stringsOn } from '../fitted/fitted'
import {
  agesBetween,
  conditionsSeen,
  firstDaysShare,
  houseRates,
  stringLives,
  YEAR,
  FIRST_DAYS,
  type Look,
} from '../fitted/lives'
import { houseSettings } from '../house/house'
import { isFor, occasionsAhead, type Occasion } from '../house/occasions'
import { allInstruments, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import type { Store } from '../store/database'
import { offersAt } from '../stores/spares'
import { FREE_FROM, freeStores } from '../stores/set-aside'
import { coverings, house, instruments, positions } from '../store/schema'
import { latestToFit } from './latest-fit'

const HOUR = 3_600_000
/** Changing one string: off, on, up to pitch, and tuned after it a few times; min, our own estimate. */
const PER_STRING = MINUTES.ready + MINUTES.foot.renew + 4 * MINUTES.retune

/** A string before the date. Ageing is in years^shape of its class. */
export interface StringBefore {
  readonly number: number
  readonly name: string
  readonly lifeClass: LifeClass
  readonly what: string
  /** Years; null where no string is on. */
  readonly age: number | null
  readonly look: Look | null
  /** Over the time in which a break can't be mended any more: left as it is, and put on new now. */
  readonly agesIfLeft: number
  readonly agesIfChanged: number
  readonly failsIfChanged: number
  /** Chance that it breaks in that time if it is left. */
  readonly risk: number
  /** The latest hour to change it, ms; null where that is past. */
  readonly latest: number | null
  /** Hundredths of the house's money: the string, null where no price is known, and its minutes. */
  readonly price: number | null
  readonly minutes: number
  /** It is broken, or its job is open. */
  readonly jobId: number | null
  /** What would replace it: strings of one kind share what is carried. */
  readonly kind: string
  readonly positionId: number
  readonly cut: number
  /** What it ages by while one is away so long, left as it is and put on new now; see `AWAY`. */
  readonly agesAway: readonly { readonly left: number; readonly changed: number }[]
  readonly needsAnchor: boolean
}

/** How long one is away, days. */
export const AWAY = [1, 3, 7, 30] as const

/** What of a kind is in the stores. */
export interface KindInStores {
  readonly cuts: number
  /** The coil to take, and where it lies. */
  readonly from: string | null
}

export interface BeforeDate {
  readonly date: Pick<Occasion, 'id' | 'name' | 'at'> & { readonly hours: number }
  readonly dates: readonly Pick<Occasion, 'id' | 'name'>[]
  readonly slug: string
  readonly instrumentName: string
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
  readonly strings: readonly StringBefore[]
  /** Of the classes of these strings. */
  readonly rates: Readonly<Partial<Record<LifeClass, Rate>>>
  readonly stores: Readonly<Record<string, KindInStores>>
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
  const settings = houseSettings(store)
  const hours = date.hours ?? settings.concertHours
  const concerned = allInstruments(store).filter(({ instrument }) => isFor(date, instrument.slug))
  const stored = found(
    slug === null ? concerned[0] : concerned.find(({ instrument }) => instrument.slug === slug),
    `There is no such instrument for ${date.name}.`,
  )
  const rates = houseRates(store)
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
    sureChance: settings.sureChance,
    hourMinor: settings.hourMinor,
    currency: settings.currency,
  }
}

function stringsBefore(
  store: Store,
  stored: StoredInstrument,
  date: { readonly at: number; readonly hours: number },
  rates: Rates,
): readonly StringBefore[] {
  const now = store.now()
  const end = date.at + date.hours * HOUR
  const { instrument, habits, positionIds } = stored
  const lives = stringLives(store)
  const seen = conditionsSeen(store)
  const priceOf = stringPrices(store)
  const fittedAt = new Map(
    stringsOn(store, stored.id).flatMap(({ id, positionIds: of }) => of.map((at) => [at, id])),
  )
  const jobAt = new Map(openJobs(store).map(({ positionId, id }) => [positionId, id]))
  const latestOf = new Map<Material, number | null>()
  const failsAtFirst = firstDaysShare(store)
  return firstOfPieces(instrument).map((position): StringBefore => {
    const { name: material } = coreMaterial(position.construction)
    if (!latestOf.has(material)) latestOf.set(material, latestToFit(store, material, date))
    const latest = latestOf.get(material) ?? null
    const positionId = positionIds.get(position.number) as number
    const fittedId = fittedAt.get(positionId)
    const life = fittedId === undefined ? undefined : lives.get(fittedId)
    const kind = life?.lifeClass ?? lifeClass(position.construction, position.note)
    // From then on a string that breaks can't be replaced by one that settles in time.
    const from = Math.max(now, latest ?? now)
    const conditions = life ? (seen.get(life.fittedId) ?? []) : []
    const agesIfLeft = life ? agesBetween(life, conditions, from, end) : 0
    const { shape } = lifeFacts(kind)
    const young = { from: (from - now) / YEAR, to: (end - now) / YEAR, pace: life?.pace ?? 1 }
    const spec = specAt(position, soldByClass(instrument))
    const figures = fittingFigures(instrument, position, habits)
    return {
      number: position.number,
      name: leadingNames(position, habits.octaveNames).name,
      lifeClass: kind,
      what: materialWord(position.construction),
      age: life ? (now - life.fittedAt) / YEAR : null,
      look: conditions.at(-1) ?? null,
      agesIfLeft,
      agesIfChanged: ageing(shape, [young]),
      failsIfChanged: failsAtFirst * Math.max(0, 1 - (from - now) / FIRST_DAYS),
      risk: chanceItBreaks(rates[kind], agesIfLeft),
      latest,
      price: priceOf(spec),
      minutes: PER_STRING,
      jobId: jobAt.get(positionId) ?? null,
      kind: specKey(spec),
      positionId,
      cut: figures.cut.total,
      agesAway: AWAY.map((days) => {
        const leaving = Math.max(now, end - days * 24 * HOUR)
        return {
          left: life ? agesBetween(life, conditions, leaving, end) : 0,
          changed: ageing(shape, [{ ...young, from: (leaving - now) / YEAR }]),
        }
      }),
      needsAnchor: figures.anchor !== null,
    }
  })
}

/** Kinds by what would replace a string of them. Kept for those looked at. */
function kindsInStores(store: Store, stored: StoredInstrument): Readonly<Record<string, KindInStores>> {
  return store.kept.get(
    `kinds in stores of ${stored.id}`,
    [...FREE_FROM, instruments, positions, coverings, house],
    () => lookedUp(store, stored),
  )
}

function lookedUp(
  store: Store,
  { instrument, habits }: StoredInstrument,
): Readonly<Record<string, KindInStores>> {
  const coils = freeStores(store)
  const longest = new Map<string, StringPosition>()
  for (const position of firstOfPieces(instrument)) {
    const kind = specKey(specAt(position, soldByClass(instrument)))
    const had = longest.get(kind)
    if (!had || had.freeLength < position.freeLength) longest.set(kind, position)
  }
  return Object.fromEntries(
    [...longest].map(([kind, position]): [string, KindInStores] => {
      const enough = offersAt(coils, instrument, position, habits).filter(({ leaves }) => leaves >= 0)
      const exact = enough.filter(({ fit }) => fit.grade === 'exact')
      const [best] = exact.length > 0 ? exact : enough
      return [
        kind,
        {
          cuts: exact.reduce((sum, { yields }) => sum + yields, 0),
          from: best ? `${best.coil.label}, ${best.coil.place}` : null,
        },
      ]
    }),
  )
}
