/**
 * How a string is held on its tuning pin: each way with its timing, stage by stage.
 */
import { itemAt } from '../../list/item-at'
import type { TuningPin } from '../../winding/pin'
import type { HeadFastening } from '../fastenings'
import type { Fixture } from '../tails/tail-end'
import { stageAt, type TyingState } from '../tails/state'
import { mirrored, upTo } from '../topology/curve'
import type { Runs, Tail } from './wound'
import { woundString } from './wound'

export interface HeadStage {
  readonly says: string
  /** Turns that the pin has been given when it is done. */
  readonly turns: number
  /** How far the tail is bent over when it is done, 0 to 1. */
  readonly bent: number
}

export interface HeadTie {
  readonly fastening: Exclude<HeadFastening, 'peg cord'>
  readonly runs: Runs
  readonly tail: Tail
  readonly stages: readonly HeadStage[]
}

const THREAD: HeadStage = {
  says: 'Turn the pin until its hole is in line with the string. Put the end up through it.',
  turns: 0,
  bent: 0,
}
const REST = 'Turn on to pitch. The wraps lie side by side, toward the wood.'
/** Where the tail lies round the pin, in degrees from its hole: the later it is tucked, the further it is led round. */
const TUCKED = { before: -18, quarter: 0, half: 18 } as const

const tucked = (fastening: HeadTie['fastening'], at: number, when: 0 | 0.25 | 0.5): HeadTie => ({
  fastening,
  runs: 'toward the wood',
  tail: { tuckedAt: at },
  stages: [
    THREAD,
    ...(when === 0
      ? []
      : [
          {
            says: `Set the slack. Give the pin ${when === 0.25 ? 'a quarter turn' : 'half a turn'}, and stop.`,
            turns: when,
            bent: 0,
          },
        ]),
    {
      says:
        when === 0
          ? 'Set the slack. Before you turn, lead the tail behind the string, on the wood’s side.'
          : 'Lead the tail behind the string that comes up, on the wood’s side. Pull it tight.',
      turns: when,
      bent: 1,
    },
    {
      says: 'Go on with a finger on the tail. The first wrap lies over it and traps it.',
      turns: 1.25,
      bent: 1,
    },
    { says: REST, turns: 3.25, bent: 1 },
  ],
})

const HEADS: readonly HeadTie[] = [
  {
    fastening: 'plain becket',
    runs: 'toward the wood',
    tail: 'free',
    stages: [
      THREAD,
      {
        says: 'Set the slack and hold the tail. Bend the end sharply at the hole, toward the wood. The first wrap lies over it.',
        turns: 0.25,
        bent: 0,
      },
      {
        says: 'Keep a light pull on the string. The first wrap goes to the wood’s side of the hole.',
        turns: 1.25,
        bent: 0,
      },
      { says: REST, turns: 3.25, bent: 0 },
    ],
  },
  {
    fastening: 'kinked both sides',
    runs: 'toward the wood',
    tail: 'kinked',
    stages: [
      THREAD,
      {
        says: 'Draw it snug. Kink the end where it comes out, away from the way it will be wound. Snip it close.',
        turns: 0,
        bent: 1,
      },
      {
        says: 'Turn. It kinks the other way where it goes in: an S. That needs no lock, and comes off fast.',
        turns: 0.5,
        bent: 1,
      },
      { says: REST, turns: 3.25, bent: 1 },
    ],
  },
  tucked('tail tucked, before turning', TUCKED.before, 0),
  tucked('tail tucked, after a quarter', TUCKED.quarter, 0.25),
  tucked('tail tucked, after half a turn', TUCKED.half, 0.5),
  {
    fastening: 'hitched round the string',
    runs: 'toward the wood',
    tail: 'hitched',
    stages: [
      THREAD,
      {
        says: 'Set the slack. Lead the tail down past the string, on its treble side.',
        turns: 0,
        bent: 0.45,
      },
      {
        says: 'Bring it round behind the string, on the wood’s side.',
        turns: 0,
        bent: 0.7,
      },
      {
        says: 'Lead it up on the bass side. Pull it up and hold it.',
        turns: 0,
        bent: 1,
      },
      {
        says: 'Wind. The first wrap lies over the tail, on the wood’s side of the hole, and traps it.',
        turns: 1.25,
        bent: 1,
      },
      { says: REST, turns: 3.25, bent: 1 },
    ],
  },
  {
    fastening: 'second wrap crossed',
    runs: 'second crossed',
    tail: 'free',
    stages: [
      THREAD,
      {
        says: 'Set the slack, hold the tail and turn. Lay the first wrap toward the wood.',
        turns: 1.3,
        bent: 0,
      },
      {
        says: 'In the second turn draw it outward, across the first, like crossed fingers.',
        turns: 2.7,
        bent: 0,
      },
      { says: 'Lead it in again. Turn on to pitch, toward the wood.', turns: 3.9, bent: 0 },
    ],
  },
  {
    fastening: 'above, below, above',
    runs: 'above, below, above',
    tail: 'free',
    stages: [
      THREAD,
      {
        says: 'Set the slack, hold the tail and turn. Lay the first wrap above the hole, toward the pin’s end.',
        turns: 1,
        bent: 0,
      },
      { says: 'Lay the second below the hole, on the wood’s side.', turns: 2, bent: 0 },
      {
        says: 'Lay the rest above it again. With wraps on both sides of its hole it can’t pull out straight.',
        turns: 3.5,
        bent: 0,
      },
    ],
  },
]

