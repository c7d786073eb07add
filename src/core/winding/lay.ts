/**
 * How the wraps of a string lie on its tuning pin: which way they run from the hole, and which lie over others.
 */
import { expectNotNegative, expectPositive } from '../expect'

/**
 * - `toward the wood`: side by side from the hole to the wood; on an upright pin that is downward, under the hole
 * - `then outward over it`: the first half toward the wood, the rest crossing outward over them
 * - `above, below, above`: one outside the hole, one inside it, the rest outside
 * - `second crossed over`: the second wrap crosses the first and pinches it; the rest go on toward the wood
 */
export const WRAP_LAYS = [
  'toward the wood',
  'then outward over it',
  'above, below, above',
  'second crossed over',
] as const
export type WrapLay = (typeof WRAP_LAYS)[number]

/** One turn, or the last part of one. */
export interface LaidTurn {
  /** Where it lies along the pin, from the hole, m; positive toward the wood. */
  readonly offset: number
  /** True where it lies over other wraps. */
  readonly over: boolean
  /** How much of a turn it is, 0 to 1. */
  readonly share: number
}

export interface LaidWraps {
  readonly turns: readonly LaidTurn[]
  /** Where the string leaves the pin, from the hole, m; positive toward the wood. */
  readonly exit: number
  /** Room that the wraps take from the hole toward the wood, m. */
  readonly inward: number
  /** Room that they take from the hole toward the end of the pin, m. */
  readonly outward: number
}

/** How much wider round a turn runs that crosses over others, in gauges of diameter. */
const CROSSED_OVER = 2

interface Place {
  readonly slot: number
  readonly over: boolean
}

/** Where the i-th of so many turns lies, in gauges from the hole. */
function placeOf(lay: WrapLay, i: number, inner: number): Place {
  switch (lay) {
    case 'toward the wood':
      return { slot: i + 1, over: false }
    case 'then outward over it':
      return i < inner ? { slot: i + 1, over: false } : { slot: Math.max(0, 2 * inner - i), over: true }
    case 'above, below, above':
      return i === 1 ? { slot: 1, over: false } : { slot: i === 0 ? -1 : -i, over: false }
    case 'second crossed over':
      return i === 0
        ? { slot: 1, over: false }
        : i === 1
          ? { slot: 0.5, over: true }
          : { slot: i, over: false }
  }
}

/**
 * Lays a number of wraps on a pin.
 *
 * @param wraps - full turns, fractions allowed
 * @param gauge - outer diameter of the string, m
 */
export function layWraps(wraps: number, gauge: number, lay: WrapLay): LaidWraps {
  const d = expectPositive('gauge', gauge)
  const inner = Math.max(1, Math.round(expectNotNegative('wraps', wraps) / 2))
  const turns = Array.from({ length: Math.ceil(wraps - 1e-9) }, (_, i) => {
    const { slot, over } = placeOf(lay, i, inner)
    return { offset: slot * d, over, share: Math.min(1, wraps - i) }
  })
  const last = turns.at(-1)
  const before = turns.at(-2)?.offset ?? 0
  return {
    turns,
    // A part of a turn has gone only that share of the way to its place.
    exit: last ? before + (last.offset - before) * last.share : 0,
    inward: extent(turns.filter((t) => t.offset > 0)),
    outward: extent(turns.filter((t) => t.offset < 0)),
  }
}

/** How far the turns on one side of the hole reach; the one that is under way counts by its share. */
function extent(turns: readonly LaidTurn[]): number {
  return turns.reduce(
    (so, { offset, share }, i) =>
      Math.max(so, Math.abs(turns[i - 1]?.offset ?? 0) * (1 - share) + Math.abs(offset) * share),
    0,
  )
}

/**
 * String that wraps take, m: π (D + d) for each, and π (D + 3d) where one crosses over others.
 *
 * @param wraps - turns, fractions allowed
 * @param pin - diameter of the tuning pin, m
 * @param gauge - outer diameter of the string, m
 * @param planned - turns when it is done, which decides where the crossing begins
 */
export function lengthOnPin(
  wraps: number,
  pin: number,
  gauge: number,
  lay: WrapLay,
  planned = wraps,
): number {
  const each = Math.PI * (expectPositive('pin diameter', pin) + expectPositive('gauge', gauge))
  return (
    each * expectNotNegative('wraps', wraps) +
    Math.PI * CROSSED_OVER * gauge * crossedTurns(wraps, planned, lay)
  )
}

function crossedTurns(wraps: number, planned: number, lay: WrapLay): number {
  switch (lay) {
    case 'second crossed over':
      return Math.min(1, Math.max(0, wraps - 1))
    case 'then outward over it':
      return Math.max(0, wraps - planned / 2)
    case 'toward the wood':
    case 'above, below, above':
      return 0
  }
}

/** Wraps from a length taken up by the pin; the inverse of {@link lengthOnPin} with all of them wound. */
export function wrapsFromLength(length: number, pin: number, gauge: number, lay: WrapLay): number {
  const flat =
    expectNotNegative('length', length) /
    (Math.PI * (expectPositive('pin diameter', pin) + expectPositive('gauge', gauge)))
  const crossed = (CROSSED_OVER * gauge) / (pin + gauge)
  switch (lay) {
    case 'then outward over it':
      return flat / (1 + crossed / 2)
    case 'second crossed over':
      return flat <= 1 ? flat : flat <= 2 + crossed ? 1 + (flat - 1) / (1 + crossed) : flat - crossed
    case 'toward the wood':
    case 'above, below, above':
      return flat
  }
}

/** Turns of the pin that draw in a length while wraps are laid as planned: crossing ones draw more, but only once they are reached. */
export function turnsToDraw(
  length: number,
  pin: number,
  gauge: number,
  lay: WrapLay,
  planned: number,
): number {
  let most = wrapsFromLength(length, pin, gauge, 'toward the wood')
  if (crossedTurns(most, planned, lay) === 0) return most
  let least = 0
  while (most - least > 1e-9) {
    const middle = (least + most) / 2
    if (lengthOnPin(middle, pin, gauge, lay, planned) < length) least = middle
    else most = middle
  }
  return most
}
