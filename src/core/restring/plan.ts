/**
 * The plan of a restring: into which goes the pieces are put, so that setting out and retuning take least time while the frame
 * keeps its load. Few pieces are planned exactly, over all sets of them; many are improved as long as they can be, and how far the
 * plan can be from the best possible is told.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { seeded } from '../random/seeded'
import { passedFirst } from './passed-first'
import { Batches, POSITIONS, type Bench, type Batch } from './batch'

export interface RestringPlan {
  readonly batches: readonly Batch[]
  /** Setting out and retuning, min. */
  readonly minutes: number
  /** No plan takes less, min. */
  readonly bound: number
  /** Nothing better is possible. */
  readonly isProven: boolean
}

/** Up to so many pieces every set of them is looked at. */
const EXACT_UP_TO = 13
/** Times that the search begins anew with many. */
const STARTS = 24

/** Told how much is done; answers whether to go on. */
export type Progress = (done: number, of: number) => boolean

/**
 * @param exactUpTo - with more pieces it is searched and not proven
 * @returns null where it was stopped
 * @throws RangeError with a sentence where layers run in a circle
 */
export function planRestring(
  bench: Bench,
  progress: Progress = () => true,
  exactUpTo = EXACT_UP_TO,
): RestringPlan | null {
  const batches = new Batches(bench)
  return bench.changed.length <= exactUpTo ? exactly(batches) : improved(batches, progress)
}

/** A plan that somebody else made: its goes in their order, each brought up in the order given. */
export function planOf(
  batches: Batches,
  goes: readonly (readonly number[])[],
): Omit<RestringPlan, 'bound' | 'isProven'> {
  const all = goes.map((ids) => batches.batch(ids))
  return { batches: all, minutes: all.reduce((sum, { minutes }) => sum + minutes, 0) }
}

/** By all sets: the best order of each, then the best way to part them all. */
function exactly(batches: Batches): RestringPlan {
  const ids = batches.bench.changed.map(({ id }) => id)
  const n = ids.length
  const all = 2 ** n
  const pick = (mask: number) => ids.filter((_, i) => mask & (1 << i))
  // 1. What every set loses in its best order, and which piece that brings up last.
  const lost = new Float64Array(all).fill(Infinity)
  const last = new Int8Array(all).fill(-1)
  lost[0] = 0
  const over = ids.map((id) =>
    ids.reduce((mask, other, i) => (batches.goesBefore(id, other) ? mask | (1 << i) : mask), 0),
  )
  for (let mask = 1; mask < all; mask += 1)
    for (let j = 0; j < n; j += 1) {
      if (!(mask & (1 << j))) continue
      const rest = mask & ~(1 << j)
      // What lies over the last is brought up after it: there must be none.
      if (itemAt(over, j) & rest) continue
      let cents = itemAt(lost, rest)
      for (let i = 0; i < n; i += 1)
        if (rest & (1 << i)) cents += batches.bench.lost(itemAt(ids, i), itemAt(ids, j))
      if (cents < itemAt(lost, mask)) {
        lost[mask] = cents
        last[mask] = j
      }
    }
  if (lost[all - 1] === Infinity)
    throw new RangeError('The layers of these strings run in a circle: none can be the first.')
  // 2. Which sets can be one go. What can't be parted is one, whatever it takes off the frame.
  const units = new Set(unitsOf(batches).map((unit) => [...unit].sort((a, b) => a - b).join()))
  const isUnit = (set: readonly number[]) => units.has([...set].sort((a, b) => a - b).join())
  const minutes = new Float64Array(all).fill(Infinity)
  for (let mask = 1; mask < all; mask += 1) {
    const set = pick(mask)
    if (!batches.isReachable(set)) continue
    if (batches.isAllowed(set) || isUnit(set))
      minutes[mask] = batches.settingOut(set) + batches.minutesFor(itemAt(lost, mask))
  }
  // 3. The best way to part them all into goes.
  const crossing = ids.map((id) =>
    ids.reduce((mask, other, i) => (batches.piece(id).crossing.includes(other) ? mask | (1 << i) : mask), 0),
  )
  const go =
    partedBest(minutes, crossing) ??
    requireValue(
      partedBest(
        minutes,
        crossing.map(() => 0),
      ),
    )
  const goes: (readonly number[])[] = []
  for (let mask = all - 1; mask > 0; mask ^= itemAt(go, mask)) {
    const order: number[] = []
    for (let set = itemAt(go, mask); set > 0; set &= ~(1 << itemAt(last, set)))
      order.unshift(itemAt(ids, itemAt(last, set)))
    goes.push(order)
  }
  const plan = planOf(batches, inTheirOrder(batches, goes))
  return { ...plan, bound: plan.minutes, isProven: true }
}

