/**
 * One move of two hands, as a part of a film: what the string does, and where it is held.
 */
import type { HandAt } from '../tails/state'
import type { Polyline, Vec3 } from '../topology/curve'
import type { Pose } from './pose'

type HowHeld = HandAt['how']

/** A hand on the string. */
export interface Hold {
  readonly hand: 'left' | 'right'
  readonly how: HowHeld
  /** A share of a section of the pose, from the long part on; or a place that the string keeps. */
  readonly at: { readonly section: number; readonly share: number } | Vec3
}

export interface Posed {
  /** The string goes through these, from where the move before left it; none where it stays as it is. */
  readonly poses: readonly Pose[]
  /** Then it is drawn down. */
  readonly drawsDown?: true
  readonly holds: readonly Hold[]
}

/** The end is led along a way, and draws the string behind it. */
export interface Led {
  readonly along: Polyline
  /** Points of the way that the end has reached before and after. */
  readonly from: number
  readonly to: number
  readonly holds: readonly Hold[]
}

/** As the stages of the tying go, up to this many of them. */
export interface Staged {
  readonly until: number
  readonly holds: readonly Hold[]
}

export type Move = Posed | Led | Staged

interface Moves {
  readonly lays: readonly Move[]
  /** While the anchor goes in. */
  readonly anchored: readonly Move[]
  readonly draws: readonly Move[]
}

/** A knot as hands tie it: the moves of `handMoves`, one for one. */
export interface Film extends Moves {
  /** Points of each section of a pose; none where nothing is posed. */
  readonly counts: readonly number[]
  /** Laid before whoever ties it, or as it hangs below its board. */
  readonly lies: 'as tied' | 'as hung'
}

export const left = (how: HowHeld, at: Hold['at']): Hold => ({ hand: 'left', how, at })
export const right = (how: HowHeld, at: Hold['at']): Hold => ({ hand: 'right', how, at })
