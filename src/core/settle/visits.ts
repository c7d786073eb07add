/**
 * The visits to make to settling strings until a date: as few as keep every string within a tolerance, at hours when someone
 * is there, each visit for as many strings as need it.
 */
import { itemAt } from '../list/item-at'
import { HOUR } from '../units/time'
import { driftCents, type DriftModel } from './drift'

/** A string as the plan takes it. */
export interface VisitedString {
  readonly id: string
  readonly law: DriftModel
  /** When it was fitted, ms. */
  readonly fittedAt: number
  /** When it was last tuned, ms, and where it was left, cents. */
  readonly tunedAt: number
  readonly left: number
}

/** A string at a visit. */
export interface Touch {
  readonly id: string
  /** Where it will stand when the hand comes, cents. */
  readonly found: number
  /** Where it would stand at the next visit, or at the end, if it were left alone, cents. */
  readonly otherwise: number
  /** Where to leave it, cents: sharp by half of what it falls until it is touched again. */
  readonly leave: number
}

export interface Visit {
  readonly at: number
  readonly touches: readonly Touch[]
}

export interface VisitPlan {
  readonly visits: readonly Visit[]
  /** What the strings are out of tolerance by at the worst, cents, because nobody is there in time; zero where all are kept. */
  readonly over: number
  /** How far any string stands from its pitch at the worst, cents, from the first visit on. */
  readonly worst: number
}

interface VisitsAsked {
  readonly strings: readonly VisitedString[]
  /** Times when a hand could come, ms, in order. */
  readonly slots: readonly number[]
  /** The date, ms, and how long it lasts, h. */
  readonly until: number
  readonly hours: number
  /** How far a string may stray meanwhile, and through the date, cents. */
  readonly keepWithin: number
  readonly holdWithin: number
}

/** What a cent that a string strays too far counts, in visits: two of them are worth going for. */
const OVER_COSTS = 0.5

/**
 * The exact optimum: between one visit and the next every string may fall by twice the tolerance, for it is left sharp by
 * half of it; what it falls by more costs more than a visit as soon as a hand could hear it. Falls only grow with time, so that whoever
 * comes at all sees to every string that needs it: the plan is a shortest way through the slots.
 *
 * @returns the visits; of plans with as many, the one whose last visit is the nearest to the date
 */
export function planVisits(asked: VisitsAsked): VisitPlan {
  const { until, hours } = asked
  const slots = asked.slots.filter((at) => at < until)
  const end = until + hours * HOUR
  const last = slots.length
  const { over, overNow } = strays(asked, slots, end)
  const cost: number[] = []
  const before: (number | null)[] = []
  // From this slot on nothing strays until the one that is looked at; it only moves on, for strings only fall.
  let free = 0
  for (let to = 0; to <= last; to += 1) {
    while (free < to && over(free, to, 1e-9) > 0) free += 1
    let best = overNow(to)
    let from: number | null = null
    for (let i = to - 1; i >= 0; i -= 1) {
      const strayed = i >= free ? 0 : over(i, to, best)
      // From an earlier visit they stray further, and that visit costs one as well.
      if (strayed + 1 >= best) break
      const way = itemAt(cost, i) + strayed
      if (way < best - 1e-9) [best, from] = [way, i]
    }
    cost.push(best + (to === last ? 0 : 1))
    before.push(from)
  }
  const chosen: number[] = []
  for (let at = before[last] ?? null; at !== null; at = before[at] ?? null) chosen.unshift(at)
  return touched(
    asked,
    chosen.map((i) => itemAt(slots, i)),
    end,
  )
}

/** Slots that a plan of few visits is chosen from: more of them would not be told apart by ear. */
const TRIED = 96

/**
 * The best that so many visits and no more can do: what strings stray by beyond the tolerances is the least.
 *
 * @param most - visits
 */
