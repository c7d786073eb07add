/**
 * What to carry: the fewest pieces that cover every break of a stretch of time with the chance wanted. A piece serves any
 * string of its kind; strings of a class share a rate, so breaks are counted at each rate that may be, exactly, and averaged.
 */
import { itemAt } from '../list/item-at'
import { bothCounts, countsAt, ratesAt, type AtRisk } from './breaks-ahead'
import type { Rates } from './life'
import { LIFE_CLASSES, type LifeClass } from './life-class'

/** A string that may break, and the kind of piece that would replace it. */
export interface MayBreak extends AtRisk {
  readonly kind: string
}

export interface Kit {
  /** Pieces by their kind; kinds of which none is carried are left out. */
  readonly pieces: ReadonlyMap<string, number>
  readonly covers: number
}

/** One of the joint rates that classes may have, and how likely each kind is to need no more than 0, 1, 2 … pieces then. */
interface World {
  readonly weight: number
  readonly upTo: readonly (readonly number[])[]
}

/** Kinds that must be counted together, since classes they serve share a rate. */
interface Together {
  readonly kinds: readonly string[]
  readonly worlds: readonly World[]
}

/** More instruments than this nobody carries for at once. */
export const MOST_TOGETHER = 12

/** The most joint rates that are gone through; where a kind joins three classes, each is taken at fewer points. */
const MOST_WORLDS = 600

/**
 * The smallest kit that covers with a chance, of those the one that covers most; null where even a piece for each string doesn't.
 */
export function smallestKit(rates: Rates, strings: readonly MayBreak[], chance: number): Kit | null {
  const groups = togethers(rates, strings)
  const enough = greedySize(groups, chance)
  if (enough === null) return null
  const whole = groups.map((group) => bestOfEach(group, enough))
  // Over all groups: the best cover with so many pieces, one group after another.
  let best: readonly { readonly covers: number; readonly counts: readonly (readonly number[])[] }[] = [
    { covers: 1, counts: [] },
  ]
  for (const ofGroup of whole) {
    const next: { covers: number; counts: readonly (readonly number[])[] }[] = []
    best.forEach(({ covers, counts }, n) => {
      ofGroup.forEach((one, m) => {
        const both = covers * one.covers
        if (both > (next[n + m]?.covers ?? -1))
          next[n + m] = { covers: both, counts: [...counts, one.counts] }
      })
    })
    best = next
  }
  const found = best.find(({ covers }) => covers >= chance)
  if (!found) return null
  const pieces = new Map<string, number>()
  groups.forEach(({ kinds }, g) => {
    kinds.forEach((kind, k) => {
      const count = found.counts[g]?.[k] ?? 0
      if (count > 0) pieces.set(kind, count)
    })
  })
  return { pieces, covers: found.covers }
}

/** The chance that a kit covers every break. */
export function coverOf(
  rates: Rates,
  strings: readonly MayBreak[],
  pieces: ReadonlyMap<string, number>,
): number {
  return togethers(rates, strings).reduce(
    (chance, { kinds, worlds }) =>
      chance *
      coverAt(
        worlds,
        kinds.map((kind) => pieces.get(kind) ?? 0),
      ),
    1,
  )
}

function coverAt(worlds: readonly World[], counts: readonly number[]): number {
  return worlds.reduce(
    (sum, { weight, upTo }) =>
      sum + upTo.reduce((chance, of, k) => chance * upToOf(of, itemAt(counts, k)), weight),
    0,
  )
}

const upToOf = (chances: readonly number[], count: number) =>
  itemAt(chances, Math.min(count, chances.length - 1))

/**
 * The best that so many pieces of a group cover, for each number of them. Kinds are taken in turn; what is left is bounded by
 * letting every world share its pieces out as suits it best, which no kit can beat.
 */
function bestOfEach(
  { kinds, worlds }: Together,
  upTo: number,
): readonly { covers: number; counts: readonly number[] }[] {
  const most = mostOf(worlds)
  const all = Math.min(
    upTo,
    most.reduce((a, b) => a + b, 0),
  )
  const found: { covers: number; counts: readonly number[] }[] = []
  let from: readonly number[] = kinds.map(() => 0)
  for (let pieces = 0; pieces <= all; pieces++) {
    // A greedy kit is nearly always the best; the search has to prove it.
    if (pieces > 0) from = onePieceMore(worlds, from, most)
    const best = { covers: coverAt(worlds, from), counts: from }
    search(worlds, most, pieces, best)
    found.push({ ...best })
    from = best.counts
    if (best.covers > 1 - 1e-12) break
  }
  return found
}

/** The most pieces of each kind that can be wanted: one for each of its strings. */
const mostOf = ([world]: readonly World[]): readonly number[] =>
  (world?.upTo ?? []).map(({ length }) => length - 1)

