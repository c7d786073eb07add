/**
 * Strings that are settling: their readings, their own drift, and when to retune them next.
 */
import { asc, eq } from 'drizzle-orm'
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { driftCents, FIRST_TUNED, nextRetune, readyFrom, retunePlan, STARTING_TAU, type DriftLaw } from '@/core/settle/drift'
import { judgeReading, refitDrift, type CentsReading, type Verdict } from '@/core/settle/readings'
import { coreMaterial } from '@/core/strings/construction'
import type { Done, Store } from './database'
import { stringsOnNow, type FittedString } from './fitted'
import { houseSettings } from './house'
import { byPositionId } from './instruments'
import { found, Refusal } from './refusal'
import { readings } from './schema'

const HOUR = 3_600_000
/** Past this age a string counts as settled, h. */
const SETTLED = 24 * 45
/** How long a concert asks a string to hold, h. */
const CONCERT = 2
const PLANNED_RETUNES = 5

export interface LoggedReading extends CentsReading {
  readonly id: number
  readonly at: number
  readonly broughtBack: boolean
  readonly slip: boolean
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
  /** True where readings have replaced the material's starting value. */
  readonly lawIsOwn: boolean
  readonly readings: readonly LoggedReading[]
  readonly lastTunedAt: number
  /** Where it should stand now, cents. */
  readonly expectedNow: number
  readonly nextAt: number
  readonly planAt: readonly number[]
  readonly readyAt: number
  /** The last reading was a slip and the string has not been seen to since. */
  readonly slipping: boolean
}

/** Every settling string of the house, the one due first first. A wire that is two strings is tuned at both. */
export function settlingStrings(store: Store): readonly Settling[] {
  const now = store.now()
  return stringsOnNow(store)
    .filter((fitted) => (now - fitted.fittedAt) / HOUR < SETTLED)
    .flatMap((fitted) => fitted.positionIds.map((positionId) => settlingOf(store, fitted, positionId)))
    .sort((a, b) => a.nextAt - b.nextAt || a.positionId - b.positionId)
}

/** One fitted string's settling at one of its positions. */
export function settlingOf(store: Store, fitted: FittedString, positionId: number): Settling {
  const { instrument, position, habits } = byPositionId(store, positionId)
  const house = houseSettings(store)
  const now = store.now()
  const start: DriftLaw = { perDecade: coreMaterial(fitted.construction).drift, tau: STARTING_TAU }
  const logged = loggedReadings(store, fitted, positionId, start)
  const law = refitDrift(start, logged.filter((r) => !r.slip))
  const tuned = logged.findLast((r) => r.broughtBack)?.age ?? FIRST_TUNED
  const time = (age: number) => fitted.fittedAt + age * HOUR
  const age = Math.max(tuned, (now - fitted.fittedAt) / HOUR)
  return {
    fitted, positionId, position, law,
    instrumentName: instrument.name,
    slug: instrument.slug,
    name: leadingNames(position, habits.octaveNames).name,
    lawIsOwn: law !== start,
    readings: logged,
    lastTunedAt: time(tuned),
    expectedNow: driftCents(law, tuned, age),
    nextAt: time(nextRetune(law, tuned, house.retuneAtCents)),
    planAt: retunePlan(law, tuned, house.retuneAtCents, SETTLED, PLANNED_RETUNES).map(time),
    readyAt: time(readyFrom(law, house.holdsWithinCents, CONCERT)),
    slipping: logged.at(-1)?.slip ?? false,
  }
}

function loggedReadings(store: Store, fitted: FittedString, positionId: number, law: DriftLaw): readonly LoggedReading[] {
  let tuned: number = FIRST_TUNED
  return store.rows.select().from(readings).where(eq(readings.fittedId, fitted.id)).orderBy(asc(readings.at), asc(readings.id)).all()
    .filter((row) => row.positionId === positionId)
    .map((row) => {
      const reading = { tuned, age: Math.max(tuned, (row.at - fitted.fittedAt) / HOUR), cents: row.cents }
      if (row.broughtBack) tuned = reading.age
      return { ...reading, id: row.id, at: row.at, broughtBack: row.broughtBack, slip: judgeReading(law, reading).slip }
    })
}

export interface NewReading {
  readonly fittedId: number
  readonly positionId: number
  /** Negative is flat. */
  readonly cents: number
  readonly broughtBack: boolean
}

/** Logs how far a string stood from pitch, as one action, and judges it against the law it had until then. */
export function logReading(store: Store, { fittedId, positionId, cents, broughtBack }: NewReading): Done<Verdict & { nextAt: number }> {
  const fitted = found(stringsOnNow(store).find((f) => f.id === fittedId), 'That string is no longer on the instrument.')
  if (!fitted.positionIds.includes(positionId)) throw new Refusal(404, 'That string is not on this position.', 'positionId')
  const before = settlingOf(store, fitted, positionId)
  const age = (store.now() - fitted.fittedAt) / HOUR
  const tuned = (before.lastTunedAt - fitted.fittedAt) / HOUR
  const verdict = judgeReading(before.law, { tuned: Math.min(tuned, age), age, cents })
  const { id: instrumentId } = byPositionId(store, positionId)
  const sign = cents < 0 ? '−' : '+'
  const done = store.act({ kind: 'reading', instrumentId, summary: `${before.name} of ${before.instrumentName} read at ${sign}${Math.abs(cents)} cents${broughtBack ? ' and brought back' : ''}` }, () => {
    store.rows.insert(readings).values({ fittedId, positionId, cents, broughtBack, at: store.now() }).run()
  })
  return { actionId: done.actionId, result: { ...verdict, nextAt: settlingOf(store, fitted, positionId).nextAt } }
}
