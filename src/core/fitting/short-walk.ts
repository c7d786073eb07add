/**
 * A fitting in six lines, for whoever has done it before: the figures, what to look at, and what is different on this string.
 * Every line holds its steps, and opens to their moves.
 */
import type { Caution } from './caution'
import type { Phrase } from '../measure'
import type { Phase, Step, StepFigure, StepKey, Turning } from './step'

const LINES: readonly { readonly name: string; readonly phases: readonly Phase[] }[] = [
  { name: 'Make ready', phases: ['ready'] },
  { name: 'Take it off', phases: ['off'] },
  { name: 'Fasten the lower end', phases: ['in'] },
  { name: 'Wind it on', phases: ['wind'] },
  { name: 'Bring it up', phases: ['half', 'tune'] },
  { name: 'Finish', phases: ['after', 'log'] },
]

/** Steps that most strings do not have: who has done it before is told of them by name. */
const RARE: ReadonlySet<StepKey> = new Set<StepKey>([
  'move-aside',
  'twist-loop',
  'wind-first',
  'round-posts',
  'pull-aside',
  'peg-cord',
  'wrap-foot',
  'cut-again',
  'put-back',
  'to-half',
])

export interface ShortLine<One> {
  readonly name: string
  readonly steps: readonly One[]
  readonly figures: readonly StepFigure[]
  readonly turnings: readonly Turning[]
  /** What right looks like at its end. */
  readonly check: Phrase
  /** Titles of steps that most strings do not have. */
  readonly differs: readonly string[]
  readonly cautions: readonly Caution[]
}

/**
 * @param steps - in order, each with what it belongs to
 * @param stepOf - the step in one of them
 * @returns six lines at most: one that has no step is left out
 */
export function shortWalk<One>(steps: readonly One[], stepOf: (one: One) => Step): readonly ShortLine<One>[] {
  return LINES.flatMap(({ name, phases }) => {
    const own = steps.filter((one) => phases.includes(stepOf(one).phase))
    const last = own.at(-1)
    if (last === undefined) return []
    const all = own.map(stepOf)
    return [
      {
        name,
        steps: own,
        figures: distinct(
          all.flatMap(({ figures }) => figures),
          ({ label, measure }) => `${label} ${measure.value}`,
        ),
        turnings: distinct(
          all.flatMap(({ turning }) => turning ?? []),
          ({ does, way }) => `${does} ${way}`,
        ),
        check: stepOf(last).right,
        differs: distinct(
          all.filter(({ key }) => RARE.has(key)).map(({ title }) => title),
          (title) => title,
        ),
        cautions: distinct(
          all.flatMap(({ cautions }) => cautions),
          (one) => one,
        ),
      },
    ]
  })
}

function distinct<T>(all: readonly T[], by: (one: T) => string): readonly T[] {
  return [...new Map(all.map((one) => [by(one), one])).values()]
}
