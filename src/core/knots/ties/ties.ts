/**
 * The ways of the string through the end knots. Drawn from outside the box: the pin is above, the tag leaves below the
 * board; z is toward the eye, so that of two parts that cross the one with the greater z lies in front.
 */
import type { TailFastening } from '../fastenings'
import type { Vec3 } from '../topology/curve'
import type { Tie } from './tie'

/** Down from the pin and through the board. */
const DOWN: readonly Vec3[] = [[0, 12, 0], [0, 6, 0], [0, 1, 0]]

/** The U: in through the hitch along its upper leg, round, and back along the lower one. */
const OPEN_U: readonly Vec3[] = [[6.5, -4.2, 0.4], [3, -5.4, 0], [-2, -5.4, 0], [-6.5, -5.4, 0], [-9, -7, 0], [-6.5, -8.6, 0], [-2, -8.6, 0], [3, -8.6, 0], [8, -9.4, 0], [11, -10, 0]]
/** The same with its legs crossed where it begins; the part toward the pin lies in front. */
const crossedU = (front: 1 | -1): readonly Vec3[] => [
  [7, -4, 0.8 * front], [5, -6.4, 1.3 * front], [2.6, -8.4, 0.4 * front], [-2, -8.8, 0], [-6.5, -8.6, 0], [-9, -7, 0], [-6.5, -5.4, 0], [-2, -5.2, 0], [2.4, -5.4, -0.4 * front], [5.2, -6.6, -1.3 * front], [9, -8.6, -0.6 * front], [11.5, -9.6, 0],
]
/** One hitch of the standing part round the U: down one face of it and up the other, then across itself. */
const hitch = (x: number, front: 1 | -1): readonly Vec3[] => [
  [x, -3, 1.4 * front], [x + 0.2, -7, 2 * front], [x - 0.4, -10.6, 0.9 * front], [x - 2.2, -11.4, -0.6 * front], [x - 2.9, -7, -2 * front], [x - 2.6, -3, -1.5 * front],
]
const overStanding = (front: 1 | -1): readonly Vec3[] => [[-2.2, -1.6, 0.8 * front], [0, -1.2, 2.6 * front], [3, -1.9, 1.6 * front]]

/** A first loop that crosses behind itself, and the working end brought to its right side. */
const FIRST_LOOP: readonly Vec3[] = [[0, -2.6, -0.9], [1.6, -5.4, 0], [2.2, -8, 0], [0.4, -10.6, 0], [-3, -10.4, 0], [-4, -7.4, 0], [-2.6, -4.2, 0.6], [0, -2.6, 1.1], [3.4, -3, 0.4], [5.4, -5.4, -0.9]]
/** A bight of the working end put through the first loop, from behind or from in front. */
const bightThrough = (side: 1 | -1): readonly Vec3[] => [[3.4, -6.6, -1.5 * side], [-0.6, -6.4, 0], [-4.4, -6.2, 1.5 * side], [-9, -6, 1.1 * side], [-11, -7.4, 0.9 * side], [-9, -8.8, 1.1 * side], [-4, -8.6, 1.5 * side], [-0.6, -8.4, 0], [3.2, -8.4, -1.5 * side]]

/** An overhand in the open: the (2, 3) torus knot cut at its top, its two ends led out. */
function overhand(): readonly Vec3[] {
  const [from, to, count] = [0.16, 2 * Math.PI - 0.16, 22]
  return Array.from({ length: count + 1 }, (_, i): Vec3 => {
    const t = from + ((to - from) * i) / count
    const r = 4.4 + 2.1 * Math.cos(3 * t)
    return [r * Math.sin(2 * t), r * Math.cos(2 * t) - 8.4, 1.7 * Math.sin(3 * t)]
  })
}

