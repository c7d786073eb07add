/**
 * A string that is no longer of one thickness: its partials don’t lie where one frequency and one B put them, and stray in the
 * same way at every pluck. One that is only rung along by another strays with that other’s partials, which are all multiples.
 */
import { itemAt } from '../list/item-at'
import { centsAbove } from '../pitch/cents'
import type { PitchReading } from './read-pitch'
import { partialHz } from './string-voice'

/** A partial that strays, by so many cents, mean of the plucks. */
export interface Straying {
  readonly n: number
  readonly cents: number
}

/** So often it must be heard alike. */
const PLUCKS = 3
/** Less than this is any string’s, cents. */
const MIN_FALSENESS = 2
/** And by so many standard deviations of its own. */
const SURE = 5
/** Plucks agree within this share, or within so many cents. */
const ALIKE = { share: 0.3, cents: 0.7 } as const

/**
 * The partials that stray alike in the last plucks of one string; none where it sounds as one string does, or where another
 * ringing along would explain it.
 *
 * @param plucks - readings of one string, each of a pluck of its own, the latest last
 */
export function strayingPartials(plucks: readonly PitchReading[]): readonly Straying[] {
  const last = plucks.slice(-PLUCKS)
  if (last.length < PLUCKS) return []
  const straying = itemAt(last, 0).partials.flatMap(({ n }): Straying[] => {
    const off = last.flatMap((reading) => {
      const partial = reading.partials.find((one) => one.n === n)
      if (!partial) return []
      const off = centsAbove(partial.hz, partialHz(reading, n))
      return Math.abs(off) > SURE * centsAbove(partial.hz + partial.error, partial.hz) ? [off] : []
    })
    if (off.length < PLUCKS) return []
    const cents = off.reduce((a, b) => a + b, 0) / PLUCKS
    const agree = off.every(
      (one) => Math.abs(one - cents) <= Math.max(ALIKE.cents, ALIKE.share * Math.abs(cents)),
    )
    return agree && Math.abs(cents) >= MIN_FALSENESS ? [{ n, cents }] : []
  })
  // Another string’s partials fall on every second of these, every third …
  return straying.length > 1 && straying.map(({ n }) => n).reduce(commonFactor) === 1 ? straying : []
}

const commonFactor = (a: number, b: number): number => (b === 0 ? a : commonFactor(b, a % b))
