/**
 * Proposes the gauges of a lost chart: of all ways to string the instrument with strings that can be bought, the one
 * that comes nearest to a smooth tension, keeps its sections together, and honours what was measured. Exact, by
 * dynamic programming from the shortest string to the longest.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'
import { outerGauge, type Construction } from '../strings/construction'
import { MARGIN_BOUNDS, tension, utilisation } from '../strings/tension'

/** Strings of one make, thinnest first. */
export interface MakeOnOffer {
  readonly name: string
  /** What can be had of it for a position: as many for every position, thinnest first. */
  readonly candidates: (number: number) => readonly Construction[]
}

export interface OpenPosition {
  readonly number: number
  /** Hz */
  readonly pitch: number
  /** m */
  readonly speakingLength: number
  /** N */
  readonly target: number
  /** What was measured of the string that is on, or was; null where nothing was. */
  readonly measured: {
    readonly gauge: number | null
    readonly error: number
    readonly make: string | null
  } | null
  /** A string that is known for certain and stays as it is. */
  readonly fixed: Construction | null
}

export interface Rebuilt {
  readonly strings: readonly Construction[]
  /** Index of the make of each string; a fixed one has that of its own material. */
  readonly makes: readonly number[]
  /** The cost of the whole; smaller is better. */
  readonly cost: number
}

/** What each departure costs, as squares of logarithms of tension unless said otherwise. */
const COST = {
  offTarget: 1,
  /** Steps between neighbours' tensions that differ from the target's own steps. */
  unevenStep: 0.35,
  /** For each section begun. */
  newSection: 0.002,
  /** Above the bound of each kind, per unit of utilisation squared. */
  lively: { above: MARGIN_BOUNDS.lively, weight: 2 },
  shortLived: { above: MARGIN_BOUNDS.shortLived, weight: 60 },
  /** A measured gauge off by one standard error. */
  offGauge: 0.0004,
} as const
/** A measured gauge is honoured to within this many standard errors. */
const HONOURED = 3

/** Told now and then; answers whether to go on. */
export type Progress = (done: number, of: number) => boolean

/**
 * @param positions - shortest first
 * @param makes - in the order that sections may follow one another from the treble; the next is optional
 * @param progress - called after each position
 * @returns the best chart, or null when progress asked to stop
 * @throws RangeError with a sentence that can be shown, when some string can be had in no allowed way
 */
export function rebuildChart(
  positions: readonly OpenPosition[],
  makes: readonly MakeOnOffer[],
  progress: Progress = () => true,
): Rebuilt | null {
  // 1. The states of each position: every candidate of every make, with its own cost.
  const stages = positions.map((position) => statesOf(position, makes))
  // 2. Forward: the least cost of reaching each state, and from where.
  let costs = stages[0]?.own ?? new Float64Array()
  const cameFrom: Int32Array[] = []
  for (let i = 1; i < stages.length; i += 1) {
    if (!progress(i, stages.length)) return null
    const [before, here] = [itemAt(stages, i - 1), itemAt(stages, i)]
    const step = Math.log(itemAt(positions, i).target / itemAt(positions, i - 1).target)
    const reached = reach(before, here, costs, step)
    if (!reached.costs.some(Number.isFinite))
      throw new RangeError(
        `String ${itemAt(positions, i).number} can’t be had from the gauges on offer: look at what was measured of it and of its neighbours.`,
      )
    costs = reached.costs
    cameFrom.push(reached.from)
  }
  // 3. Backward from the cheapest end.
  let state = 0
  for (let s = 1; s < costs.length; s += 1) if (itemAt(costs, s) < itemAt(costs, state)) state = s
  const cost = itemAt(costs, state)
  if (!Number.isFinite(cost))
    throw new RangeError(
      `String ${positions[0]?.number ?? 1} can’t be had from the gauges on offer: look at what was measured of it.`,
    )
  const path = new Array<number>(stages.length)
  for (let i = stages.length - 1; i >= 0; i -= 1) {
    path[i] = state
    if (i > 0) state = itemAt(itemAt(cameFrom, i - 1), state)
  }
  return {
    strings: path.map((s, i) => itemAt(itemAt(stages, i).strings, s)),
    makes: path.map((s, i) => itemAt(itemAt(stages, i).make, s)),
    cost,
  }
}

