/**
 * *Hear it*: two strings of one's own instrument that are tuned against each other, one of them off what sounds pure. What is
 * offered beside the right answer is what ears take it for: the other way, twice as far, or pure.
 */
import { byEar } from '../rounds/by-ear'
import type { Instrument } from '../instrument/instrument'
import { semitoneNumber } from '../pitch/note'
import { beatsWhen, isHeardToBeat, pureAt, type BeatingInterval, type TunedPair } from './beats'
import type { Choice } from './choice'
import { anyOf, shuffled } from './shuffled'

/** Pairs of strings of an instrument that are tuned against each other by an interval, and ring long enough to be heard to beat. */
export function pairsBy(instrument: Instrument, interval: BeatingInterval): readonly TunedPair[] {
  const { positions } = instrument
  const strings = positions.map((p) => ({ semitone: semitoneNumber(p.note) }))
  return byEar(strings).flatMap((step): TunedPair[] => {
    const [other, against] = [
      positions[step.string],
      step.against === null ? undefined : positions[step.against],
    ]
    if (step.interval !== interval || !other || !against) return []
    const pair = { true: against, other, interval }
    return isNearEnough(pair) && isHeardToBeat(instrument, pair) ? [pair] : []
  })
}

/** Octaves are taught at one octave, not at two. */
const isNearEnough = ({ true: a, other: b, interval }: TunedPair) =>
  interval !== 'octave' || Math.abs(semitoneNumber(a.note) - semitoneNumber(b.note)) === 12

/** How far off pure the judged string can be, cents. */
const OFFS = [0, -6, 6, -12, 12, -25, 25] as const

export const anyOff = (random: () => number): number => anyOf(OFFS, random)

/** A number of cents in words: `pure`, `12 cents flat`. */
export const offWords = (cents: number): string =>
  cents === 0 ? 'pure' : `${Math.abs(cents)} cents ${cents < 0 ? 'flat' : 'sharp'}`

/** Nearer to pure than this, a tuner says the same as the ear, cents. */
const SAME = 0.5

/** What a tuner says to what sounds pure, a sentence. */
function tunerSays(instrument: Instrument, pair: TunedPair): string {
  const by = -pureAt(instrument, pair)
  if (Math.abs(by) < SAME) return 'A tuner sets it there, too.'
  const why =
    pair.interval === 'octave'
      ? 'the upper partials of stiff strings lie wide'
      : 'where all fifths are alike, no fifth or fourth is pure'
  return `A tuner sets it ${Math.abs(by).toFixed(1)} cents ${by < 0 ? 'lower' : 'higher'}, where it beats ${beatsWhen(instrument, pair, by).toFixed(1)} times: ${why}.`
}

/** @param off - what is right, cents off pure */
export function hearChoices(
  instrument: Instrument,
  pair: TunedPair,
  off: number,
  random: () => number,
): readonly Choice[] {
  const teaches =
    off === 0
      ? `It does not beat. ${tunerSays(instrument, pair)}`
      : `It beats ${beatsWhen(instrument, pair, off).toFixed(1)} times a second, and not at all when it is pure. Flat or sharp you hear by turning a little: where the beats slow down, that way lies pure.`
  const wrong: readonly (readonly [number, string])[] =
    off === 0
      ? [
          [12, 'a pure one heard as sharp'],
          [-12, 'a pure one heard as flat'],
        ]
      : [
          [-off, 'heard the other way'],
          [0, 'heard as pure'],
          [off * 2, 'heard twice as far'],
        ]
  return shuffled(
    [[off, null] as const, ...wrong].map(([cents, mistake]): Choice => ({
      words: offWords(cents),
      mistake,
      teaches,
      brings: cents,
    })),
    random,
  )
}
