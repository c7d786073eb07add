/**
 * A string that breaks in the interval: the shortest safe way. What can wait is put off, what is left of the time stretches the
 * string, and it is said when to touch it up in the second half.
 */
import { betweenHalves } from '../settle/between-halves'
import { newString } from '../settle/new-string'
import { coreMaterial } from '../strings/construction'
import { wired, type FittingContext } from './context'
import type { Step, StepKey } from './step'

/** Minutes that somebody may have; more is no hurry. */
export const MINUTES_LEFT = [10, 20, 60] as const

/** Of a hand that has done it before, min: our estimates. */
const TAKES: Readonly<Record<StepKey, number>> = {
  'make-ready': 0.5,
  'move-aside': 3,
  'take-off': 0.5,
  inspect: 0.5,
  prove: 0.5,
  'set-pin': 0.25,
  'tie-knot': 1,
  'through-board': 0.5,
  seat: 0.25,
  'twist-loop': 3,
  'hook-loop': 0.5,
  mark: 0.25,
  'wind-first': 1.5,
  'round-posts': 0.5,
  'pull-aside': 0.5,
  'peg-cord': 1,
  'thread-pin': 0.5,
  'cut-again': 1,
  wind: 1,
  'wrap-foot': 4,
  'put-back': 4,
  'to-half': 1.5,
  'to-pitch': 1,
  // What is left of the time.
  stretch: 0,
  trim: 0.5,
  'look-inside': 0.5,
  log: 0.5,
}
/** Without so many minutes to stretch it, it does not hold through a piece. */
const LEAST_STRETCHING = 3
/** A second half, min. */
const HALF = 45

/** What can wait, the first to wait first, with when it is done. The burrs are always felt for: what broke one string breaks the next. */
const CAN_WAIT: readonly (readonly [key: StepKey, why: string])[] = [
  ['look-inside', 'Tomorrow, when you tune it again. Listen tonight for a buzz.'],
  ['trim', 'After the concert. Fold the tail out of the way.'],
  ['prove', 'After the concert. Tonight you trust the packet.'],
]

/** Steps that may be put off until after the playing, and are still worth doing then. */
export const STEPS_THAT_WAIT: readonly StepKey[] = CAN_WAIT.map(([key]) => key)

export interface PutOff {
  readonly key: StepKey
  readonly title: string
  readonly why: string
}

export interface IntervalPlan {
  /** Steps that are walked now. */
  readonly steps: readonly Step[]
  readonly putOff: readonly PutOff[]
  /** What they take, min. */
  readonly takes: number
  /** What is left to stretch it, min; less than is needed where {@link fits} is false. */
  readonly left: number
  readonly fits: boolean
  /** Times that it is moved far aside and tuned again; 0 for wire, which is left alone. */
  readonly cycles: number
  /** Leave it sharp by this as the half begins, cents. */
  readonly sharp: number
  /** When to touch it up, minutes into a half of 45. */
  readonly touchUps: readonly number[]
}

/**
 * @param steps - of one string, as they are without haste
 * @param minutes - until the second half
 * @param tolerance - within which it counts as in tune, cents
 */
export function inTheInterval(
  context: FittingContext,
  steps: readonly Step[],
  minutes: number,
  tolerance: number,
): IntervalPlan {
  const sum = (some: readonly Step[]) => some.reduce((all, { key }) => all + TAKES[key], 0)
  let now = steps
  const putOff: PutOff[] = []
  for (const [key, why] of CAN_WAIT) {
    if (sum(now) + LEAST_STRETCHING <= minutes) break
    // The cut end of a wire is as sharp as a needle: it never waits.
    if (key === 'trim' && wired(context)) continue
    const step = now.find((one) => one.key === key)
    if (!step) continue
    putOff.push({ key, title: step.title, why })
    now = now.filter((one) => one !== step)
  }
  const takes = sum(now)
  const left = Math.max(0, minutes - takes)
  const way = wired(context) ? 'leave it alone' : 'big sideways motions'
  const known = newString(coreMaterial(context.figures.construction).name)
  const ways = betweenHalves(known, 0, left, HALF, tolerance)
  const chosen = ways.find((one) => one.way === way) ?? ways.find((one) => one.way === 'leave it alone')
  return {
    steps: now,
    putOff,
    takes,
    left,
    fits: takes + LEAST_STRETCHING <= minutes,
    cycles: chosen?.cycles ?? 0,
    sharp: chosen?.sharp ?? 0,
    touchUps: chosen?.touchUps ?? [],
  }
}
