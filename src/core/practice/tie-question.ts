/**
 * *Tie it*: a fastening that the house ties, taken apart. Which part passes before which is read off the same curve that the
 * knot is drawn by, and what is tied wrong are the mistakes that are told beside each knot.
 */
import type { Habits } from '../fitting/habits'
import { movesSaid } from '../fitting/knot-words'
import { placesOf, type Fixture } from '../knots/tails/tail-end'
import { mistakesOf } from '../knots/tails/mistakes'
import { saidFor } from '../knots/tails/said-for'
import { stateOf } from '../knots/tails/state'
import { tellCrossings } from '../knots/tails/tell-crossings'
import { tailEndOf } from '../knots/tails/tail-ends'
import { FROM_INSIDE, FROM_OUTSIDE } from '../knots/topology/crossings'
import { isTail, tyingOf, type Fastening, type Tying } from '../knots/tying'
import { itemAt } from '../list/item-at'
import type { Choice } from './choice'
import type { ShownAnchor, ShownKnot } from './question'
import { anyOf, shuffled } from './shuffled'

/** What is asked of a fastening. */
export const TIE_PARTS = ['order', 'crossing', 'anchor', 'judge', 'memory'] as const
export type TiePart = (typeof TIE_PARTS)[number]

/** Fewer stages than this are in order by themselves. */
const FEWEST_STAGES = 3
/** Crossings nearer to each other than this can’t be covered one by one, gauges. */
const APART = 2.2

/** Stages that are tied before it is drawn down. */
const openStages = ({ stages, drawnFrom }: Tying) => drawnFrom ?? stages.length

const tyingFor = (fastening: Fastening, { anchorPlace }: Pick<Habits, 'anchorPlace'>) =>
  tyingOf(fastening, { place: anchorPlace })

/** What can be asked of a fastening at all. */
export function tieParts(fastening: Fastening, habits: Habits): readonly TiePart[] {
  const tying = tyingFor(fastening, habits)
  const mistakes = isTail(fastening) ? mistakesOf(fastening, habits.anchorPlace) : []
  return TIE_PARTS.filter((part) => {
    switch (part) {
      case 'order':
        return (movesAsked(fastening, habits).length || tying.stages.length) >= FEWEST_STAGES
      case 'crossing':
        return crossingsToAsk(fastening, habits, false).length > 0
      case 'anchor':
        return anchorsOf(fastening, habits) !== null
      case 'judge':
        return mistakes.length > 0
      case 'memory':
        return true
    }
  })
}

/** A fastening as the house ties it, nothing of it hidden. */
export function shownKnot(fastening: Fastening, habits: Habits): ShownKnot {
  return {
    fastening,
    place: habits.anchorPlace,
    hand: habits.hand,
    inside: false,
    at: openStages(tyingFor(fastening, habits)),
    mistake: null,
    covered: null,
  }
}

export interface CoveredCrossing {
  readonly knot: ShownKnot
  /** `standing part`, and `the working end`. */
  readonly led: string
  readonly other: string
  readonly inFront: boolean
  /** What the stage says, as it is for whoever looks. */
  readonly says: string
  readonly stage: number
}

const TOLD = /^The (.+) passes (in front of|behind) (.+)\.$/

function crossingsToAsk(fastening: Fastening, habits: Habits, inside: boolean): readonly CoveredCrossing[] {
  if (!isTail(fastening)) return []
  const tying = tyingFor(fastening, habits)
  const view = inside ? FROM_INSIDE : FROM_OUTSIDE
  return Array.from({ length: openStages(tying) }, (_, stage) => stage).flatMap((stage) => {
    const state = tying.stateAt(stage + 1)
    const told = tellCrossings(state, view, habits.hand)
    return told.flatMap((one): CoveredCrossing[] => {
      const [, led, how, other] = TOLD.exec(one.says) ?? []
      const isAlone = told.every(
        (another) => another === one || Math.hypot(another.x - one.x, another.y - one.y) > APART,
      )
      if (!led || !other || !isAlone) return []
      const { x, y } = one
      return [
        {
          knot: { ...shownKnot(fastening, habits), inside, at: stage + 1, covered: { x, y } },
          led,
          other,
          inFront: how === 'in front of',
          says: saidFor(tying.stages[stage]?.says ?? '', { inside, hand: habits.hand }),
          stage,
        },
      ]
    })
  })
}

/** One of its crossings, covered. */
export function coveredCrossing(
  fastening: Fastening,
  habits: Habits,
  random: () => number,
): CoveredCrossing | null {
  const inside = random() < 0.5
  const all = crossingsToAsk(fastening, habits, inside)
  return all.length === 0 ? null : anyOf(all, random)
}

/** In front, or behind. */
export function crossingChoices({ inFront, other, says }: CoveredCrossing): readonly Choice[] {
  const choice = (front: boolean): Choice => ({
    words: front ? `In front of ${other}` : `Behind ${other}`,
    mistake: front === inFront ? null : front ? 'led in front' : 'led behind',
    teaches: says,
    brings: null,
  })
  return [choice(true), choice(false)]
}

