/**
 * What to cut: the sum along a string from its tag to the end of its tail.
 */
import { expectNotNegative } from '../expect'

/** One stretch of the string, in the order they lie along it. Lengths in m. */
export interface CutPart {
  readonly what:
    | 'tag and knot'
    | 'through the board'
    | 'up to the pin'
    | 'slack'
    | 'hole'
    | 'tail'
    | 'round the posts'
    | 'stopper loop'
    | 'twisted loop'
    | 'round the foot'
  readonly length: number
}

export interface CutSum {
  readonly parts: readonly CutPart[]
  /** What the house's own cuts add to the sum, or take from it, m. */
  readonly correction: number
  readonly total: number
}

/** A sum with the house's correction in its total. */
export function corrected(cut: CutSum, correction: number): CutSum {
  return { ...cut, correction, total: cut.total + correction }
}

/** What lies between fastening and pin for one sounding string, m. */
export interface Run {
  /** From end knot to tuning pin, the board's thickness included. */
  readonly freeLength: number
  readonly boardThickness: number
  readonly slack: number
  readonly pinDiameter: number
  readonly tail: number
}

/**
 * The cut for a string knotted at one end and wound at the other:
 * tag and knot + through the board + free length up to the pin + slack + hole + tail.
 *
 * @param run - the lengths along the string
 * @param knot - what tag and knot take up, m
 */
export function cutForKnottedString(run: Run, knot: number): CutSum {
  return sum([
    { what: 'tag and knot', length: knot },
    { what: 'through the board', length: run.boardThickness },
    { what: 'up to the pin', length: run.freeLength - run.boardThickness },
    ...pinEnd(run),
  ])
}

/**
 * The cut for a string that hangs in a loop at one end and is wound at the other.
 *
 * @param run - the lengths along the string
 * @param loop - what a loop that is twisted by hand takes, m; 0 where the string has one
 */
export function cutForLoopedString(run: Run, loop: number): CutSum {
  return sum([
    { what: 'twisted loop', length: loop },
    { what: 'up to the pin', length: run.freeLength },
    ...pinEnd(run),
  ])
}

/**
 * The cut for one wire that goes round two posts and has a tuning pin at both ends: the way from the posts to the
 * pin twice, and the way round between them.
 *
 * @param first - the run to the pin that is wound first
 * @param second - the run to the other pin
 * @param roundPosts - from where the wire meets the first post to where it leaves the second, m
 */
export function cutForPairedWire(first: Run, second: Run, roundPosts: number): CutSum {
  return sum([
    ...pinEnd(first).reverse(),
    { what: 'up to the pin', length: first.freeLength },
    { what: 'round the posts', length: roundPosts },
    { what: 'up to the pin', length: second.freeLength },
    ...pinEnd(second),
  ])
}

/** Turns that a string takes round a layered foot. */
const FOOT_TURNS = 5

/**
 * The cut for a string that is caught in its peg's cord by a stopper loop and wrapped on a foot.
 *
 * @param run - the lengths along the string; slack and pin do not enter
 * @param loop - what the stopper loop and its tag take, m
 * @param foot - diameter of the foot, m
 * @param gauge - outer diameter of the string, m
 */
export function cutForFoot({ freeLength, tail }: Run, loop: number, foot: number, gauge: number): CutSum {
  return sum([
    { what: 'stopper loop', length: loop },
    { what: 'up to the pin', length: freeLength },
    { what: 'round the foot', length: FOOT_TURNS * Math.PI * (foot + gauge) },
    { what: 'tail', length: tail },
  ])
}

/**
 * The way of a wire round two hitch posts: half the way round each and the gap between them.
 *
 * @param spacing - centre to centre, m
 * @param postDiameter - m
 * @param gauge - of the wire, m
 */
export function wayRoundPosts(spacing: number, postDiameter: number, gauge: number): number {
  return spacing + (Math.PI / 2) * (postDiameter + gauge)
}

function pinEnd(run: Run): CutPart[] {
  return [
    { what: 'slack', length: run.slack },
    { what: 'hole', length: run.pinDiameter },
    { what: 'tail', length: run.tail },
  ]
}

function sum(parts: CutPart[]): CutSum {
  for (const part of parts) expectNotNegative(part.what, part.length)
  return {
    parts: parts.filter(({ length }) => length > 0),
    correction: 0,
    total: parts.reduce((total, part) => total + part.length, 0),
  }
}
