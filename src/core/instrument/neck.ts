/**
 * Distances along the neck and across the strings, from the chart's geometry.
 */
import { expectNotNegative } from '../expect'
import { itemAt } from '../list/item-at'
import type { Instrument, Point, StringPosition } from './instrument'

export const SPACING_RULES = ['along the neck', 'square across'] as const
export type SpacingRule = (typeof SPACING_RULES)[number]
export const NECK_DIRECTIONS = ['toward the bass', 'toward the treble'] as const
export type NeckDirection = (typeof NECK_DIRECTIONS)[number]

/** How a house counts along the neck. */
export interface Counting {
  readonly rule: SpacingRule
  /** The way it counts where there are pins enough. */
  readonly toward: NeckDirection
}

export interface NeckReach {
  /** How many pins away the distance ends, fractions by proportion. */
  readonly pins: number
  readonly direction: NeckDirection
  /** Whether the instrument has so many pins on that side. */
  readonly isThere: boolean
}

function distance(a: Point, b: Point, rule: SpacingRule): number {
  return rule === 'along the neck' ? Math.hypot(a.x - b.x, a.y - b.y) : Math.abs(a.x - b.x)
}

/** Gaps from pin to pin, from a position outward in one direction, m. */
function gaps(instrument: Instrument, from: StringPosition, step: 1 | -1, rule: SpacingRule): number[] {
  const result: number[] = []
  for (let i = from.number - 1; instrument.positions[i + step]; i += step) {
    result.push(
      distance(itemAt(instrument.positions, i).at.pin, itemAt(instrument.positions, i + step).at.pin, rule),
    )
  }
  return result
}

/** An octave of pins: the longest that slack is told in. */
const ENOUGH_PINS = 7

/** The row of gaps to count along: the house's way where an octave of pins lies there, else where there are more. */
function rowFor(instrument: Instrument, from: StringPosition, { rule, toward }: Counting) {
  const rowToward = (direction: NeckDirection) => ({
    direction,
    row: gaps(instrument, from, direction === 'toward the bass' ? 1 : -1, rule),
  })
  const wanted = rowToward(toward)
  if (wanted.row.length >= ENOUGH_PINS) return wanted
  const other = rowToward(toward === 'toward the bass' ? 'toward the treble' : 'toward the bass')
  return other.row.length > wanted.row.length ? other : wanted
}

/**
 * How far along the neck a length reaches from a string's own pin, counted in pins: the way the house counts, or the other
 * way where that end is nearer than an octave of pins. Past the last pin the last gap goes on.
 *
 * @param length - m
 */
export function pinsReached(
  instrument: Instrument,
  from: StringPosition,
  length: number,
  counting: Counting,
): NeckReach {
  expectNotNegative('slack', length)
  const { direction, row } = rowFor(instrument, from, counting)
  let left = length
  for (const [i, gap] of row.entries()) {
    if (left <= gap || i === row.length - 1) return { pins: i + left / gap, direction, isThere: left <= gap }
    left -= gap
  }
  return { pins: 0, direction, isThere: false }
}

/**
 * The length that a count of pins spans along the neck from a string's own pin, m; the inverse of {@link pinsReached}.
 */
export function lengthOfPins(
  instrument: Instrument,
  from: StringPosition,
  pins: number,
  counting: Counting,
): number {
  const { row } = rowFor(instrument, from, counting)
  if (row.length === 0) return 0
  let length = 0
  for (let i = 0; i < pins; i += 1) {
    // Past the last pin the last gap goes on.
    length += itemAt(row, Math.min(i, row.length - 1)) * Math.min(1, pins - i)
  }
  return length
}

/** Strings that lie on the fuller side of a string: it can be pulled aside past no more. */
export function stringsBeside({ positions }: Instrument, { number }: StringPosition): number {
  return Math.max(number - 1, positions.length - number)
}

/** Distance across from a string to its neighbour, at mid-length, m; to the shorter neighbour for the longest one. */
export function spacingAt(instrument: Instrument, position: StringPosition): number {
  const neighbour = instrument.positions[position.number] ?? instrument.positions[position.number - 2]
  if (!neighbour) return 0
  const middle = (p: StringPosition) => (p.at.tail.x + p.at.bridge.x) / 2
  return Math.abs(middle(position) - middle(neighbour))
}

/** Distance across from string to string over the whole instrument, m: on paired strings near and far gaps take turns. */
export function meanSpacing({ positions }: Instrument): number {
  const [first, last] = [positions[0], positions.at(-1)]
  return first && last && positions.length > 1
    ? Math.abs(first.at.tail.x - last.at.tail.x) / (positions.length - 1)
    : 0
}
