/**
 * Which of an instrument's strings is heard: the one whose partials explain most of the sound. An octave explains half of
 * them, and pays for the teeth of its comb that find nothing.
 */
import { candidatesIn, spectrumOf, type Expected } from './comb'

/** Every string is taken to be within so much of where it should stand, semitones, unless it is said to be further. */
export const STRAYS = 0.4
/** Whoever tunes in order plucks the next string: so much likelier than another, as a logarithm. */
const NEXT = 3
/** Two strings that explain it about as well are not told apart, as a logarithm. */
const AS_WELL = 2

/**
 * @param samples - from the moment after the pluck
 * @param strings - where each should be
 * @param next - index of the string whose turn it is; null where nobody knows
 * @returns index of the string; null where it could be two, or none
 */
export function whichPlucked(
  samples: Float64Array,
  rate: number,
  strings: readonly Expected[],
  next: number | null,
): number | null {
  const spectrum = spectrumOf(samples, rate)
  const scores = strings
    .map((string, which) => ({
      which,
      score: (candidatesIn(spectrum, string)[0]?.score ?? -Infinity) + (which === next ? NEXT : 0),
    }))
    .sort((a, b) => b.score - a.score)
  const [best, second] = scores
  if (!best || best.score < 0) return null
  return second && second.score > best.score - AS_WELL ? null : best.which
}
