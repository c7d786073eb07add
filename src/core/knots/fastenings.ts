/**
 * How a string is fastened at its two ends, as data.
 */
import { expectPositive } from '../expect'
import { requireValue } from '../list/require-value'
import measures from './drawn/measures.json'

export const TAIL_FASTENINGS = [
  'two-loop, open bight',
  'two-loop, crossed',
  'two-loop, crossed, behind',
  'third loop',
  'slip loop',
  'half knot and anchor',
  'twisted loop',
  'slip knot on a toggle',
  'overhand on a bead',
  'loop through itself',
  'loop on a hitch pin',
  'round two posts',
  'layered foot wrap',
] as const
export type TailFastening = (typeof TAIL_FASTENINGS)[number]

/** Names in older records for what is one of the above: it is the anchor that goes through the second loop, never the end. */
const OLD_NAMES: Readonly<Record<string, TailFastening>> = { 'loop and through': 'slip loop' }
/** Every name that a record may have for how a lower end is fastened. */
export const TAIL_NAMES: readonly string[] = [...TAIL_FASTENINGS, ...Object.keys(OLD_NAMES)]

/** The fastening that a record names, under its name of today; a name that is none is given back as it is. */
export function fasteningNamed<Name extends string>(name: Name): Name | TailFastening {
  return Object.hasOwn(OLD_NAMES, name) ? requireValue(OLD_NAMES[name]) : name
}

export const HEAD_FASTENINGS = [
  'plain becket',
  'kinked both sides',
  'tail tucked, before turning',
  'tail tucked, after a quarter',
  'tail tucked, after half a turn',
  'hitched round the string',
  'second wrap crossed',
  'above, below, above',
  'peg cord',
] as const
export type HeadFastening = (typeof HEAD_FASTENINGS)[number]

const HEAD_WAYS: Record<HeadFastening, readonly string[]> = {
  'plain becket': [],
  'kinked both sides': [
    'Kink the end on one side of the pin. Bring it back and kink the other.',
    'That makes an S and needs no lock. Snip the end close.',
  ],
  'tail tucked, before turning': [
    'Before you turn, lead the tail behind the string.',
    'The first wrap traps it.',
  ],
  'tail tucked, after a quarter': [
    'After a quarter turn, stop. Lead the tail behind the string.',
    'Pull it tight and go on. The first wrap traps it.',
  ],
  'tail tucked, after half a turn': [
    'After half a turn, stop. Lead the tail behind the string that comes up.',
    'Pull it tight and go on. The first wrap traps it.',
  ],
  'hitched round the string': [
    'Lead the tail down past the string, on its treble side.',
    'Bring it round behind the string, and up on the bass side.',
    'Pull it up and hold it. The first wrap traps it.',
  ],
  'second wrap crossed': [
    'Lay the first wrap toward the wood.',
    'In the second turn draw it outward, across the first, like crossed fingers.',
    'Lay the rest toward the wood.',
  ],
  'above, below, above': [
    'Wind the first turn above the hole.',
    'Wind the second below it.',
    'Wind the rest above it again.',
  ],
  'peg cord': [],
}

/** How the string is locked on its pin, a sentence each; none where it is not. */
export function lockSentences(fastening: HeadFastening): readonly string[] {
  return HEAD_WAYS[fastening]
}

/** Ways that are made with a pin that stands still: the rest come with its turning. */
const MADE_FIRST: ReadonlySet<HeadFastening> = new Set([
  'kinked both sides',
  'tail tucked, before turning',
  'hitched round the string',
])

/** Whether a string is locked on its pin before the pin is turned. */
export function isLockedFirst(fastening: HeadFastening): boolean {
  return MADE_FIRST.has(fastening)
}

/** How a tail end takes its hold. */
export type TailHold = 'knot' | 'bead' | 'toggle' | 'loop' | 'posts' | 'foot'

export interface TailFacts {
  readonly hold: TailHold
  readonly usedFor: string
  /** String taken by the tightened fastening, in multiples of its gauge. */
  readonly gauges: number
  /** Short end left over, m. */
  readonly tag: number
  /** Least width of the tightened knot, in multiples of its gauge; null where no knot rests on an eyelet. */
  readonly widthInGauges: number | null
}