/** How many pieces a kit has that is filled piece by piece, each where it gains most: the smallest has no more. */
function greedySize(groups: readonly Together[], chance: number): number | null {
  const kits = groups.map(({ kinds, worlds }) => {
    const counts: readonly number[] = kinds.map(() => 0)
    return { worlds, most: mostOf(worlds), counts, covers: coverAt(worlds, counts) }
  })
  for (let pieces = 0; ; pieces++) {
    if (kits.reduce((covers, kit) => covers * kit.covers, 1) >= chance) return pieces
    let best: {
      readonly kit: (typeof kits)[number]
      readonly counts: readonly number[]
      readonly covers: number
    } | null = null
    for (const kit of kits) {
      const counts = onePieceMore(kit.worlds, kit.counts, kit.most)
      if (counts === kit.counts) continue
      const covers = coverAt(kit.worlds, counts)
      if (!best || covers / kit.covers > best.covers / best.kit.covers) best = { kit, counts, covers }
    }
    if (!best) return null
    best.kit.counts = best.counts
    best.kit.covers = best.covers
  }
}

function onePieceMore(
  worlds: readonly World[],
  from: readonly number[],
  most: readonly number[],
): readonly number[] {
  let best = from
  let covers = -1
  from.forEach((count, k) => {
    if (count >= itemAt(most, k)) return
    const more = from.with(k, count + 1)
    const of = coverAt(worlds, more)
    if (of > covers) [best, covers] = [more, of]
  })
  return best
}

/** Improves a best kit of so many pieces as long as one can be better. */
function search(
  worlds: readonly World[],
  most: readonly number[],
  pieces: number,
  best: { covers: number; counts: readonly number[] },
): void {
  const counts = most.map(() => 0)
  const chances = worlds.map(({ weight }) => weight)
  const step = (k: number, left: number, soFar: readonly number[]): void => {
    if (k === most.length) {
      const covers = soFar.reduce((a, b) => a + b, 0)
      if (left === 0 && covers > best.covers + 1e-15) {
        best.covers = covers
        best.counts = [...counts]
      }
      return
    }
    const bound = worlds.reduce((sum, world, w) => sum + itemAt(soFar, w) * bestShared(world, k, left), 0)
    if (bound <= best.covers + 1e-15) return
    for (let count = 0; count <= Math.min(left, itemAt(most, k)); count++) {
      counts[k] = count
      step(
        k + 1,
        left - count,
        soFar.map((chance, w) => chance * upToOf(worlds[w]?.upTo[k] ?? [1], count)),
      )
    }
    counts[k] = 0
  }
  step(0, pieces, chances)
}

/** The most that pieces left over can cover of the kinds from one on, in one world: the chance of a count is log-concave, so one by one is best. */
function bestShared({ upTo }: World, from: number, pieces: number): number {
  const counts = upTo.map(() => 0)
  for (let n = 0; n < pieces; n++) {
    let gains = 1
    let at = -1
    for (let k = from; k < upTo.length; k++) {
      const of = itemAt(upTo, k)
      const count = itemAt(counts, k)
      if (count + 1 >= of.length) continue
      const gain = itemAt(of, count + 1) / itemAt(of, count)
      if (gain > gains) [gains, at] = [gain, k]
    }
    if (at < 0) break
    counts[at] = itemAt(counts, at) + 1
  }
  let covers = 1
  for (let k = from; k < upTo.length; k++) covers *= upToOf(itemAt(upTo, k), itemAt(counts, k))
  return covers
}

/** Kinds by what they share: those that serve one class, and those that join two. */
function togethers(rates: Rates, strings: readonly MayBreak[]): readonly Together[] {
  const kinds = [...new Set(strings.map(({ kind }) => kind))]
  const classesOf = new Map(
    kinds.map((kind) => [
      kind,
      new Set(strings.filter((one) => one.kind === kind).map((one) => one.lifeClass)),
    ]),
  )
  const groups: { kinds: string[]; classes: Set<LifeClass> }[] = []
  for (const kind of kinds) {
    const group = { kinds: [kind], classes: new Set(classesOf.get(kind)) }
    for (let g = groups.length - 1; g >= 0; g--) {
      const other = itemAt(groups, g)
      if (![...other.classes].some((one) => group.classes.has(one))) continue
      groups.splice(g, 1)
      group.kinds = [...other.kinds, ...group.kinds]
      for (const one of other.classes) group.classes.add(one)
    }
    groups.push(group)
  }
  return groups.map((group) => ({
    kinds: group.kinds,
    worlds: worldsOf(
      rates,
      LIFE_CLASSES.filter((one) => group.classes.has(one)),
      group.kinds.map((kind) => strings.filter((one) => one.kind === kind)),
    ),
  }))
}

function worldsOf(
  rates: Rates,
  classes: readonly LifeClass[],
  byKind: readonly (readonly MayBreak[])[],
): readonly World[] {
  const points = Math.floor(MOST_WORLDS ** (1 / classes.length))
  let joint: readonly { weight: number; rates: readonly number[] }[] = [{ weight: 1, rates: [] }]
  for (const one of classes)
    joint = joint.flatMap((world) =>
      ratesAt(rates[one], points).map(({ rate, weight }) => ({
        weight: world.weight * weight,
        rates: [...world.rates, rate],
      })),
    )
  return joint.map(({ weight, rates: of }) => ({
    weight,
    upTo: byKind.map((among) => {
      const counts = classes.reduce<readonly number[]>(
        (all, one, c) =>
          bothCounts(
            all,
            countsAt(
              among
                .filter(({ lifeClass }) => lifeClass === one)
                .map(({ ages }) => -Math.expm1(-itemAt(of, c) * ages)),
            ),
          ),
        [1],
      )
      let sum = 0
      return counts.map((chance) => Math.min(1, (sum += chance)))
    }),
  }))
}
