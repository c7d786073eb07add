/**
 * What the steps of a fitting are made from.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { isInBox, tailFacts, type TailHold } from '../knots/fastenings'
import { itemAt } from '../list/item-at'
import { isWire } from './thin'
import { siteFacts, type BreakSite } from '../wear/break-sites'
import type { FittingFigures } from './figures'
import type { Habits } from './habits'
import type { PlainStep } from './step'

export interface FittingState {
  /** Where the old string gave way; null while it is still on and sound. */
  readonly site: BreakSite | null
  /** The string came off whole and is put back. */
  readonly sameString: boolean
  /** It is taken off and put back only to learn how. */
  readonly forPractice: boolean
  /** The new string is of another tension class than the chart. */
  readonly classDiffers: boolean
  /** Turns of the pin given while the old string was let down. */
  readonly turnsGiven: number
  /** The strings that lie over it come off for good, and new ones go on in their place. */
  readonly redoesAbove: boolean
  /** It is one of a go of several in a restring; or the instrument is bare, its strings all off or never on. Null where it is neither. */
  readonly restring: 'go by go' | 'from bare' | null
}

export const FRESH: FittingState = {
  site: null,
  sameString: false,
  forPractice: false,
  classDiffers: false,
  turnsGiven: 0,
  redoesAbove: false,
  restring: null,
}

export interface FittingContext {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly figures: FittingFigures
  readonly habits: Habits
  readonly state: FittingState
  /** What lies over it, in the order it comes off. */
  readonly above: readonly StringPosition[]
}

export type StepMaker = (context: FittingContext) => PlainStep | null

/** Whether the string is one of wire, with the cautions that go with it. */
export const wired = ({ figures }: FittingContext) => isWire(figures.construction)
/** The figures of the string that is wound first, or alone. */
export const only = ({ figures }: FittingContext) => itemAt(figures.strings, 0)
/** How its lower end takes hold. */
/** How its lower end is held. A wire goes round posts only where it is two strings; one alone is looped on its post. */
export const holdOf = ({ position, figures }: FittingContext): TailHold => {
  const { hold } = tailFacts(position.tail.fastening)
  return hold === 'posts' && figures.strings.length === 1 ? 'loop' : hold
}
export const inBox = ({ position }: FittingContext) => isInBox(position)
/** Whether nothing is on the instrument but what this restring has put on. */
export const fromBare = ({ state }: FittingContext) => state.restring === 'from bare'
/** Wound on a pin at its upper end, and not by a pair of pins. */
export const onePin = (context: FittingContext) => inBox(context) || holdOf(context) === 'loop'
/** Whether the old string is still in one piece, so that it must be let down. */
export const isWhole = ({ state: { site } }: FittingContext) => site === null || !siteFacts(site).broke

type Said = Pick<PlainStep, 'key' | 'phase' | 'title' | 'todo' | 'right' | 'mistake'> & Partial<PlainStep>

const NO_FIGURES: PlainStep['figures'] = []

/** A step with nothing where nothing is said. Field by field: a spread costs ten times as much, and a restring has hundreds. */
export function step(said: Said): PlainStep {
  return {
    key: said.key,
    phase: said.phase,
    title: said.title,
    todo: said.todo,
    right: said.right,
    mistake: said.mistake,
    figures: said.figures ?? NO_FIGURES,
    others: said.others ?? NO_FIGURES,
    turning: said.turning ?? null,
    picture: said.picture ?? null,
    asks: said.asks ?? null,
    rest: said.rest ?? null,
  }
}

/** `a, b and c`. */
export function listed(things: readonly string[]): string {
  return things.length < 2 ? things.join('') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)}`
}

/** The number that players call a string by, in words that can be said. */
export const numberOf = ({ called }: StringPosition): string => String(called.number)

/** `string 4` or `strings 4, 5 and 6`. */
export function strings(positions: readonly StringPosition[]): string {
  return `${positions.length > 1 ? 'strings' : 'string'} ${listed(positions.map(numberOf))}`
}
