/**
 * What settles, as its place shows it: every string on one sheet, one string with its band, and the visits until a date.
 */
import { found } from '@/boundary/refusal'
import { bandAt, chanceItHolds, expectedAt, type Known } from '@/core/settle/band'
import { SETTLED } from '@/core/settle/drift'
import { oddsOf, type Odds } from '@/core/settle/odds'
import { openSlots } from '@/core/settle/open-hours'
import { planVisits, planWithFewer, type VisitPlan } from '@/core/settle/visits'
import { coreMaterial } from '@/core/strings/construction'
import type { Material } from '@/core/strings/materials'
import { HOUR } from '@/core/units/time'
import type { LoggedReading } from '../fitted/logged-readings'
import { holdsFrom, settlingStrings, type Settling } from '../fitted/settling'
import { workshopSettings } from '../workshop/settings'
import { isFor, occasionsAhead, type Occasion } from '../workshop/occasions'
import { busyTimes, openHours, toOpenHours } from '../workshop/open-hours'
import type { Store } from '../store/database'
import { latestToFit } from './latest-fit'

/** A reading on the sheet: how far the string had fallen in all since it was first at pitch, cents. */
export interface FallenPoint {
  readonly age: number
  readonly fallen: number
  readonly isSlip: boolean
}

/** A string on the sheet of all that settles. */
export interface SettlingCurve {
  readonly fittedId: number
  readonly positionId: number
  readonly slug: string
  readonly number: number
  readonly name: string
  readonly instrumentName: string
  readonly material: Material
  /** Its own law: cents a decade of age, and τ, h. */
  readonly perDecade: number
  readonly tau: number
  /** Age now, h. */
  readonly age: number
  readonly points: readonly FallenPoint[]
  /** Age when it was last tuned, h, and what it had fallen in all by then: its law goes on from there. */
  readonly tuned: { readonly age: number; readonly fallen: number }
  /** Where it should stand now, cents, and four readings of five lie within so much of it. */
  readonly stands: number
  readonly off: number
  readonly nextAt: number | null
  /** From when it holds through a concert nine times of ten; null where it never surely does. */
  readonly holdsAt: number | null
  readonly slipping: boolean
}

/** What settles, the one due first first: the first of it, and how many there are in all. */
export function settlingCurves(
  store: Store,
  most = Infinity,
): { readonly shown: readonly SettlingCurve[]; readonly all: number } {
  const settling = settlingStrings(store)
  const toOpen = toOpenHours(store)
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  return {
    shown: settling
      .slice(0, most)
      .map((s) => curveOf(s, store.now(), toOpen, holdsWithinCents, concertHours)),
    all: settling.length,
  }
}

function curveOf(
  s: Settling,
  now: number,
  toOpen: (due: number) => number,
  holdsWithin: number,
  concertHours: number,
): SettlingCurve {
  const age = ageOf(s, now)
  const { tuned, left } = s
  const [low, high] = bandAt(s.known, tuned, left, Math.max(tuned, age))
  const points = pointsOf(s.readings)
  return {
    fittedId: s.fitted.id,
    positionId: s.positionId,
    slug: s.slug,
    number: s.position.number,
    name: s.name,
    instrumentName: s.instrumentName,
    material: coreMaterial(s.fitted.construction).name,
    perDecade: s.law.perDecade,
    tau: s.law.tau,
    age,
    points,
    tuned: { age: tuned, fallen: points.findLast((point) => point.age <= tuned)?.fallen ?? 0 },
    stands: s.expectedNow,
    off: (high - low) / 2,
    nextAt: s.nextAt === null ? null : toOpen(s.nextAt),
    holdsAt: holdsFrom(s, holdsWithin, concertHours),
    slipping: s.slipping,
  }
}

const ageOf = ({ fitted }: Settling, now: number) => Math.max(0, (now - fitted.fittedAt) / HOUR)

/** What it had fallen in all at each reading: what it had fallen when it was tuned, and what it fell since. */
function pointsOf(readings: readonly LoggedReading[]): readonly FallenPoint[] {
  let atTuned = 0
  return readings.flatMap(({ age, cents, left, kind, broughtBack }): FallenPoint[] => {
    if (kind === 'left at') return []
    const fallen = atTuned + left - cents
    // What slipped stays where it slipped to, and its law goes on from there.
    if (broughtBack || kind === 'slip') atTuned = fallen
    return [{ age, fallen, isSlip: kind === 'slip' }]
  })
}

/** The chance that a string is in tune through a date, when it is tuned as it begins. */
export interface DateChance {
  readonly id: number
  readonly name: string
  readonly at: number
  readonly chance: number
  /** What it is expected to fall by through it, cents. */
  readonly falls: number
  /** What it falls by in the second half, when it is tuned at the interval as well, cents. */
  readonly fallsAfterInterval: number
}

export interface SettlingString extends SettlingCurve {
  /** Where it will stand from when it was last tuned on: age, what it has fallen in all, and its band of 80 %. */
  readonly ahead: readonly {
    readonly age: number
    readonly fallen: number
    readonly least: number
    readonly most: number
  }[]
  readonly dates: readonly DateChance[]
  /** What the last reading tells of, where there is one. */
  readonly last: {
    readonly at: number
    readonly cents: number
    readonly expected: number
    readonly odds: Odds
  } | null
  readonly known: Known
  /** Its drift against what its material usually does, and how sure that is. */
  readonly share: number
  readonly shareOff: number
  /** Readings of its own that its law rests on. */
  readonly own: number
}

const AHEAD = 24

