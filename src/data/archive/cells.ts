/**
 * Cells of an archive as text and back; what comes back is held against everything that can be.
 */
import { habitsProblem } from '@/core/fitting/habit-values'
import { WAYS } from '@/core/fitting/habits'
import { MISHAPS } from '@/core/fitting/mishaps'
import { ASKED, STEP_KEYS } from '@/core/fitting/step'
import { CALLED_BY, COUNTED_FROM } from '@/core/instrument/called'
import { FAMILIES } from '@/core/instrument/family'
import { BEARINGS, LEVERS_OFF, STRING_COLOURS, STRUNG } from '@/core/instrument/instrument'
import { HEAD_FASTENINGS, TAIL_NAMES } from '@/core/knots/fastenings'
import { REST_TUNINGS } from '@/core/pitch/rest-tuning'
import { HARDWARE_COLUMNS } from '@/core/hardware/columns'
import { PICTURE_KINDS } from '@/core/pictures/picture-kind'
import { RESTRING_WAYS } from '@/core/restring/taught-ways'
import { ROUND_ORDERS } from '@/core/rounds/tuning-round'
import { AIR_BOUNDS } from '@/core/settle/room'
import { READING_KINDS } from '@/core/settle/readings'
import { CURRENCIES } from '@/core/stores/money'
import { STRING_ENDS } from '@/core/knots/string-ends'
import { SOLD_AS } from '@/core/stores/sold-as'
import { SOLD_CLASSES } from '@/core/stores/string-spec'
import { SENT_BY } from '@/core/stores/order-way'
import { SUPPLY_KINDS } from '@/core/stores/supplies'
import { BOUNDS, canBe, type Bounded } from '@/core/strings/bounds'
import { isWritten } from '@/core/strings/written-lengths'
import { PITCH_CLASSES } from '@/core/temper/temperament'
import { MATERIALS } from '@/core/strings/materials'
import { BREAK_SITES } from '@/core/wear/break-sites'
import { CONDITIONS } from '@/core/wear/life'
import { SINCE } from '@/core/wear/on-since'
import { SPARES_BY } from '@/core/wear/reorder'
import { SIGNS } from '@/core/wear/signs'
import { LATEST_TIME } from '@/core/units/latest-time'
import { PIN_SETTINGS, TURNED_BY } from '@/core/winding/pin'
import { isMeasured } from '../instruments/measured-json'
import type { ArchiveColumn, Cell } from './columns'

