/**
 * Two years at the Lantern Shelf: what broke, where, and what was done; told relative to the day it is loaded.
 */
import { seeded } from '@/core/random/seeded'
import type { BreakSite } from '@/core/wear/break-sites'

export type HistoryLine =
  | { readonly do: 'new set'; readonly daysAgo: number; readonly instrument: string }
  | {
      readonly do: 'break'
      readonly daysAgo: number
      readonly instrument: string
      readonly string: number
      readonly site: BreakSite
      readonly mendedAfterHours: number | null
      readonly wrapsOff?: number
      readonly cutOffMm?: number
    }
  | {
      readonly do: 'reading'
      readonly daysAgo: number
      readonly instrument: string
      readonly string: number
      readonly cents: number
      readonly broughtBack: boolean
    }
  | { readonly do: 'need'; readonly daysAgo: number; readonly instrument: string; readonly string: number }

type BreakRow = readonly [
  daysAgo: number,
  instrument: string,
  string: number,
  site: BreakSite,
  mendedAfterHours?: number | null,
]

const BREAKS: readonly BreakRow[] = [
  [706, 'lovage', 22, 'tuning pin hole'],
  [688, 'lovage', 12, 'bridge pin'],
  [671, 'lovage', 6, 'knot'],
  [630, 'lovage', 22, 'mid-length'],
  [604, 'lovage', 17, 'soundboard'],
  [566, 'lovage', 12, 'bridge pin'],
  [540, 'fennel', 9, 'bridge pin'],
  [521, 'lovage', 10, 'tuning pin hole'],
  [477, 'lovage', 2, 'knot pulled through'],
  [470, 'teasel', 1, 'wraps'],
  [433, 'lovage', 15, 'mid-length'],
  [402, 'lovage', 12, 'bridge pin'],
  [377, 'lovage', 20, 'bridge pin'],
  [350, 'fennel', 11, 'tuning pin hole'],
  [318, 'lovage', 8, 'wraps'],
  [281, 'lovage', 24, 'soundboard'],
  [262, 'lovage', 22, 'mid-length'],
  [240, 'lovage', 14, 'mid-length'],
  [213, 'fennel', 2, 'knot'],
  [190, 'lovage', 12, 'bridge pin'],
  [171, 'lovage', 28, 'soundboard'],
  [133, 'lovage', 18, 'mid-length'],
  [96, 'fennel', 16, 'mid-length'],
  [71, 'lovage', 19, 'bridge pin'],
  [38, 'lovage', 16, 'mid-length'],
  [9.2, 'teasel', 9, 'tuning pin hole'],
  [3.1, 'lovage', 5, 'knot'],
  [2.2, 'lovage', 7, 'wraps'],
  [615, 'sorrel', 4, 'tuning pin hole'],
  [512, 'sorrel', 11, 'mid-length'],
  [441, 'bryony', 11, 'tuning pin hole'],
  [390, 'chervil', 2, 'knot'],
  [344, 'sorrel', 4, 'tuning pin hole'],
  [266, 'borage', 1, 'mid-length'],
  [252, 'bistort', 3, 'tuning pin hole'],
  [205, 'orris', 1, 'bridge pin'],
  [158, 'yarrow', 1, 'mid-length'],
  [127, 'sorrel', 16, 'soundboard'],
  [88, 'bryony', 12, 'wraps'],
  [52, 'chervil', 9, 'slipped'],
  [41, 'sorrel', 7, 'knot'],
  [1.15, 'fennel', 11, 'mid-length'],
  [0.3, 'lovage', 10, 'tuning pin hole', 1],
  [0.12, 'fennel', 25, 'bridge pin', null],
]

/** The sets of the rest of the shelf. */
const NEW_SETS = [
  [698, 'sorrel'],
  [650, 'bryony'],
  [610, 'chervil'],
  [655, 'bistort'],
  [580, 'borage'],
  [500, 'yarrow'],
  [690, 'orris'],
] as const

const READINGS: readonly (readonly [daysAgo: number, instrument: string, string: number, cents: number])[] = [
  [37.9, 'lovage', 16, -34],
  [37.2, 'lovage', 16, -29],
  [35, 'lovage', 16, -26],
  [28, 'lovage', 16, -24],
  [12, 'lovage', 16, -17],
  [9, 'teasel', 9, -4],
  [8.2, 'teasel', 9, -5],
  [9, 'teasel', 10, -3],
  [2.9, 'lovage', 5, -38],
  [2.5, 'lovage', 5, -42],
  [1.8, 'lovage', 5, -31],
  [1.9, 'lovage', 7, -55],
  [0.8, 'lovage', 7, -190],
  [1.02, 'fennel', 11, -44],
  [0.75, 'fennel', 11, -49],
  [0.4, 'fennel', 11, -38],
  [0.22, 'lovage', 10, -16],
]

/** How the shelf's volunteers really wind and cut: a little more on the pin than worked out, and a little longer. */
function asMeasured(random: () => number) {
  return { wrapsOff: Math.floor(random() * 4) / 4, cutOffMm: Math.round(random() * 18 - 2) }
}

/** Everything that happened, oldest first. */
export function historyLines(): readonly HistoryLine[] {
  const random = seeded(47)
  const lines: HistoryLine[] = [
    { do: 'new set', daysAgo: 730, instrument: 'lovage' },
    { do: 'new set', daysAgo: 662, instrument: 'fennel' },
    { do: 'new set', daysAgo: 715, instrument: 'teasel' },
    ...NEW_SETS.map(([daysAgo, instrument]): HistoryLine => ({ do: 'new set', daysAgo, instrument })),
    ...BREAKS.map(([daysAgo, instrument, string, site, mendedAfterHours = 2]): HistoryLine => ({
      do: 'break',
      daysAgo,
      instrument,
      string,
      site,
      mendedAfterHours,
      ...(mendedAfterHours === null ? {} : asMeasured(random)),
    })),
    ...READINGS.map(([daysAgo, instrument, string, cents]): HistoryLine => ({
      do: 'reading',
      daysAgo,
      instrument,
      string,
      cents,
      broughtBack: cents > -100,
    })),
    { do: 'need', daysAgo: 0.11, instrument: 'fennel', string: 25 },
  ]
  return lines.sort((a, b) => b.daysAgo - a.daysAgo)
}

/** Days the strings must be ready for, in days ahead. */
export const OCCASIONS = [
  { name: 'Lantern walk', daysAhead: 19, time: '17:30' },
  { name: 'Midwinter concert', daysAhead: 26, time: '19:30' },
] as const
