/**
 * Knots of a first loop in the working end and hitches of the standing part round it. Drawn from outside the box: z is
 * toward the eye, so that of two parts that cross the one with the greater z lies in front.
 */
import type { Polyline } from '../../topology/curve'
import { anchorAt, type AnchorPlace, type TailEnd } from '../tail-end'
import { DOWN, path } from './path'

/** The U: in through the hitch along its upper leg, round, and back along the lower one. */
const openU = (bend: number): Polyline => [
  [6.5, -4.2, 0.4],
  [3, -5.4, 0],
  [-2, -5.4, 0],
  [bend + 2.5, -5.4, 0],
  [bend, -7, 0],
  [bend + 2.5, -8.6, 0],
  [-2, -8.6, 0],
  [3, -8.6, 0],
]
const TAG: Polyline = [
  [8, -9.4, 0],
  [11, -10.4, 0],
  [13.4, -9.4, 0],
  [14, -6.4, 0],
]
/** The same with its legs crossed where it begins; the part toward the pin lies in front. */
const crossedU = (front: 1 | -1): Polyline => [
  [7, -4, 0.8 * front],
  [5, -6.4, 1.3 * front],
  [2.6, -8.4, 0.4 * front],
  [-2, -8.8, 0],
  [-6.5, -8.6, 0],
  [-9, -7, 0],
  [-6.5, -5.4, 0],
  [-2, -5.2, 0],
  [2.4, -5.4, -0.4 * front],
  [5.2, -6.6, -1.3 * front],
]
const crossedTag = (front: 1 | -1): Polyline => [
  [8.6, -9.2, -0.6 * front],
  [11.2, -10.4, 0],
  [13.4, -9.4, 0],
  [14, -6.4, 0],
]
/** One hitch of the standing part round the U: down one face of it, and up the other. */
const near = (x: number, front: 1 | -1): Polyline => [
  [x, -3, 1.4 * front],
  [x + 0.2, -7, 2 * front],
  [x - 0.4, -10.6, 0.9 * front],
]
const far = (x: number, front: 1 | -1): Polyline => [
  [x - 2.2, -11.4, -0.6 * front],
  [x - 2.9, -7, -2 * front],
  [x - 2.6, -3, -1.5 * front],
]
/** Across its own beginning, to the U. */
const across = (front: 1 | -1): Polyline => [
  [-2.2, -1.6, 0.8 * front],
  [0, -1.2, 2.6 * front],
  [3, -1.9, 1.6 * front],
]

const where = (place: AnchorPlace) =>
  place === 'behind the bight' ? 'its long end behind the bight' : 'its long end in front of the bight'
const REACHES_BIGHT = [-6, -7] as const

export function openBight(place: AnchorPlace): TailEnd {
  const { way, begins } = path(DOWN, near(0, 1), far(0, 1), across(1), openU(-9), TAG)
  return {
    fastening: 'two-loop, open bight',
    way,
    leads: 'standing part',
    onBight: true,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchorAt([...REACHES_BIGHT, 0], 3, place)],
    standingTo: begins[4],
    tagFrom: begins[5],
    stages: [
      {
        says: 'Lay a plain U in the working end: its bend to the left, its legs side by side, the tag to the right.',
        reaches: begins[4],
      },
      { says: 'Lead the standing part up, to the left, and down behind both legs.', reaches: begins[2] },
      {
        says: 'Bring it up in front of them, so that a crossed loop of the standing part lies over the U, its crossing facing in.',
        reaches: begins[1],
      },
      {
        says: `The standing part goes up behind its own beginning. Where an anchor is needed, put it through the bend of the U, ${where(place)}.`,
        reaches: 0,
      },
      {
        says: 'Hold bight and tag, pull the standing part, and draw the loop down as a half hitch round the U until it grips.',
        reaches: 0,
      },
    ],
  }
}

/** The crossed knot, or its form behind. */
export function crossed(front: 1 | -1, place: AnchorPlace): TailEnd {
  const { way, begins } = path(
    DOWN,
    near(0, front),
    far(0, front),
    across(front),
    crossedU(front),
    crossedTag(front),
  )
  const [before, behind] = front === 1 ? ['in front', 'behind'] : ['behind', 'in front']
  return {
    fastening: front === 1 ? 'two-loop, crossed' : 'two-loop, crossed, behind',
    way,
    leads: 'standing part',
    onBight: true,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchorAt([...REACHES_BIGHT, 0], 3, place)],
    standingTo: begins[4],
    tagFrom: begins[5],
    stages: [
      {
        says: `Make a first loop that is crossed: its bend to the left, the standing part ${before}${front === 1 ? ' of' : ''} the tag.`,
        reaches: begins[4],
      },
      {
        says: `Lead the standing part up, to the left, and down ${behind}${front === 1 ? '' : ' of'} the first loop.`,
        reaches: begins[2],
      },
      {
        says: `Bring it up ${before}: a second loop, larger than the first, lies over it.`,
        reaches: begins[1],
      },
      {
        says: `The standing part goes up ${behind}${front === 1 ? '' : ' of'} its own beginning. Where the string is too thin to hold alone, put an anchor through the first loop, ${where(place)}.`,
        reaches: 0,
      },
      {
        says: 'Hold the first loop and the tag, pull the standing part, and draw both loops down together.',
        reaches: 0,
      },
    ],
  }
}

/** A first hitch to the right, and the same once more over all of it, nearer to the bend. */
export function thirdLoop(place: AnchorPlace): TailEnd {
  const onceMore: Polyline = [
    [-4.6, -1.6, 0.8],
    [-2.2, -1, 2.7],
    [0.8, -0.7, 2.2],
  ]
  const first: Polyline = [
    [3, -2.2, 1.2],
    [2.9, -7, 2],
    [2.2, -10.6, 0.9],
    [0.4, -11.4, -0.6],
    [-0.3, -7, -2],
    [0, -3.6, -1.5],
    [0.9, -3, 0.5],
    [3, -3.2, 3.2],
    [5.4, -3.6, 1.8],
  ]
  const { way, begins } = path(DOWN, near(-2.4, 1), far(-2.4, 1), onceMore, first, openU(-11.2), TAG)
  return {
    fastening: 'third loop',
    way,
    leads: 'standing part',
    onBight: true,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchorAt([-8.3, -7, 0], 3, place)],
    standingTo: begins[5],
    tagFrom: begins[6],
    stages: [
      {
        says: 'Lay a plain U in the working end: its bend to the left, its legs side by side.',
        reaches: begins[5],
      },
      {
        says: 'Lead the standing part up, to the left, down behind both legs and up in front of them.',
        reaches: begins[4],
      },
      {
        says: 'It crosses behind its own beginning, and goes once more down behind both legs, nearer to the bend.',
        reaches: begins[2],
      },
      {
        says: `Bring it up in front again. Where an anchor is needed, put it through the bend of the U, ${where(place)}.`,
        reaches: 0,
      },
      { says: 'Hold bight and tag, pull the standing part, and draw all three loops down.', reaches: 0 },
    ],
  }
}
