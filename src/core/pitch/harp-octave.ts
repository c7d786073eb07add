/**
 * Harp octaves: counted from the treble, each running from E down to F; the fourth contains middle C.
 */
import { scientificOctave, type Letter, type Note, type ScientificOctave } from './note'

declare const harp: unique symbol
/** An octave number of the harp's own count, where 0 is the two strings above the first full octave. */
export type HarpOctave = number & { readonly [harp]: true }

const SUM: Record<Letter, number> = { C: 8, D: 8, E: 8, F: 7, G: 7, A: 7, B: 7 }

/**
 * @param value - a whole number from −2 to 9
 * @throws RangeError otherwise
 */
export function harpOctave(value: number): HarpOctave {
  if (!Number.isInteger(value) || value < -2 || value > 9) {
    throw new RangeError(`harp octave: expected a whole number from -2 to 9, got ${value}.`)
  }
  return value as HarpOctave
}

/** The harp octave in which a note lies: G4 is in the third. */
export function harpOctaveOf({ letter, octave }: Pick<Note, 'letter' | 'octave'>): HarpOctave {
  return harpOctave(SUM[letter] - octave)
}

/** The scientific octave of a letter in a harp octave: the third G is G4. */
export function scientificOctaveOf(letter: Letter, octave: HarpOctave): ScientificOctave {
  return scientificOctave(SUM[letter] - octave)
}

/** `1st`, `2nd`, `3rd`, `4th`; the octave above the first is `0th`. */
export function ordinal(n: number): string {
  const tens = Math.abs(n) % 100
  const ones = tens % 10
  const ending = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][ones] ?? 'th')
  return `${n}${ending}`
}

/** The name a harpist uses: `3rd-octave G`. */
export function harpOctaveWord(n: Pick<Note, 'letter' | 'octave'>): string {
  return `${ordinal(harpOctaveOf(n))}-octave ${n.letter}`
}
