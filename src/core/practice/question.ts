/**
 * Questions as they are asked, whatever they ask for, and how they were answered.
 */
import type { BeatingInterval } from '../ear/beats'
import type { Bend, Look, Nail } from '../identify/clue'
import type { Fastening } from '../knots/tying'
import type { AnchorPlace } from '../knots/tails/tail-end'
import type { NeckDirection } from '../instrument/neck'
import type { Construction } from '../strings/construction'
import type { StringColour } from '../instrument/instrument'
import type { Choice } from './choice'
import type { Drill } from './drill'
import type { Fault } from './faults'

/** A knot as it is shown. */
export interface ShownKnot {
  readonly fastening: Fastening
  readonly place: AnchorPlace
  readonly hand: 'right' | 'left'
  readonly inside: boolean
  /** Stages that are done. */
  readonly at: number
  /** Which of its common mistakes was made; null where it is tied right. */
  readonly mistake: number | null
  /** A crossing that is covered, in the eye’s plane; null where all are seen. */
  readonly covered: { readonly x: number; readonly y: number } | null
}

/** A piece of string as it is looked at, bent and felt. */
export interface Specimen {
  readonly construction: Construction
  readonly colour: StringColour
  readonly look: Look
  readonly bend: Bend
  readonly nail: Nail
}

/** Two strings that sound together. */
export interface TwoStrings {
  /** The one that is in tune, by number. */
  readonly true: number
  /** The one that is judged, by number. */
  readonly other: number
  readonly interval: BeatingInterval
  /** How far it is off what sounds pure, cents. */
  readonly off: number
}

/** What is seen or heard beside the question. */
export type Shown =
  | { readonly what: 'broken string' }
  | { readonly what: 'string' }
  | { readonly what: 'specimen'; readonly specimen: Specimen }
  | { readonly what: 'knot'; readonly knot: ShownKnot }
  | { readonly what: 'knots'; readonly knots: readonly ShownAnchor[] }
  | { readonly what: 'sound'; readonly sound: TwoStrings }
  | { readonly what: 'fault'; readonly fault: Fault }

/** A knot with its anchor somewhere; one picture for each choice, in their order. */
export interface ShownAnchor {
  readonly knot: ShownKnot
  readonly anchor: 'where it belongs' | 'in the wrong eye' | 'beside the knot'
}

interface Asked {
  readonly card: string
  readonly drill: Drill
  /** The instrument and the string that it is about. */
  readonly slug: string
  readonly number: number
  readonly asks: string
}

/** One of a few answers is right. */
export interface PickQuestion extends Asked {
  readonly kind: 'pick'
  readonly shows: Shown
  readonly choices: readonly Choice[]
}

/** Moves of the hands to be put in order; for what is no knot, the stages of its tying. */
export interface OrderQuestion extends Asked {
  readonly kind: 'order'
  readonly knot: ShownKnot
  /** Its stages as they are laid out, each by its place in the tying. */
  readonly laidOut: readonly number[]
  /** The moves in their order, as they are said for the right hand; none where stages are asked. */
  readonly moves: readonly string[]
}

/** A fastening to be tied from memory. */
export interface MemoryQuestion extends Asked {
  readonly kind: 'memory'
  readonly knot: ShownKnot
}

/** Slack to be left. */
export interface SlackQuestion extends Asked {
  readonly kind: 'slack'
  readonly by: 'pins' | 'sideways pull' | 'length past the pin'
  readonly toward: NeckDirection
  /** Wraps wanted at pitch. */
  readonly wraps: number
}

/** A string to be brought up to pitch by ear. */
export interface RaiseQuestion extends Asked {
  readonly kind: 'raise'
  /** How much stiffer it is than its material is taken to be: nobody can reckon it up. */
  readonly stiffness: number
  /** Tuned strings to hear beside it, by number: the string below, the octave below. */
  readonly beside: readonly number[]
}

export type Question = PickQuestion | OrderQuestion | MemoryQuestion | SlackQuestion | RaiseQuestion

/** A question as it was answered. */
export interface Answer {
  readonly card: string
  readonly drill: Drill
  readonly isRight: boolean
  /** ms from the question to the answer */
  readonly took: number
  /** How it went wrong, in a few words; null where it was right. */
  readonly mistake: string | null
  /** How far off, where that was measured: wraps, cents, or stages. */
  readonly off: number | null
}