const BY_FASTENING = new Map(HEADS.map((head) => [head.fastening as HeadFastening, head]))

/** How a string is held on its pin; null for a peg's cord, which is tied. */
export function headOf(fastening: HeadFastening): HeadTie | null {
  return BY_FASTENING.get(fastening) ?? null
}

/** The pin that a string is wound on, as its drawing needs it. */
export interface DrawnPin {
  /** In gauges of the string. */
  readonly radius: number
  /** Whether its wood lies to the right: then it tightens clockwise for a key beyond the wood, and the string comes up in front. */
  readonly isMirrored: boolean
}

/** As thick against its string as most are, on a harp whose keys turn clockwise. */
export const USUAL_PIN: DrawnPin = { radius: 3.2, isMirrored: true }

/** No pin is drawn thinner or thicker than this, in gauges: on a thicker one a string could not be made out. */
const RADII = { least: 3.2, most: 6 } as const

/**
 * A tuning pin as it is drawn with its string.
 *
 * @param gauge - outer diameter of the string, m
 */
export function drawnPin({ diameter, setting, tightens }: TuningPin, gauge: number): DrawnPin {
  return {
    radius: Math.max(RADII.least, Math.min(RADII.most, diameter / (2 * gauge))),
    // On a pin that stands in a block the key goes on at the end that the drawing shows, elsewhere beyond the wood.
    isMirrored: (setting !== 'upright') === (tightens === 'clockwise'),
  }
}

/** How the string lies on its pin when so many stages are done; see stateOf for ties. */
export function headState(
  head: HeadTie,
  at: number,
  { radius, isMirrored }: DrawnPin = USUAL_PIN,
): TyingState {
  const { k, t } = stageAt(at, head.stages.length)
  const [stage, before] = [itemAt(head.stages, k), head.stages[k - 1] ?? null]
  const mix = (a: number, b: number) => a + (b - a) * t
  const turns = before ? mix(before.turns, stage.turns) : 0
  const bent = before ? mix(before.bent, stage.bent) : 0
  const { curve, standingTo, tailFrom } = woundString({
    radius,
    turns,
    runs: head.runs,
    bent,
    tail: head.tail,
  })
  const shown = before ? curve : upTo(curve, t)
  const side = isMirrored ? -1 : 1
  const pin: Fixture = {
    kind: 'tuning pin',
    at: [-1.5 * side, 0, 0],
    axis: [1, 0, 0],
    radius,
    half: 7,
    since: 0,
  }
  const neck: Fixture = {
    kind: 'neck',
    at: [-9.1 * side, 0, 0],
    axis: [1, 0, 0],
    radius: radius + 2.6,
    half: 0.7,
    since: 0,
  }
  return {
    curve: isMirrored ? mirrored(shown) : shown,
    fixtures: [pin, neck],
    leads: 'working end',
    whole: true,
    cord: null,
    parts: shown.map((_, i) => (i <= standingTo ? 'standing part' : i >= tailFrom ? 'tag' : 'working end')),
    fresh: before && stage.turns === before.turns ? [tailFrom, shown.length - 1] : [0, shown.length - 1],
  }
}