interface Stage {
  readonly strings: readonly Construction[]
  readonly make: Int32Array
  readonly gauge: Float64Array
  readonly logForce: Float64Array
  readonly own: Float64Array
}

function statesOf(position: OpenPosition, makes: readonly MakeOnOffer[]): Stage {
  const strings: Construction[] = []
  const make: number[] = []
  makes.forEach(({ candidates }, m) => {
    for (const string of position.fixed && isOf(position.fixed, candidates(position.number))
      ? [position.fixed]
      : position.fixed
        ? []
        : candidates(position.number)) {
      strings.push(string)
      make.push(m)
    }
  })
  if (strings.length === 0 && position.fixed) {
    // A known string of a make that is not on offer: it may stand in any section.
    makes.forEach((_, m) => {
      strings.push(requireValue(position.fixed))
      make.push(m)
    })
  }
  return {
    strings,
    make: Int32Array.from(make),
    gauge: Float64Array.from(strings, outerGauge),
    logForce: Float64Array.from(strings, (c) =>
      Math.log(tension(c, position.speakingLength, position.pitch)),
    ),
    own: Float64Array.from(strings, (c, s) => ownCost(c, makes[itemAt(make, s)]?.name ?? '', position)),
  }
}

function isOf(fixed: Construction, candidates: readonly Construction[]): boolean {
  const [first] = candidates
  if (!first || first.kind !== fixed.kind) return false
  return fixed.kind === 'plain'
    ? first.kind === 'plain' && first.material === fixed.material
    : first.kind === 'wound' &&
        first.core.material === fixed.core.material &&
        first.wrap.material === fixed.wrap.material
}

function ownCost(
  c: Construction,
  make: string,
  { pitch, speakingLength, target, measured, fixed }: OpenPosition,
): number {
  if (fixed) return 0
  if (measured?.make && measured.make !== make) return Infinity
  const u = utilisation(c, speakingLength, pitch)
  if (u > MARGIN_BOUNDS.refuse) return Infinity
  let cost = COST.offTarget * Math.log(tension(c, speakingLength, pitch) / target) ** 2
  for (const { above, weight } of [COST.lively, COST.shortLived])
    if (u > above) cost += weight * (u - above) ** 2
  if (measured && measured.gauge !== null) {
    const off = Math.abs(outerGauge(c) - measured.gauge) / measured.error
    if (off > HONOURED) return Infinity
    cost += COST.offGauge * off ** 2
  }
  return cost
}

/** One step toward the bass: from every state before to every state here that may follow it. */
function reach(
  before: Stage,
  here: Stage,
  costs: Float64Array,
  step: number,
): { readonly costs: Float64Array; readonly from: Int32Array } {
  const best = new Float64Array(here.own.length).fill(Infinity)
  const from = new Int32Array(here.own.length)
  for (let b = 0; b < here.own.length; b += 1) {
    const own = itemAt(here.own, b)
    if (own === Infinity) continue
    const [makeHere, gaugeHere, forceHere] = [
      itemAt(here.make, b),
      itemAt(here.gauge, b) + 1e-9,
      itemAt(here.logForce, b) - step,
    ]
    for (let a = 0; a < costs.length; a += 1) {
      const makeBefore = itemAt(before.make, a)
      if (makeBefore > makeHere || (makeBefore === makeHere && itemAt(before.gauge, a) > gaugeHere)) continue
      const uneven = forceHere - itemAt(before.logForce, a)
      const cost =
        itemAt(costs, a) + COST.unevenStep * uneven * uneven + (makeBefore === makeHere ? 0 : COST.newSection)
      if (cost < itemAt(best, b)) {
        best[b] = cost
        from[b] = a
      }
    }
    best[b] = itemAt(best, b) + own
  }
  return { costs: best, from }
}
