/**
 * Knots as hands tie them: loops are laid and put over one another. Nothing is threaded crossing by crossing; how the string
 * then lies is what the drawn stages show. Written for the right hand, seen from outside: `saidFor` turns them for others.
 */
import type { TailFastening } from './fastenings'

export interface HandMoves {
  /** As a person calls it while it is tied: `the crossed two-loop knot`. */
  readonly name: string
  /** A move each, in order, up to where an anchor goes in. */
  readonly lays: readonly string[]
  /** The last of them, with the anchor in; none where they come with the anchor. */
  readonly draws: readonly string[]
}

const U_AND_LOOP: readonly string[] = [
  'Lay the end to the left.',
  'Left hand: bend a U that crosses nothing. Pinch its two sides.',
  'Right hand: lay a loop of the long part that crosses itself, the crossing toward you.',
  'Lay the right loop over the U, its crossing inward. Thumb on the crossing.',
]
const DRAW_ROUND = 'Draw the crossed loop down round the U: feed, wrap, pull.'

const MOVES: Partial<Record<TailFastening, HandMoves>> = {
  'two-loop, open bight': {
    name: 'the two-loop knot with an open bight',
    lays: U_AND_LOOP,
    draws: [DRAW_ROUND],
  },
  'two-loop, crossed': {
    name: 'the crossed two-loop knot',
    lays: [
      'Lay the long part over the short end: the first loop. Press it small.',
      'Lay the long part again, over what leads to that loop: the second loop.',
      'Turn the second loop. Slip it over the first.',
    ],
    draws: ['Draw it down: a half hitch round the first loop.'],
  },
  'two-loop, crossed, behind': {
    name: 'the two-loop knot crossed behind',
    lays: [
      'A thumb’s breadth from the end, pass the long part behind the short end.',
      'That is the first loop.',
      'Pass it behind again, larger: the second loop.',
      'Lift the large loop over the small one.',
    ],
    draws: ['Hold everything, it springs. Draw the large loop down.'],
  },
  'third loop': {
    name: 'the knot with a third loop',
    lays: [...U_AND_LOOP, DRAW_ROUND],
    draws: ['Loop the long part once more. Lay it over all of it.', 'Draw it down.'],
  },
  'slip loop': {
    name: 'the slip loop',
    lays: [
      'A hand’s breadth and a half from the end, cross the short end on top.',
      'That is the first loop. Left hand: pinch it where it crosses.',
      'Right hand: make a second loop of the short end, like an ear.',
      'Put the right loop through the left one from behind.',
      'Pinch it. Pull the other side until one loop stands.',
    ],
    draws: [],
  },
  'half knot and anchor': {
    name: 'a half knot round its anchor',
    lays: ['Begin as for a shoe, with a half knot.'],
    draws: [],
  },
  'twisted loop': {
    name: 'the twisted loop',
    lays: [
      'Make a loop, with half a thumb’s length to spare.',
      'Hold its base, and give it one twist.',
      'Put the short end back through it.',
    ],
    draws: [],
  },
  'slip knot on a toggle': {
    name: 'the slip knot',
    lays: ['Put the end round the string. Knot it so that it slides.'],
    draws: ['Put the toggle into the loop, and draw the loop up on its middle.'],
  },
  'overhand on a bead': {
    name: 'the overhand knot behind a bead',
    lays: ['Put the bead on the string.', 'Tie an overhand knot behind it, and draw it tight.'],
    draws: [],
  },
}

/** How hands tie a knot; null for what is no knot, and comes ready-made or is wrapped. */
export function handMoves(fastening: TailFastening): HandMoves | null {
  return MOVES[fastening] ?? null
}
