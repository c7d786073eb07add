/** Drawing down, parting and measuring, on knots small enough to be worked out here. */
import { alexander } from '../topology/alexander'
import { nearest } from '../topology/clearance'
import { crossingsOf, seenFrom } from '../topology/crossings'
import { lengthOf, smooth, type Polyline, type Vec3 } from '../topology/curve'
import { gaussCode } from '../topology/gauss-code'
import { hanging } from '../drawn/between'
import { pack, unpack } from '../drawn/packed'
import { knotHanging, leadsTo, thinned } from '../drawn/thinned'
import { overhand } from '../tails/ways/path'
import { drawDown } from './draw-down'
import { measureKnot } from './measure'
import { parted } from './parted'
import { across, clearOfRod, turnsRound } from './rod'

const SMALL: Polyline = smooth(
  [
    [0, 5, 0],
    [0, 1, 0],
    ...overhand(0, -8.4).map(([x, y, z]): Vec3 => [-x, y, z]),
    [3.4, -1.4, 0],
    [7, -3, 0],
    [9, -5, 0],
  ],
  10,
)

test('an overhand drawn down stays an overhand, touches but never passes through itself, and gives up string', () => {
  const all = drawDown({ curve: SMALL, rod: null, stop: 0 })
  const knot = (curve: Polyline) => alexander(gaussCode(crossingsOf(seenFrom(curve, { turn: 17, tilt: 23 }))))
  for (const { curve } of all) {
    expect(nearest(curve).distance).toBeGreaterThanOrEqual(1)
    expect(knot(curve)).toEqual([1, -1, 1])
  }
  const [open, drawn] = [all[0]?.curve, all[all.length - 1]?.curve] as [Polyline, Polyline]
  expect(lengthOf(drawn) / lengthOf(open)).toBeCloseTo(1, 1)
  const after = measureKnot(drawn, null, 0)
  // The tight closed overhand takes 16.4 diameters of rope in all; an open one, from the board to its tag, is near that.
  expect(after.takes).toBeGreaterThan(11)
  expect(after.takes).toBeLessThan(20)
  // Three strands thick, or a little more.
  expect(after.width).toBeGreaterThan(2)
  expect(after.width).toBeLessThan(4)
  expect(nearest(drawn).distance).toBeLessThan(1.1)
  const states = all.map((state) => hanging(state, 200))
  const kept = thinned(states, null)
  expect(kept.length).toBeLessThan(all.length)
  kept
    .slice(1)
    .forEach((next, i) =>
      expect(
        leadsTo(
          kept[i] as (typeof kept)[number],
          next,
          null,
          knotHanging((kept[0] as (typeof kept)[number]).curve),
        ),
      ).toBe(true),
    )
  for (const state of kept) {
    const back = unpack(pack(state))
    back.curve.forEach((p, i) => p.forEach((v, k) => expect(v).toBeCloseTo(state.curve[i]?.[k] as number, 1)))
  }
}, 60_000)

test('two strands that have come too near are parted by no more than it takes', () => {
  const strand = (z: number): Polyline => Array.from({ length: 30 }, (_, i): Vec3 => [i * 0.4, 0, z])
  const curve: Polyline = [...strand(0), ...[...strand(0.7)].reverse()]
  const apart = parted(curve, null)
  expect(nearest(apart).distance).toBeGreaterThanOrEqual(1)
  expect(Math.max(...apart.map(([, , z]) => z)) - Math.min(...apart.map(([, , z]) => z))).toBeLessThan(1.3)
  expect(parted(strand(0), null)).toEqual(strand(0))
})

test('a string is moved off a rod that it has come into', () => {
  const rod = { at: [0, 0, 0] as Vec3, axis: [0, 0, 1] as Vec3, radius: 1, half: 5 }
  const line: Polyline = Array.from({ length: 41 }, (_, i): Vec3 => [-4 + i * 0.2, 1.2, 0])
  expect(clearOfRod(line, rod)).toBeLessThan(0.3)
  expect(clearOfRod(parted(line, rod), rod)).toBeCloseTo(0.5, 3)
})

test('turns round a rod are counted along it, whichever way it leans', () => {
  const helix: Polyline = Array.from({ length: 121 }, (_, i): Vec3 => [
    2 * Math.cos(i / 10),
    2 * Math.sin(i / 10),
    i / 40,
  ])
  expect(turnsRound(helix, { at: [0, 0, 0], axis: [0, 0, 1] })).toBeCloseTo(12 / (2 * Math.PI), 6)
  expect(Math.abs(turnsRound(helix, { at: [20, 0, 0], axis: [0, 0, 1] }))).toBeLessThan(0.1)
  for (const axis of [
    [1, 0, 0],
    [0, 1, 0],
    [0.6, 0, 0.8],
  ] as Vec3[])
    for (const u of across(axis)) expect(u[0] * axis[0] + u[1] * axis[1] + u[2] * axis[2]).toBeCloseTo(0, 9)
})