/** A knot tied right, or with one of the mistakes that are made with it, from any side and for either hand. */
export function judgedKnot(fastening: Fastening, habits: Habits, random: () => number): ShownKnot | null {
  const mistakes = isTail(fastening) ? mistakesOf(fastening, habits.anchorPlace) : []
  if (mistakes.length === 0) return null
  return {
    ...shownKnot(fastening, habits),
    inside: random() < 0.5,
    hand: random() < 0.5 ? habits.hand : habits.hand === 'left' ? 'right' : 'left',
    mistake: random() < 0.5 ? null : Math.floor(random() * mistakes.length),
  }
}

/** Tied right, or each mistake by its name. */
export function judgeChoices({ fastening, place, mistake, inside, hand }: ShownKnot): readonly Choice[] {
  if (!isTail(fastening)) return []
  const said = (says: string) => saidFor(says, { inside, hand })
  const mistakes = mistakesOf(fastening, place)
  const made = mistake === null ? null : mistakes[mistake]
  const teaches = made
    ? said(made.happens)
    : 'It is tied right: follow its standing part once round, and see what it passes before and behind.'
  return [
    {
      words: 'It is tied right',
      mistake: made ? 'a wrong knot taken for a right one' : null,
      teaches,
      brings: null,
    },
    ...mistakes.map(({ title }, i): Choice => ({
      words: said(title),
      mistake:
        i === mistake ? null : made ? 'one mistake taken for another' : 'a right knot taken for a wrong one',
      teaches,
      brings: null,
    })),
  ]
}

/** Below the knot and beside it, where an anchor takes hold of nothing. */
const BESIDE: Fixture['at'] = [9, -13, 0]

/** A knot's fixtures with the anchor somewhere else. */
export function fixturesWith(
  { fastening, place }: ShownKnot,
  anchor: ShownAnchor['anchor'],
): readonly Fixture[] {
  if (!isTail(fastening)) return []
  const { fixtures } = tailEndOf(fastening, place)
  if (anchor === 'where it belongs') return fixtures
  if (anchor === 'in the wrong eye')
    return mistakesOf(fastening, place).find(isWrongEye)?.tailEnd.fixtures ?? fixtures
  return fixtures.map((one) => (one.kind === 'anchor' ? { ...one, at: BESIDE } : one))
}

const isWrongEye = ({ title }: { readonly title: string }) => title === 'The anchor in the wrong eye'

/** Where its anchor could go, one picture for each choice; null where it can’t be mistaken. */
export function anchorsOf(
  fastening: Fastening,
  habits: Habits,
): { readonly knots: readonly ShownAnchor[]; readonly choices: readonly Choice[] } | null {
  if (!isTail(fastening)) return null
  const tailEnd = tailEndOf(fastening, habits.anchorPlace)
  const wrong = mistakesOf(fastening, habits.anchorPlace).find(isWrongEye)
  if (!wrong || placesOf(tailEnd).length < 2) return null
  const knot = shownKnot(fastening, habits)
  const said = (says: string) => saidFor(says, { inside: false, hand: habits.hand })
  const belongs = said(`Through the bend of the first loop, its long end ${habits.anchorPlace}.`)
  return {
    knots: (['where it belongs', 'in the wrong eye', 'beside the knot'] as const).map((anchor) => ({
      knot,
      anchor,
    })),
    choices: [
      { words: 'Through the bend of the first loop', mistake: null, teaches: belongs, brings: null },
      {
        words: 'Through the eye of the hitch',
        mistake: 'the anchor in the wrong eye',
        teaches: said(wrong.happens),
        brings: null,
      },
      {
        words: 'Beside the knot',
        mistake: 'the anchor through nothing',
        teaches: `The knot must close on it. ${belongs}`,
        brings: null,
      },
    ],
  }
}

/** The same in another order; pictures and choices stay together. */
export function anchorsShuffled(
  { knots, choices }: NonNullable<ReturnType<typeof anchorsOf>>,
  random: () => number,
): NonNullable<ReturnType<typeof anchorsOf>> {
  const order = shuffled([0, 1, 2], random)
  return {
    knots: order.map((i) => itemAt(knots, i)),
    choices: order.map((i) => itemAt(choices, i)),
  }
}

/** How hands tie it, with an anchor where it takes one; none for what is no knot. */
export function movesAsked(fastening: Fastening, habits: Habits): readonly string[] {
  return isTail(fastening) ? movesSaid(fastening, habits, true) : []
}

/** Its moves, or its stages, as they are laid out, never in order already. */
export function movesLaidOut(fastening: Fastening, habits: Habits, random: () => number): readonly number[] {
  const moves = movesAsked(fastening, habits)
  const all = (moves.length > 0 ? moves : tyingFor(fastening, habits).stages).map((_, i) => i)
  const laid = shuffled(all, random)
  return laid.every((stage, i) => stage === i) ? [...laid.slice(1), itemAt(laid, 0)] : laid
}

/** How the string of a shown knot lies. */
export function stateShown({ fastening, place, at, mistake }: ShownKnot) {
  const tying = tyingOf(fastening, { place })
  const made = mistake !== null && isTail(fastening) ? mistakesOf(fastening, place)[mistake] : undefined
  return made ? stateOf(made.tailEnd, at, null) : tying.stateAt(at)
}
