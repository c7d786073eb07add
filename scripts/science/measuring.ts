/**
 * How true it is what is said of an instrument that came from a preset: instruments are drawn as the preset may be wrong
 * about them, measured as the plan says, and their cuts worked out from the truth.
 */
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { fittingFigures } from '@/core/fitting/figures'
import type { Family } from '@/core/instrument/family'
import type { Instrument } from '@/core/instrument/instrument'
import { fromPreset } from '@/core/instrument/presets'
import { readNotes } from '@/core/instrument/read-notes'
import { itemAt } from '@/core/list/item-at'
import { beliefsOf } from '@/core/measuring/beliefs'
import { quantitiesOf, scaled, type QuantityKey } from '@/core/measuring/quantity'
import { takeMeasure } from '@/core/measuring/take-measure'
import { measuringPlan } from '@/core/measuring/worth'
import { seeded } from '@/core/random/seeded'

const CASES = [
  ['lever harp', 'C2 to C7', 'lever'],
  ['lap harp', 'C3 to C6', 'folk'],
  ['lap zither', 'C4 to C6', 'wire'],
  ['long zither', 'C2 D2 F2 G2 A2 C3 D3', 'wire'],
] as const
/** Instruments of each kind. */
const TIMES = 25
const SEED = 5

export interface Measured {
  readonly name: string
  readonly cuts: number
  /** One standard deviation of a cut as it is told, in the middle of all, m; and the share of true cuts within it. */
  readonly toldBefore: number
  readonly withinBefore: number
  /** Measurements that the plan asks for, on average. */
  readonly measures: number
  readonly toldAfter: number
  readonly withinAfter: number
  /** Of the cut worked out after them, m. */
  readonly meanError: number
}

let calibrated: readonly Measured[] | undefined

/** Draws, measures and compares, the same way every time. */
export function calibrateMeasuring(): readonly Measured[] {
  calibrated ??= calibrate(TIMES)
  return calibrated
}

function calibrate(times: number): readonly Measured[] {
  const random = seeded(SEED)
  return CASES.map(([family, notes, tensionClass]) => {
    const assumed = preset(family, notes, tensionClass)
    const before = measuringPlan(assumed, DEFAULT_HABITS, [])
    const wrong: { told: number; off: number }[] = []
    const left: { told: number; off: number }[] = []
    let measures = 0
    for (let time = 0; time < times; time += 1) {
      const real = drawn(assumed, random)
      const { known, done } = measuredAsPlanned(assumed, real, random)
      measures += done.length
      const after = measuringPlan(known, DEFAULT_HABITS, done, 0)
      const truth = cutsOf(real)
      for (const [from, told, kept] of [
        [assumed, before, wrong],
        [known, after, left],
      ] as const) {
        const cuts = cutsOf(from)
        for (const { number, cut } of told.now)
          kept.push({ told: cut, off: Math.abs((truth[number - 1] ?? 0) - (cuts[number - 1] ?? 0)) })
      }
    }
    return {
      name: `${family}, ${notes}`,
      cuts: wrong.length,
      toldBefore: middle(wrong.map(({ told }) => told)),
      withinBefore: within(wrong),
      measures: measures / times,
      toldAfter: middle(left.map(({ told }) => told)),
      withinAfter: within(left),
      meanError: left.reduce((sum, { off }) => sum + off, 0) / left.length,
    }
  })
}

function preset(family: Family, notes: string, tensionClass: Instrument['tensionClass']): Instrument {
  return fromPreset({
    about: {
      name: family,
      slug: 'drawn',
      family,
      maker: '',
      model: '',
      owner: '',
      tensionClass,
      restTuning: 'C major',
      referenceA: 440,
      strung: 'as usual',
    },
    notes: readNotes(notes),
    measured: new Map(),
  })
}

/** An instrument as the preset may be wrong about it. */
export function drawn(instrument: Instrument, random: () => number): Instrument {
  const quantities = quantitiesOf(instrument)
  const lower = cholesky(beliefsOf(quantities, []).spread)
  const draws = quantities.map(() => normal(random))
  return quantities.reduce((now, quantity, i) => {
    const log = (lower[i] ?? []).reduce((sum, value, k) => sum + value * (draws[k] ?? 0), 0)
    return scaled(now, quantity, Math.exp(log))
  }, instrument)
}

/** Normally distributed, by Box and Muller. */
export function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** The lower triangle whose product with itself is the matrix, which must be positive definite. */
function cholesky(matrix: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const lower = matrix.map((row) => row.map(() => 0))
  const at = (i: number, k: number) => lower[i]?.[k] ?? 0
  matrix.forEach((row, i) => {
    for (let k = 0; k <= i; k += 1) {
      let rest = row[k] ?? 0
      for (let n = 0; n < k; n += 1) rest -= at(i, n) * at(k, n)
      itemAt(lower, i)[k] = i === k ? Math.sqrt(rest) : rest / at(k, k)
    }
  })
  return lower
}

/** The instrument as it is known once all is measured that the plan asks for. */
function measuredAsPlanned(assumed: Instrument, real: Instrument, random: () => number) {
  const read = new Map(
    quantitiesOf(real).map(({ key, value, error }) => [key, value + error * normal(random)]),
  )
  let known = assumed
  const done: { key: QuantityKey; error: null }[] = []
  for (const { quantity } of measuringPlan(assumed, DEFAULT_HABITS, []).next) {
    known = takeMeasure(known, done, quantity.key, read.get(quantity.key) ?? quantity.value)
    done.push({ key: quantity.key, error: null })
  }
  return { known, done }
}

const cutsOf = (instrument: Instrument) =>
  instrument.positions.map((p) => fittingFigures(instrument, p, DEFAULT_HABITS).cut.total)

const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0

const within = (cuts: readonly { readonly told: number; readonly off: number }[]) =>
  cuts.filter(({ told, off }) => off <= told).length / cuts.length
