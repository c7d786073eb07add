/**
 * How often Which string? is right, and whether its percentages mean what they say.
 */
import { ranking } from '@/core/identify/posterior'
import type { Instrument } from '@/core/instrument/instrument'
import { seeded } from '@/core/random/seeded'
import { simulateBreak } from './simulate-breaks'

/** Broken strings simulated on each instrument. */
const BREAKS_EACH = 400
const SEED = 31

/** Stated chances are gathered into these bands; the edges are in percent. */
const BANDS = [
  [0, 20],
  [20, 40],
  [40, 60],
  [60, 76],
  [76, 84],
  [84, 94],
  [94, 99],
  [99, 100],
] as const

export interface Band {
  readonly from: number
  readonly to: number
  readonly cases: number
  /** Mean of what was stated for the first of the ranking, and how often it was right, as shares. */
  readonly stated: number
  readonly right: number
}

export interface Calibration {
  readonly rows: readonly {
    readonly name: string
    readonly cases: number
    readonly top1: number
    readonly top3: number
  }[]
  readonly bands: readonly Band[]
}

/** Breaks strings on every instrument and counts. Strings of one piece count as one: they are replaced together. */
export function calibrate(instruments: readonly Instrument[], each = BREAKS_EACH): Calibration {
  const random = seeded(SEED)
  const told: { readonly stated: number; readonly right: boolean }[] = []
  const rows = instruments.map((instrument) => {
    let top1 = 0
    let top3 = 0
    for (let i = 0; i < each; i += 1) {
      const { truth, clues } = simulateBreak(instrument, random)
      const [first, second, third] = ranking(instrument, clues)
      const right = first?.position.piece === truth.piece
      if (right) top1 += 1
      if ([first, second, third].some((r) => r?.position.piece === truth.piece)) top3 += 1
      told.push({ stated: first?.chance ?? 0, right })
    }
    return { name: instrument.name, cases: each, top1: top1 / each, top3: top3 / each }
  })
  const bands = BANDS.map(([from, to]): Band => {
    const inBand = told.filter(({ stated }) => stated >= from / 100 && (stated < to / 100 || to === 100))
    const share = (of: (t: (typeof told)[number]) => number) =>
      inBand.reduce((sum, t) => sum + of(t), 0) / Math.max(1, inBand.length)
    return {
      from,
      to,
      cases: inBand.length,
      stated: share((t) => t.stated),
      right: share((t) => (t.right ? 1 : 0)),
    }
  })
  return { rows, bands }
}
