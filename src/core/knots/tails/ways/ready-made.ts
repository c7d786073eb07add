/**
 * What is fastened without a knot of its own: ready-made loops, posts, and the layered foot.
 */
import type { Polyline, Vec3 } from '../../topology/curve'
import type { TailEnd } from '../tail-end'
import { path } from './path'

/** Half the distance of two strands that are twisted about each other; a little more than half a gauge. */
const PAIR = 0.68

/**
 * One strand of a twisted neck, downward or up again: a helix about the line x = 0.
 *
 * @param turns - of both strands about each other
 * @param side - 1 for the strand that begins on the right
 */
function strand(top: number, bottom: number, z: number, turns: number, side: 1 | -1): Polyline {
  const count = Math.round(turns * 6) + 1
  return Array.from({ length: count }, (_, i): Vec3 => {
    const t = i / (count - 1)
    const angle = 2 * Math.PI * turns * t
    return [side * PAIR * Math.cos(angle), top + (bottom - top) * t, z + side * PAIR * Math.sin(angle)]
  })
}

/** A ready-made eye beyond a twisted neck: along one strand, round the eye, and back along the other. */
function eye({
  top,
  bottom,
  z,
  turns,
  radius,
}: {
  top: number
  bottom: number
  z: number
  turns: number
  radius: number
}): { on: Polyline; round: Polyline; back: Polyline } {
  const side = Math.sign(bottom - top)
  const y = bottom + side * (radius + 1)
  const at = (degrees: number): Vec3 => [
    radius * Math.sin((degrees * Math.PI) / 180),
    y - side * radius * Math.cos((degrees * Math.PI) / 180),
    z,
  ]
  return {
    on: strand(top, bottom, z, turns, 1),
    round: [40, 80, 125, 180, 235, 280, 320].map(at),
    back: [...strand(top, bottom, z, turns, -1)].reverse(),
  }
}

export function loopOnHitchPin(): TailEnd {
  const { on, round, back } = eye({ top: -0.5, bottom: -6.4, z: 0, turns: 2, radius: 2.5 })
  const { way, begins, ends } = path(
    [
      [0.6, 12, 0],
      [0.6, 6, 0],
      [0.6, 1.5, 0],
    ],
    on,
    round,
    back,
  )
  return {
    fastening: 'loop on a hitch pin',
    way,
    leads: 'working end',
    onBight: false,
    throughBoard: false,
    drawnTo: null,
    fixtures: [
      { kind: 'hitch pin', at: [0, -10.5, 0], axis: [0, 0.2, 0.98], radius: 1.2, half: 3.2, since: 0 },
    ],
    standingTo: ends[0],
    tagFrom: begins[3],
    stages: [
      {
        says: 'Hold the ready-made loop open over its hitch pin, its twist along the string.',
        reaches: ends[3],
        shift: [0, -0.6, 6.5],
      },
      {
        says: 'Hook it over the pin and push it down to the wood.',
        reaches: ends[3],
        shift: [0, -0.3, -0.6],
      },
      {
        says: 'Bring the string over the bridge to its tuning pin and keep it under a light pull: a slack loop jumps off.',
        reaches: ends[3],
        shift: [0, 0, -0.6],
      },
    ],
  }
}

export function loopThroughItself(): TailEnd {
  const { on, round, back } = eye({ top: -8.8, bottom: -5.4, z: 2.4, turns: 1, radius: 2.4 })
  const standing: Polyline = [
    [0, 12, 4.6],
    [0, 6, 4.6],
    [0, 2.6, 4.5],
    [0, 0.6, 4],
    [0, -2.2, 2.4],
    [0, -4.4, 0.2],
  ]
  const under: Polyline = [
    [0, -6.6, -1.5],
    [0, -8.8, -2],
    [0, -10.8, -1.4],
    [0, -11.6, 0.2],
    [0.2, -10.8, 1.8],
  ]
  const { way, begins } = path(standing, under, on, round, back)
  return {
    fastening: 'loop through itself',
    way,
    leads: 'standing part',
    onBight: false,
    throughBoard: false,
    drawnTo: null,
    fixtures: [{ kind: 'bar', at: [0, -9.4, 0], axis: [1, 0, 0], radius: 1.2, half: 8, since: 0 }],
    standingTo: begins[1],
    tagFrom: begins[4],
    stages: [
      {
        says: 'Draw the ready-made loop under the bridge from behind, and bring it up in front.',
        reaches: begins[1],
      },
      { says: 'Pass the whole string through its own loop, from behind toward you.', reaches: 3 },
      {
        says: 'Lead it up to its tuning pin, and pull until the loop lies close under the bridge.',
        reaches: 0,
      },
    ],
  }
}