const ties: readonly Tie[] = [
  {
    fastening: 'two-loop, open bight', leads: 'standing part', insert: { kind: 'anchor', at: [-6.6, -7, 0], radius: 1 }, onBight: true,
    way: [...DOWN, ...hitch(0, 1), ...overStanding(1), ...OPEN_U],
    stages: [
      { says: 'Lay a plain U in the working end: its bend to the left, its legs side by side, the tag to the right.', reaches: 12 },
      { says: 'Lead the standing part up, to the left, and down behind both legs.', reaches: 6 },
      { says: 'Bring it up in front of them, so that a crossed loop of the standing part lies over the U, its crossing facing in.', reaches: 3 },
      { says: 'Lay the anchor in the bend of the U. The standing part goes up behind its own beginning; draw the loop down as a half hitch.', reaches: 0 },
    ],
  },
  {
    fastening: 'two-loop, crossed', leads: 'standing part', insert: { kind: 'anchor', at: [-6.6, -7, 0], radius: 1 }, onBight: true,
    way: [...DOWN, ...hitch(0, 1), ...overStanding(1), ...crossedU(1)],
    stages: [
      { says: 'Make a first loop that is crossed: its bend to the left, the standing part in front of the tag.', reaches: 12 },
      { says: 'Lead the standing part up, to the left, and down behind the first loop.', reaches: 6 },
      { says: 'Bring it up in front: a second loop, larger than the first, lies over it.', reaches: 3 },
      { says: 'The standing part goes up behind its own beginning. Draw both loops down; thick string needs no anchor, else lay one in the first loop.', reaches: 0 },
    ],
  },
  {
    fastening: 'two-loop, crossed, behind', leads: 'standing part', insert: { kind: 'anchor', at: [-6.6, -7, 0], radius: 1 }, onBight: true,
    way: [...DOWN, ...hitch(0, -1), ...overStanding(-1), ...crossedU(-1)],
    stages: [
      { says: 'Make a first loop that is crossed: its bend to the left, the standing part behind the tag.', reaches: 12 },
      { says: 'Lead the standing part up, to the left, and down in front of the first loop.', reaches: 6 },
      { says: 'Bring it up behind: a second loop, larger than the first, lies over it.', reaches: 3 },
      { says: 'The standing part goes up in front of its own beginning. Draw both loops down; thick string needs no anchor, else lay one in the first loop.', reaches: 0 },
    ],
  },
  {
    fastening: 'third loop', leads: 'standing part', insert: { kind: 'anchor', at: [-6.6, -7, 0], radius: 1 }, onBight: true,
    way: [...DOWN, ...hitch(1.6, 1), ...hitch(-2.4, 1).slice(0, -1), [-5.2, -3, -1.5], [-4.6, -1.7, 0.8], [-1, -1.1, 2.9], [1.4, -1.1, 2.9], [3.6, -1.9, 1.8], ...OPEN_U],
    stages: [
      { says: 'Lay a plain U in the working end: its bend to the left, its legs side by side.', reaches: 19 },
      { says: 'Lead the standing part up, to the left, down behind both legs and up in front of them.', reaches: 9 },
      { says: 'Make one more hitch of the standing part beside it, to the right: down behind, up in front, over bight and anchor.', reaches: 3 },
      { says: 'Lay the anchor in the bend of the U, and draw all three loops down.', reaches: 0 },
    ],
  },
  {
    fastening: 'slip loop', leads: 'working end', insert: { kind: 'anchor', at: [-8.4, -7.4, 1], radius: 1 }, onBight: true,
    way: [...DOWN, ...FIRST_LOOP, ...bightThrough(1), [7.5, -8.8, -1], [10.5, -9.4, -0.6]],
    stages: [
      { says: 'Make a loop of the working end: down, round to the left, and up.', reaches: 9 },
      { says: 'Bring it across in front of the standing part, round to the right, and behind the loop.', reaches: 13 },
      { says: 'Double it into a second loop and put that through the first from behind, so that it comes out toward you. Leave it standing.', reaches: 21 },
      { says: 'Put the anchor through the standing loop. The tag stays behind, to the right; pull the standing part, and the first loop closes.', reaches: 23 },
    ],
  },
  {
    fastening: 'loop and through', leads: 'working end', insert: null, onBight: false,
    way: [...DOWN, ...FIRST_LOOP, ...bightThrough(1), [4.6, -10.4, -1], [2, -13, 0], [-4, -13.4, 1.2], [-8.4, -11.4, 3], [-8.7, -9, 3.2], [-8.8, -7.4, 1.4], [-8.7, -5.8, -0.9], [-9.4, -2.6, -1]],
    stages: [
      { says: 'Make a loop of the working end: down, round to the left, and up.', reaches: 9 },
      { says: 'Bring it across in front of the standing part and put a second loop through the first from behind.', reaches: 21 },
      { says: 'Lead the end back through the first loop, round below, and toward you.', reaches: 24 },
      { says: 'Pass the end through the second loop from in front, and draw everything down.', reaches: 29 },
    ],
  },
  {
    fastening: 'overhand on a bead', leads: 'working end', insert: { kind: 'bead', at: [0, -0.9, 0], radius: 3 }, onBight: false,
    way: [...DOWN, ...overhand().map(([x, y, z]): Vec3 => [-x, y, z]), [3.4, -1, 0], [7, -2.6, 0], [10, -3, 0]],
    stages: [
      { says: 'Thread the bead, and make a loop behind it.', reaches: 11 },
      { says: 'Lead the end round the standing part.', reaches: 19 },
      { says: 'Pass it through the loop, and draw the knot down close to the bead.', reaches: 28 },
    ],
  },
]

const BY_FASTENING = new Map(ties.map((tie) => [tie.fastening, tie]))

/** How a fastening is tied; null where its way is not drawn. */
export function tieOf(fastening: TailFastening): Tie | null {
  return BY_FASTENING.get(fastening) ?? null
}

/** A slip loop with its second loop put through from in front: it falls apart. */
export const SLIP_LOOP_FROM_THE_FRONT: Pick<Tie, 'way'> = { way: [...DOWN, ...FIRST_LOOP, ...bightThrough(-1), [7.5, -8.8, 1], [10.5, -9.4, 0.6]] }
