/**
 * Temperaments: how far each of the twelve notes stands from equal temperament. A keeps the reference, whatever the
 * temperament: the fork still fits.
 */
import { itemAt } from '../list/item-at'
import { frequency, semitoneNumber, type Note } from '../pitch/note'

export const PITCH_CLASSES = 12
const A = 9

export interface Temperament {
  readonly name: string
  /** Cents above C of the twelve notes from C up, C itself 0. */
  readonly cents: readonly number[]
}

/** How far a note is tuned from where equal temperament has it at the same A, cents. */
export function offEqual({ cents }: Pick<Temperament, 'cents'>, note: Note): number {
  const of = (pitchClass: number) => itemAt(cents, pitchClass) - 100 * pitchClass
  return of(((semitoneNumber(note) % PITCH_CLASSES) + PITCH_CLASSES) % PITCH_CLASSES) - of(A)
}

/** Frequency of a note in a temperament, Hz. */
export function frequencyIn(temperament: Temperament, note: Note, referenceA: number): number {
  return frequency(note, referenceA) * 2 ** (offEqual(temperament, note) / 1200)
}

export const EQUAL: Temperament = {
  name: 'Equal',
  cents: Array.from({ length: PITCH_CLASSES }, (_, i) => 100 * i),
}

const PURE_FIFTH = 1200 * Math.log2(3 / 2)
/** What twelve pure fifths are more than seven octaves, and four more than two octaves and a pure third, cents. */
const OF_FIFTHS = 12 * PURE_FIFTH - 7 * 1200
const OF_THIRDS = 4 * PURE_FIFTH - 2400 - 1200 * Math.log2(5 / 4)

/** The fifths from C up (C–G, G–D, …, A–E, E–B) and from C down (F–C, B♭–F, …), each narrower than pure by so many cents. */
function byFifths(name: string, up: readonly number[], down: readonly number[]): Temperament {
  const cents = [...EQUAL.cents]
  const place = (steps: number, at: number) => {
    const pitchClass = (((steps * 7) % 12) + 12) % 12
    cents[pitchClass] = ((at % 1200) + 1200) % 1200
  }
  let at = 0
  up.forEach((narrow, i) => place(i + 1, (at += PURE_FIFTH - narrow)))
  at = 0
  down.forEach((narrow, i) => place(-i - 1, (at -= PURE_FIFTH - narrow)))
  return { name, cents }
}

const times = (count: number, narrow: number) => Array.from({ length: count }, () => narrow)

/** From ratios above C. */
const byRatios = (name: string, ratios: readonly (readonly [number, number])[]): Temperament => ({
  name,
  cents: ratios.map(([over, under]) => 1200 * Math.log2(over / under)),
})

/** Those that ship with the app, each called by how it is made. */
export const TEMPERAMENTS: readonly Temperament[] = [
  EQUAL,
  byFifths('Pure fifths, from E-flat to G-sharp', times(8, 0), times(3, 0)),
  byFifths('Meantone: pure thirds, from E-flat to G-sharp', times(8, OF_THIRDS / 4), times(3, OF_THIRDS / 4)),
  byFifths('Well: six narrow fifths, from F to B', times(5, OF_FIFTHS / 6), [OF_FIFTHS / 6, 0, 0, 0, 0, 0]),
  byFifths(
    'Well: four narrow fifths, C–G–D–A and B–F-sharp',
    [OF_FIFTHS / 4, OF_FIFTHS / 4, OF_FIFTHS / 4, 0, 0, OF_FIFTHS / 4],
    times(5, 0),
  ),
  byFifths('Well: six narrow fifths, from C to F-sharp', times(6, OF_FIFTHS / 6), times(5, 0)),
  byRatios('Just, in C major', [
    [1, 1],
    [16, 15],
    [9, 8],
    [6, 5],
    [5, 4],
    [4, 3],
    [45, 32],
    [3, 2],
    [8, 5],
    [5, 3],
    [9, 5],
    [15, 8],
  ]),
]
