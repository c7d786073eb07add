/**
 * How a string is held on its tuning pin: each way with its timing, stage by stage.
 */
import type { HeadFastening } from '../fastenings'
import type { Fixture } from '../tails/tail-end'
import { stageAt, type TyingState } from '../tails/state'
import { upTo } from '../topology/curve'
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
  says: 'Turn the pin until its hole is in line with the string, and thread the string up through it.',
  turns: 0,
  bent: 0,
}
const REST = 'Turn on to pitch: the wraps lie side by side toward the wood.'
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
            says: `Set the slack, and turn the pin by a ${when === 0.25 ? 'quarter' : 'half'} turn.`,
            turns: when,
            bent: 0,
          },
        ]),
    {
      says:
        when === 0
          ? 'Before you turn, bend the tail over toward the wood, under where the first wrap will lie.'
          : 'Now bring the tail under the string, toward the wood: the first wrap is about to lie on it.',
      turns: when,
      bent: 1,
    },
    {
      says: 'Set your thumb on the tail and turn: the first wrap lies over it, and the string traps itself.',
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
        says: 'Set the slack and hold the tail. Bend the becket just inside the hole, toward the wood, so that the first wrap lies over it.',
        turns: 0.25,
        bent: 0,
      },
      {
        says: 'Keep a light pull on the string: the first wrap goes to the wood’s side of the hole.',
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
        says: 'Bend the tail sharply where it leaves the pin, away from the way it will be wound, and snip it off close: this is done before you turn.',
        turns: 0,
        bent: 1,
      },
      {
        says: 'Turn: the string bends the other way where it enters. The two kinks make an S, which needs no lock and comes off fast.',
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
        says: 'Set the slack. Lead the tail up and over to the side of the pin’s end, and down in front.',
        turns: 0,
        bent: 0.55,
      },
      {
        says: 'Lead it behind the standing string and back on the wood’s side: a hitch lies round the string.',
        turns: 0,
        bent: 1,
      },
      {
        says: 'Set your thumb on the tail and turn: the first wrap lies over the hitch, and the string traps itself.',
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
        says: 'Set the slack, hold the tail and turn: bring the first wrap in, to the wood’s side of the hole.',
        turns: 1.3,
        bent: 0,
      },
      {
        says: 'Lead the second wrap out over the first, so that it crosses and pinches it.',
        turns: 2.7,
        bent: 0,
      },
      { says: 'Lead it in again, and turn on to pitch toward the wood.', turns: 3.9, bent: 0 },
    ],
  },
  {
    fastening: 'above, below, above',
    runs: 'above, below, above',
    tail: 'free',
    stages: [
      THREAD,
      {
        says: 'Set the slack, hold the tail and turn: lay the first wrap above the hole, toward the pin’s end.',
        turns: 1,
        bent: 0,
      },
      { says: 'Lay the second below the hole, on the wood’s side.', turns: 2, bent: 0 },
      {
        says: 'Lay the rest above it again: the string lies on both sides of its hole and can’t pull out straight.',
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

/** A pin as thick against its string as most are. */
export const USUAL_PIN = 3.2

/** How the string lies on its pin when so many stages are done; see stateOf for ties. */
export function headState(head: HeadTie, at: number, radius = USUAL_PIN): TyingState {
  const { k, t } = stageAt(at, head.stages.length)
  const [stage, before] = [head.stages[k] as HeadStage, head.stages[k - 1] ?? null]
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
  const pin: Fixture = { kind: 'tuning pin', at: [-1.5, 0, 0], axis: [1, 0, 0], radius, half: 7, since: 0 }
  const neck: Fixture = {
    kind: 'neck',
    at: [-9.1, 0, 0],
    axis: [1, 0, 0],
    radius: radius + 2.6,
    half: 0.7,
    since: 0,
  }
  return {
    curve: shown,
    fixtures: [pin, neck],
    leads: 'working end',
    whole: true,
    cord: null,
    parts: shown.map((_, i) => (i <= standingTo ? 'standing part' : i >= tailFrom ? 'tag' : 'working end')),
    fresh: before && stage.turns === before.turns ? [tailFrom, shown.length - 1] : [0, shown.length - 1],
  }
}
