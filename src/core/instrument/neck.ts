/**
 * Distances along the neck and across the strings, from the chart's geometry.
 */
import { expectNotNegative } from '../expect'
import type { Instrument, Point, StringPosition } from './instrument'

export const SPACING_RULES = ['along the neck', 'square across'] as const
export type SpacingRule = (typeof SPACING_RULES)[number]
export type NeckDirection = 'toward the bass' | 'toward the treble'

export interface NeckReach {
  /** How many pins away the distance ends, fractions by proportion. */
  readonly pins: number
  readonly direction: NeckDirection
}

function distance(a: Point, b: Point, rule: SpacingRule): number {
  return rule === 'along the neck' ? Math.hypot(a.x - b.x, a.y - b.y) : Math.abs(a.x - b.x)
}

/** Gaps from pin to pin, from a position outward in one direction, m. */
function gaps(instrument: Instrument, from: StringPosition, step: 1 | -1, rule: SpacingRule): number[] {
  const result: number[] = []
  for (let i = from.number - 1; instrument.positions[i + step]; i += step) {
    result.push(distance((instrument.positions[i] as StringPosition).at.pin, (instrument.positions[i + step] as StringPosition).at.pin, rule))
  }
  return result
}

/** An octave of pins: the longest that slack is told in. */
const ENOUGH_PINS = 7

/** The row of gaps to count along: toward the bass where an octave of pins lies there, else toward the treble, else where there are more. */
function rowFor(instrument: Instrument, from: StringPosition, rule: SpacingRule) {
  const bass = { direction: 'toward the bass' as const, row: gaps(instrument, from, 1, rule) }
  if (bass.row.length >= ENOUGH_PINS) return bass
  const treble = { direction: 'toward the treble' as const, row: gaps(instrument, from, -1, rule) }
  return treble.row.length > bass.row.length ? treble : bass
}

/**
 * How far along the neck a length reaches from a string's own pin, counted in pins: toward the bass, or toward the
 * treble where the bass end is nearer than an octave of pins. Past the last pin the last gap goes on.
 *
 * @param length - m
 */
export function pinsReached(instrument: Instrument, from: StringPosition, length: number, rule: SpacingRule): NeckReach {
  expectNotNegative('slack', length)
  const { direction, row } = rowFor(instrument, from, rule)
  let left = length
  for (const [i, gap] of row.entries()) {
    if (left <= gap || i === row.length - 1) return { pins: i + left / gap, direction }
    left -= gap
  }
  return { pins: 0, direction }
}

/**
 * The length that a count of pins spans along the neck from a string's own pin, m; the inverse of {@link pinsReached}.
 */
export function lengthOfPins(instrument: Instrument, from: StringPosition, pins: number, rule: SpacingRule): number {
  const { row } = rowFor(instrument, from, rule)
  if (row.length === 0) return 0
  let length = 0
  for (let i = 0; i < pins; i += 1) {
    // Past the last pin the last gap goes on.
    length += (row[Math.min(i, row.length - 1)] as number) * Math.min(1, pins - i)
  }
  return length
}

/** Distance across from a string to its neighbour, at mid-length, m; to the shorter neighbour for the longest one. */
export function spacingAt(instrument: Instrument, position: StringPosition): number {
  const neighbour = instrument.positions[position.number] ?? instrument.positions[position.number - 2]
  if (!neighbour) return 0
  const middle = (p: StringPosition) => (p.at.tail.x + p.at.bridge.x) / 2
  return Math.abs(middle(position) - middle(neighbour))
}
