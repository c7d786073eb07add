/**
 * Strings that are settling: their readings, their own drift, and when to retune them next.
 */
import { asc, inArray } from 'drizzle-orm'
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import {
  driftCents,
  FIRST_TUNED,
  moved,
  nextRetune,
  readyFrom,
  retunePlan,
  STARTING_TAU,
  type DriftLaw,
} from '@/core/settle/drift'
import {
  judgeReading,
  refitDrift,
  type CentsReading,
  type ReadingKind,
  type Verdict,
} from '@/core/settle/readings'
import { helped } from '@/core/settle/stretching'
import { coreMaterial } from '@/core/strings/construction'
import type { Done, Store } from '../store/database'
import { fittedById, fittedSince, type FittedString } from './fitted'
import { grouped } from '@/core/list/grouped'
import { inChunks } from '../store/in-chunks'
import { houseSettings, type House } from '../house/house'
import { byPositionId, type PositionOnShelf } from '../instruments/instruments'
import { found, Refusal } from '@/boundary/refusal'
import {
  coverings,
  fittedPositions,
  fittedStrings,
  house,
  instruments,
  positions,
  readings,
} from '../store/schema'

const HOUR = 3_600_000
/** Past this age a string counts as settled, h. */
const SETTLED = 24 * 45
const PLANNED_RETUNES = 5

export interface LoggedReading extends CentsReading {
  readonly id: number
  readonly at: number
  readonly broughtBack: boolean
  readonly kind: ReadingKind
}

export interface Settling {
  readonly fitted: FittedString
  readonly positionId: number
  readonly position: StringPosition
  readonly instrumentName: string
  readonly slug: string
  /** `3rd-octave G` */
  readonly name: string
  readonly law: DriftLaw
  /** What strings like it do, before its own readings. */
  readonly start: DriftLaw
  /** True where readings have replaced the material's starting value. */
  readonly lawIsOwn: boolean
  readonly readings: readonly LoggedReading[]
  readonly lastTunedAt: number
  /** Where it should stand now, cents. */
  readonly expectedNow: number
  /** Null where it is settled before it falls so far. */
  readonly nextAt: number | null
  readonly planAt: readonly number[]
  readonly readyAt: number
  /** The last reading was a slip and the string has not been seen to since. */
  readonly slipping: boolean
}

/** Every settling string of the house, the one due first first. A wire that is two strings is tuned at both. */
export function settlingStrings(store: Store): readonly Settling[] {
  const now = store.now()
  // Strings that are put on later are written, and read then; those that settled meanwhile are left out.
  return store.kept
    .get('settling', SETTLING_FROM, () => lawsOf(store, fittedSince(store, now - SETTLED * HOUR)))
    .filter(({ fitted }) => (now - fitted.fittedAt) / HOUR < SETTLED)
    .filter(({ positionId }) => byPositionId(store, positionId).retiredAt === null)
    .map((one) => standing(one, now))
    .sort((a, b) => byNext(a, b) || a.positionId - b.positionId)
}

/** All that a string's law and its next retunes are worked out from, but for the time of day. */
const SETTLING_FROM = [
  fittedStrings,
  fittedPositions,
  readings,
  house,
  instruments,
  positions,
  coverings,
] as const

/** A settling string as it is at any time. */
interface Law extends Omit<Settling, 'expectedNow'> {
  /** Age when it was last tuned, h, and cents it was left at. */
  readonly tuned: number
  readonly left: number
}

/** Laws of strings at each of their positions; their readings are read together. */
function lawsOf(store: Store, strings: readonly FittedString[]): readonly Law[] {
  const settings = houseSettings(store)
  const logged = readingsOf(store, strings)
  return strings.flatMap((fitted) =>
    fitted.positionIds.map((positionId) =>
      lawFrom(byPositionId(store, positionId), fitted, positionId, logged.get(fitted.id) ?? [], settings),
    ),
  )
}

/** Where a string should stand now by its law. */
function standing({ tuned, left, ...law }: Law, now: number): Settling {
  const age = Math.max(tuned, (now - law.fitted.fittedAt) / HOUR)
  return { ...law, expectedNow: left + driftCents(law.law, tuned, age) }
}

/** The one due first first; what holds comes last. */
function byNext(a: Settling, b: Settling): number {
  return a.nextAt === b.nextAt ? 0 : a.nextAt === null ? 1 : b.nextAt === null ? -1 : a.nextAt - b.nextAt
}

/** The law that a string starts from: its material's, gentler where it was on before or was helped to settle. */
function startingLaw({ construction, moved: wasOn, stretchedBy, stretchCycles }: FittedString): DriftLaw {
  const plain: DriftLaw = { perDecade: coreMaterial(construction).drift, tau: STARTING_TAU }
  return helped(wasOn ? moved(plain) : plain, stretchedBy ?? 'leave it alone', stretchCycles)
}

/** One fitted string's settling at one of its positions. */
export function settlingOf(store: Store, fitted: FittedString, positionId: number): Settling {
  const rows = readingsOf(store, [fitted]).get(fitted.id) ?? []
  const law = lawFrom(byPositionId(store, positionId), fitted, positionId, rows, houseSettings(store))
  return standing(law, store.now())
}

