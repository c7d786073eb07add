/**
 * How two strings beat that are tuned against each other: by the partials that nearly meet, where the stiffness of each
 * string puts them. What sounds pure lies off the pitch that a tuner gives, for two reasons: where all twelve fifths are alike
 * none is pure, and a stiff string’s upper partials lie wide.
 */
import { restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import { centsAbove } from '../pitch/cents'
import { partialDecay, partialHz, voiceAt } from './string-voice'

/** What is heard by its beats. */
export const BEATING_INTERVALS = ['unison', 'octave', 'fifth', 'fourth'] as const
export type BeatingInterval = (typeof BEATING_INTERVALS)[number]

/** Which partials of the two meet. */
const MEETS: Record<BeatingInterval, readonly [ofLower: number, ofHigher: number]> = {
  unison: [1, 1],
  octave: [2, 1],
  fifth: [3, 2],
  fourth: [4, 3],
}

/** A string, and the pitch that a tuner gives it, Hz. */
export interface TunedString {
  readonly position: StringPosition
  readonly hz: number
}

/** A string of an instrument at rest. */
export const atRest = (instrument: Instrument, position: StringPosition): TunedString => ({
  position,
  hz: restPitch(instrument, position),
})

/** Two strings that are tuned against each other. */
export interface TunedPair {
  /** The one that is in tune. */
  readonly true: TunedString
  /** The one that is judged. */
  readonly other: TunedString
  readonly interval: BeatingInterval
}

/** Which partial of each of the two meets one of the other. */
function partialsMeeting({ true: inTune, other, interval }: TunedPair) {
  const [ofLower, ofHigher] = MEETS[interval]
  return other.hz >= inTune.hz ? { true: ofLower, other: ofHigher } : { true: ofHigher, other: ofLower }
}

/** The partials that nearly meet, Hz; the judged string so many cents off the pitch that a tuner gives it. */
function meeting(pair: TunedPair, cents: number): { readonly true: number; readonly other: number } {
  const n = partialsMeeting(pair)
  const voice = ({ position, hz }: TunedString, off: number) => voiceAt(position, hz * 2 ** (off / 1200))
  return { true: partialHz(voice(pair.true, 0), n.true), other: partialHz(voice(pair.other, cents), n.other) }
}

/** A partial that falls to 1/e within this beats for nobody, s: our estimate by ear. */
const RINGS = 1 / 12

/** Whether the partials of both that nearly meet ring long enough for beats. */
function isHeardToBeat(pair: TunedPair): boolean {
  const n = partialsMeeting(pair)
  return (['true', 'other'] as const).every((which) => {
    const { position, hz } = pair[which]
    return partialDecay(voiceAt(position, hz), n[which]) <= 1 / RINGS
  })
}

/** Two strings by an interval that is heard by its beats; null where it is not, or is more than one octave. */
export function heardPair(inTune: TunedString, other: TunedString, interval: string): TunedPair | null {
  const beating = BEATING_INTERVALS.find((one) => one === interval)
  if (!beating) return null
  const pair = { true: inTune, other, interval: beating }
  const octaves = Math.abs(centsAbove(other.hz, inTune.hz)) / 1200
  return (beating !== 'octave' || Math.round(octaves) === 1) && isHeardToBeat(pair) ? pair : null
}

/** Rounds of drawing nearer: a string’s stiffness changes little with its pitch, so that the first is all but right. */
const ROUNDS = 4

/** Where the judged string sounds pure, cents above the pitch that a tuner gives it. */
export function pureAt(pair: TunedPair): number {
  let cents = 0
  for (let round = 0; round < ROUNDS; round += 1) {
    const partials = meeting(pair, cents)
    cents += centsAbove(partials.true, partials.other)
  }
  return cents
}

/** Beats a second, the judged string so many cents off the pitch that a tuner gives it. */
function beatsAt(pair: TunedPair, cents: number): number {
  const partials = meeting(pair, cents)
  return Math.abs(partials.true - partials.other)
}

/** Beats a second. @param off - how far the judged string is off what sounds pure, cents */
export const beatsWhen = (pair: TunedPair, off: number): number => beatsAt(pair, pureAt(pair) + off)

/** Slower than this two strings have died away before they have beaten, beats a second: our estimate by ear. */
export const SLOWEST_HEARD = 0.3

/** How the two sound when a tuner finds both at pitch. */
export interface BeatsAtPitch {
  /** Beats a second. */
  readonly beats: number
  /** Whether the interval is narrower than a pure one, or wider; null where nobody tells it from pure. */
  readonly is: 'narrow' | 'wide' | null
}

/** Nearer to pure than this, a tuner says the same as the ear, cents. */
const SAME = 0.5

export function beatsAtPitch(pair: TunedPair): BeatsAtPitch {
  const pure = pureAt(pair)
  const isAbove = pair.other.hz >= pair.true.hz
  return {
    beats: beatsAt(pair, 0),
    is: Math.abs(pure) < SAME ? null : pure > 0 === isAbove ? 'narrow' : 'wide',
  }
}
