/**
 * How practice goes, measured: how often it was right and how sure that is, how long it took and how far that spreads, week by
 * week, and how much is forgotten in how many days.
 */
import { grouped } from '../list/grouped'
import { itemAt } from '../list/item-at'
import { DAY } from '../units/time'
import type { Drill } from './drill'

export interface Answered {
  readonly drill: Drill
  readonly card: string
  /** ms since 1970 */
  readonly at: number
  /** ms */
  readonly took: number
  readonly isRight: boolean
  readonly mistake: string | null
  readonly off: number | null
  /** The chance that it was still known, as reckoned before it was asked; null the first time. */
  readonly recall: number | null
}

export interface Share {
  readonly right: number
  readonly of: number
  /** Where the true share lies with a chance of 80 %. */
  readonly band: readonly [number, number]
}

/** z of a band that holds four times in five. */
const Z = 1.2816

/** So many right of so many, with the band of Wilson’s score (1927). */
export function shareOf(right: number, of: number): Share {
  if (of === 0) return { right, of, band: [0, 1] }
  const share = right / of
  const z2 = Z * Z
  const middle = (share + z2 / (2 * of)) / (1 + z2 / of)
  const half = (Z / (1 + z2 / of)) * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of * of))
  return { right, of, band: [Math.max(0, middle - half), Math.min(1, middle + half)] }
}

export interface DrillMeasured {
  readonly drill: Drill
  readonly share: Share
  /** Times of the right ones, s: a quarter below the first, half below the second, three quarters below the third. */
  readonly times: readonly [number, number, number] | null
  /** How far off the measured ones were, in the middle, without their sign; null where nothing is measured. */
  readonly off: number | null
  /** Week by week, the latest last. */
  readonly weeks: readonly WeekMeasured[]
  /** What was mistaken most often, the most first. */
  readonly mistakes: readonly { readonly mistake: string; readonly times: number }[]
  readonly last: number
}

export interface WeekMeasured {
  /** When it began, ms since 1970. */
  readonly from: number
  readonly share: Share
  /** s, in the middle; null where none was right. */
  readonly time: number | null
}

const WEEK = 7 * DAY
const WEEKS_SHOWN = 12
const MISTAKES_SHOWN = 3

/** Each drill that was done, as it went. */
export function measuredDrills(answers: readonly Answered[]): readonly DrillMeasured[] {
  return [...grouped(answers, ({ drill }) => drill)].map(([drill, all]) => {
    const times = secondsOf(all)
    const offs = all.flatMap(({ off }) => (off === null ? [] : [Math.abs(off)])).sort(upward)
    const mistakes = new Map<string, number>()
    for (const { mistake } of all)
      if (mistake !== null) mistakes.set(mistake, (mistakes.get(mistake) ?? 0) + 1)
    return {
      drill,
      share: shareOfAnswers(all),
      times: times.length === 0 ? null : [at(times, 0.25), at(times, 0.5), at(times, 0.75)],
      off: offs.length === 0 ? null : at(offs, 0.5),
      weeks: weeksOf(all),
      mistakes: [...mistakes]
        .map(([mistake, count]) => ({ mistake, times: count }))
        .sort((a, b) => b.times - a.times)
        .slice(0, MISTAKES_SHOWN),
      last: Math.max(...all.map((answer) => answer.at)),
    }
  })
}

const upward = (a: number, b: number) => a - b
const secondsOf = (answers: readonly Answered[]) =>
  answers.flatMap(({ isRight, took }) => (isRight ? [took / 1000] : [])).sort(upward)
const shareOfAnswers = (answers: readonly Answered[]) =>
  shareOf(answers.filter(({ isRight }) => isRight).length, answers.length)

/** The value that a share of them lies below, by proportion between two. */
function at(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1)
  const from = Math.floor(place)
  const [a, b] = [itemAt(sorted, from), itemAt(sorted, Math.min(sorted.length - 1, from + 1))]
  return a + (b - a) * (place - from)
}

function weeksOf(answers: readonly Answered[]): readonly WeekMeasured[] {
  return [...grouped(answers, (answer) => Math.floor(answer.at / WEEK) * WEEK)]
    .sort(([a], [b]) => a - b)
    .slice(-WEEKS_SHOWN)
    .map(([from, all]) => {
      const times = secondsOf(all)
      return { from, share: shareOfAnswers(all), time: times.length === 0 ? null : at(times, 0.5) }
    })
}

/** What was still known after so many days away. */
export interface Retention {
  /** Days since the same was asked before, from and until. */
  readonly days: readonly [number, number]
  readonly share: Share
  /** What was expected of these, on the average. */
  readonly expected: number
}

const SPANS: readonly (readonly [number, number])[] = [
  [0, 2],
  [2, 7],
  [7, 21],
  [21, 60],
  [60, Infinity],
]

/** How much is forgotten: cards that were asked again, by how long they had lain; spans in which there were none are left out. */
export function retentionOf(answers: readonly Answered[]): readonly Retention[] {
  const last = new Map<string, number>()
  const again: { readonly days: number; readonly isRight: boolean; readonly recall: number }[] = []
  for (const { card, at: when, isRight, recall } of [...answers].sort((a, b) => a.at - b.at)) {
    const before = last.get(card)
    last.set(card, when)
    if (before !== undefined && recall !== null) again.push({ days: (when - before) / DAY, isRight, recall })
  }
  return SPANS.flatMap(([from, to]): Retention[] => {
    const those = again.filter(({ days }) => days >= from && days < to)
    if (those.length === 0) return []
    const right = those.filter(({ isRight }) => isRight).length
    return [
      {
        days: [from, to],
        share: shareOf(right, those.length),
        expected: those.reduce((sum, { recall }) => sum + recall, 0) / those.length,
      },
    ]
  })
}
