/**
 * How players call the strings of an instrument: harpists by octave and letter, most others by number, some by role.
 */
import type { Family } from './family'

export const CALLED_BY = ['harp octave', 'number', 'role'] as const
export type CalledBy = (typeof CALLED_BY)[number]

export const COUNTED_FROM = ['top', 'bottom'] as const
/** The end that number 1 is at: the top is the shortest or highest string. */
export type CountedFrom = (typeof COUNTED_FROM)[number]

/** What its players call one string. */
export interface Called {
  readonly by: CalledBy
  /** Counted from the end that they count from. */
  readonly number: number
  /** `first melody`, `bass`; null where strings have no roles. */
  readonly role: string | null
}

/** How an instrument's strings are called. */
export interface Calling {
  readonly calledBy: CalledBy
  readonly countedFrom: CountedFrom
}

/** What the players of a family do, unless an instrument's owner says otherwise. */
export function callingOf(family: Family): Calling {
  switch (family) {
    case 'pedal harp':
    case 'lever harp':
    case 'lap harp':
    case 'wire-strung harp':
      return { calledBy: 'harp octave', countedFrom: 'top' }
    case 'long zither':
      return { calledBy: 'number', countedFrom: 'bottom' }
    case 'scroll-head zither':
      return { calledBy: 'role', countedFrom: 'top' }
    case 'lap zither':
    case 'loop-end zither':
    case 'lyre':
      return { calledBy: 'number', countedFrom: 'top' }
  }
}

/**
 * What one string is called.
 *
 * @param number - counted from the top
 * @param strings - how many the instrument has
 */
export function calledAs(
  { calledBy, countedFrom }: Calling,
  number: number,
  strings: number,
  role: string | null,
): Called {
  return { by: calledBy, number: countedFrom === 'top' ? number : strings + 1 - number, role }
}
