import type { Instrument, StringPosition } from '@/core/instrument/instrument'

/** A pin in a drawing, mm, y downward. */
export interface DrawnPin {
  readonly number: number
  readonly x: number
  readonly y: number
}

const MM = 1000

/**
 * The pins from a string's own one outward, and the one beside it on the other side; fewer where the neck ends.
 *
 * @param step - 1 toward the bass, −1 toward the treble
 * @param count - of pins beyond the own one
 * @returns them in their order, and which of them is the own one
 */
export function pinsOutward(
  { positions, strung }: Instrument,
  { number }: StringPosition,
  step: 1 | -1,
  count: number,
): { readonly pins: readonly DrawnPin[]; readonly own: number } {
  const pins = Array.from({ length: count + 2 }, (_, i) => positions[number - 1 + step * (i - 1)])
    .filter((p) => p !== undefined)
    .map((p) => ({
      number: p.number,
      x: p.at.pin.x * MM * (strung === 'as usual' ? 1 : -1),
      y: -p.at.pin.y * MM,
    }))
  return { pins, own: pins.findIndex((p) => p.number === number) }
}
