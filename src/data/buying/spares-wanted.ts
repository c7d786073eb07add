/**
 * How many of each kind of string the stores should hold: the house's number, or as many as may break before new ones can be
 * there.
 */
import { soldByClass } from '@/core/instrument/instrument'
import { specAt, specKey } from '@/core/stores/string-spec'
import { demandFor, enoughWith } from '@/core/wear/reorder'
import type { AtRisk } from '@/core/wear/breaks-ahead'
import { agesBetween, conditionsSeen, houseRates, stringLives } from '../fitted/lives'
import { houseSettings } from '../house/house'
import { allInstruments, byPositionId } from '../instruments/instruments'
import type { Store } from '../store/database'
import { allSuppliers } from './suppliers'

const DAY = 86_400_000
/** Until new strings are there where nobody knows a supplier, days. */
const LEAD = 14

/** What is wanted of a kind, by its key. */
export function sparesWanted(store: Store): (key: string) => number {
  const { leastSpares, sparesBy, sureChance } = houseSettings(store)
  if (sparesBy === 'number') return () => leastSpares
  const rates = houseRates(store)
  const wanted = new Map(
    [...risksByKind(store)].map(([key, risks]) => [key, enoughWith(demandFor(rates, risks), sureChance)]),
  )
  return (key) => wanted.get(key) ?? 0
}

/** What every string that is on ages by until new ones could be there, by the kind that its place asks for. */
function risksByKind(store: Store): ReadonlyMap<string, readonly AtRisk[]> {
  const leads = allSuppliers(store).flatMap(({ retiredAt, leadDays }) =>
    retiredAt === null ? [leadDays] : [],
  )
  const now = store.now()
  const until = now + Math.max(...(leads.length === 0 ? [LEAD] : leads)) * DAY
  const seen = conditionsSeen(store)
  const shelf = new Set(allInstruments(store).map(({ id }) => id))
  const risks = new Map<string, AtRisk[]>()
  for (const life of stringLives(store).values()) {
    if (life.endedAt !== null || !shelf.has(life.instrumentId)) continue
    const { instrument, position } = byPositionId(store, life.positionId)
    const key = specKey(specAt(position, soldByClass(instrument)))
    const risk = {
      lifeClass: life.lifeClass,
      ages: agesBetween(life, seen.get(life.fittedId) ?? [], now, until),
    }
    const of = risks.get(key)
    if (of) of.push(risk)
    else risks.set(key, [risk])
  }
  return risks
}
