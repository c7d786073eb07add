/**
 * A string that was put on at an interval: what the minutes that are left can do for it, and how it stands through the
 * second half.
 */
import { chanceItStays, expectedAt, type Known } from './band'
import { driftCents, nextRetune } from './drift'
import { lawAt } from './belief'
import { AGES_BY, MOST_CYCLES, STRETCHINGS, type Stretching } from './stretching'

/** A cycle of each way with bringing the string back to pitch takes so long, min: estimates. */
const CYCLE_TAKES: Readonly<Record<Stretching, number>> = {
  'leave it alone': 0,
  'gentle pulls': 1,
  'bending aside': 1,
  'rubbing warm': 1.5,
  'big sideways motions': 1,
}

/** One way of spending the interval. */
export interface IntervalWay {
  readonly way: Stretching
  readonly cycles: number
  /** min */
  readonly takes: number
  /** What it falls by through the second half if nobody touches it, cents. */
  readonly falls: number
  /** Tuned sharp by this as the half begins, it is as far off at its end as at its beginning, cents. */
  readonly sharp: number
  /** The chance that it stays in tune without being touched, tuned sharp so. */
  readonly chance: number
  /** When to touch it up so that it stays in tune, minutes into the half. */
  readonly touchUps: readonly number[]
}

const MOST_TOUCH_UPS = 12

/**
 * @param age - of the string now, h
 * @param left - minutes until the second half
 * @param half - minutes that it lasts
 * @param tolerance - cents, flat and sharp
 * @returns every way that there is time for, each with as many cycles as fit
 */
export function betweenHalves(
  known: Known,
  age: number,
  left: number,
  half: number,
  tolerance: number,
): readonly IntervalWay[] {
  return STRETCHINGS.flatMap((way): IntervalWay[] => {
    const takes = CYCLE_TAKES[way]
    const cycles = takes === 0 ? 0 : Math.min(MOST_CYCLES, Math.floor(left / takes))
    if (takes > 0 && cycles === 0) return []
    // It goes on settling as if it were so many times as old.
    const then: Known = {
      ...known,
      start: { ...known.start, tau: known.start.tau + age * (AGES_BY[way] ** cycles - 1) },
    }
    const from = age + left / 60
    const until = from + half / 60
    const falls = -expectedAt(then, from, 0, until).cents
    const sharp = Math.min(tolerance, falls / 2)
    return [
      {
        way,
        cycles,
        takes: takes * cycles,
        falls,
        sharp,
        chance: chanceItStays(then, from, sharp, until, tolerance),
        touchUps: touchUps(then, from, until, sharp, tolerance).map((at) => (at - from) * 60),
      },
    ]
  })
}

/** Ages at which it has fallen to the tolerance since it was left sharp; each time it is left as sharp again. */
function touchUps(
  known: Known,
  from: number,
  until: number,
  sharp: number,
  tolerance: number,
): readonly number[] {
  const law = lawAt(known.start, known.share)
  if (sharp + driftCents(law, from, until) >= -tolerance) return []
  const ages: number[] = []
  for (
    let at = nextRetune(law, from, sharp + tolerance);
    at < until && ages.length < MOST_TOUCH_UPS;
    at = nextRetune(law, at, sharp + tolerance)
  )
    ages.push(at)
  return ages
}
