/**
 * How a string is held on its pin: from the chart, the house's lock, and which strings the house calls thin.
 */
import type { StringPosition } from '../instrument/instrument'
import { tailFacts, type HeadFastening } from '../knots/fastenings'
import type { WrapLay } from '../winding/lay'
import { bankRoom, straightestWraps } from '../winding/pin'
import { WRAPS_BAND, type Habits } from './habits'

/** Winds on a pin, and is not caught in a cord. */
export function windsOnPin({ head }: StringPosition): boolean {
  return head.fastening !== 'peg cord'
}

/** Whether a string is cut at its pin and wound with its end flush in the hole. */
export function isCutFlush(position: StringPosition, { cutting }: Pick<Habits, 'cutting'>): boolean {
  return (
    cutting === 'on the instrument, then wind' &&
    windsOnPin(position) &&
    tailFacts(position.tail.fastening).hold !== 'posts'
  )
}

/** Whether the slack is set with the string through its pin, which then comes out to be cut and goes in again. */
export function isThreadedTwice(of: {
  readonly habits: Pick<Habits, 'cutting'>
  readonly state: { readonly sameString: boolean }
}): boolean {
  return of.habits.cutting === 'set slack, take out, cut, thread again' && !of.state.sameString
}

/** Ways that take hold of the tail: its end is bent at the hole before anything is turned. */
export const BY_TAIL: ReadonlySet<HeadFastening> = new Set([
  'kinked both sides',
  'tail tucked, before turning',
  'tail tucked, after a quarter',
  'tail tucked, after half a turn',
  'hitched round the string',
])

/**
 * The head-end way of a string: the chart's lock where it names one, else the house's on what it calls thin. A wire gets none,
 * but for the S that wires alone keep.
 * Where the end lies flush in its hole there is no tail to lock by, and the second wrap is crossed over the first.
 */
export function headWay(
  position: StringPosition,
  { thin, wire }: { readonly thin: boolean; readonly wire: boolean },
  habits: Habits,
): HeadFastening {
  const way = lockOf(position, thin, wire, habits)
  return BY_TAIL.has(way) && isCutFlush(position, habits) ? 'second wrap crossed' : way
}

function lockOf(position: StringPosition, thin: boolean, wire: boolean, habits: Habits): HeadFastening {
  // An S is a wire’s way: nylon and gut spring straight again.
  const springs = position.head.fastening === 'kinked both sides' && !wire
  const charted = springs ? 'plain becket' : position.head.fastening
  if (!windsOnPin(position)) return charted
  if (habits.lock === 'kinked both sides')
    return wire && tailFacts(position.tail.fastening).hold !== 'posts' ? 'kinked both sides' : 'plain becket'
  if (habits.lock === 'as charted' && charted !== 'plain becket') return charted
  if (habits.windToward === 'above, below, above the hole' && position.head.pin.setting !== 'upright')
    return 'above, below, above'
  if (!thin || habits.lock === 'none') return 'plain becket'
  return habits.lock === 'as charted' ? 'tail tucked, after half a turn' : habits.lock
}

/** How the wraps of a head-end way lie. Upright pins are wound downward, under the hole, whatever the house does elsewhere. */
export function layOf(way: HeadFastening, position: StringPosition, habits: Habits): WrapLay {
  if (position.head.pin.setting === 'upright') return 'toward the wood'
  if (way === 'above, below, above') return 'above, below, above'
  if (way === 'second wrap crossed') return 'second crossed over'
  return habits.windToward === 'the wood, then outward over it' ? 'then outward over it' : 'toward the wood'
}

/** Wraps that the house wants on this pin at pitch. */
export function wrapsWanted(
  { head: { pin } }: StringPosition,
  gauge: number,
  lay: WrapLay,
  { wraps, wrapsBy }: Habits,
): number {
  // On a scroll the nut sets the string's line, whatever its wraps do.
  if (wrapsBy === 'a number of wraps' || pin.setting === 'across a scroll') return wraps
  const room = Math.floor(bankRoom(pin, gauge) / gauge)
  return Math.max(WRAPS_BAND.least, Math.min(straightestWraps(pin, gauge, lay), room))
}
