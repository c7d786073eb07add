/**
 * Small things besides strings, and the anchors that a broken string of thick gut is good for.
 */
import { ANCHOR_LENGTH } from '../knots/anchor-length'
import type { Construction } from '../strings/construction'

export const SUPPLY_KINDS = ['anchor', 'bead', 'washer', 'glue', 'tool', 'other'] as const
export type SupplyKind = (typeof SUPPLY_KINDS)[number]

/** Gut from this gauge on makes anchors, m: thinner, it draws into the knot instead of holding it. */
export const ANCHOR_GAUGE = 1.6e-3
/** Share of a broken string that is sound enough. */
const SOUND = 0.5

/**
 * How many anchors a broken string makes: none, unless it is thick gut.
 *
 * @param construction - of the broken string
 * @param length - free length of the string, m
 */
export function anchorsFrom(construction: Construction, length: number): number {
  if (construction.kind !== 'plain' || construction.material !== 'gut' || construction.gauge < ANCHOR_GAUGE)
    return 0
  return Math.floor((length * SOUND) / ANCHOR_LENGTH)
}
