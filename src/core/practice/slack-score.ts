/**
 * *Leave the slack*: what a slack would have given on the pin, by the same sums as in a fitting.
 */
import { fittingFigures, type StringFigures } from '../fitting/figures'
import { WRAPS_BAND } from '../fitting/habits'
import { windsOnPin } from '../fitting/head-way'
import { lengthOfPins } from '../instrument/neck'
import { spacingAt } from '../instrument/neck'
import { isOnFoot } from '../knots/fastenings'
import { requireValue } from '../list/require-value'
import { slackOfPull, wrapsFromSlack } from '../winding/slack'
import type { StringPosition } from '../instrument/instrument'
import type { Own } from './drill'
import type { SlackQuestion } from './question'

/** Whether slack is left on a string at all. */
export const takesSlack = (position: StringPosition): boolean => windsOnPin(position) && !isOnFoot(position)

/** Its own figures, as a fitting has them. */
export function ownFigures({ instrument, habits }: Own, position: StringPosition): StringFigures {
  const { strings } = fittingFigures(instrument, position, habits)
  return requireValue(strings.find((one) => one.position.number === position.number) ?? strings[0])
}

export interface LeftSlack {
  /** m */
  readonly length: number
  readonly wraps: number
  /** Wraps more than wanted. */
  readonly off: number
  readonly isRight: boolean
}

/** Off by more than this it is another winding than was wanted. */
const WITHIN = 0.5

/** What was left, counted as the question counts: pins along the neck, strings aside, or metres past the pin. */
export function slackLeft(
  own: Own,
  position: StringPosition,
  { by, toward, wraps: wanted }: Pick<SlackQuestion, 'by' | 'toward' | 'wraps'>,
  amount: number,
): LeftSlack {
  const { stretch, gauge, lay } = ownFigures(own, position)
  const length =
    by === 'pins'
      ? lengthOfPins(own.instrument, position, amount, { rule: own.habits.spacing, toward })
      : by === 'sideways pull'
        ? slackOfPull(position.freeLength, amount * spacingAt(own.instrument, position))
        : amount
  const wraps = wrapsFromSlack(length, position.head.pin.diameter, gauge, stretch, lay)
  const off = wraps - wanted
  return { length, wraps, off, isRight: Math.abs(off) <= WITHIN }
}

/** How it went wrong, in a few words; null where it did not. */
export function slackMistake({ off, isRight, wraps }: LeftSlack): string | null {
  if (isRight) return null
  if (wraps < WRAPS_BAND.least) return 'too little slack: it would slip'
  return off < 0 ? 'too little slack' : 'too much slack'
}
