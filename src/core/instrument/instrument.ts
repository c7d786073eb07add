/**
 * An instrument as the arithmetic sees it: a list of string positions, each with a head end, a tail end, geometry and
 * a place in a partial order. Nothing here is special to one family.
 */
import type { Note } from '../pitch/note'
import type { HeadFastening, TailFastening } from '../knots/fastenings'
import { outerGauge, type Construction } from '../strings/construction'
import type { Span } from '../strings/stretch'
import type { Written } from '../strings/written-lengths'
import { frequency } from '../pitch/note'
import type { TuningPin } from '../winding/pin'
import type { Called, Calling } from './called'
import type { Family } from './family'

export const STRING_COLOURS = ['natural', 'red', 'black', 'blue'] as const
export type StringColour = (typeof STRING_COLOURS)[number]
export type Mechanism = 'lever' | 'disc'
export const TENSION_CLASSES = ['concert', 'lever', 'folk', 'wire'] as const
export type TensionClass = (typeof TENSION_CLASSES)[number]

/** A point in the plane of the strings, m: seen from the side they are wound on, x to the right, y toward the pins. */
export interface Point {
  readonly x: number
  readonly y: number
}

export interface HeadEnd {
  readonly fastening: HeadFastening
  readonly pin: TuningPin
}

/** What a string passes over between its lower end and its speaking length, where it passes over anything. */
export const BEARINGS = ['saddle', 'notched bridge', 'plain bridge'] as const
export type Bearing = (typeof BEARINGS)[number]

export interface TailEnd {
  readonly fastening: TailFastening
  /** Null where it passes over nothing, or nobody said. */
  readonly bearing: Bearing | null
  /** Through which the string passes to its end knot, m; zero where there is none. */
  readonly boardThickness: number
  /** Bore of the eyelet, m; null where the string goes through none. */
  readonly eyeletBore: number | null
  /** Diameter of the hitch pin or post, m; null where there is none. */
  readonly postDiameter: number | null
}

export interface StringPosition {
  /** Counted from the top: 1 is the shortest. It tells strings apart; people are shown what they are `called`. */
  readonly number: number
  readonly called: Called
  readonly makerLabel: string | null
  /** Make and line of string that the chart asks for; null where any will do. */
  readonly askedMake: string | null
  /** As it sounds at rest: the letter with the rest tuning's accidental. */
  readonly note: Note
  readonly colour: StringColour
  readonly construction: Construction
  /** Its lengths as somebody wrote them, where that was not in millimetres; left out where nobody did. */
  readonly written?: Written
  /** With nothing engaged, m. */
  readonly speakingLength: number
  /** From end knot (or post) to tuning pin, m. */
  readonly freeLength: number
  readonly mechanism: Mechanism | null
  readonly head: HeadEnd
  readonly tail: TailEnd
  /** Where the string meets the board or bridge, its bridge pin or nut, and its tuning pin. */
  readonly at: { readonly tail: Point; readonly bridge: Point; readonly pin: Point }
  /** Positions with one piece number are served by one and the same string. */
  readonly piece: number
}

/** One string lies over another: what lies over it must come off first. Numbers of positions. */
export interface Covering {
  readonly over: number
  readonly under: number
}

/** Which way round it is strung: for the left hand some instruments carry their strings in mirror image. */
export const STRUNG = ['as usual', 'the other way round'] as const
export type Strung = (typeof STRUNG)[number]

/** Which way its levers lie when they do nothing: makers differ. */
export const LEVERS_OFF = ['not said', 'down', 'up'] as const
export type LeversOff = (typeof LEVERS_OFF)[number]

export interface Instrument extends Calling {
  readonly slug: string
  readonly name: string
  readonly family: Family
  /** As the owner wrote them. */
  readonly maker: string
  readonly model: string
  readonly owner: string
  readonly tensionClass: TensionClass
  readonly restTuning: string
  /** Frequency of A4, Hz. */
  readonly referenceA: number
  /** How it lies while it is strung. */
  readonly lies: string
  readonly strung: Strung
  /** Left out, nobody said. */
  readonly leversOff?: LeversOff
  /** Ordered by number. */
  readonly positions: readonly StringPosition[]
  readonly coverings: readonly Covering[]
}

/** What is asked for is on no instrument. By its name, so that whoever answers can tell it from a bad question. */
export class NoSuchString extends RangeError {
  override readonly name = 'NoSuchString'
}

/**
 * The position with a number.
 *
 * @throws NoSuchString with a sentence that can be shown, when the instrument has none
 */
export function positionAt(instrument: Instrument, number: number): StringPosition {
  const found = instrument.positions.find((p) => p.number === number)
  if (!found) {
    throw new NoSuchString(
      `${instrument.name} has strings 1 to ${instrument.positions.length}; there is no string ${number}.`,
    )
  }
  return found
}

/** All positions served by the string that serves this one, itself included, shortest first. */
export function samePiece(instrument: Instrument, position: StringPosition): readonly StringPosition[] {
  return instrument.positions.filter((p) => p.piece === position.piece)
}

/** The first position of each piece of string: a wire that is two strings is one piece. */
export function firstOfPieces({ positions }: Pick<Instrument, 'positions'>): readonly StringPosition[] {
  return positions.filter((p, i) => p.piece !== positions[i - 1]?.piece)
}

/** Whether its players name strings by harp octaves and buy them by tension class; others go by gauge, length and end. */
export function isHarp({ family }: Pick<Instrument, 'family'>): boolean {
  return family.endsWith('harp')
}

/** The class that its strings are ordered by; null where gauge, length and end say it all. */
export function soldByClass(instrument: Pick<Instrument, 'family' | 'tensionClass'>): TensionClass | null {
  return isHarp(instrument) ? instrument.tensionClass : null
}

/** Frequency at rest, Hz. */
export function restPitch(instrument: Instrument, position: StringPosition): number {
  return frequency(position.note, instrument.referenceA)
}

/** The lengths and pitch that stretch is reckoned from, for the charted string or for another one put in its place. */
export function spanOf(
  instrument: Instrument,
  position: StringPosition,
  construction = position.construction,
): Span {
  const { speakingLength, freeLength } = position
  return { construction, speakingLength, freeLength, pitch: restPitch(instrument, position) }
}

/** Charted outer diameter of a position's string, m. */
export function gaugeOf(position: StringPosition): number {
  return outerGauge(position.construction)
}