export function planWithFewer(asked: VisitsAsked, most: number): VisitPlan {
  const { until, hours } = asked
  const open = asked.slots.filter((at) => at < until)
  const every = Math.max(1, Math.ceil(open.length / TRIED))
  // Counted back from the last: the visit before the date is the one that must not move.
  const slots = open.filter((_, i) => (open.length - 1 - i) % every === 0)
  const end = until + hours * HOUR
  const last = slots.length
  const { over, overNow } = strays(asked, slots, end)
  let cost = Array.from({ length: last + 1 }, (_, to) => overNow(to))
  let way: readonly (readonly number[])[] = cost.map(() => [])
  for (let visits = 1; visits <= most; visits += 1) {
    const [costBefore, wayBefore] = [cost, way]
    const best = costBefore.map((none, to) => {
      let [least, through] = [none, itemAt(wayBefore, to)]
      for (let from = to - 1; from >= 0; from -= 1) {
        const so = itemAt(costBefore, from) + over(from, to, least)
        if (so < least - 1e-9) [least, through] = [so, [...itemAt(wayBefore, from), from]]
      }
      return { least, through }
    })
    cost = best.map(({ least }) => least)
    way = best.map(({ through }) => through)
  }
  return touched(
    asked,
    itemAt(way, last).map((i) => itemAt(slots, i)),
    end,
  )
}

/** What strings stray by beyond the tolerances between slots, weighed in visits; the last slot's next is the end. */
function strays({ strings, keepWithin, holdWithin }: VisitsAsked, slots: readonly number[], end: number) {
  const last = slots.length
  // Falls between slots are differences of what a string has fallen by each: worked out once, for there are many pairs.
  const fallen = strings
    // One that stays within what is allowed from now until the end never costs anything.
    .filter(
      (string) =>
        Math.abs(string.left) + fallBetween(string, string.tunedAt, end) > Math.min(keepWithin, holdWithin),
    )
    .map((string) => ({
      left: string.left,
      by: Float64Array.from([...slots, end], (at) => fallBetween(string, string.tunedAt, at)),
    }))
  const allowed = (to: number) => (to === last ? Math.min(keepWithin, holdWithin) : keepWithin)
  // What it costs that strings stray too far from one visit until the next: left sharp by half, or by as much as may be.
  const over = (from: number, to: number, most: number): number => {
    const falls = 2 * allowed(to)
    let sum = 0
    for (const { by } of fallen) {
      sum += OVER_COSTS * Math.max(0, itemAt(by, to) - itemAt(by, from) - falls)
      if (sum >= most) break
    }
    return sum
  }
  // The same from now until the first visit: each stands as it was left.
  const overNow = (to: number): number =>
    OVER_COSTS *
    fallen.reduce((sum, { left, by }) => sum + Math.max(0, Math.abs(left - itemAt(by, to)) - allowed(to)), 0)
  return { over, overNow }
}

/** What a string falls by between two times, cents. */
function fallBetween({ law, fittedAt }: VisitedString, from: number, to: number): number {
  const age = (at: number) => Math.max(0, (at - fittedAt) / HOUR)
  return -driftCents(law, age(from), Math.max(age(from), age(to)))
}

/** Which strings are touched at which visit: each only when it can't wait for the next. */
function touched(
  { strings, keepWithin, holdWithin }: VisitsAsked,
  visits: readonly number[],
  end: number,
): VisitPlan {
  const touches = visits.map((): Touch[] => [])
  const stops = [...visits, end]
  const within = (stop: number) => (stop === end ? Math.min(keepWithin, holdWithin) : keepWithin)
  let over = 0
  let worst = 0
  for (const string of strings) {
    let { tunedAt, left } = string
    let isTouched = false
    const standsAt = (at: number) => left - fallBetween(string, tunedAt, at)
    for (const [i, at] of visits.entries()) {
      const found = standsAt(at)
      worst = Math.max(worst, Math.abs(found))
      const next = itemAt(stops, i + 1)
      const otherwise = standsAt(next)
      // Nobody was there in time. Where it stands before anyone came is not the plan's doing.
      if (isTouched) over = Math.max(over, Math.abs(found) - keepWithin)
      if (Math.abs(otherwise) <= within(next)) continue
      const fall = (stop: number) => fallBetween(string, at, stop)
      const reached = stops.findLast((stop) => stop > at && fall(stop) / 2 <= within(stop)) ?? next
      const leave = Math.min(fall(reached) / 2, within(reached))
      touches[i]?.push({ id: string.id, found, otherwise, leave })
      ;[tunedAt, left, isTouched] = [at, leave, true]
    }
    over = Math.max(over, Math.abs(standsAt(end)) - holdWithin)
    worst = Math.max(worst, Math.abs(standsAt(end)))
  }
  return {
    visits: visits.flatMap((at, i): Visit[] => {
      const here = touches[i] ?? []
      return here.length === 0 ? [] : [{ at, touches: here }]
    }),
    over: Math.max(0, over),
    worst,
  }
}