const TAG = 0.02
const HOLDS: Record<TailFastening, Pick<TailFacts, 'hold' | 'usedFor'> & { readonly tag?: number }> = {
  'two-loop, open bight': { hold: 'knot', usedFor: 'the general harp knot' },
  'two-loop, crossed': { hold: 'knot', usedFor: 'thick gut' },
  'two-loop, crossed, behind': { hold: 'knot', usedFor: 'thick gut' },
  'third loop': { hold: 'knot', usedFor: 'thin or slippery strings' },
  // Loops that hands lay need a hand’s breadth and a half of string; most of the tag is cut off again.
  'slip loop': { hold: 'knot', usedFor: 'kit harps and basses', tag: 0.1 },
  'half knot and anchor': { hold: 'knot', usedFor: 'nylon' },
  'twisted loop': { hold: 'knot', usedFor: 'dowel anchors' },
  'slip knot on a toggle': { hold: 'toggle', usedFor: 'thin strings of a kit harp' },
  'overhand on a bead': { hold: 'bead', usedFor: 'nylon kit harps', tag: 0.01 },
  'loop through itself': { hold: 'loop', usedFor: 'wire zithers' },
  'loop on a hitch pin': { hold: 'loop', usedFor: 'wire zithers and scroll-heads' },
  'round two posts': { hold: 'posts', usedFor: 'paired strings' },
  'layered foot wrap': { hold: 'foot', usedFor: 'layered feet' },
}

/** A foot string ends in a stopper loop, which is a slip loop, for its peg's cord. */
const STOPPER: TailFastening = 'slip loop'

/** Tail fastenings that are knots and rest on an eyelet by themselves or by an anchor: one can stand for another. */
export const KNOTS = [
  'two-loop, open bight',
  'two-loop, crossed',
  'two-loop, crossed, behind',
  'third loop',
  'slip loop',
  'half knot and anchor',
  'twisted loop',
] as const satisfies readonly TailFastening[]

/** What was measured on each knot as it was drawn down, in gauges: see `rope/measure.ts`. */
const MEASURES: Partial<Record<TailFastening, { readonly takes: number; readonly width: number }>> = measures

/** What is known of a tail-end fastening. */
export function tailFacts(fastening: TailFastening): TailFacts {
  const { hold, usedFor, tag = TAG } = HOLDS[fastening]
  const measured = MEASURES[hold === 'foot' ? STOPPER : fastening]
  return {
    hold,
    usedFor,
    gauges: measured?.takes ?? 0,
    tag: measured ? tag : 0,
    widthInGauges: hold === 'knot' ? (measured?.width ?? null) : null,
  }
}

/** Whether a string is wrapped on a foot from a peg's cord: no slack is left, and no wraps are counted. */
export function isOnFoot({ tail }: { readonly tail: { readonly fastening: TailFastening } }): boolean {
  return tailFacts(tail.fastening).hold === 'foot'
}

/** Tied behind a board, and reached from inside. */
export function isInBox({ tail }: { readonly tail: { readonly fastening: TailFastening } }): boolean {
  return ['knot', 'bead', 'toggle'].includes(tailFacts(tail.fastening).hold)
}

/** What a house has measured on knots of its own, in multiples of the gauge. */
export type KnotsMeasured = Partial<Record<TailFastening, number>>

/**
 * String that knot and tag take up, m: a multiple of the gauge and a fixed tag.
 *
 * @param own - what the house has measured comes before what was worked out
 */
export function knotConsumption(fastening: TailFastening, gauge: number, own: KnotsMeasured = {}): number {
  const { gauges, tag } = tailFacts(fastening)
  return (own[fastening] ?? gauges) * expectPositive('gauge', gauge) + tag
}

/**
 * How much wider than the bore a knot must be to hold without an anchor. Widths are of a string that does not give; pulled
 * hard a knot is squeezed to about five sixths, an estimate, and must then still be wider by a quarter.
 */
const CLEARLY_WIDER = 1.5

/** Knots that are tied round their anchor, and are nothing without it. */
const ROUND_THEIR_ANCHOR: ReadonlySet<TailFastening> = new Set(['half knot and anchor', 'twisted loop'])

/** Whether a knot is tied round its anchor, whatever the bore. */
export function isTiedRoundItsAnchor(fastening: TailFastening): boolean {
  return ROUND_THEIR_ANCHOR.has(fastening)
}

/**
 * Whether a tightened knot needs an anchor by its width: it does where it is tied round one, and else unless it is clearly wider than the eyelet's bore.
 *
 * @param fastening - how the tail is tied
 * @param gauge - m
 * @param eyeletBore - m; null where the string goes through no eyelet
 */
export function needsAnchor(fastening: TailFastening, gauge: number, eyeletBore: number | null): boolean {
  const { widthInGauges } = tailFacts(fastening)
  if (widthInGauges === null || eyeletBore === null) return false
  if (ROUND_THEIR_ANCHOR.has(fastening)) return true
  return widthInGauges * gauge < CLEARLY_WIDER * eyeletBore
}

/** Whether the tail end is tied, so that the string can break at its knot or pull through. */
export function isKnotted(fastening: TailFastening): boolean {
  return ['knot', 'bead', 'toggle'].includes(HOLDS[fastening].hold)
}

/** The end a string must be ordered with. */
export function endToOrder(fastening: TailFastening): 'plain' | 'loop' {
  return HOLDS[fastening].hold === 'loop' ? 'loop' : 'plain'
}
