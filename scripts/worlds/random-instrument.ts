/** Instruments at random, as far as the forms let them be entered: family, notes, chart, hardware, ages. */
import type { ChartColumn, Cells } from '@/core/chart/cells'
import { hardwareCells, hardwareOf } from '@/core/hardware/cells'
import { HARDWARE, HARDWARE_COLUMNS, type HardwareColumn } from '@/core/hardware/columns'
import { FAMILIES } from '@/core/instrument/family'
import { STRUNG, TENSION_CLASSES, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { PRESETS } from '@/core/instrument/preset-families'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import { BOUNDS, type Bounded } from '@/core/strings/bounds'
import { MATERIALS } from '@/core/strings/materials'
import { cellsOf } from '@/core/chart/cells'
import { chartLine } from '@/core/chart/chart-line'
import { ON_ALREADY } from '@/core/wear/on-since'

export type Random = () => number

export const pick = <T>(random: Random, from: readonly T[]): T =>
  from[Math.floor(random() * from.length)] as T

const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B']
/** Labels as makers write them, and as nobody should. */
const LABELS = [
  '0',
  '½',
  '1 in',
  'maker’s 22',
  '—',
  'constructor',
  '1e9',
  '-3',
  'Ⅳ',
  'A/B',
  '#',
  ' 7 ',
  '',
  '22b',
]

/** What the form of a new instrument sends. */
export function newInstrument(random: Random, name: string): object {
  const family = pick(random, FAMILIES)
  const begins = PRESETS[family].begins
  const on = pick(random, ON_ALREADY)
  return {
    name,
    family,
    notes: random() < 0.5 ? begins.notes : notesOf(random),
    restTuning: random() < 0.7 ? begins.restTuning : pick(random, REST_TUNINGS),
    tensionClass: random() < 0.7 ? begins.tensionClass : pick(random, TENSION_CLASSES),
    strung: pick(random, STRUNG),
    lengths: '',
    chart: [],
    maker: random() < 0.3 ? '' : 'A workshop',
    model: random() < 0.3 ? '' : 'Small one',
    owner: random() < 0.3 ? '' : 'A school',
    on,
    year: on === 'about' ? 1990 + Math.floor(36 * random()) : null,
  }
}

/** A range, or a list in any order, re-entrant ones and notes that stand twice among them. */
function notesOf(random: Random): string {
  const octave = 2 + Math.floor(3 * random())
  if (random() < 0.5)
    return `${pick(random, LETTERS)}${octave} to ${pick(random, LETTERS)}${octave + 1 + Math.floor(2 * random())}`
  return Array.from(
    { length: 1 + Math.floor(24 * random()) },
    () => `${pick(random, LETTERS)}${pick(random, ['', '', '#', 'b'])}${octave + Math.floor(3 * random())}`,
  ).join(' ')
}

/** A length somewhere within what it can be, mm: at an end of the range in one case of three. */
function lengthWithin(random: Random, bounded: Bounded): string {
  const [least, most] = BOUNDS[bounded]
  const end = random()
  const metres =
    end < 0.17
      ? least
      : end < 0.34
        ? most
        : Math.max(least, 1e-6) * (most / Math.max(least, 1e-6)) ** random()
  return String(Number((metres * 1000).toPrecision(6)))
}

/** A value that a cell of the fittings sheet may have. */
export function hardwareValues(column: HardwareColumn, random: Random): string {
  const kind = HARDWARE[column]
  if (kind.is === 'word') return pick(random, kind.none ? [...kind.words, ''] : kind.words)
  if (kind.is === 'ratio') return String(pick(random, [...BOUNDS[kind.bounded], 4, 6.5]))
  return kind.none && random() < 0.3 ? '' : lengthWithin(random, kind.bounded)
}

/** Lines of the fittings sheet with some cells changed: on one string, or on all. */
export function hardwareChange(random: Random, { positions }: Instrument): readonly object[] {
  const columns = HARDWARE_COLUMNS.filter(() => random() < 0.2)
  const changed = new Map(columns.map((column) => [column, hardwareValues(column, random)]))
  const from = Math.floor(random() * positions.length)
  const to =
    random() < 0.4 ? positions.length : Math.min(positions.length, from + 1 + Math.floor(3 * random()))
  return positions.slice(random() < 0.4 ? 0 : from, to).map((p) => ({
    number: p.number,
    confirmed: [],
    ...hardwareCells(hardwareOf(p), 'mm'),
    ...Object.fromEntries(changed),
  }))
}

const CHART: Readonly<Partial<Record<ChartColumn, (random: Random, p: StringPosition) => string>>> = {
  label: (random) => pick(random, LABELS),
  note: (random) => `${pick(random, LETTERS)}${pick(random, ['', '#', 'b'])}${Math.floor(9 * random())}`,
  colour: (random) => pick(random, ['red', 'black', 'blue', 'natural']),
  material: (random) =>
    random() < 0.7 ? pick(random, MATERIALS) : `${pick(random, MATERIALS)} on ${pick(random, MATERIALS)}`,
  gauge: (random) => lengthWithin(random, 'gauge'),
  core: (random) => lengthWithin(random, 'core'),
  wrap: (random) => lengthWithin(random, 'wrap'),
  speaking: (random, p) => String(Number((p.speakingLength * 1000 * (0.5 + 1.5 * random())).toPrecision(5))),
  free: (random) => lengthWithin(random, 'free length'),
  asked: (random) => pick(random, ['', 'any', '"; drop', '½']),
}

/** Lines of the chart with some cells changed. */
export function chartChange(random: Random, { positions }: Instrument): readonly Cells[] {
  const columns = (Object.keys(CHART) as ChartColumn[]).filter(() => random() < 0.25)
  return positions
    .filter(() => random() < 0.3)
    .map((p) => ({
      ...cellsOf(chartLine(p), 'mm'),
      ...Object.fromEntries(columns.map((column) => [column, CHART[column]?.(random, p) ?? ''])),
    }))
}
