/**
 * A fastening as it is tied: the string's way through its finished, still open knot, and how far along it each stage has got.
 */
import { lengthOf, resample, smooth, type Polyline, type Vec3 } from '../topology/curve'
import type { TailFastening } from '../fastenings'

export interface TieStage {
  /** What the hands do, one sentence that stands alone. */
  readonly says: string
  /** The point of the way that is reached when it is done. */
  readonly reaches: number
}

/** What is put into the knot: a rod seen from its end, or a bead on the string. */
export interface Insert {
  readonly kind: 'anchor' | 'bead'
  readonly at: Vec3
  /** Gauges. */
  readonly radius: number
}

export interface Tie {
  readonly fastening: TailFastening
  /** From the pin's side down to the tag, in gauges; the board's underside is the plane y = 0. */
  readonly way: Polyline
  /** Which end is led: the working end round the standing part, or the standing part round what the working end has laid. */
  readonly leads: 'working end' | 'standing part'
  readonly stages: readonly TieStage[]
  readonly insert: Insert | null
  /** Tied on a bight, which lies furthest to the left, and not with the end. */
  readonly onBight: boolean
}

const PER_SPAN = 14
const POINTS = 220

/** The centreline, its points evenly spaced. */
export function centreline({ way }: Pick<Tie, 'way'>): Polyline {
  return resample(smooth(way, PER_SPAN), POINTS)
}

/** The point of a centreline where the bight turns back. */
export function bightOf(curve: Polyline): number {
  return curve.reduce((best, p, i) => (p[0] < (curve[best] as Vec3)[0] ? i : best), 0)
}

/** The centreline in the order it is laid: from the pin's side, or from the tag where the standing part is led. */
export function layingOrder(tie: Pick<Tie, 'way' | 'leads'>): Polyline {
  const curve = centreline(tie)
  return tie.leads === 'standing part' ? [...curve].reverse() : curve
}

/** How far along the laying each stage has got when it is done, 0 to 1. */
export function stageShares({ way, stages, leads }: Pick<Tie, 'way' | 'stages' | 'leads'>): readonly number[] {
  const curve = smooth(way, PER_SPAN)
  const total = lengthOf(curve)
  return stages.map(({ reaches }) => {
    const share = lengthOf(curve.slice(0, reaches * PER_SPAN + 1)) / total
    return leads === 'standing part' ? 1 - share : share
  })
}

/** The part of a centreline that lies in place at a share of the way. */
export function laidUntil(curve: Polyline, share: number): Polyline {
  return curve.slice(0, Math.max(2, Math.round(share * (curve.length - 1)) + 1))
}

/** String in the knot below the board, in gauges. */
export function lengthBelowBoard(curve: Polyline): number {
  return lengthOf(curve.filter(([, y]) => y <= 0))
}
