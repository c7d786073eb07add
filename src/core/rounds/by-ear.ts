/**
 * The order in which a person tunes by ear: an A by the fork (the string nearest to it, where none sounds A), the octave below it by fifths and fourths, and all others by
 * octaves from those.
 */
import { itemAt } from '../list/item-at'
import { requireValue } from '../list/require-value'

export const INTERVALS = ['fork', 'unison', 'octave', 'fifth', 'fourth'] as const
export type TunedInterval = (typeof INTERVALS)[number]

/** One string, and what it is tuned against. */
export interface ByEarStep {
  /** Index of the string. */
  readonly string: number
  /** Index of one that is tuned already; null where it goes by the fork, or by a tuner. */
  readonly against: number | null
  /** Null where no interval from a tuned string is pure enough to hear. */
  readonly interval: TunedInterval | null
}

const A4 = 69
const PITCH_CLASSES = 12
const A = 9
/** Semitones of what is heard best, the surest first. */
const HEARD: readonly (readonly [semitones: number, interval: TunedInterval])[] = [
  [0, 'unison'],
  [12, 'octave'],
  [7, 'fifth'],
  [5, 'fourth'],
  [24, 'octave'],
]

/** @param strings - their semitones above C−1, A4 being 69 */
export function byEar(strings: readonly { readonly semitone: number }[]): readonly ByEarStep[] {
  if (strings.length === 0) return []
  const semitone = (i: number) => (strings[i] as { semitone: number }).semitone
  const nearA4 = (i: number) => Math.abs(semitone(i) - A4)
  const all = strings.map((_, i) => i)
  const nearest = (of: readonly number[]) => of.toSorted((a, b) => nearA4(a) - nearA4(b) || a - b)[0]
  const byFork = nearest(all.filter((i) => semitone(i) % PITCH_CLASSES === A))
  const first = byFork ?? requireValue(nearest(all))
  const steps: ByEarStep[] = [
    { string: first, against: null, interval: byFork === undefined ? null : 'fork' },
  ]
  const tuned = [first]
  const left = new Set(all.filter((i) => i !== first))
  const from = semitone(first)
  const isMiddle = (i: number) => semitone(i) <= from && semitone(i) > from - PITCH_CLASSES
  while (left.size > 0) {
    // The middle octave first; then outward from it, so that there is always an octave to hear.
    const middle = [...left].filter(isMiddle)
    const candidates = (middle.length > 0 ? middle : [...left]).sort(
      (a, b) => Math.abs(semitone(a) - from) - Math.abs(semitone(b) - from) || a - b,
    )
    const step = soonest(candidates, tuned, semitone)
    steps.push(step)
    tuned.push(step.string)
    left.delete(step.string)
  }
  return steps
}

/** Of those that are next, the one that is heard against a tuned string by the surest interval; the nearest where none is. */
function soonest(
  candidates: readonly number[],
  tuned: readonly number[],
  semitone: (i: number) => number,
): ByEarStep {
  for (const string of candidates)
    for (const [semitones, interval] of HEARD) {
      // The one tuned last is still in the ear.
      const against = tuned.findLast((i) => Math.abs(semitone(i) - semitone(string)) === semitones)
      if (against !== undefined) return { string, against, interval }
    }
  return { string: itemAt(candidates, 0), against: null, interval: null }
}
