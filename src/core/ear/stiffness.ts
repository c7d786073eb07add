/**
 * What a string's own stiffness is, learned while it is brought up: moduli in tables are estimates, two readings and the
 * angle between them tell more.
 */

/** How much further the key must turn than the table says: a belief over its logarithm. */
export interface TurnBelief {
  readonly factor: number
  /** One standard deviation of its logarithm. */
  readonly spread: number
}

/** Before anything was turned: moduli of polymers and gut differ by so much from string to string; an estimate. */
export const UNTURNED: TurnBelief = { factor: 1, spread: 0.15 }

/** A hand turns a key no truer than this, degrees. */
const HAND = 1.5
/** Wraps bed down and knots draw while it turns: a share of the angle. */
const BEDDING = 0.03

/**
 * Learns from a turn.
 *
 * @param expected - degrees of the key that the rise should have taken, by the table
 * @param turned - degrees that it took
 */
export function learned(belief: TurnBelief, expected: number, turned: number): TurnBelief {
  if (!(expected > 0) || !(turned > 0)) return belief
  const error = Math.hypot(HAND / turned, BEDDING)
  const [was, now] = [belief.spread ** -2, error ** -2]
  return {
    factor: Math.exp((was * Math.log(belief.factor) + now * Math.log(turned / expected)) / (was + now)),
    spread: (was + now) ** -0.5,
  }
}

/** A turn that raised it by less than this share of what it should is a string caught short, or a pin that slips. */
const CAUGHT = 0.4

/** Whether a turn did too little. */
export function isCaught(belief: TurnBelief, expected: number, turned: number): boolean {
  return turned > 4 * HAND && expected * belief.factor < CAUGHT * turned
}

/** Nearer than this it is turned all the way at once, degrees. */
const NEAR = 2

/**
 * How far to turn now, degrees: all that is left where it is little or known well, else so much that it stays below in
 * all but one of forty strings.
 *
 * @param left - degrees that are left by the table
 */
export function safeTurn({ factor, spread }: TurnBelief, left: number): number {
  const all = left * factor
  return all < NEAR || spread * all < HAND ? all : all * (1 - 2 * spread)
}
