/**
 * *Hear it*: two strings of one's own instrument that are tuned against each other, one of them off what sounds pure. What is
 * offered beside the right answer is what ears take it for: the other way, too far, not far enough, or pure.
 */
import {
  atRest,
  beatsAtPitch,
  beatsWhen,
  heardPair,
  pureAt,
  SLOWEST_HEARD,
  type BeatingInterval,
  type TunedPair,
} from '../ear/beats'
import { byEar } from '../rounds/by-ear'
import type { Instrument } from '../instrument/instrument'
import { semitoneNumber } from '../pitch/note'
import type { Choice } from './choice'
import { anyOf, shuffled } from './shuffled'

/** How far off pure the judged string is at least, cents, where it is not pure; and otherwise. */
const [NEAREST, FURTHER] = [6, 12]

/** Pairs of strings of an instrument that are tuned against each other by an interval, and are heard to beat when they are a little off. */
export function pairsBy(instrument: Instrument, interval: BeatingInterval): readonly TunedPair[] {
  const { positions } = instrument
  const strings = positions.map((p) => ({ semitone: semitoneNumber(p.note) }))
  return byEar(strings).flatMap((step): TunedPair[] => {
    const [other, against] = [
      positions[step.string],
      step.against === null ? undefined : positions[step.against],
    ]
    if (step.interval !== interval || !other || !against) return []
    const pair = heardPair(atRest(instrument, against), atRest(instrument, other), interval)
    return pair && beatsWhen(pair, NEAREST) >= SLOWEST_HEARD ? [pair] : []
  })
}

/** What the judged string could be off pure by, cents, and what it is. */
export interface Offs {
  readonly offered: readonly number[]
  readonly off: number
}

/**
 * Pure, as far flat as sharp, and twice as far on one side. Any of the four is the right one: which it is can be heard only,
 * and not told by what is offered.
 */
export function anyOffs(random: () => number): Offs {
  const once = anyOf([NEAREST, FURTHER], random)
  const offered = [0, -once, once, anyOf([-2, 2], random) * once]
  return { offered, off: anyOf(offered, random) }
}

/** A number of cents in words: `pure`, `12 cents flat`. */
export const offWords = (cents: number): string =>
  cents === 0 ? 'pure' : `${Math.abs(cents)} cents ${cents < 0 ? 'flat' : 'sharp'}`

/** What a tuner says to what sounds pure, a sentence. */
function tunerSays(pair: TunedPair): string {
  const { beats, is } = beatsAtPitch(pair)
  if (is === null) return 'A tuner sets it there, too.'
  const by = -pureAt(pair)
  const why =
    pair.interval === 'octave'
      ? 'the upper partials of stiff strings lie wide'
      : 'where all fifths are alike, no fifth or fourth is pure'
  return `A tuner sets it ${Math.abs(by).toFixed(1)} cents ${by < 0 ? 'lower' : 'higher'}, where it beats ${beats.toFixed(1)} times: ${why}.`
}

function heardAs(cents: number, off: number): string | null {
  if (cents === off) return null
  if (off === 0) return `a pure one heard as ${cents < 0 ? 'flat' : 'sharp'}`
  if (cents === 0) return 'heard as pure'
  if (cents * off < 0) return 'heard the other way'
  return Math.abs(cents) > Math.abs(off) ? 'heard too far off' : 'heard not far enough off'
}

export function hearChoices(
  pair: TunedPair,
  { offered, off }: Offs,
  random: () => number,
): readonly Choice[] {
  const teaches =
    off === 0
      ? `It does not beat. ${tunerSays(pair)}`
      : `It beats ${beatsWhen(pair, off).toFixed(1)} times a second, and not at all when it is pure. Flat or sharp you hear by turning a little: where the beats slow down, that way lies pure.`
  return shuffled(
    offered.map((cents): Choice => ({
      words: offWords(cents),
      mistake: heardAs(cents, off),
      teaches,
      brings: cents,
    })),
    random,
  )
}
