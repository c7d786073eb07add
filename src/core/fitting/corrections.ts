/**
 * What a house's own fittings say of its predictions, learned in levels: this kind of pin and fastening, the family, the house.
 * A kind with few fittings leans on its family, a family on the house, and the house on the sum as it is worked out.
 */

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
  readonly house: number
}

/** `3 of its own, 9 of its family, 12 of the house` */
export function restsOn({ kind, family, house }: RestsOn): string {
  return `${kind === 0 ? 'none' : kind} of its own, ${family} of its family, ${house} of the house`
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

const NONE: Correction = { by: 0, from: { kind: 0, family: 0, house: 0 } }
export const NO_CORRECTIONS: Corrections = { wraps: NONE, cut: NONE }

/** Fittings whose errors scatter as widely as kinds differ from one another: a kind with so many leans half on its family. */
const SCATTER = 3
/** An error further out than this is a slip of the pen, not a habit: wraps, and m. */
const SANE = { wraps: 3, cut: 0.15 } as const

/** What was learned, ready to be asked for any kind. */
export interface Learned {
  correctionsFor(kind: FittingKind): Corrections
  /** Every kind that was fitted, the most fitted first. */
  readonly kinds: readonly FittingKind[]
}

/**
 * Learns from a house's fittings by partial pooling. Levels are taken to differ from the one above as widely as each other,
 * and single fittings to scatter {@link SCATTER} times as widely in variance.
 *
 * @param fittings - of one house; those that lack a figure are left out for it
 */
export function learn(fittings: readonly Measured[]): Learned {
  const wraps = levels(fittings.flatMap((f) => error(f.kind, f.wraps, f.predictedWraps, SANE.wraps)))
  const cut = levels(fittings.flatMap((f) => error(f.kind, f.cut, f.predictedCut, SANE.cut)))
  const counts = new Map<string, { kind: FittingKind; count: number }>()
  for (const { kind } of fittings)
    counts.set(keyOf(kind), { kind, count: (counts.get(keyOf(kind))?.count ?? 0) + 1 })
  const kinds = [...counts.values()].sort((a, b) => b.count - a.count).map(({ kind }) => kind)
  return { kinds, correctionsFor: (kind) => ({ wraps: wraps(kind), cut: cut(kind) }) }
}

interface Off {
  readonly kind: FittingKind
  readonly off: number
}

function error(
  kind: FittingKind,
  measured: number | null,
  predicted: number | null,
  sane: number,
): readonly Off[] {
  if (measured === null || predicted === null) return []
  const off = measured - predicted
  return Math.abs(off) <= sane ? [{ kind, off }] : []
}

const keyOf = ({ instrument, head, tail }: FittingKind) => `${instrument}|${head}|${tail}`

interface Group {
  readonly count: number
  readonly mean: number
}

function grouped(all: readonly Off[], key: (kind: FittingKind) => string): ReadonlyMap<string, Group> {
  const groups = new Map<string, { count: number; sum: number }>()
  for (const { kind, off } of all) {
    const group = groups.get(key(kind)) ?? { count: 0, sum: 0 }
    groups.set(key(kind), { count: group.count + 1, sum: group.sum + off })
  }
  return new Map([...groups].map(([name, { count, sum }]) => [name, { count, mean: sum / count }]))
}

/** How much a group says of the level above it: a single fitting little, many fittings no more than one group can. */
const weight = ({ count }: Group) => count / (count + SCATTER)

/** The mean of a level from its groups, leaning on the level above as on one more group. */
function levelMean(groups: readonly Group[], above: number): number {
  const weights = groups.map(weight)
  return (
    (groups.reduce((sum, { mean }, i) => sum + mean * (weights[i] as number), 0) + above) /
    (weights.reduce((sum, w) => sum + w, 0) + 1)
  )
}

function levels(all: readonly Off[]): (kind: FittingKind) => Correction {
  const kinds = grouped(all, keyOf)
  const kindsOf = new Map<string, Set<string>>()
  for (const { kind } of all)
    kindsOf.set(kind.family, (kindsOf.get(kind.family) ?? new Set<string>()).add(keyOf(kind)))
  const groupsOf = (family: string) => [...(kindsOf.get(family) ?? [])].map((key) => kinds.get(key) as Group)
  const families = grouped(all, ({ family }) => family)
  // 1. The house, from its families: each counts as one, however much of it is fitted.
  const house = levelMean([...families.values()], 0)
  // 2. Each family from its kinds, leaning on the house; each kind from its fittings, leaning on its family.
  return (kind) => {
    const family = levelMean(groupsOf(kind.family), house)
    const own = kinds.get(keyOf(kind))
    const share = own ? weight(own) : 0
    return {
      by: share * (own?.mean ?? 0) + (1 - share) * family,
      from: { kind: own?.count ?? 0, family: families.get(kind.family)?.count ?? 0, house: all.length },
    }
  }
}