function lawFrom(
  { instrument, position, habits }: PositionOnShelf,
  fitted: FittedString,
  positionId: number,
  rows: readonly ReadingRow[],
  settings: House,
): Law {
  const start = startingLaw(fitted)
  const logged = loggedReadings(rows, fitted, positionId, start)
  const law = refitDrift(
    start,
    logged.filter(({ kind }) => kind === 'settling'),
  )
  const { tuned, left } = tunedLast(logged)
  const time = (age: number) => fitted.fittedAt + age * HOUR
  // One that was left flat by as much is due at once; one that was left sharp has further to fall.
  const window = settings.retuneAtCents + left
  const next = window > 0 ? nextRetune(law, tuned, window) : tuned
  return {
    fitted,
    positionId,
    position,
    law,
    start,
    instrumentName: instrument.name,
    slug: instrument.slug,
    name: leadingNames(position, habits.octaveNames).name,
    lawIsOwn: law !== start,
    readings: logged,
    lastTunedAt: time(tuned),
    tuned,
    left,
    nextAt: next > SETTLED ? null : time(next),
    planAt:
      next > SETTLED
        ? []
        : [next, ...retunePlan(law, next, settings.retuneAtCents, SETTLED, PLANNED_RETUNES - 1)].map(time),
    readyAt: time(readyFrom(law, settings.holdsWithinCents, settings.concertHours)),
    slipping: logged.at(-1)?.kind === 'slip',
  }
}

/** From when a string holds within so many cents through so many hours, ms. */
export function holdsFrom({ fitted, law }: Settling, withinCents: number, hours: number): number {
  return fitted.fittedAt + readyFrom(law, withinCents, hours) * HOUR
}

/** Age when it was last brought to pitch, or left off it when it was fitted, and at how many cents. */
function tunedLast(logged: readonly Pick<LoggedReading, 'age' | 'cents' | 'broughtBack' | 'kind'>[]): {
  readonly tuned: number
  readonly left: number
} {
  const last = logged.findLast(({ broughtBack, kind }) => broughtBack || kind === 'left at')
  return last ? { tuned: last.age, left: last.broughtBack ? 0 : last.cents } : { tuned: FIRST_TUNED, left: 0 }
}

type ReadingRow = typeof readings.$inferSelect

/** Readings of strings by string, in order. */
function readingsOf(
  store: Store,
  strings: readonly FittedString[],
): ReadonlyMap<number, readonly ReadingRow[]> {
  return grouped(
    inChunks(
      strings.map(({ id }) => id),
      (ids) =>
        store.rows
          .select()
          .from(readings)
          .where(inArray(readings.fittedId, [...ids]))
          .orderBy(asc(readings.at), asc(readings.id))
          .all(),
    ),
    (row) => row.fittedId,
  )
}

function loggedReadings(
  rows: readonly ReadingRow[],
  fitted: FittedString,
  positionId: number,
  law: DriftLaw,
): readonly LoggedReading[] {
  const logged: LoggedReading[] = []
  for (const row of rows) {
    if (row.positionId !== positionId) continue
    const { tuned, left } = tunedLast(logged)
    const reading: CentsReading = {
      tuned,
      left,
      age: Math.max(tuned, (row.at - fitted.fittedAt) / HOUR),
      cents: row.cents,
    }
    logged.push({
      ...reading,
      id: row.id,
      at: row.at,
      broughtBack: row.broughtBack,
      kind: row.kind ?? judgeReading(law, reading).kind,
    })
  }
  return logged
}

export interface NewReading {
  readonly fittedId: number
  readonly positionId: number
  /** Negative is flat. */
  readonly cents: number
  readonly broughtBack: boolean
}

/** Logs how far a string stood from pitch, as one action, and judges it against the law it had until then. */
export function logReading(
  store: Store,
  { fittedId, positionId, cents, broughtBack }: NewReading,
): Done<Verdict & { nextAt: number | null }> {
  const there = fittedById(store, fittedId)
  const fitted = found(
    there?.endedAt === null ? there : undefined,
    'That string is no longer on the instrument.',
  )
  if (!fitted.positionIds.includes(positionId))
    throw new Refusal(404, 'That string is not on this position.', 'positionId')
  const before = settlingOf(store, fitted, positionId)
  const age = (store.now() - fitted.fittedAt) / HOUR
  const { tuned, left } = tunedLast(before.readings)
  const verdict = judgeReading(before.law, { tuned: Math.min(tuned, age), left, age, cents })
  const { id: instrumentId } = byPositionId(store, positionId)
  const sign = cents < 0 ? '−' : '+'
  const done = store.act(
    {
      kind: 'reading',
      instrumentId,
      summary: `${before.name} of ${before.instrumentName} read at ${sign}${Math.abs(cents)} cents${broughtBack ? ' and brought back' : ''}`,
    },
    () => {
      store.rows
        .insert(readings)
        .values({ fittedId, positionId, cents, broughtBack, at: store.now(), kind: verdict.kind })
        .run()
    },
  )
  return {
    actionId: done.actionId,
    result: { ...verdict, nextAt: settlingOf(store, fitted, positionId).nextAt },
  }
}