/** One settling string; Refusal 404 when it has settled, or was never there. */
export function settlingString(store: Store, fittedId: number, positionId: number | null): SettlingString {
  const s = found(
    settlingStrings(store).find(
      (one) => one.fitted.id === fittedId && (positionId === null || one.positionId === positionId),
    ),
    'That string no longer settles, or is not on any instrument.',
  )
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  const curve = curveOf(s, store.now(), toOpenHours(store), holdsWithinCents, concertHours)
  const { tuned, left } = s
  const ages = [...Array(AHEAD + 1).keys()].map(
    (i) => tuned * (Math.max(tuned * 1.01, SETTLED) / tuned) ** (i / AHEAD),
  )
  const last = s.readings.findLast(({ kind }) => kind !== 'left at')
  return {
    ...curve,
    known: s.known,
    share: s.known.share.mean,
    shareOff: s.known.share.off,
    own: s.readings.filter(({ kind }) => kind === 'settling').length,
    ahead: ages.map((age) => {
      const { cents } = expectedAt(s.known, tuned, left, age)
      const [low, high] = bandAt(s.known, tuned, left, age)
      const fallen = (at: number) => curve.tuned.fallen + left - at
      return { age, fallen: fallen(cents), least: fallen(high), most: fallen(low) }
    }),
    dates: occasionsAhead(store)
      .filter((date) => isFor(date, s.slug) && date.at > s.fitted.fittedAt)
      .map((date) => {
        const age = ageOf(s, date.at)
        const hours = date.hours ?? concertHours
        return {
          id: date.id,
          name: date.name,
          at: date.at,
          chance: chanceItHolds(s.known, age, hours, holdsWithinCents),
          falls: -expectedAt(s.known, age, 0, age + hours).cents,
          fallsAfterInterval: -expectedAt(s.known, age + hours / 2, 0, age + hours).cents,
        }
      }),
    last: last ? lastOf(s, last) : null,
  }
}

/** What the last reading tells of, by what is known of the string. */
function lastOf(
  s: Settling,
  { at, cents, tuned, left, age, weather }: LoggedReading,
): SettlingString['last'] {
  const expected = expectedAt(s.known, tuned, left, age, weather)
  return { at, cents, expected: expected.cents, odds: oddsOf(expected, cents) }
}

/** The latest hour to fit a string of a material so that it holds through a date; null where that is past. */
export interface LatestFit {
  readonly material: Material
  readonly at: number | null
}

export interface VisitsUntil {
  readonly date: Pick<Occasion, 'id' | 'name' | 'at'> & { readonly hours: number }
  readonly plan: VisitPlan
  /** The best that two visits can do, where the plan has more; null where it has not. */
  readonly fewer: VisitPlan | null
  /** What each string of the plan is called, and where it is. */
  readonly strings: Readonly<
    Record<string, { readonly name: string; readonly slug: string; readonly number: number }>
  >
  /** Strings that slip: to be looked at before any visit. */
  readonly slipping: readonly string[]
  readonly latest: readonly LatestFit[]
  readonly keepWithin: number
  readonly holdWithin: number
}

/** Visits that anybody can make. */
const FEW = 2
/** Materials that strings are fitted new of, as people ask for them. */
const FITTED_NEW: readonly Material[] = ['gut', 'nylon 6.12', 'steel']
/** Further ahead nobody plans visits: what settles now has settled by then, ms. */
const PLANS_AHEAD = SETTLED * HOUR

/** The visits to make until a date: the one asked for, or the next; null when there is none ahead. */
export function visitsUntil(store: Store, dateId: number | null): VisitsUntil | null {
  const now = store.now()
  const ahead = occasionsAhead(store).filter(({ at }) => at > now && at - now < PLANS_AHEAD)
  const date = ahead.find(({ id }) => id === dateId) ?? ahead[0]
  if (!date) return null
  const workshop = workshopSettings(store)
  const { retuneAtCents, holdsWithinCents, concertHours } = workshop
  const hours = date.hours ?? concertHours
  // A string that slips is seen to first: tuning it again and again would break it.
  const concerned = settlingStrings(store).filter((s) => isFor(date, s.slug))
  const settling = concerned.filter((s) => !s.slipping)
  const nameOf = (s: Settling) => `${s.name} of ${s.instrumentName}`
  const idOf = (s: Settling) => `${s.fitted.id} ${s.positionId}`
  const asked = {
    strings: settling.map((s) => ({
      id: idOf(s),
      law: s.law,
      fittedAt: s.fitted.fittedAt,
      tunedAt: s.lastTunedAt,
      left: s.left,
    })),
    slots: openSlots(now, date.at, openHours(workshop), busyTimes(store)),
    until: date.at,
    hours,
    keepWithin: retuneAtCents,
    holdWithin: holdsWithinCents,
  }
  const plan = planVisits(asked)
  return {
    date: { id: date.id, name: date.name, at: date.at, hours },
    plan,
    fewer: plan.visits.length > FEW ? planWithFewer(asked, FEW) : null,
    keepWithin: retuneAtCents,
    holdWithin: holdsWithinCents,
    strings: Object.fromEntries(
      settling.map((s) => [
        idOf(s),
        {
          name: nameOf(s),
          slug: s.slug,
          number: s.position.number,
        },
      ]),
    ),
    slipping: concerned.filter((s) => s.slipping).map(nameOf),
    latest: FITTED_NEW.map((material) => ({
      material,
      at: latestToFit(store, material, { at: date.at, hours }).latest,
    })),
  }
}
