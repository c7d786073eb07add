/**
 * What a habit may be: one of the ways it has, or a number within its bounds. One place, for every way in.
 */
import { fasteningNamed, TAIL_NAMES, type KnotsMeasured } from '../knots/fastenings'
import { MOST_CYCLES } from '../settle/stretching'
import { WAYS, type HabitChange, type HabitKey, type Habits } from './habits'

/** Habits that are a number: their bounds, and the sentence for what lies outside. Lengths in m. */
const AMOUNTS: Readonly<
  Record<string, { readonly least: number; readonly most: number; readonly sentence: string }>
> = {
  wraps: {
    least: 1,
    most: 8,
    sentence:
      'Wraps: expected a number from 1 to 8; one is the least that holds, more than eight only add stretch.',
  },
  thinBelow: { least: 0.2e-3, most: 4e-3, sentence: 'Thin below: expected a gauge from 0.2 to 4 mm.' },
  slackLength: { least: 0.005, most: 0.5, sentence: 'The slack: expected a length from 5 to 500 mm.' },
  slackStrings: { least: 0.25, most: 20, sentence: 'Strings aside: expected a number from a quarter to 20.' },
  stretchCycles: {
    least: 0,
    most: MOST_CYCLES,
    sentence: `Cycles: expected a number from 0 to ${MOST_CYCLES}.`,
  },
  tail: { least: 0.01, most: 0.3, sentence: 'The tail: expected a length from 10 to 300 mm.' },
}
export const HABIT_KEYS: readonly string[] = [...Object.keys(WAYS), ...Object.keys(AMOUNTS)]

/** Why a value can’t be that of a habit, one sentence; null where it can. */
export function habitProblem(key: string, value: unknown): string | null {
  const amount = Object.hasOwn(AMOUNTS, key) ? AMOUNTS[key] : undefined
  if (amount) {
    const isRight =
      typeof value === 'number' &&
      value >= amount.least &&
      value <= amount.most &&
      (key !== 'stretchCycles' || Number.isInteger(value))
    return isRight ? null : amount.sentence
  }
  if (!Object.hasOwn(WAYS, key)) return 'There is no such habit.'
  const ways: readonly unknown[] = WAYS[key as HabitKey]
  return ways.includes(value) ? null : `Choose one of: ${ways.join('; ')}.`
}

/** Gauges that a tightened knot may take, by measuring it. */
export const KNOT_TAKES = { least: 3, most: 150 } as const

/** Habits as a record has them, each knot under its name of today. */
export function habitsNamed({ knot, knots, ...more }: HabitChange): HabitChange {
  return {
    ...more,
    ...(knot === undefined ? {} : { knot: fasteningNamed(knot) as Habits['knot'] }),
    ...(knots === undefined ? {} : { knots: areKnots(knots) ? knotsNamed(knots) : knots }),
  }
}

/** Measured under both names, what stands under today’s is kept. */
function knotsNamed(knots: KnotsMeasured): KnotsMeasured {
  const renamed = Object.entries(knots).map(([name, gauges]) => [fasteningNamed(name), gauges] as const)
  return {
    ...Object.fromEntries(renamed),
    ...Object.fromEntries(Object.entries(knots).filter(([name]) => fasteningNamed(name) === name)),
  }
}

/** What is wrong with habits that come from elsewhere, one sentence; null where nothing is. */
export function habitsProblem(habits: unknown): string | null {
  if (typeof habits !== 'object' || habits === null || Array.isArray(habits)) return 'Expected habits.'
  for (const [key, value] of Object.entries(habitsNamed(habits as HabitChange))) {
    if (key === 'knots') {
      if (!areKnots(value)) return 'A knot of one’s own takes between 3 and 150 gauges.'
      continue
    }
    const problem = habitProblem(key, value)
    if (problem) return `${key}: ${problem}`
  }
  return null
}

function areKnots(value: unknown): value is KnotsMeasured {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false
  return Object.entries(value).every(
    ([knot, gauges]) =>
      TAIL_NAMES.includes(knot) &&
      typeof gauges === 'number' &&
      gauges >= KNOT_TAKES.least &&
      gauges <= KNOT_TAKES.most,
  )
}