/**
 * The best way to part every set: what goes last, and the rest before it. What crosses a string is never new when the string is
 * changed.
 *
 * @param minutes - of every set as one go
 * @param crossing - what crosses each piece, as sets
 * @returns the last go of every set; null where they can't all be parted so
 */
function partedBest(minutes: Float64Array, crossing: readonly number[]): Int32Array | null {
  const all = minutes.length
  const crosses = new Int32Array(all)
  for (let mask = 1; mask < all; mask += 1) {
    const low = mask & -mask
    crosses[mask] = itemAt(crosses, mask ^ low) | itemAt(crossing, 31 - Math.clz32(low))
  }
  const best = new Float64Array(all).fill(Infinity)
  const last = new Int32Array(all)
  best[0] = 0
  for (let mask = 1; mask < all; mask += 1)
    for (let rest = (mask - 1) & mask; ; rest = (rest - 1) & mask) {
      const set = mask ^ rest
      const whole = itemAt(minutes, set) + itemAt(best, rest)
      if ((itemAt(crosses, set) & rest) === 0 && whole < itemAt(best, mask)) {
        best[mask] = whole
        last[mask] = set
      }
      if (rest === 0) break
    }
  return best[all - 1] === Infinity ? null : last
}

/** Goes that hold the longest first, which take longest to settle; but no new string is loosened for another. */
function inTheirOrder(
  batches: Batches,
  goes: readonly (readonly number[])[],
): readonly (readonly number[])[] {
  const longestFirst = [...goes].sort((a, b) => longest(batches, b) - longest(batches, a))
  return passedFirst(batches, longestFirst) ?? longestFirst
}
const longest = (batches: Batches, ids: readonly number[]) =>
  Math.max(...ids.map((id) => batches.piece(id).length))

/** What can’t be parted: pieces that lie over one another, and over what the same ones lie over. */
export function unitsOf(batches: Batches): readonly (readonly number[])[] {
  const units: number[][] = []
  for (const { id } of batches.bench.changed) {
    const stack = batches.stack(id)
    const joined = units.filter((unit) => unit.some((one) => stack.includes(one)))
    const all = [...new Set([...joined.flat(), ...stack])]
    for (const unit of joined) units.splice(units.indexOf(unit), 1)
    units.push(all)
  }
  return units
}

/** Begun from different partings, improved by moving and swapping units until nothing helps. */
function improved(batches: Batches, progress: Progress): RestringPlan | null {
  const units = [...unitsOf(batches)].sort((a, b) => placeOf(batches, a) - placeOf(batches, b))
  const cost = unitCosts(batches, units)
  const least = leastGoes(batches, units)
  const random = seeded(units.length)
  let best: Parting | null = null
  for (let start = 0; start < STARTS; start += 1) {
    if (!progress(start, STARTS)) return null
    const many = Math.min(units.length, least + (start % Math.max(1, Math.ceil(STARTS / 3))))
    const parting = new Parting(batches, units, cost, many, start < STARTS / 2 ? null : random)
    parting.improve()
    if (!best || parting.minutes < best.minutes - 1e-9) best = parting
  }
  const goes = requireValue(best).goes.map((ids) => batches.inOrder(ids))
  const plan = planOf(batches, inTheirOrder(batches, goes))
  const bound = Math.min(plan.minutes, boundOf(batches, units, cost, least))
  progress(STARTS, STARTS)
  return { ...plan, bound, isProven: plan.minutes - bound < 1e-9 }
}

