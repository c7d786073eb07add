/** What the field can show of its strings: a figure for each, on a scale that can be read off. */
import { restFigures } from '@/core/fitting/figures'
import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'
import { measure } from '@/core/measure'
import { siteFacts } from '@/core/wear/break-sites'
import { CONDITIONS } from '@/core/wear/life'
import { conditionWord } from '@/core/wear/signs'
import type { Period } from '@/core/wear/period'
import type { InstrumentWear, WearingString } from '@/data/views/wear-of-instrument'
import { LEVELS } from '@/drawings/field/LevelledStrings'
import { chanceText } from '@/ui/format/chance'
import { measureText, type Units } from '@/ui/format/measure'
import { ageText } from './class-words'

export const OVERLAYS = [
  'chance of breaking',
  'breaks',
  'age',
  'condition',
  'margin',
  'tension',
  'gauge',
  'settling',
  'spare',
  'material',
] as const
export type Overlay = (typeof OVERLAYS)[number]

const WORDS: Readonly<Record<Exclude<Overlay, 'chance of breaking'>, string>> = {
  breaks: 'How often a string broke here',
  age: 'How long it has been on',
  condition: 'How it looked last',
  margin: 'Share of its strength that it works at',
  tension: 'Tension',
  gauge: 'Gauge',
  settling: 'How far it has fallen, where it settles',
  spare: 'Whether the stores hold one',
  material: 'What it is made of',
}

/** What an overlay shows. */
export const overlayWord = (overlay: Overlay, within: Period): string =>
  overlay === 'chance of breaking' ? `Chance that it breaks within ${within}` : WORDS[overlay]

interface Seen {
  readonly position: StringPosition
  readonly instrument: Instrument
  readonly string: WearingString | undefined
  readonly spare: string | undefined
  /** Strings that broke here so far. */
  readonly broke: number
}

/** A figure, null where there is none, and how it is told. */
const FIGURES: Record<
  Exclude<Overlay, 'material'>,
  { readonly of: (seen: Seen) => number | null; readonly told: (value: number, units: Units) => string }
> = {
  'chance of breaking': { of: ({ string }) => string?.chance ?? null, told: chanceText },
  breaks: { of: ({ broke }) => broke, told: (value) => String(Math.ceil(value)) },
  age: { of: ({ string }) => string?.age ?? null, told: ageText },
  condition: {
    of: ({ string }) => (string?.look ? CONDITIONS.indexOf(string.look.condition) + 1 : null),
    told: (value) => {
      const condition = CONDITIONS[Math.round(value) - 1]
      return condition ? conditionWord(condition) : 'nobody looked'
    },
  },
  margin: {
    of: ({ instrument, position }) => restFigures(instrument, position).utilisation,
    told: (value) => `${(value * 100).toFixed(0)} %`,
  },
  tension: {
    of: ({ instrument, position }) => restFigures(instrument, position).tension,
    told: (value, units) => measureText(measure('force', value), units),
  },
  gauge: {
    of: ({ instrument, position }) => restFigures(instrument, position).gauge,
    told: (value, units) => measureText(measure('gauge', value), units),
  },
  settling: {
    of: ({ string }) => (typeof string?.stands === 'number' ? Math.max(0, -string.stands) : null),
    told: (value, units) => measureText(measure('cents', -value), units),
  },
  spare: {
    of: ({ spare }) => (spare === undefined || spare.startsWith('nothing') ? 0 : 1),
    told: (value) => (value > 0.5 ? 'there is one' : 'none'),
  },
}

export interface ShownOverlay {
  /** By position number, 0 to LEVELS − 1. */
  readonly levels: Readonly<Record<number, number>>
  /** The figure of each string, told. */
  readonly told: Readonly<Record<number, string>>
  /** What each level stands for, from the least: from which figure on. */
  readonly scale: readonly { readonly level: number; readonly word: string }[]
}

/** Levels that are names and no figures. */
const NAMED: Partial<Record<Overlay, readonly number[]>> = { condition: [1, 2, 3, 4], spare: [0, 1] }

/** The field by a figure; null for the material, which the plain field shows. */
export function overlayOf(overlay: Overlay, wear: InstrumentWear, units: Units): ShownOverlay | null {
  if (overlay === 'material') return null
  const { of, told } = FIGURES[overlay]
  const { instrument } = wear
  const strings = new Map(wear.strings.map((one) => [one.number, one]))
  const broke = new Map<number, number>()
  for (const { number, site } of wear.past)
    if (site !== null && siteFacts(site).broke) broke.set(number, (broke.get(number) ?? 0) + 1)
  const values = instrument.positions.map((position) => ({
    number: position.number,
    value: of({
      position,
      instrument,
      string: strings.get(position.number),
      spare: wear.spares[position.number],
      broke: broke.get(position.number) ?? 0,
    }),
  }))
  const known = values.flatMap(({ number, value }) => (value === null ? [] : [{ number, value }]))
  const named = NAMED[overlay]
  const most = Math.max(0, ...known.map(({ value }) => value))
  // Breaks are whole: each level stands for one at least.
  const top = named
    ? requireValue(named.at(-1))
    : overlay === 'breaks'
      ? Math.max(LEVELS - 1, most)
      : roundUp(most)
  const levelOf = (value: number) => {
    if (!named) return top <= 0 ? 0 : Math.min(LEVELS - 1, Math.floor((value / top) * LEVELS))
    // A name that stands for nothing at all is the thread alone.
    const steps = named[0] === 0 ? named.length - 1 : named.length
    return Math.round(((named.indexOf(Math.round(value)) + (named[0] === 0 ? 0 : 1)) / steps) * (LEVELS - 1))
  }
  return {
    levels: Object.fromEntries(known.map(({ number, value }) => [number, levelOf(value)])),
    told: Object.fromEntries(
      values.map(({ number, value }) => [number, value === null ? 'not known' : told(value, units)]),
    ),
    scale: named
      ? named.map((value) => ({ level: levelOf(value), word: told(value, units) }))
      : top <= 0
        ? [{ level: 0, word: 'nothing to tell' }]
        : Array.from({ length: LEVELS }, (_, level) => ({
            level,
            word:
              level === 0
                ? `under ${told(top / LEVELS, units)}`
                : `from ${told((top * level) / LEVELS, units)}`,
          })),
  }
}

/** The next figure that a scale ends at well: 1, 1.5, 2, 2.5, 4, 5 or 8 of a power of ten. */
function roundUp(value: number): number {
  if (value <= 0) return 0
  const power = 10 ** Math.floor(Math.log10(value))
  return power * ([1, 1.5, 2, 2.5, 4, 5, 8, 10].find((step) => step * power >= value * (1 - 1e-9)) ?? 10)
}
