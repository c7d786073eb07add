/**
 * *Hear it*: two strings of one's own instrument that are tuned against each other, one of them off. What is offered beside
 * the right answer is what ears take it for: the other way, twice as far, or true.
 */
import { byEar, type TunedInterval } from '../rounds/by-ear'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { restPitch } from '../instrument/instrument'
import { semitoneNumber } from '../pitch/note'
import type { Choice } from './choice'
import type { TwoStrings } from './question'
import { anyOf, shuffled } from './shuffled'

/** An interval that is heard by its beats: which partials of the two meet, of the one in tune and of the other. */
const MEETS: Partial<
  Record<TunedInterval, { readonly up: readonly [number, number]; readonly down: readonly [number, number] }>
> = {
  unison: { up: [1, 1], down: [1, 1] },
  octave: { up: [2, 1], down: [1, 2] },
  fifth: { up: [3, 2], down: [2, 3] },
  fourth: { up: [4, 3], down: [3, 4] },
}

/** Pairs of strings of an instrument that are tuned against each other by an interval; by numbers. */
export function pairsBy(
  instrument: Instrument,
  interval: TunedInterval,
): readonly { readonly true: StringPosition; readonly other: StringPosition }[] {
  const { positions } = instrument
  const strings = positions.map((p) => ({ semitone: semitoneNumber(p.note) }))
  return byEar(strings).flatMap((step) => {
    const [other, against] = [
      positions[step.string],
      step.against === null ? undefined : positions[step.against],
    ]
    return step.interval === interval &&
      other &&
      against &&
      MEETS[interval] &&
      nearEnough(other, against, interval)
      ? [{ true: against, other }]
      : []
  })
}

/** Octaves are taught at one octave, not at two. */
const nearEnough = (a: StringPosition, b: StringPosition, interval: TunedInterval) =>
  interval !== 'octave' || Math.abs(semitoneNumber(a.note) - semitoneNumber(b.note)) === 12

/** How far off the judged string can be, cents. */
const OFFS = [0, -6, 6, -12, 12, -25, 25] as const

export const anyOff = (random: () => number): number => anyOf(OFFS, random)

/**
 * What beats a second an interval has, and how wide it would be without any, cents.
 *
 * @param trueHz - of the one in tune, Hz
 * @param otherHz - of the other as it sounds, Hz
 */
export function beatsOf(interval: TunedInterval, trueHz: number, otherHz: number): number | null {
  const meets = MEETS[interval]
  if (!meets) return null
  const [ofTrue, ofOther] = otherHz >= trueHz ? meets.up : meets.down
  return Math.abs(ofTrue * trueHz - ofOther * otherHz)
}

/** A number of cents in words: `true`, `12 cents flat`. */
export const offWords = (cents: number): string =>
  cents === 0 ? 'true' : `${Math.abs(cents)} cents ${cents < 0 ? 'flat' : 'sharp'}`

export function hearChoices(
  instrument: Instrument,
  positions: { readonly true: StringPosition; readonly other: StringPosition },
  { interval, off }: TwoStrings,
  random: () => number,
): readonly Choice[] {
  const [trueHz, otherHz] = [restPitch(instrument, positions.true), restPitch(instrument, positions.other)]
  const beats = beatsOf(interval, trueHz, otherHz * 2 ** (off / 1200))
  const pure = beatsOf(interval, trueHz, otherHz)
  const told = (figure: number | null) => (figure ?? 0).toFixed(1)
  const teaches =
    off === 0
      ? `It beats ${told(pure)} times a second${(pure ?? 0) > 0.2 ? ', as this interval does where all twelve fifths are alike' : ''}.`
      : `It beats ${told(beats)} times a second, and ${told(pure)} when it is true. Flat or sharp you hear by turning a little: where the beats slow down, that way lies true.`
  const wrong: readonly (readonly [number, string])[] =
    off === 0
      ? [
          [12, 'a true one heard as sharp'],
          [-12, 'a true one heard as flat'],
        ]
      : [
          [-off, 'heard the other way'],
          [0, 'heard as true'],
          [off * 2, 'heard twice as far'],
        ]
  return shuffled(
    [[off, null] as const, ...wrong].map(([cents, mistake]): Choice => ({
      words: offWords(cents),
      mistake,
      teaches,
      brings: null,
    })),
    random,
  )
}
