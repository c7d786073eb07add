/**
 * Which strings to change before a date: every choice that no other beats both in cost and in the chance of an evening without
 * a break. Exact: strings of a class share a rate, so what counts of a choice is what each class ages by in all.
 */
import { requireValue } from '../list/require-value'
import { chanceOfNone, type Rates } from './life'
import type { LifeClass } from './life-class'

/** A string that may be changed or left. Ageing is over the time in which a break spoils the evening, years^shape. */
export interface MayChange {
  readonly id: number
  readonly lifeClass: LifeClass
  readonly agesIfLeft: number
  readonly agesIfChanged: number
  /** Chance that a new one gives way for another reason in that time: its knot, its becket. */
  readonly failsIfChanged: number
  /** What changing it costs, whole hundredths of the house's money, the worth of its minutes within. */
  readonly cost: number
}

export interface Change {
  /** Those to change. */
  readonly ids: readonly number[]
  readonly cost: number
  /** Chance that nothing breaks. */
  readonly holds: number
}

/** A choice within one class, as far as it counts. */
interface Partial {
  readonly cost: number
  readonly ages: number
  /** Logarithm of the chance that no new string fails for another reason. */
  readonly sound: number
  readonly ids: readonly number[]
}

/** A choice over some classes. */
interface Choice {
  readonly cost: number
  readonly logHolds: number
  readonly ids: readonly number[]
}

/**
 * The choices worth making, the cheapest first, each holding better than the one before it; the first is to change nothing.
 */
export function changesWorthMaking(rates: Rates, strings: readonly MayChange[]): readonly Change[] {
  let choices: readonly Choice[] = [{ cost: 0, logHolds: 0, ids: [] }]
  for (const lifeClass of new Set(strings.map((one) => one.lifeClass))) {
    const ofClass = choicesWithin(strings.filter((one) => one.lifeClass === lifeClass)).map(
      ({ cost, ages, sound, ids }): Choice => ({
        cost,
        logHolds: Math.log(chanceOfNone(rates[lifeClass], ages)) + sound,
        ids,
      }),
    )
    choices = unbeaten(
      choices.flatMap((one) =>
        ofClass.map((other) => ({
          cost: one.cost + other.cost,
          logHolds: one.logHolds + other.logHolds,
          ids: [...one.ids, ...other.ids],
        })),
      ),
    )
  }
  return choices.map(({ cost, logHolds, ids }) => ({
    cost,
    holds: Math.exp(logHolds),
    ids: [...ids].sort((a, b) => a - b),
  }))
}

/** Of strings that cost and fail the same, those that gain most are changed first; so a count of each kind says it all. */
function choicesWithin(strings: readonly MayChange[]): readonly Partial[] {
  const kinds = new Map<string, MayChange[]>()
  for (const one of strings) {
    const kind = `${one.cost} ${one.failsIfChanged}`
    kinds.set(kind, [...(kinds.get(kind) ?? []), one])
  }
  const leftAll = strings.reduce((sum, { agesIfLeft }) => sum + agesIfLeft, 0)
  let choices: readonly Partial[] = [{ cost: 0, ages: leftAll, sound: 0, ids: [] }]
  for (const kind of kinds.values()) {
    const byGain = kind.filter((one) => gain(one) > 0).sort((a, b) => gain(b) - gain(a) || a.id - b.id)
    const firsts = byGain.reduce<Partial[]>(
      (all, { id, cost, failsIfChanged, ...one }) => {
        const last = requireValue(all.at(-1))
        return [
          ...all,
          {
            cost: last.cost + cost,
            ages: last.ages - gain(one),
            sound: last.sound + Math.log1p(-failsIfChanged),
            ids: [...last.ids, id],
          },
        ]
      },
      [{ cost: 0, ages: 0, sound: 0, ids: [] }],
    )
    choices = undominated(
      choices.flatMap((one) =>
        firsts.map((other) => ({
          cost: one.cost + other.cost,
          ages: one.ages + other.ages,
          sound: one.sound + other.sound,
          ids: [...one.ids, ...other.ids],
        })),
      ),
    )
  }
  return choices
}

const gain = ({ agesIfLeft, agesIfChanged }: Pick<MayChange, 'agesIfLeft' | 'agesIfChanged'>) =>
  agesIfLeft - agesIfChanged

/** Choices that no other beats in cost, ageing and soundness at once. */
function undominated(choices: readonly Partial[]): readonly Partial[] {
  const sorted = [...choices].sort((a, b) => a.cost - b.cost || a.ages - b.ages || b.sound - a.sound)
  const kept: Partial[] = []
  for (const one of sorted)
    if (!kept.some(({ ages, sound }) => ages <= one.ages && sound >= one.sound)) kept.push(one)
  return kept
}

/** Choices each of which holds better than all that cost no more. */
function unbeaten(choices: readonly Choice[]): readonly Choice[] {
  const kept: Choice[] = []
  for (const one of [...choices].sort((a, b) => a.cost - b.cost || b.logHolds - a.logHolds))
    if (one.logHolds > (kept.at(-1)?.logHolds ?? -Infinity)) kept.push(one)
  return kept
}

/** The cheapest choice that holds with the chance wanted; null where none does. */
export function cheapestThatHolds(changes: readonly Change[], chance: number): Change | null {
  return changes.find(({ holds }) => holds >= chance) ?? null
}