const placeOf = (batches: Batches, unit: readonly number[]) =>
  unit.reduce((sum, id) => sum + batches.piece(id).at, 0) / unit.length

/** What two units cost each other in one go, min, in the better order of each pair. */
function unitCosts(batches: Batches, units: readonly (readonly number[])[]): readonly Float64Array[] {
  const { lost } = batches.bench
  return units.map((one) =>
    Float64Array.from(units, (other) =>
      one === other
        ? 0
        : batches.minutesFor(
            one.reduce(
              (sum, a) => sum + other.reduce((all, b) => all + Math.min(lost(a, b), lost(b, a)), 0),
              0,
            ),
          ),
    ),
  )
}

/**
 * The fewest goes that the load allows. A unit that is too much by itself has a go of its own. Of units that pull more than some
 * part of what a go may take off, only so many fit in one: the best such part tells.
 */
function leastGoes(batches: Batches, units: readonly (readonly number[])[]): number {
  const { pieces, allowed } = batches.bench
  const room = Math.max(1e-9, (1 - allowed.share) * pieces.reduce((sum, { tension }) => sum + tension, 0))
  const pulls = units.map((ids) => ids.reduce((sum, id) => sum + batches.piece(id).tension, 0))
  const parted = pulls.filter((pull) => pull <= room + 1e-9)
  let least = Math.ceil(parted.reduce((a, b) => a + b, 0) / room - 1e-9)
  for (let fit = 1; fit < parted.length; fit += 1) {
    // So many and one more of these never fit together.
    const big = parted.filter((pull) => pull > room / (fit + 1) + 1e-9).length
    least = Math.max(least, Math.ceil(big / fit))
  }
  return Math.max(1, least + pulls.length - parted.length)
}

/**
 * No parting costs less. With so many goes, of any so many neighbours and one more two are in one go, and every pair is counted
 * no oftener than there are such runs that hold it.
 */
function boundOf(
  batches: Batches,
  units: readonly (readonly number[])[],
  cost: readonly Float64Array[],
  least: number,
): number {
  // Each go sets out once where all are fastened inside; one at least where any is.
  const inside = batches.bench.changed.filter((piece) => piece.inside).length
  const allInside = inside === batches.bench.changed.length
  let best = Infinity
  for (let goes = least; goes <= units.length; goes += 1) {
    let minutes = allInside ? goes * POSITIONS : inside > 0 ? POSITIONS : 0
    for (let from = 0; from + goes < units.length; from += 1) {
      let cheapest = Infinity
      for (let i = from; i <= from + goes; i += 1)
        for (let j = i + 1; j <= from + goes; j += 1)
          cheapest = Math.min(cheapest, itemAt(itemAt(cost, i), j) / (goes + 1 - (j - i)))
      minutes += cheapest
    }
    best = Math.min(best, minutes)
  }
  return best
}

/** Units parted into goes; what it costs is kept as units are moved. */
class Parting {
  private readonly goOf: number[]
  private readonly members: number[][]
  private readonly set: number[]

  constructor(
    private readonly batches: Batches,
    private readonly units: readonly (readonly number[])[],
    private readonly cost: readonly Float64Array[],
    many: number,
    random: (() => number) | null,
  ) {
    this.members = Array.from({ length: many }, () => [])
    this.goOf = units.map(() => 0)
    const order = units.map((_, i) => i)
    if (random) order.sort(() => random() - 0.5)
    // Spread along the board: each go takes every so-manieth; one that is full passes it on, and where all are, a new one begins.
    order.forEach((unit, i) => {
      for (let tried = 0; tried < this.members.length; tried += 1) {
        const go = (i + tried) % this.members.length
        if (this.fits([...itemAt(this.members, go), unit])) return this.put(unit, go)
      }
      this.members.push([])
      this.put(unit, this.members.length - 1)
    })
    this.members = this.members.filter((go) => go.length > 0)
    this.members.forEach((go, g) => go.forEach((unit) => (this.goOf[unit] = g)))
    this.set = this.members.map((go) => this.settingOut(go))
  }

