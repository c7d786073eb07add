/**
 * How a string is fastened at its two ends, as data.
 */
import { expectPositive } from '../expect'

export const TAIL_FASTENINGS = [
  'two-loop, open bight', 'two-loop, crossed', 'two-loop, crossed, behind', 'third loop', 'slip loop', 'loop and through',
  'half knot and anchor', 'twisted loop', 'slip knot on a toggle', 'overhand on a bead', 'loop through itself',
  'loop on a hitch pin', 'round two posts', 'layered foot wrap',
] as const
export type TailFastening = (typeof TAIL_FASTENINGS)[number]

export const HEAD_FASTENINGS = [
  'plain becket', 'kinked both sides', 'tail tucked, before turning', 'tail tucked, after a quarter',
  'tail tucked, after half a turn', 'second wrap crossed', 'above, below, above', 'peg cord',
] as const
export type HeadFastening = (typeof HEAD_FASTENINGS)[number]

const HEAD_WAYS: Record<HeadFastening, string | null> = {
  'plain becket': null,
  'kinked both sides': 'Kink it on both sides of the pin, an S: it needs no lock and comes off fast.',
  'tail tucked, before turning': 'Before you turn, tuck the tail under where the first wrap will lie, so that the string traps itself.',
  'tail tucked, after a quarter': 'After a quarter turn, tuck the tail under the first wrap, so that the string traps itself.',
  'tail tucked, after half a turn': 'After half a turn, tuck the tail under the first wrap, so that the string traps itself.',
  'second wrap crossed': 'Bring the first wrap in, and the second out over it, so that the string traps itself; then in again.',
  'above, below, above': 'Lay one wrap above the hole and one below it; the rest go above.',
  'peg cord': null,
}

/** How the string is locked on its pin, as a sentence; null where it is not. */
export function lockSentence(fastening: HeadFastening): string | null {
  return HEAD_WAYS[fastening]
}

/** How a tail end takes its hold. */
export type TailHold = 'knot' | 'bead' | 'toggle' | 'loop' | 'posts' | 'foot'

export interface TailFacts {
  readonly hold: TailHold
  readonly usedFor: string
  /** String taken by the tightened fastening, in multiples of its gauge; an estimate. */
  readonly gauges: number
  /** Short end left over, m. */
  readonly tag: number
  /** Width of the tightened knot, in multiples of its gauge; null where no knot rests on an eyelet. An estimate. */
  readonly widthInGauges: number | null
}

const TAILS: Record<TailFastening, TailFacts> = {
  'two-loop, open bight': { hold: 'knot', usedFor: 'the general harp knot', gauges: 26, tag: 0.02, widthInGauges: 3 },
  'two-loop, crossed': { hold: 'knot', usedFor: 'thick gut', gauges: 30, tag: 0.02, widthInGauges: 3.4 },
  'two-loop, crossed, behind': { hold: 'knot', usedFor: 'thick gut', gauges: 30, tag: 0.02, widthInGauges: 3.4 },
  'third loop': { hold: 'knot', usedFor: 'very thin or slippery strings', gauges: 38, tag: 0.02, widthInGauges: 3.6 },
  'slip loop': { hold: 'knot', usedFor: 'kit harps and basses', gauges: 24, tag: 0.02, widthInGauges: 2.8 },
  'loop and through': { hold: 'knot', usedFor: 'general', gauges: 28, tag: 0.02, widthInGauges: 3 },
  'half knot and anchor': { hold: 'knot', usedFor: 'nylon', gauges: 24, tag: 0.02, widthInGauges: 2.6 },
  'twisted loop': { hold: 'knot', usedFor: 'dowel anchors', gauges: 28, tag: 0.02, widthInGauges: 2.8 },
  'slip knot on a toggle': { hold: 'toggle', usedFor: 'thin strings of a kit harp', gauges: 22, tag: 0.02, widthInGauges: null },
  'overhand on a bead': { hold: 'bead', usedFor: 'nylon kit harps', gauges: 14, tag: 0.01, widthInGauges: null },
  'loop through itself': { hold: 'loop', usedFor: 'wire zithers', gauges: 0, tag: 0, widthInGauges: null },
  'loop on a hitch pin': { hold: 'loop', usedFor: 'wire zithers and scroll-heads', gauges: 0, tag: 0, widthInGauges: null },
  'round two posts': { hold: 'posts', usedFor: 'paired strings', gauges: 0, tag: 0, widthInGauges: null },
  'layered foot wrap': { hold: 'foot', usedFor: 'layered feet', gauges: 24, tag: 0.02, widthInGauges: null },
}

/** What is known of a tail-end fastening. */
export function tailFacts(fastening: TailFastening): TailFacts {
  return TAILS[fastening]
}

/** String that knot and tag take up, m: a multiple of the gauge and a fixed tag. */
export function knotConsumption(fastening: TailFastening, gauge: number): number {
  const { gauges, tag } = TAILS[fastening]
  return gauges * expectPositive('gauge', gauge) + tag
}

/** How much wider than the bore a knot must be to hold without an anchor. */
const CLEARLY_WIDER = 1.25

/**
 * Whether a tightened knot needs an anchor: it does unless it is clearly wider than the eyelet's bore.
 *
 * @param fastening - how the tail is tied
 * @param gauge - m
 * @param eyeletBore - m; null where the string goes through no eyelet
 */
export function needsAnchor(fastening: TailFastening, gauge: number, eyeletBore: number | null): boolean {
  const { widthInGauges } = TAILS[fastening]
  if (widthInGauges === null || eyeletBore === null) return false
  return widthInGauges * gauge < CLEARLY_WIDER * eyeletBore
}

/** Whether the tail end is tied, so that the string can break at its knot or pull through. */
export function isKnotted(fastening: TailFastening): boolean {
  return ['knot', 'bead', 'toggle'].includes(TAILS[fastening].hold)
}

/** The end a string must be ordered with. */
export function endToOrder(fastening: TailFastening): 'plain' | 'loop' {
  return TAILS[fastening].hold === 'loop' ? 'loop' : 'plain'
}
