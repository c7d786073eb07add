/**
 * How much slack to leave, by each way of judging it.
 */
import { samePiece, type Instrument, type StringPosition } from '../instrument/instrument'
import {
  lengthOfPins,
  meanSpacing,
  pinsReached,
  spacingAt,
  stringsBeside,
  type NeckReach,
} from '../instrument/neck'
import type { WrapLay } from '../winding/lay'
import { sidewaysPull, slackForWraps, slackOfPull, wrapsFromSlack } from '../winding/slack'
import { SLACK_INTERVALS, WRAPS_BAND, type Habits } from './habits'

export interface SlackFigures extends PulledAside {
  /** Beyond the pin, m; zero where the stretch alone gives the wanted wraps. */
  readonly length: number
  readonly reach: NeckReach
  /** True where the stretch alone winds on more wraps than are wanted. */
  readonly stretchAloneIsMore: boolean
  /** What the house's own rule of thumb would give on this string. */
  readonly rule: SlackRule
}

/** The house's rule of thumb, in the way that it judges by. */
export interface SlackRule {
  readonly by: Habits['slackBy']
  /** Pins for an interval, strings for a pull; the length itself for a length, m. */
  readonly amount: number
  readonly length: number
  readonly wraps: number
  readonly within: boolean
}

/** The first string of a wire is pulled aside to leave the slack of the second. */
export function pulledAside(instrument: Instrument, position: StringPosition, slack: number): PulledAside {
  const pull = sidewaysPull(position.freeLength, slack)
  return { pull, ...pullCounted(instrument, position, pull, meanSpacing(instrument)) }
}

/** How far a loose string is pulled aside at mid-length. */
export interface PulledAside {
  /** m */
  readonly pull: number
  /** The same counted in string spacings. */
  readonly pullInStrings: number
  /** Whether so many strings lie on one side of it. */
  readonly pullIsThere: boolean
}

function pullCounted(instrument: Instrument, position: StringPosition, pull: number, spacing: number) {
  const pullInStrings = spacing > 0 ? pull / spacing : 0
  return { pullInStrings, pullIsThere: pullInStrings <= stringsBeside(instrument, position) }
}

interface SlackFor {
  readonly gauge: number
  readonly stretch: number
  readonly lay: WrapLay
  /** Wraps that the slack and the stretch are to give by the sum. */
  readonly wanted: number
  /** Wraps that come out more than the sum says, by the house's own fittings. */
  readonly more: number
}

export function slackFigures(
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
  { gauge, stretch, lay, wanted, more }: SlackFor,
): SlackFigures {
  const { diameter } = position.head.pin
  const forWanted = slackForWraps(wanted, diameter, gauge, stretch, lay)
  const length = Math.max(0, forWanted)
  const pull = sidewaysPull(position.freeLength, length)
  // On paired wires near and far gaps take turns: strings are counted by the mean of them.
  const spacing =
    samePiece(instrument, position).length > 1 ? meanSpacing(instrument) : spacingAt(instrument, position)
  const counting = { rule: habits.spacing, toward: habits.slackToward }
  const reach = pinsReached(instrument, position, length, counting)
  const rule = ((): Pick<SlackRule, 'amount' | 'length'> => {
    switch (habits.slackBy) {
      case 'length past the pin':
        return { amount: habits.slackLength, length: habits.slackLength }
      case 'pins':
        return {
          amount: SLACK_INTERVALS[habits.slackInterval],
          length: lengthOfPins(instrument, position, SLACK_INTERVALS[habits.slackInterval], counting),
        }
      case 'sideways pull':
        return {
          amount: habits.slackStrings,
          length: slackOfPull(position.freeLength, habits.slackStrings * spacing),
        }
    }
  })()
  const ruleWraps = Math.max(0, wrapsFromSlack(rule.length, diameter, gauge, stretch, lay) + more)
  return {
    length,
    pull,
    // Along a scroll the pins stand one behind the other: nothing is counted by them.
    reach: position.head.pin.setting === 'across a scroll' ? { ...reach, isThere: false } : reach,
    ...pullCounted(instrument, position, pull, spacing),
    stretchAloneIsMore: forWanted < 0,
    rule: {
      ...rule,
      by: habits.slackBy,
      wraps: ruleWraps,
      within: ruleWraps >= WRAPS_BAND.least && ruleWraps <= WRAPS_BAND.most,
    },
  }
}