export function roundTwoPosts(): TailEnd {
  const { way, ends } = path(
    [
      [-5, 12, 0],
      [-5, 5, 0],
      [-5, -2, 0],
    ],
    [
      [-5, -6.4, 0],
      [-4.4, -7.6, 0],
      [-3.1, -8.1, 0],
      [0, -8.1, 0],
      [3.1, -8.1, 0],
      [4.4, -7.6, 0],
      [5, -6.4, 0],
    ],
    [
      [5, -2, 0],
      [5, 5, 0],
      [5, 12, 0],
    ],
  )
  const post = (x: number) => ({
    kind: 'post' as const,
    at: [x, -6.2, 0] as Vec3,
    axis: [0, 0.2, 0.98] as Vec3,
    radius: 1.3,
    half: 3,
    since: 0,
  })
  return {
    fastening: 'round two posts',
    way,
    leads: 'working end',
    onBight: false,
    throughBoard: false,
    drawnTo: null,
    fixtures: [post(-3.1), post(3.1)],
    standingTo: ends[0],
    tagFrom: way.length - 1,
    stages: [
      {
        says: 'Fasten one end of the wire to the left tuning pin with a few wraps, and bring it down outside the left post.',
        reaches: ends[0],
      },
      { says: 'Lead it round below both posts and keep it under a light pull.', reaches: ends[1] },
      {
        says: 'Bring it up outside the right post to the second tuning pin. Both halves are one wire: each is wound and tuned at its own pin.',
        reaches: ends[2],
      },
    ],
  }
}

const FOOT = 2.6

export function layeredFootWrap(low = 4, high = 3): TailEnd {
  const turn = (radius: number, from: number, to: number, y: (t: number) => number): Polyline => {
    const count = Math.round((to - from) * 8) + 1
    return Array.from({ length: count }, (_, i): Vec3 => {
      const t = i / (count - 1)
      const angle = 2 * Math.PI * (from + (to - from) * t)
      return [-radius * Math.sin(angle), y(t), radius * Math.cos(angle)]
    })
  }
  const [inner, outer, floor] = [FOOT + 0.58, FOOT + 1.7, -13.4]
  const top = floor + low * 1.12
  const first = turn(inner, 0, low, (t) => floor + t * low * 1.12)
  const lift: Polyline = [
    [-(inner + 0.35) * Math.sin(Math.PI / 4), top + 0.25, (inner + 0.35) * Math.cos(Math.PI / 4)],
  ]
  const second = turn(outer, 0.3, high + 0.25, (t) => top - 0.1 - t * high * 1.12)
  const [endX, endY] = [-(outer + 0.2), top - 0.3 - high * 1.12]
  const { way, begins, ends } = path(
    [
      [13, floor, inner],
      [9, floor, inner],
      [5, floor, inner],
    ],
    first,
    [...lift, ...second],
    [
      [endX - 0.4, endY - 0.2, -2.4],
      [endX - 2.4, endY - 0.4, -4.4],
    ],
  )
  return {
    fastening: 'layered foot wrap',
    way,
    leads: 'working end',
    onBight: false,
    throughBoard: false,
    drawnTo: null,
    fixtures: [{ kind: 'foot', at: [0, floor + 3.4, 0], axis: [0, 1, 0], radius: FOOT, half: 4, since: 0 }],
    standingTo: ends[0],
    tagFrom: begins[3],
    stages: [
      {
        says: 'Check that the stopper loop at the other end is caught by its peg’s cord. Bring the string to the foot close to the board, under full pull.',
        reaches: ends[0],
      },
      {
        says: `Lay the first turns round the foot, ${low} of them, the lowest close to the board, each against the last, never easing the pull. Wear gloves.`,
        reaches: ends[1],
      },
      {
        says: `Lay the others, ${high}, over them on the way back down: they hold the first ones fast. Look at the stopper loop again while you wrap.`,
        reaches: ends[2],
      },
      {
        says: 'Tuck the end under the last turn, below pitch by no more than the peg can bring up.',
        reaches: ends[3],
      },
    ],
  }
}
