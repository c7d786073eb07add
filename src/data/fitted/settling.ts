/**
 * Strings that are settling: their readings, their own drift, and when to retune them next.
 */
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import {
  driftCents,
  moved,
  newLaw,
  nextRetune,
  FOR_EVER,
  retunePlan,
  SETTLED,
  type DriftModel,
} from '@/core/settle/drift'
import { chanceItHolds, holdsFromAge, SURE, type Known } from '@/core/settle/band'
import { ANY_STRING, lawAt, SettlingBeliefs, type Evidence } from '@/core/settle/belief'
import { judgeReading, type Verdict } from '@/core/settle/readings'
import { helped } from '@/core/settle/stretching'
import { weatherOf } from '@/core/settle/weather'
import { coreMaterial } from '@/core/strings/construction'
import { HOUR } from '@/core/units/time'
import type { Done, Store } from '../store/database'
import { fittedById, fittedSince, type FittedString } from './fitted'
import { workshopSettings, type Workshop } from '../workshop/settings'
import { byPositionId, type PositionOnShelf } from '../instruments/instruments'
import {
  loggedReadings,
  readingsOf,
  tunedLast,
  weatherSince,
  type LoggedReading,
  type ReadingRow,
} from './logged-readings'
import { WEATHER_FROM } from './weather'
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

const PLANNED_RETUNES = 5

export interface Settling {
  readonly fitted: FittedString
  readonly positionId: number
  readonly position: StringPosition
  readonly instrumentName: string
  readonly slug: string
  /** `3rd-octave G` */
  readonly name: string
  readonly law: DriftModel
  /** What is known of its law: its own readings and those of strings like it, on what the material usually does. */
  readonly known: Known
  /** True where readings of its own are in it. */
  readonly lawIsOwn: boolean
  readonly readings: readonly LoggedReading[]
  /** When it was last brought to pitch, or slipped and stayed there. */
  readonly lastTunedAt: number
  /** Its age then, h, and where it was left, cents. */
  readonly tuned: number
  readonly left: number
  /** Where it should stand now, cents. */
  readonly expectedNow: number
  /** Null where it is settled before it falls so far. */
  readonly nextAt: number | null
  readonly planAt: readonly number[]
  /** The last reading was a slip and the string has not been seen to since. */
  readonly slipping: boolean
}

/** Every settling string of the house, the one due first first. A wire that is two strings is tuned at both. */
export function settlingStrings(store: Store): readonly Settling[] {
  const now = store.now()
  // Strings that are put on later are written, and read then; those that settled meanwhile are left out.
  return readSettling(store)
    .laws.filter(({ fitted }) => (now - fitted.fittedAt) / HOUR < SETTLED)
    .filter(({ positionId }) => byPositionId(store, positionId).retiredAt === null)
    .map((one) => standing(store, one, now))
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
  ...WEATHER_FROM,
] as const

/** A settling string as it is at any time. */
type Law = Omit<Settling, 'expectedNow'>

/** Everything that settles, and what it has taught. */
function readSettling(store: Store): { readonly laws: readonly Law[]; readonly beliefs: SettlingBeliefs } {
  return store.cache.get('settling', SETTLING_FROM, () => {
    const strings = fittedSince(store, store.now() - SETTLED * HOUR)
    const rows = readingsOf(store, strings)
    const all = strings.flatMap((fitted) =>
      fitted.positionIds.map((positionId) =>
        settlingAt(store, fitted, positionId, rows.get(fitted.id) ?? []),
      ),
    )
    const beliefs = new SettlingBeliefs(all.map(({ evidence }) => evidence))
    const settings = workshopSettings(store)
    return { beliefs, laws: all.map((one) => lawFrom(one, beliefs, settings)) }
  })
}

/** A string at one of its positions with what was read there. */
interface SettlingAt {
  readonly fitted: FittedString
  readonly positionId: number
  readonly at: PositionOnShelf
  readonly logged: readonly LoggedReading[]
  readonly evidence: Evidence
}

function settlingAt(
  store: Store,
  fitted: FittedString,
  positionId: number,
  rows: readonly ReadingRow[],
): SettlingAt {
  const at = byPositionId(store, positionId)
  const material = coreMaterial(fitted.construction).name
  const start = startingLaw(fitted)
  const weather = weatherOf(material)
  const logged = loggedReadings(store, rows, fitted, positionId, { start, weather, share: ANY_STRING })
  return {
    fitted,
    positionId,
    at,
    logged,
    evidence: {
      id: `${fitted.id} ${positionId}`,
      instrument: `${at.id} ${material}`,
      material,
      start,
      weather,
      readings: logged.filter(({ kind }) => kind === 'settling'),
    },
  }
}

/** Where a string should stand now by its law and by what the weather is known to have done. */
function standing(store: Store, one: Law, now: number): Settling {
  const { law, tuned, left, fitted } = one
  const age = Math.max(tuned, (now - fitted.fittedAt) / HOUR)
  const weather = weatherSince(store, fitted, tuned, now)?.mean ?? 0
  return { ...one, expectedNow: left + driftCents(law, tuned, age) + weather }
}

/** The one due first first; what holds comes last. */
function byNext(a: Settling, b: Settling): number {
  return a.nextAt === b.nextAt ? 0 : a.nextAt === null ? 1 : b.nextAt === null ? -1 : a.nextAt - b.nextAt
}

