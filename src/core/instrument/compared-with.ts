/**
 * The strings that one is compared with while it is brought up.
 */
import { letterStep } from '../pitch/note'
import type { StringPosition } from './instrument'

/** Steps of the scale to them. */
export const OCTAVE = 7
export const FIFTH = 4

export interface ComparedWith {
  /** The nearest longer string that sounds lower: the scale's own step, where there is one. */
  readonly below: StringPosition | undefined
  /** The nearest that sounds higher. */
  readonly above: StringPosition | undefined
  /** One that lies so many steps of the scale off; negative is lower. */
  readonly at: (steps: number) => StringPosition | undefined
}

export function comparedWith(positions: readonly StringPosition[], position: StringPosition): ComparedWith {
  const own = letterStep(position.note)
  const others = positions.filter(({ piece }) => piece !== position.piece)
  return {
    below: others.find((p) => p.number > position.number && letterStep(p.note) < own),
    above: others.filter((p) => letterStep(p.note) > own).at(-1),
    at: (steps) => others.find((p) => letterStep(p.note) === own + steps),
  }
}
