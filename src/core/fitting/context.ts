/**
 * What the steps of a fitting are made from.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { surfaceMaterial } from '../strings/construction'
import type { BreakSite } from '../wear/break-sites'
import type { FittingFigures, StringFigures } from './figures'
import type { Habits } from './habits'
import type { Step } from './step'

export interface FittingContext {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly figures: FittingFigures
  readonly habits: Habits
  /** Where the old string gave way; null when it was taken off whole. */
  readonly site: BreakSite | null
  /** The string came off whole and is put back. */
  readonly sameString: boolean
}

export type StepMaker = (context: FittingContext) => Step | readonly Step[] | null

/** Whether the string is one of wire, with the cautions that go with it. */
export const wired = ({ figures }: FittingContext) => surfaceMaterial(figures.construction).wire
/** The figures of the string that is wound first, or alone. */
export const only = ({ figures }: FittingContext) => figures.strings[0] as StringFigures
/** What a step has when nothing is said of it. */
export const plain = { figures: [], caution: null, picture: null } as const
export const WIRE = 'Wire whips when it lets go and its ends fly: wear eye protection, and hold the off-cut.'

/** `a, b and c`. */
export function listed(things: readonly string[]): string {
  return things.length < 2 ? things.join('') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)}`
}
