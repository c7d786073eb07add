/**
 * How two strings beat that are tuned against each other: by the partials that nearly meet, where the stiffness of each
 * string puts them. What sounds pure lies off the pitch that a tuner gives, for two reasons: where all twelve fifths are alike
 * none is pure, and a stiff string’s upper partials lie wide.
 */
import { partialDecay, partialHz, voiceOf } from '../ear/string-voice'
import { restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import { centsAbove } from '../pitch/cents'

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

/** Two strings that are tuned against each other. */
export interface TunedPair {
  /** The one that is in tune. */
  readonly true: StringPosition
  /** The one that is judged. */
  readonly other: StringPosition
  readonly interval: BeatingInterval
}

/** Which partial of each of the two meets one of the other. */
function partialsMeeting(instrument: Instrument, { true: inTune, other, interval }: TunedPair) {
  const [ofLower, ofHigher] = MEETS[interval]
  return restPitch(instrument, other) >= restPitch(instrument, inTune)
    ? { true: ofLower, other: ofHigher }
    : { true: ofHigher, other: ofLower }
}

const voiceAt = (instrument: Instrument, position: StringPosition, cents: number) =>
  voiceOf(position, instrument.referenceA, restPitch(instrument, position) * 2 ** (cents / 1200))

/** The partials that nearly meet, Hz; the judged string so many cents off the pitch that a tuner gives it. */
function meeting(instrument: Instrument, pair: TunedPair, cents: number): { true: number; other: number } {
  const n = partialsMeeting(instrument, pair)
  return {
    true: partialHz(voiceAt(instrument, pair.true, 0), n.true),
    other: partialHz(voiceAt(instrument, pair.other, cents), n.other),
  }
}

/** A partial that falls to 1/e within this beats for nobody, s: our estimate by ear. */
const RINGS = 1 / 12

/** Whether the partials of both that nearly meet ring long enough for beats. */
export function isHeardToBeat(instrument: Instrument, pair: TunedPair): boolean {
  const n = partialsMeeting(instrument, pair)
  return (['true', 'other'] as const).every(
    (which) => partialDecay(voiceAt(instrument, pair[which], 0), n[which]) <= 1 / RINGS,
  )
}

/** Rounds of drawing nearer: a string’s stiffness changes little with its pitch, so that the first is all but right. */
const ROUNDS = 4

/** Where the judged string sounds pure, cents above the pitch that a tuner gives it. */
export function pureAt(instrument: Instrument, pair: TunedPair): number {
  let cents = 0
  for (let round = 0; round < ROUNDS; round += 1) {
    const partials = meeting(instrument, pair, cents)
    cents += centsAbove(partials.true, partials.other)
  }
  return cents
}

/** Beats a second. @param off - how far the judged string is off what sounds pure, cents */
export function beatsWhen(instrument: Instrument, pair: TunedPair, off: number): number {
  const partials = meeting(instrument, pair, pureAt(instrument, pair) + off)
  return Math.abs(partials.true - partials.other)
}
