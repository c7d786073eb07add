/**
 * A loop that is twisted by hand at the end of a plain wire, where none is bought ready-made.
 */
import { expectPositive } from '../expect'
import type { StringEnd } from './string-ends'

/** Turns of the two legs round each other, at 45°: the eye cannot draw shut on them. */
export const OPEN_TURNS = 8
/** Turns of the short leg, close, round the string behind them: they keep the open ones from untwisting. */
export const CLOSE_TURNS = 4
/** Short leg that pliers hold while it is turned, m; it is cut off afterwards. */
const GRIP = 0.03
/** Play of the eye on its hitch pin, m. */
const PLAY = 0.001
/** Inside width of an eye that goes over no pin but has the string drawn through it, m. */
const FREE_EYE = 0.004

export interface TwistedEnd {
  /** Inside width of the eye, m. */
  readonly eye: number
  readonly openTurns: number
  readonly closeTurns: number
  /** Where the wire is bent back, from its end, m. */
  readonly bendAt: number
  /** Wire that the loop takes beyond the string's way from its hitch pin, m. */
  readonly takes: number
}

/**
 * What a twisted loop takes, from its shape: once round the eye, a leg along each open turn (a helix of one gauge across,
 * at 45°), the short leg round the string for each close turn, and what pliers hold. The open turns also shorten the
 * long leg by the difference between helix and axis.
 *
 * @param gauge - of the wire, m
 * @param hitchPin - diameter of the pin that the eye goes over, m; null where the string is drawn through its own eye
 */
export function twistedEnd(gauge: number, hitchPin: number | null): TwistedEnd {
  expectPositive('gauge', gauge)
  const eye = hitchPin === null ? FREE_EYE : hitchPin + PLAY
  const round = Math.PI * (eye + gauge)
  const along = OPEN_TURNS * Math.PI * gauge
  const leg = along * Math.SQRT2
  const close = CLOSE_TURNS * 2 * Math.PI * gauge
  const bendAt = GRIP + close + leg + round / 2
  return {
    eye,
    openTurns: OPEN_TURNS,
    closeTurns: CLOSE_TURNS,
    bendAt,
    takes: bendAt + round / 2 + (leg - along),
  }
}

/** Thickest wire in which hands twist a loop, m: thicker ones are bought with it. */
const BY_HAND = 0.0008

/** Whether a wire without a loop can be given one by hand. */
export function canTwist(isPlainWire: boolean, gauge: number, has: StringEnd): boolean {
  return isPlainWire && has === 'plain' && gauge <= BY_HAND
}