/** Text that a spreadsheet would take for a formula, and text that begins with an apostrophe or is empty, gets one in front. */
const QUOTED = /^(?:[=+\-@\t\r'\s\uFF1D\uFF0B\uFF0D\uFF20\u200B-\u200F\uFEFF]|$)/

/** A cell as it stands in a file; an empty one is one without a value. */
export function cellText(value: Cell, { kind }: ArchiveColumn): string {
  if (value === null) return ''
  if (kind === 'time') return new Date(Number(value)).toISOString()
  if (kind !== 'text') return String(value)
  const text = String(value)
  return QUOTED.test(text) ? `'${text}` : text
}

/**
 * A cell as it is kept.
 *
 * @throws RangeError with a sentence when it can’t be read, or can’t be
 */
export function cellValue(text: string, column: ArchiveColumn): Cell {
  if (text === '') {
    if (column.required) throw new RangeError('this can’t be empty')
    return null
  }
  switch (column.kind) {
    case 'time':
      return timeOf(text)
    case 'whole':
      return wholeOf(text)
    case 'number':
      return numberOf(text, column.name)
    case 'text':
      return textOf(text.startsWith("'") ? text.slice(1) : text, column.name)
  }
}

function timeOf(text: string): number {
  const time = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?Z$/.test(text) ? Date.parse(text) : NaN
  if (!(time >= 0 && time <= LATEST_TIME))
    throw new RangeError('expected a time such as 2026-11-24T10:00:00Z')
  return time
}

function wholeOf(text: string): number {
  const value = /^-?\d{1,15}$/.test(text) ? Number(text) : NaN
  if (!Number.isSafeInteger(value)) throw new RangeError('expected a whole number')
  return value
}

/** Beyond this no figure is one of a string. */
const MAX_FIGURE = 1e9

const LENGTHS: Readonly<Record<string, Bounded>> = {
  gauge_mm: 'gauge',
  measured_gauge_mm: 'gauge',
  core_mm: 'core',
  bedding_mm: 'bedding',
  wrap_mm: 'wrap',
  speaking_mm: 'speaking length',
  free_mm: 'free length',
  board_mm: 'board',
  eyelet_bore_mm: 'eyelet bore',
  post_mm: 'post',
  pin_mm: 'pin diameter',
  thread_mm: 'thread pitch',
  pin_height_mm: 'height',
  bridge_height_mm: 'height',
  hole_to_end_mm: 'hole to end',
  to_bridge_mm: 'to bridge',
  tail_x_mm: 'place',
  tail_y_mm: 'place',
  bridge_x_mm: 'place',
  bridge_y_mm: 'place',
  pin_x_mm: 'place',
  pin_y_mm: 'place',
  bought_mm: 'coil',
}
const PLAIN: Readonly<Record<string, Bounded>> = {
  gear_ratio: 'gear ratio',
  reference_a_hz: 'reference A',
}

function numberOf(text: string, name: string): number {
  const value = /^-?\d+(?:\.\d+)?(?:e[-+]?\d{1,3})?$/i.test(text) ? Number(text) : NaN
  if (!(Math.abs(value) <= MAX_FIGURE)) throw new RangeError('expected a number')
  const length = Object.hasOwn(LENGTHS, name) ? LENGTHS[name] : undefined
  if (length && !canBe(length, value / 1000))
    throw new RangeError(`expected ${BOUNDS[length][0] * 1000} to ${BOUNDS[length][1] * 1000} mm`)
  const plain = Object.hasOwn(PLAIN, name) ? PLAIN[name] : undefined
  if (plain && !canBe(plain, value))
    throw new RangeError(`expected ${BOUNDS[plain][0]} to ${BOUNDS[plain][1]}`)
  if (name === 'sure_chance' && !(value >= 0.5 && value <= 0.999))
    throw new RangeError('expected 0.5 to 0.999')
  if (name === 'load_share' && !(value >= 0.3 && value <= 0.99)) throw new RangeError('expected 0.3 to 0.99')
  const air = Object.hasOwn(AIR_BOUNDS, name) ? AIR_BOUNDS[name as keyof typeof AIR_BOUNDS] : undefined
  if (air && !(value >= air[0] && value <= air[1])) throw new RangeError(`expected ${air[0]} to ${air[1]}`)
  return value
}

/** More than any text field of the program takes. */
const LONGEST = 20_000
const UNTYPED = /[\0-\x08\x0B\x0C\x0E-\x1F]/

const WORDS: Readonly<Record<string, readonly string[]>> = {
  unit: ['mm', 'in'],
  currency: CURRENCIES,
  family: FAMILIES,
  tension_class: SOLD_CLASSES,
  rest_tuning: REST_TUNINGS,
  called_by: CALLED_BY,
  counted_from: COUNTED_FROM,
  strung: STRUNG,
  levers_off: LEVERS_OFF,
  colour: STRING_COLOURS,
  material: MATERIALS,
  bedding_material: MATERIALS,
  wrap_material: MATERIALS,
  mechanism: ['lever', 'disc'],
  head_fastening: HEAD_FASTENINGS,
  tail_fastening: TAIL_NAMES,
  bearing: BEARINGS,
  pin_setting: PIN_SETTINGS,
  turned_by: TURNED_BY,
  tightens: ['clockwise', 'anticlockwise'],
  height_datum: ['top of pin', 'string hole'],
  end: STRING_ENDS,
  sold_as: SOLD_AS,
  site: BREAK_SITES,
  step: STEP_KEYS,
  what: ASKED,
  mishap: MISHAPS,
  stretched_by: WAYS.stretching,
  since: SINCE,
  sent_by: SENT_BY,
  tune_order: ROUND_ORDERS,
  restring_way: RESTRING_WAYS,
  condition: CONDITIONS,
  spares_by: SPARES_BY,
  state: ['to send', 'sent', 'acknowledged', 'delivered', 'closed'],
  answer: ['confirmed', 'back-ordered', 'substituted', 'refused'],
}
/** Of one table alone: other tables have a `kind` too. */
const KINDS: readonly string[] = [...SUPPLY_KINDS, ...READING_KINDS, ...PICTURE_KINDS]

type Check = (one: unknown) => boolean
const isText: Check = (one) => typeof one === 'string' && one.length <= 80
const isCount = (one: unknown) => Number.isInteger(one) && (one as number) > 0 && (one as number) <= 10_000
const partOf = (one: unknown) =>
  typeof one === 'object' && one !== null ? (one as Record<string, unknown>) : {}
/** Lists that are kept as JSON, by what each entry must be. */
const LISTS: Readonly<Record<string, Check>> = {
  people: isText,
  signs: (one) => (SIGNS as readonly unknown[]).includes(one),
  degrees: (one) => typeof one === 'number' && one >= -100 && one <= 1300,
  open_days: (one) => isCount(one) && (one as number) <= 7,
  instruments: isText,
  measured: (one) => isMeasured(one),
  hardware_measured: (one) => (HARDWARE_COLUMNS as readonly unknown[]).includes(one),
  set_of: (one) => isText(partOf(one).part) && isCount(partOf(one).count),
  holds: (one) => {
    const { part, material, gaugeMm, held } = partOf(one)
    return (
      isText(part) &&
      (MATERIALS as readonly unknown[]).includes(material) &&
      canBe('gauge', Number(gaugeMm) / 1000) &&
      isCount(held)
    )
  },
}

/** Times of the day. */
const CLOCKS: ReadonlySet<string> = new Set(['open_from', 'open_until'])

function textOf(text: string, name: string): string {
  if (text.length > LONGEST || UNTYPED.test(text)) throw new RangeError('that is no text that is kept')
  const words = name === 'kind' ? KINDS : Object.hasOwn(WORDS, name) ? WORDS[name] : undefined
  if (words && !words.includes(text)) throw new RangeError(`expected one of: ${words.join('; ')}`)
  if (CLOCKS.has(name) && !/^([01]\d|2[0-3]):[0-5]\d$/.test(text))
    throw new RangeError('expected a time, such as 09:00')
  if (name === 'habits') {
    const problem = habitsProblem(parsed(text))
    if (problem) throw new RangeError(problem)
  }
  if (name === 'written' && !isWritten(parsed(text)))
    throw new RangeError('expected lengths as they were written, by column')
  const entry = Object.hasOwn(LISTS, name) ? LISTS[name] : undefined
  if (entry) {
    const list = parsed(text)
    if (!Array.isArray(list) || !list.every(entry)) throw new RangeError('that is no such list')
    if (name === 'degrees' && list.length !== PITCH_CLASSES) throw new RangeError('expected twelve notes')
  }
  return text
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  } catch {
    throw new RangeError('expected JSON')
  }
}