  get goes(): readonly (readonly number[])[] {
    return this.members.filter((go) => go.length > 0).map((go) => this.idsOf(go))
  }

  get minutes(): number {
    return this.members.reduce(
      (sum, go) =>
        sum +
        (go.length === 0 ? 0 : this.settingOut(go)) +
        go.reduce((all, a, i) => all + go.slice(i + 1).reduce((own, b) => own + this.between(a, b), 0), 0),
      0,
    )
  }

  /** Moves a unit to another go or one of its own, or swaps two, as long as that saves time. */
  improve(): void {
    for (let better = true; better;) {
      better = false
      for (let unit = 0; unit < this.units.length; unit += 1) if (this.moveOne(unit)) better = true
      for (let a = 0; a < this.units.length; a += 1)
        for (let b = a + 1; b < this.units.length; b += 1) if (this.swap(a, b)) better = true
    }
  }

  private put(unit: number, go: number): void {
    this.members[go]?.push(unit)
    this.goOf[unit] = go
  }

  private idsOf(go: readonly number[]): readonly number[] {
    return go.flatMap((unit) => itemAt(this.units, unit))
  }

  private between(a: number, b: number): number {
    return itemAt(itemAt(this.cost, a), b)
  }

  private fits(go: readonly number[]): boolean {
    return go.length === 1 || this.batches.isAllowed(this.idsOf(go))
  }

  private settingOut(go: readonly number[]): number {
    return go.length === 0 ? 0 : this.batches.settingOut(this.idsOf(go))
  }

  private withOthers(unit: number, go: readonly number[]): number {
    return go.reduce((sum, other) => (other === unit ? sum : sum + this.between(unit, other)), 0)
  }

  private moveOne(unit: number): boolean {
    const from = itemAt(this.goOf, unit)
    const left = itemAt(this.members, from).filter((one) => one !== unit)
    // What stays may lie too far to one side without it.
    if (left.length > 0 && !this.fits(left)) return false
    const saved = this.withOthers(unit, left) + itemAt(this.set, from) - this.settingOut(left)
    let [best, at] = [1e-9, -1]
    for (let go = 0; go <= this.members.length; go += 1) {
      if (go === from) continue
      const there = this.members[go] ?? []
      if (there.length === 0 && left.length === 0) continue
      const now = [...there, unit]
      const gains = saved - this.withOthers(unit, there) - (this.settingOut(now) - (this.set[go] ?? 0))
      if (gains > best && this.fits(now)) [best, at] = [gains, go]
    }
    if (at < 0) return false
    if (at === this.members.length) this.members.push([])
    this.members[from] = left
    this.members[at]?.push(unit)
    this.goOf[unit] = at
    this.set[from] = this.settingOut(left)
    this.set[at] = this.settingOut(itemAt(this.members, at))
    return true
  }

  private swap(a: number, b: number): boolean {
    const [goA, goB] = [itemAt(this.goOf, a), itemAt(this.goOf, b)]
    if (goA === goB) return false
    const withoutA = itemAt(this.members, goA).filter((one) => one !== a)
    const withoutB = itemAt(this.members, goB).filter((one) => one !== b)
    const gains =
      this.withOthers(a, withoutA) +
      this.withOthers(b, withoutB) -
      this.withOthers(b, withoutA) -
      this.withOthers(a, withoutB)
    if (gains <= 1e-9) return false
    const [nowA, nowB] = [
      [...withoutA, b],
      [...withoutB, a],
    ]
    const sets = [this.settingOut(nowA), this.settingOut(nowB)] as const
    if (gains + itemAt(this.set, goA) + itemAt(this.set, goB) - sets[0] - sets[1] <= 1e-9) return false
    if (!this.fits(nowA) || !this.fits(nowB)) return false
    ;[this.members[goA], this.members[goB]] = [nowA, nowB]
    ;[this.goOf[a], this.goOf[b]] = [goB, goA]
    ;[this.set[goA], this.set[goB]] = sets
    return true
  }
}
