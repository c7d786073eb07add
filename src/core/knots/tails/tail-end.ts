/**
 * A fastening as it is tied: the string's way through its finished, still open knot, and how far along it each stage gets.
 */
import type { TailFastening } from '../fastenings'
import type { Rod } from '../rope/rod'
import type { Vec3, Polyline } from '../topology/curve'

/** Which part is moved: the working end round the standing part, or the standing part round what the working end has laid. */
export type Led = 'working end' | 'standing part'

export interface TailEndStage {
  /** What the hands do, one sentence that stands alone. */
  readonly says: string
  /** The point of the way that is reached when it is done. */
  readonly reaches: number
  /** Points of the way between which a bight is put through doubled, its bend halfway; before, the string goes past them. */
  readonly bight?: readonly [from: number, to: number]
  /** The whole string is there, and lies this far from its place when the stage is done. */
  readonly shift?: Vec3
}

export type FixtureKind =
  'anchor' | 'toggle' | 'bead' | 'hitch pin' | 'post' | 'bar' | 'foot' | 'tuning pin' | 'neck'

export interface Fixture extends Rod {
  readonly kind: FixtureKind
  /** The first stage, counted from 0, in which it is there. */
  readonly since: number
}

export interface TailEnd {
  readonly fastening: TailFastening
  /** From the pin's side down to the tag; the board's underside is the plane y = 0. */
  readonly way: Polyline
  readonly leads: Led
  readonly stages: readonly TailEndStage[]
  readonly fixtures: readonly Fixture[]
  /** Points of the way up to which it is the standing part, and from which it is the tag. */
  readonly standingTo: number
  readonly tagFrom: number
  /** Tied on a bight, which lies furthest to the left, and not with the end. */
  readonly onBight: boolean
  /** Goes through a hole in the board. */
  readonly throughBoard: boolean
  /** Drawn down at the end, until it rests below this height; null where nothing is drawn down. */
  readonly drawnTo: number | null
}

/** Where an anchor lies: its long end before or behind the bight it goes through. */
export const ANCHOR_PLACES = ['in front of the bight', 'behind the bight'] as const
export type AnchorPlace = (typeof ANCHOR_PLACES)[number]

const LEAN = (50 * Math.PI) / 180

/** A short rod that leans through a bight. */
export function anchorAt(at: Vec3, since: number, place: AnchorPlace): Fixture {
  const side = place === 'behind the bight' ? -1 : 1
  return {
    kind: 'anchor',
    at,
    axis: [Math.sin(LEAN), 0, side * Math.cos(LEAN)],
    radius: 0.9,
    half: 2.2,
    since,
  }
}

/** What the string draws along when it is drawn down; null where nothing is put into the knot. */
export function rodOf({ fixtures }: Pick<TailEnd, 'fixtures'>): Fixture | null {
  return fixtures.find(({ kind }) => kind === 'anchor' || kind === 'toggle') ?? null
}

/** Places of the anchor that make a difference: a leaning one lies otherwise in front and behind, one that is seen from its end does not. */
export function placesOf(tailEnd: Pick<TailEnd, 'fixtures'>): readonly AnchorPlace[] {
  const rod = rodOf(tailEnd)
  return rod?.kind === 'anchor' && rod.axis[0] !== 0 ? ANCHOR_PLACES : ['behind the bight']
}

/** Ties that are another one in a mirror that lies in the plane of the drawing, so that all that is worked out for it holds for them. */
export const MIRRORED: Readonly<Partial<Record<TailFastening, TailFastening>>> = {
  'two-loop, crossed, behind': 'two-loop, crossed',
}
