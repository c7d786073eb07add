/**
 * What a house's own fittings say of its predictions, learned in levels: this kind of pin and fastening, the family, the house.
 * A kind with few fittings leans on its family, a family on the house, and the house on the sum as it is worked out.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

/** One fitting: what was worked out before any correction, and what was measured. Lengths in m. */
export interface Measured {
  /** Its pin and fastening on its instrument, and its family: see {@link kindOf}. */
  readonly kind: FittingKind
  readonly predictedWraps: number | null
  readonly wraps: number | null
  readonly predictedCut: number | null
  readonly cut: number | null
}

export interface FittingKind {
  readonly instrument: string
  readonly family: string
  readonly head: string
  readonly tail: string
}

/** Fittings that a correction rests on, by level; each holds those of the level before. */
export interface RestsOn {
  readonly kind: number
  readonly family: number
  readonly workshop: number
}

/** `3 of its own, 9 of its family, 12 of the house` */
export function restsOn({ kind, family, workshop }: RestsOn): string {
  return `${kind === 0 ? 'none' : kind} of its own, ${family} of its family, ${workshop} of the house`
}

export interface Correction {
  /** More than worked out; negative for less. Wraps, or m. */
  readonly by: number
  readonly from: RestsOn
}

export interface Corrections {
  readonly wraps: Correction
  readonly cut: Correction
}

const NONE: Correction = { by: 0, from: { kind: 0, family: 0, workshop: 0 } }
export const NO_CORRECTIONS: Corrections = { wraps: NONE, cut: NONE }

/** Fittings whose errors scatter as widely as kinds differ from one another: a kind with so many leans half on its family. */
const SCATTER = 3
/** An error further out than this is a slip of the pen, not a habit: wraps, and m. */
export const SANE = { wraps: 3, cut: 0.15 } as const

/** What was learned, ready to be asked for any kind. */
export interface Learned {
  correctionsFor(kind: FittingKind): Corrections
  /** Every kind that was fitted, the most fitted first. */
  readonly kinds: readonly FittingKind[]
}

/** How far the fittings of one kind came out from what was worked out, summed up; errors beyond {@link SANE} left out. */
export interface SummedKind {
  readonly kind: FittingKind
  readonly fittings: number
  /** Sum of the errors: wraps, and m. */
  readonly wraps: Summed
  readonly cut: Summed
}

interface Summed {
  readonly count: number
  readonly off: number
}

/** Sums a house's fittings up by their kind; those that lack a figure are left out for it. */
export function summedUp(fittings: readonly Measured[]): readonly SummedKind[] {
  return gathered(
    fittings.map((f) => ({
      kind: f.kind,
      fittings: 1,
      wraps: error(f.wraps, f.predictedWraps, SANE.wraps),
      cut: error(f.cut, f.predictedCut, SANE.cut),
    })),
  )
}

/** One sum for each kind. */
export function gathered(parts: readonly SummedKind[]): readonly SummedKind[] {
  const kinds = new Map<string, SummedKind>()
  for (const part of parts) {
    const had = kinds.get(keyOf(part.kind))
    kinds.set(
      keyOf(part.kind),
      had
        ? {
            kind: part.kind,
            fittings: had.fittings + part.fittings,
            wraps: plus(had.wraps, part.wraps),
            cut: plus(had.cut, part.cut),
          }
        : part,
    )
  }
  return [...kinds.values()]
}

/**
 * Learns from what a house's fittings came to, by partial pooling. Levels are taken to differ from the one above as widely
 * as each other, and single fittings to scatter {@link SCATTER} times as widely in variance.
 *
 * @param kinds - each once
 */
export function learn(kinds: readonly SummedKind[]): Learned {
  const wraps = levels(kinds.map(({ kind, wraps: sum }) => ({ kind, sum })))
  const cut = levels(kinds.map(({ kind, cut: sum }) => ({ kind, sum })))
  return {
    kinds: [...kinds].sort((a, b) => b.fittings - a.fittings).map(({ kind }) => kind),
    correctionsFor: (kind) => ({ wraps: wraps(kind), cut: cut(kind) }),
  }
}

function error(measured: number | null, predicted: number | null, sane: number): Summed {
  if (measured === null || predicted === null) return { count: 0, off: 0 }
  const off = measured - predicted
  return Math.abs(off) <= sane ? { count: 1, off } : { count: 0, off: 0 }
}

const plus = (a: Summed, b: Summed): Summed => ({ count: a.count + b.count, off: a.off + b.off })

const keyOf = ({ instrument, head, tail }: FittingKind) => `${instrument}|${head}|${tail}`

interface Group {
  readonly count: number
  readonly mean: number
}

const groupOf = ({ count, off }: Summed): Group => ({ count, mean: off / count })

/** How much a group says of the level above it: a single fitting little, many fittings no more than one group can. */
const weight = ({ count }: Group) => count / (count + SCATTER)

/** The mean of a level from its groups, leaning on the level above as on one more group. */
function levelMean(groups: readonly Group[], above: number): number {
  const weights = groups.map(weight)
  return (
    (groups.reduce((sum, { mean }, i) => sum + mean * itemAt(weights, i), 0) + above) /
    (weights.reduce((sum, w) => sum + w, 0) + 1)
  )
}

function levels(
  all: readonly { readonly kind: FittingKind; readonly sum: Summed }[],
): (kind: FittingKind) => Correction {
  const measured = all.filter(({ sum }) => sum.count > 0)
  const kinds = new Map(measured.map(({ kind, sum }) => [keyOf(kind), groupOf(sum)]))
  const groupsOf = new Map<string, Group[]>()
  const familySums = new Map<string, Summed>()
  for (const { kind, sum } of measured) {
    groupsOf.set(kind.family, [...(groupsOf.get(kind.family) ?? []), requireValue(kinds.get(keyOf(kind)))])
    familySums.set(kind.family, plus(familySums.get(kind.family) ?? { count: 0, off: 0 }, sum))
  }
  // 1. The house, from its families: each counts as one, however much of it is fitted.
  const workshop = levelMean([...familySums.values()].map(groupOf), 0)
  const count = measured.reduce((sum, one) => sum + one.sum.count, 0)
  // 2. Each family from its kinds, leaning on the house; each kind from its fittings, leaning on its family.
  return (kind) => {
    const family = levelMean(groupsOf.get(kind.family) ?? [], workshop)
    const own = kinds.get(keyOf(kind))
    const share = own ? weight(own) : 0
    return {
      by: share * (own?.mean ?? 0) + (1 - share) * family,
      from: { kind: own?.count ?? 0, family: familySums.get(kind.family)?.count ?? 0, workshop: count },
    }
  }
}
