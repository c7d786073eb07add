/**
 * The hardware of a string as columns of a sheet: how it is fastened at both ends, its pin, its heights, its board.
 */
import { BEARINGS, type Mechanism, type StringPosition } from '../instrument/instrument'
import { HEAD_FASTENINGS, TAIL_FASTENINGS } from '../knots/fastenings'
import { BOUNDS, type Bounded } from '../strings/bounds'
import { boundsText } from '../strings/length-cells'
import { PIN_SETTINGS, TURNED_BY } from '../winding/pin'

/** What the sheet has of a position. */
export type HardwareLine = Pick<StringPosition, 'number' | 'head' | 'tail' | 'mechanism' | 'written'>

const MECHANISMS: readonly Mechanism[] = ['lever', 'disc']

/** How a column's cells are read: one of some words, a length, or a plain number; `none` where it may stay empty. */
export type ColumnKind =
  | { readonly is: 'word'; readonly words: readonly string[]; readonly none: boolean }
  | { readonly is: 'length'; readonly bounded: Bounded; readonly none: boolean }
  | { readonly is: 'ratio'; readonly bounded: Bounded }

const word = (words: readonly string[], none = false): ColumnKind => ({ is: 'word', words, none })
const length = (bounded: Bounded, none = false): ColumnKind => ({ is: 'length', bounded, none })

export const HARDWARE = {
  tail: word(TAIL_FASTENINGS),
  bearing: word(BEARINGS, true),
  board: length('board'),
  eyelet: length('eyelet bore', true),
  post: length('post', true),
  mechanism: word(MECHANISMS, true),
  head: word(HEAD_FASTENINGS),
  setting: word(PIN_SETTINGS),
  turned: word(TURNED_BY),
  tightens: word(['clockwise', 'anticlockwise']),
  gear: { is: 'ratio', bounded: 'gear ratio' },
  diameter: length('pin diameter'),
  thread: length('thread pitch', true),
  height: length('height'),
  datum: word(['top of pin', 'string hole']),
  holeToEnd: length('hole to end'),
  bridgeHeight: length('height'),
  toBridge: length('to bridge'),
} as const satisfies Record<string, ColumnKind>

export type HardwareColumn = keyof typeof HARDWARE
export const HARDWARE_COLUMNS = Object.keys(HARDWARE) as readonly HardwareColumn[]

/** What a person reads over each column, and before each field. */
export const HARDWARE_NAMES: Record<HardwareColumn, string> = {
  tail: 'Lower end',
  bearing: 'Passes over',
  board: 'Board',
  eyelet: 'Eyelet bore',
  post: 'Post or hitch pin',
  mechanism: 'Mechanism',
  head: 'On the pin',
  setting: 'The pin sits',
  turned: 'Turned by',
  tightens: 'Tightens',
  gear: 'Gear',
  diameter: 'Pin diameter',
  thread: 'Thread',
  height: 'Pin height',
  datum: 'Height is to',
  holeToEnd: 'Hole to pin’s end',
  bridgeHeight: 'Bridge pin height',
  toBridge: 'To the bridge pin',
}

/** The sheet shows them in three parts, from the knot to the pin. */
export const HARDWARE_PARTS = [
  { name: 'Lower end', columns: ['tail', 'bearing', 'board', 'eyelet', 'post', 'mechanism'] },
  { name: 'Tuning pin', columns: ['head', 'setting', 'turned', 'tightens', 'gear', 'diameter', 'thread'] },
  { name: 'Heights', columns: ['height', 'datum', 'holeToEnd', 'bridgeHeight', 'toBridge'] },
] as const satisfies readonly { readonly name: string; readonly columns: readonly HardwareColumn[] }[]

/** What a cell takes, one sentence made from what its reader checks; empty for words, which are offered to choose from. */
export function acceptedText(column: HardwareColumn, unit: 'mm' | 'in'): string {
  const kind: ColumnKind = HARDWARE[column]
  switch (kind.is) {
    case 'word':
      return ''
    case 'ratio':
      return `From ${BOUNDS[kind.bounded].join(' to ')}.`
    case 'length':
      return `From ${boundsText(kind.bounded, unit)}${kind.none ? ', or empty' : ''}.`
  }
}

/** Whether a column holds words, which are one for a whole section. */
export function isInWords(column: HardwareColumn): boolean {
  return HARDWARE[column].is === 'word'
}
