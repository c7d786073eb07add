/**
 * How many of each kind of string the stores should hold: the house's number, or as many as may break before new ones can be
 * there.
 */
import { soldByClass } from '@/core/instrument/instrument'
import { specAt, specKey } from '@/core/stores/string-spec'
import { DAY } from '@/core/units/time'
import { demandFor, enoughWith, runsOut } from '@/core/wear/reorder'
import type { AtRisk } from '@/core/wear/breaks-ahead'
import type { Rates } from '@/core/wear/life'
import { agesBetween, conditionsSeen, workshopRates, stringLives } from '../fitted/lives'
import { workshopSettings } from '../workshop/settings'
import { allInstruments, byPositionId } from '../instruments/instruments'
import type { Store } from '../store/database'
import { allSuppliers } from './suppliers'

/** Until new strings are there where nobody knows a supplier, days. */
const LEAD = 14

export interface SparesWanted {
  readonly pieces: number
  /** Chance that more are wanted than so many before new ones can be there; null where the house goes by a number. */
  readonly runsOut: ((pieces: number) => number) | null
}

/** What is wanted of a kind, by its key. */
export function sparesWanted(store: Store): (key: string) => SparesWanted {
  const { leastSpares, sparesBy, sureChance } = workshopSettings(store)
  if (sparesBy === 'number') return () => ({ pieces: leastSpares, runsOut: null })
  const rates = workshopRates(store)
  const wanted = new Map(
    [...risksByKind(store, rates)].map(([key, risks]): [string, SparesWanted] => {
      const demand = demandFor(rates, risks)
      return [key, { pieces: enoughWith(demand, sureChance), runsOut: (pieces) => runsOut(demand, pieces) }]
    }),
  )
  return (key) => wanted.get(key) ?? NOTHING_ON
}

/** No string of such a kind is on. */
const NOTHING_ON: SparesWanted = { pieces: 0, runsOut: null }

/** What every string that is on ages by until new ones could be there, by the kind that its place asks for. */
function risksByKind(store: Store, rates: Rates): ReadonlyMap<string, readonly AtRisk[]> {
  const leads = allSuppliers(store).flatMap(({ retiredAt, leadDays }) =>
    retiredAt === null ? [leadDays] : [],
  )
  const now = store.now()
  const until = now + Math.max(...(leads.length === 0 ? [LEAD] : leads)) * DAY
  const seen = conditionsSeen(store)
  const shelf = new Set(allInstruments(store).flatMap(({ id, stocked }) => (stocked ? [id] : [])))
  const risks = new Map<string, AtRisk[]>()
  for (const life of stringLives(store).values()) {
    if (life.endedAt !== null || !shelf.has(life.instrumentId)) continue
    const { instrument, position } = byPositionId(store, life.positionId)
    const key = specKey(specAt(position, soldByClass(instrument)))
    const risk = {
      lifeClass: life.lifeClass,
      ages: agesBetween(rates, life, seen.get(life.fittedId) ?? [], now, until),
    }
    const of = risks.get(key)
    if (of) of.push(risk)
    else risks.set(key, [risk])
  }
  return risks
}
