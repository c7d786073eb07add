/**
 * What is practised, and what each drill asks of one.
 */
import type { Instrument } from '../instrument/instrument'
import type { Habits } from '../fitting/habits'

export const DRILLS = ['which', 'name', 'material', 'tie', 'slack', 'raise', 'hear', 'wrong'] as const
export type Drill = (typeof DRILLS)[number]

export interface DrillFacts {
  readonly title: string
  /** What one does, a sentence. */
  readonly does: string
  /** Longer than this, a right answer was not at one’s fingertips, ms: an estimate. */
  readonly slow: number
  /** It can’t be done without a loudspeaker. */
  readonly byEar: boolean
}

const FACTS: Record<Drill, DrillFacts> = {
  which: {
    title: 'Which string broke?',
    does: 'One string is broken. Name it as you would order it.',
    slow: 20_000,
    byEar: false,
  },
  name: {
    title: 'Name it',
    does: 'A string is named one way. Say what else it is called.',
    slow: 20_000,
    byEar: false,
  },
  material: {
    title: 'Gut, nylon or wire?',
    does: 'Look at a piece of string, bend it, draw a nail along it.',
    slow: 15_000,
    byEar: false,
  },
  tie: {
    title: 'Tie it',
    does: 'Your own knots, taken apart: their order, their crossings, their anchors.',
    slow: 45_000,
    byEar: false,
  },
  slack: {
    title: 'Leave the slack',
    does: 'Leave as much slack as gives the wraps that you want.',
    slow: 30_000,
    byEar: false,
  },
  raise: {
    title: 'Bring it up',
    does: 'Turn a string that is not there up to pitch, by ear.',
    slow: 120_000,
    byEar: true,
  },
  hear: {
    title: 'Hear it',
    does: 'Two strings sound. Say how far one of them is off.',
    slow: 30_000,
    byEar: true,
  },
  wrong: {
    title: 'What went wrong?',
    does: 'A string was put on badly. Say what is wrong with it.',
    slow: 20_000,
    byEar: false,
  },
}

export const drillFacts = (drill: Drill): DrillFacts => FACTS[drill]

/** An instrument of the house, with the habits that hold for it. */
export interface Own {
  readonly instrument: Instrument
  readonly habits: Habits
}
