/**
 * What breaks go with in this house, with honest odds: habits, for strings that gave way in their first days; the weather and
 * the season, for those that broke of themselves.
 */
import { requireValue } from '@/core/list/require-value'
import { breaksAtTurns, breaksInWeather, type InAndOut } from '@/core/wear/breaks-in-weather'
import { ratesDiffer, sharesDiffer, type Counted } from '@/core/wear/goes-with'
import { fittedBy } from '../fitted/fitted-by'
import { brokeOfItself, inFirstDays, stringLives, type StringLife } from '../fitted/lives'
import { roomReadingsOf } from '../workshop/room'
import type { Store } from '../store/database'

export interface GoesWithLine {
  readonly what: string
  /** Strings, or days. */
  readonly counts: 'strings' | 'days'
  readonly inIt: Counted
  readonly outside: Counted
  readonly chance: number
  readonly times: number
}

/** Wraps count as more or fewer than worked out from here on. */
const WRAPS_OFF = 0.75

/** Habits that a string may have been fitted with; null where nobody knows. */
type Habit = readonly [what: string, had: (life: StringLife) => boolean | null]
const HABITS: readonly Habit[] = [
  ['more wraps than were worked out', ({ wrapsOff }) => (wrapsOff === null ? null : wrapsOff >= WRAPS_OFF)],
  ['fewer wraps than were worked out', ({ wrapsOff }) => (wrapsOff === null ? null : wrapsOff <= -WRAPS_OFF)],
  ['tied otherwise than charted', ({ otherKnot }) => otherKnot],
  ['locked on the pin otherwise than charted', ({ otherLock }) => otherLock],
  ['helped to settle as they were fitted', ({ helped }) => helped],
  [
    'thin gut, from C5 up',
    ({ lifeClass }) => (lifeClass.startsWith('gut') ? lifeClass === 'gut treble' : null),
  ],
  [
    'thin nylon, from C5 up',
    ({ lifeClass }) => (lifeClass.startsWith('nylon') ? lifeClass === 'nylon treble' : null),
  ],
]

export function whatGoesWith(store: Store): readonly GoesWithLine[] {
  const all = [...stringLives(store).values()]
  // How a string that was on already was put on, and whether it slipped at first, nobody saw.
  const lives = all.filter(({ since }) => since === 'dated')
  const by = fittedBy(store)
  const hands = [...new Set(by.values())].map((name): Habit => [
    `put on by ${name}`,
    ({ fittedId }) => (by.has(fittedId) ? by.get(fittedId) === name : null),
  ])
  const firstDays = [...HABITS, ...hands].flatMap(([what, had]): GoesWithLine[] => {
    const counted = (among: boolean): Counted => {
      const some = lives.filter((life) => had(life) === among)
      return {
        of: some.length,
        happened: some.filter((life) => life.gaveWay !== null && inFirstDays(life)).length,
      }
    }
    const [inIt, outside] = [counted(true), counted(false)]
    return inIt.of === 0 || outside.of === 0
      ? []
      : [{ what, counts: 'strings', inIt, outside, ...sharesDiffer(inIt, outside) }]
  })
  const broke = all.filter(brokeOfItself).map(({ endedAt }) => requireValue(endedAt))
  const since = Math.min(store.now(), ...all.map(({ fittedAt }) => fittedAt))
  const { cold, swinging } = breaksInWeather(roomReadingsOf(store), broke)
  const days = (what: string, { inIt, outside }: InAndOut): readonly GoesWithLine[] =>
    inIt.of === 0 || outside.of === 0
      ? []
      : [{ what, counts: 'days', inIt, outside, ...ratesDiffer(inIt, outside) }]
  return [
    ...days('cold nights, four degrees and more', cold),
    ...days('days on which the air swings by 15 % and more', swinging),
    ...days('March, April, October and November', breaksAtTurns(broke, since, store.now())),
    ...firstDays,
  ]
}
