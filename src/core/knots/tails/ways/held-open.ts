/**
 * Knots tied with the end and held by what is put into them or behind them: half knot and anchor, twisted loop, overhand on
 * a bead.
 */
import type { Polyline, Vec3 } from '../../topology/curve'
import type { Fixture, TailEnd } from '../tail-end'
import { DOWN, overhand, path } from './path'

/** A hitch of the standing part over an anchor's near end: down its right side, round below, up its left, and under itself. */
const hitchOver = (x: number, y: number): Polyline => [
  [-0.5, -1, 2.4],
  [-1.1, -2.8, 4.2],
  [x + 2.2, y + 4, 5.2],
  [x + 2.1, y, 4.9],
  [x, y - 2, 4.5],
  [x - 2, y, 4],
  [x - 0.4, y + 2.1, 3.7],
]
const anchor = (x: number, y: number, since: number): Fixture => ({
  kind: 'anchor',
  at: [x, y, 1.6],
  axis: [0, 0, 1],
  radius: 0.9,
  half: 4.2,
  since,
})

export function halfKnotAndAnchor(): TailEnd {
  const [x, y] = [-3.8, -11.6]
  const up: Polyline = [
    [-1.2, -8.2, 3.5],
    [0.3, -6.4, 3.2],
    [0.6, -4.8, 2.4],
  ]
  const out: Polyline = [
    [-2.6, -1.6, -1.4],
    [-6, -1.8, -1.6],
    [-10.4, -3, -1.2],
    [-12.6, -6, 0],
    [-13, -11, 0],
  ]
  const { way, begins } = path(DOWN, [...hitchOver(x, y), ...up], overhand(0, -9.4), out)
  return {
    fastening: 'half knot and anchor',
    way,
    leads: 'standing part',
    onBight: false,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchor(x, y, 1)],
    standingTo: begins[2],
    tagFrom: begins[3] + 2,
    stages: [
      {
        says: 'Tie a half knot in the working end and leave it open, the tag to the left.',
        reaches: begins[2],
      },
      { says: 'Put the anchor through its eye, from behind toward you.', reaches: begins[2] },
      {
        says: 'Lead the standing part to the anchor’s near end and round it: over its top to the left, down, and round below to the right.',
        reaches: begins[1] + 3,
      },
      {
        says: 'Bring it up in front of itself: a hitch lies over the anchor. The standing part goes up to the board.',
        reaches: 0,
      },
      {
        says: 'Pull the standing part and the tag by turns until half knot and hitch both grip the anchor.',
        reaches: 0,
      },
    ],
  }
}

/** A figure of eight in the open: its eye to the left, its neck crossed twice, the end up through the eye from the right. */
const FIGURE_OF_EIGHT: Polyline = [
  [6.6, -9.4, 0.4],
  [4.8, -9.2, 0.6],
  [3, -9, 0.9],
  [1.5, -9, 0],
  [0, -9.2, -0.9],
  [-2.2, -10.2, 0],
  [-4.8, -10.8, 0.9],
  [-7.6, -10.4, 0.3],
  [-9.2, -8.6, 0],
  [-8.6, -6.4, 0],
  [-6.6, -5.2, -0.4],
  [-4.6, -5, -0.9],
  [-2, -6.2, 0],
  [0, -8.9, 0.9],
  [0.7, -10.8, 0.6],
  [1.9, -11.6, 0],
  [3, -10.8, -0.6],
  [3.2, -9, -0.9],
  [2.5, -6, -0.3],
  [0.2, -3.9, 0.4],
  [-2.8, -3.5, 0.8],
  [-4.6, -5, 0.9],
  [-4.9, -7.8, 0],
  [-4.9, -10.8, -0.9],
]

export function twistedLoop(): TailEnd {
  const [x, y] = [-7, -7.9]
  const lead: Polyline = [
    [-4.6, -5.2, 3.6],
    [0, -5.8, 3.5],
    [5, -6.2, 2.8],
    [7.8, -7.4, 1.4],
    [8.2, -8.8, 0.6],
  ]
  const out: Polyline = [
    [-5.6, -13.4, -0.4],
    [-7.8, -15.2, 0],
    [-11, -14.4, 0],
    [-13, -11.6, 0],
    [-12.8, -8, 0],
  ]
  const { way, begins } = path(DOWN, [...hitchOver(x, y), ...lead], FIGURE_OF_EIGHT, out)
  return {
    fastening: 'twisted loop',
    way,
    leads: 'standing part',
    onBight: false,
    throughBoard: true,
    drawnTo: 0,
    fixtures: [anchor(x, y, 1)],
    standingTo: begins[2],
    tagFrom: begins[3] + 2,
    stages: [
      {
        says: 'Make a loop in the working end, give it half a turn, and pass the end back through it. Leave it open.',
        reaches: begins[2],
      },
      { says: 'Put the dowel through the loop, from behind toward you.', reaches: begins[2] },
      {
        says: 'Make another loop of the standing part round the dowel’s near end: over its top to the left, down, and round below to the right.',
        reaches: begins[1] + 3,
      },
      {
        says: 'Bring it up in front of itself, so that this loop lies over the dowel too. The standing part goes up to the board.',
        reaches: 0,
      },
      { says: 'Pull the standing part and the tag by turns until both loops grip the dowel.', reaches: 0 },
    ],
  }
}

export function overhandOnBead(): TailEnd {
  const mirrored = overhand(0, -10).map(([x, y, z]): Vec3 => [-x, y, z])
  const out: Polyline = [
    [3.6, -3, 0],
    [7, -4.6, 0],
    [10.6, -6.6, 0],
    [12.4, -9.6, 0],
    [12.8, -13, 0],
  ]
  const { way, begins, ends } = path(
    [...DOWN, [0, -2.4, 0]],
    mirrored.slice(0, 9),
    mirrored.slice(9, 17),
    mirrored.slice(17),
    out,
  )
  return {
    fastening: 'overhand on a bead',
    way,
    leads: 'working end',
    onBight: false,
    throughBoard: true,
    drawnTo: -1.8,
    fixtures: [{ kind: 'bead', at: [0, -0.9, 0], axis: [0, 1, 0], radius: 3, half: 0.9, since: 0 }],
    standingTo: ends[0],
    tagFrom: begins[4],
    stages: [
      { says: 'Thread the bead, and make a loop below it.', reaches: ends[1] },
      { says: 'Lead the end round the standing part.', reaches: ends[2] },
      { says: 'Pass it through the loop.', reaches: ends[4] },
      {
        says: 'Hold the tag, pull the standing part, and draw the knot down close to the bead.',
        reaches: ends[4],
      },
    ],
  }
}
