import type { StringPosition } from '@/core/instrument/instrument'

/** A string of the field, mm of the drawing, y downward. */
export interface DrawnString {
  readonly position: StringPosition
  readonly x: number
  /** Lower fastening, end of the speaking length, tuning pin. */
  readonly foot: number
  readonly tail: number
  readonly bridge: number
  readonly pin: number
  /** Stroke width: by gauge, heavier than life so that it can be told apart. */
  readonly weight: number
}
