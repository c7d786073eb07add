'use client'

import { useMemo, useState } from 'react'
import { requireValue } from '@/core/list/require-value'
import type { BeforeDate, StringBefore } from '@/data/views/before-date'
import { chanceAllHold } from '@/core/wear/breaks-ahead'
import { changesWorthMaking, cheapestThatHolds, type Change, type MayChange } from '@/core/wear/change-before'
import type { Rates } from '@/core/wear/life'

/** Which strings are to be changed: ticked by hand, or taken from what is worth most. */
export function useChanges({ strings, rates, sureChance, hourMinor }: BeforeDate) {
  const known = rates as Rates
  const may = useMemo(() => strings.map((one) => mayChange(one, hourMinor)), [strings, hourMinor])
  const steps = useMemo(() => oneStringMore(changesWorthMaking(known, may)), [known, may])
  const enough = cheapestThatHolds(steps, sureChance)
  const proposed = enough ?? requireValue(steps.at(-1))
  // Until a string is ticked by hand, what is worth most is ticked: it follows the date.
  const [byHand, setTicked] = useState<ReadonlySet<number> | null>(null)
  const ticked = useMemo(() => byHand ?? new Set(proposed.ids), [byHand, proposed])
  const costOf = (ids: ReadonlySet<number>) =>
    may.reduce((sum, { id, cost }) => sum + (ids.has(id) ? cost : 0), 0)
  return {
    steps,
    proposed,
    isEnough: enough !== null,
    ticked,
    holds: holdsWith(known, may, ticked),
    cost: costOf(ticked),
    take: ({ ids }: Change) => setTicked(new Set(ids)),
    toggle: (number: number) =>
      setTicked((had) => {
        const next = new Set(had ?? ticked)
        if (!next.delete(number)) next.add(number)
        return next
      }),
  }
}

/** Whether a string can be changed and settle in time. */
export const isInTime = ({ latest, jobId, age }: StringBefore): boolean =>
  latest !== null && jobId === null && age !== null

/** What can't be changed in time is left, whatever it risks. */
function mayChange(one: StringBefore, hourMinor: number): MayChange {
  return {
    id: one.number,
    lifeClass: one.lifeClass,
    agesIfLeft: one.agesIfLeft,
    agesIfChanged: isInTime(one) ? one.agesIfChanged : one.agesIfLeft,
    failsIfChanged: isInTime(one) ? one.failsIfChanged : 0,
    cost: Math.round((one.price ?? 0) + (one.minutes / 60) * hourMinor),
  }
}

/** Of choices with as many strings the one that holds best; each with one string more than the one before it. */
function oneStringMore(changes: readonly Change[]): readonly Change[] {
  const best = new Map<number, Change>()
  for (const change of changes) {
    const had = best.get(change.ids.length)
    if (!had || change.holds > had.holds) best.set(change.ids.length, change)
  }
  return [...best.values()].sort((a, b) => a.ids.length - b.ids.length)
}

/** Chance of an evening without a break with these strings changed. */
function holdsWith(rates: Rates, may: readonly MayChange[], ids: ReadonlySet<number>): number {
  const none = chanceAllHold(
    rates,
    may.map(({ id, lifeClass, agesIfLeft, agesIfChanged }) => ({
      lifeClass,
      ages: ids.has(id) ? agesIfChanged : agesIfLeft,
    })),
  )
  return may.reduce(
    (chance, { id, failsIfChanged }) => (ids.has(id) ? chance * (1 - failsIfChanged) : chance),
    none,
  )
}