/** The law that a string starts from: its material's, gentler where it was on before or was helped to settle. */
function startingLaw({ construction, moved: wasOn, stretchedBy, stretchCycles }: FittedString): DriftModel {
  const plain = newLaw(coreMaterial(construction).drift)
  return helped(wasOn ? moved(plain) : plain, stretchedBy ?? 'leave it alone', stretchCycles)
}

/** One fitted string's settling at one of its positions. */
export function settlingOf(store: Store, fitted: FittedString, positionId: number): Settling {
  return settlingBy(store, readSettling(store).beliefs, fitted, positionId)
}

/** The same, by what was known before it was written to. */
function settlingBy(
  store: Store,
  beliefs: SettlingBeliefs,
  fitted: FittedString,
  positionId: number,
): Settling {
  const rows = readingsOf(store, [fitted]).get(fitted.id) ?? []
  const at = settlingAt(store, fitted, positionId, rows)
  return standing(store, lawFrom(at, beliefs, workshopSettings(store)), store.now())
}

function lawFrom(
  { fitted, positionId, at: { instrument, position, habits }, logged, evidence }: SettlingAt,
  beliefs: SettlingBeliefs,
  settings: Workshop,
): Law {
  const { start, weather } = evidence
  const share = beliefs.of(evidence)
  const law = lawAt(start, share)
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
    known: { start, share, weather },
    instrumentName: instrument.name,
    slug: instrument.slug,
    name: leadingNames(position, habits.octaveNames).name,
    lawIsOwn: evidence.readings.some(({ age, tuned: since }) => age > since),
    readings: logged,
    lastTunedAt: time(tuned),
    tuned,
    left,
    nextAt: next > SETTLED ? null : time(next),
    planAt:
      next > SETTLED
        ? []
        : [next, ...retunePlan(law, next, settings.retuneAtCents, SETTLED, PLANNED_RETUNES - 1)].map(time),
    slipping: logged.at(-1)?.kind === 'slip',
  }
}

/**
 * From when a string, tuned just before, holds within so many cents through so many hours, nine times of ten. The one
 * answer: every page that states it asks here.
 *
 * @returns ms; null where it slips, or never holds so well
 */
export function holdsFrom(
  { fitted, known, slipping }: HeldString,
  withinCents: number,
  hours: number,
): number | null {
  if (slipping) return null
  const age = holdsFromAge(known, hours, withinCents)
  return age >= FOR_EVER ? null : fitted.fittedAt + age * HOUR
}

/** Whether {@link holdsFrom} is no later than a time: one sum, where the time itself takes forty. */
export function holdsBy(
  { fitted, known, slipping }: HeldString,
  at: number,
  withinCents: number,
  hours: number,
): boolean {
  const age = (at - fitted.fittedAt) / HOUR
  return !slipping && age >= 0 && chanceItHolds(known, age, hours, withinCents) >= SURE
}

type HeldString = Pick<Settling, 'fitted' | 'known' | 'slipping'>

export interface NewReading {
  readonly fittedId: number
  readonly positionId: number
  /** Negative is flat. */
  readonly cents: number
  readonly broughtBack: boolean
}

/** Logs how far a string stood from pitch, as one action, and judges it against the law it had until then. */
export function logReading(store: Store, reading: NewReading): Done<Verdict & { nextAt: number | null }> {
  const { fittedId, positionId, cents, broughtBack } = reading
  const there = fittedById(store, fittedId)
  const fitted = found(
    there?.endedAt === null ? there : undefined,
    'That string is no longer on the instrument.',
  )
  if (!fitted.positionIds.includes(positionId))
    throw new Refusal(404, 'That string is not on this position.', 'positionId')
  const judged = judge(store, fitted, reading)
  const { before, beliefs, verdict } = judged
  const { id: instrumentId } = byPositionId(store, positionId)
  const sign = cents < 0 ? '−' : '+'
  const done = store.act(
    {
      kind: 'reading',
      instrumentId,
      summary: `${before.name} of ${before.instrumentName} read at ${sign}${Math.abs(cents)} cents${broughtBack ? ' and brought back' : ''}`,
    },
    () => insertReading(store, reading, judged),
  )
  return {
    actionId: done.actionId,
    result: { ...verdict, nextAt: settlingBy(store, beliefs, fitted, positionId).nextAt },
  }
}

interface Judged {
  readonly before: Settling
  readonly beliefs: SettlingBeliefs
  readonly verdict: Verdict
}

/** What a reading says, by what was known before it. */
function judge(store: Store, fitted: FittedString, { positionId, cents }: NewReading): Judged {
  const { beliefs } = readSettling(store)
  const before = settlingBy(store, beliefs, fitted, positionId)
  // A clock that was set back has it read before it was put on.
  const age = Math.max(0, (store.now() - fitted.fittedAt) / HOUR)
  const { tuned, left } = before
  return {
    before,
    beliefs,
    verdict: judgeReading(before.known, {
      tuned: Math.min(tuned, age),
      left,
      age,
      cents,
      weather: weatherSince(store, fitted, tuned, store.now()),
    }),
  }
}

function insertReading(store: Store, reading: NewReading, { verdict }: Judged): void {
  store.rows
    .insert(readings)
    .values({ ...reading, at: store.now(), kind: verdict.kind })
    .run()
}

/** Keeps a reading of a string that settles; belongs inside an action. One that has settled is not read any more. */
export function keepReading(store: Store, fitted: FittedString, reading: NewReading): void {
  if ((store.now() - fitted.fittedAt) / HOUR < SETTLED)
    insertReading(store, reading, judge(store, fitted, reading))
}
