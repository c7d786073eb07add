/** Knots whose invariants are in every table, and what must not depend on how they are looked at. */
import fc from 'fast-check'
import { alexander, determinantOf } from './alexander'
import { nearest } from './clearance'
import { crossingsOf, FROM_INSIDE, FROM_OUTSIDE, seenFrom, type View } from './crossings'
import { blend, lengthOf, mirrored, resample, smooth, type Polyline, type Vec3 } from './curve'
import { codeText, flipped, gaussCode, simplified, writhe } from './gauss-code'

const closed = (of: (t: number) => Vec3, count = 240): Polyline =>
  Array.from({ length: count + 1 }, (_, i) => of((2 * Math.PI * i) / count))
/** The (2, q) torus knot: an overhand for 3, a five-crossing knot for 5. */
const torus = (q: number) =>
  closed((t) => [
    (4 + 1.6 * Math.cos(q * t)) * Math.cos(2 * t),
    (4 + 1.6 * Math.cos(q * t)) * Math.sin(2 * t),
    1.6 * Math.sin(q * t),
  ])
const figureEight = closed((t) => [
  (2 + Math.cos(2 * t)) * Math.cos(3 * t) * 2,
  (2 + Math.cos(2 * t)) * Math.sin(3 * t) * 2,
  Math.sin(4 * t) * 2,
])
/** A ring with a wave in it that crosses itself nowhere, or twisted so that it does. */
const ring = closed((t) => [5 * Math.cos(t), 5 * Math.sin(t), Math.sin(3 * t)])
const twisted = closed((t) => [4 * Math.cos(t), 3 * Math.sin(2 * t), 1.5 * Math.sin(t)])
const codeOf = (curve: Polyline, view: View = FROM_OUTSIDE) => gaussCode(crossingsOf(seenFrom(curve, view)))

test.each([
  ['a ring', ring, [1], 1],
  ['a twisted ring', twisted, [1], 1],
  ['an overhand', torus(3), [1, -1, 1], 3],
  ['a figure of eight', figureEight, [-1, 3, -1], 5],
  ['the five-crossing torus knot', torus(5), [1, -1, 1, -1, 1], 5],
  ['the seven-crossing torus knot', torus(7), [1, -1, 1, -1, 1, -1, 1], 7],
])('%s has the polynomial that every table gives', (_, curve, polynomial, determinant) => {
  expect(alexander(codeOf(curve))).toEqual(polynomial)
  expect(determinantOf(alexander(codeOf(curve)))).toBe(determinant)
})

test('from wherever it is seen, and in the mirror, a knot is the same knot', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 359, noNaN: true }),
      fc.double({ min: -80, max: 80, noNaN: true }),
      (turn, tilt) => {
        for (const curve of [torus(3), figureEight]) {
          const expected = alexander(codeOf(curve))
          expect(alexander(codeOf(curve, { turn, tilt }))).toEqual(expected)
          expect(alexander(codeOf(mirrored(curve), { turn, tilt }))).toEqual(expected)
        }
      },
    ),
    { numRuns: 25 },
  )
})

test('taking out what is loose leaves the same knot, and nothing of an unknotted twist', () => {
  expect(simplified(codeOf(twisted))).toEqual([])
  expect(simplified(codeOf(torus(3)))).toHaveLength(6)
  for (const tilt of [40, 60, 75]) {
    const code = codeOf(figureEight, { turn: 20, tilt })
    expect(simplified(code).length).toBeLessThanOrEqual(code.length)
    expect(alexander(simplified(code))).toEqual([-1, 3, -1])
  }
})

test('from inside the box left and right are exchanged, and what was in front is behind: the winding stays', () => {
  for (const curve of [torus(3), torus(5)])
    expect(writhe(codeOf(curve, FROM_INSIDE))).toBe(writhe(codeOf(curve)))
})

test('flipping a crossing of an overhand undoes it', () => {
  const code = codeOf(torus(3))
  expect(code).toHaveLength(6)
  expect(alexander(flipped(code, 2))).toEqual([1])
  expect(writhe(flipped(code, 2))).toBe(writhe(code) - 2 * Math.sign(writhe(code)))
})

test('an overhand winds one way and its mirror image the other; a figure of eight neither', () => {
  expect(Math.abs(writhe(codeOf(torus(3))))).toBe(3)
  expect(writhe(codeOf(mirrored(torus(3))))).toBe(-writhe(codeOf(torus(3))))
  expect(writhe(codeOf(figureEight))).toBe(0)
})

test('a code says each crossing twice, once over and once under, numbered as they are met', () => {
  const code = codeOf(figureEight)
  for (const { crossing } of code)
    expect(
      code
        .filter((m) => m.crossing === crossing)
        .map((m) => m.over)
        .sort(),
    ).toEqual([false, true])
  expect(codeText(code)).toMatch(/^[OU]1[+-] /)
})

test('a smooth curve goes through its points and no further; evenly spaced it keeps its length', () => {
  const points: Polyline = [
    [0, 0, 0],
    [4, 0, 0],
    [4, 4, 1],
    [0, 4, 2],
    [0, 0, 3],
  ]
  const curve = smooth(points, 16)
  for (const [i, p] of points.entries()) expect(curve[i * 16]).toEqual(p)
  const even = resample(curve, 200)
  expect(lengthOf(even)).toBeCloseTo(lengthOf(curve), 1)
  expect(even).toHaveLength(200)
  expect(blend(curve, curve, 0.3)).toEqual(curve)
  expect(() => smooth([[0, 0, 0]], 4)).toThrow('expected at least two points, got 1')
})

test('what touches is told, and neighbours along the string are not taken for touching', () => {
  const hook: Polyline = smooth(
    [
      [0, 0, 0],
      [6, 0, 0],
      [9, 2, 0],
      [6, 4, 0],
      [0, 4, 0],
    ],
    20,
  )
  expect(nearest(hook, 8).distance).toBeGreaterThan(3.5)
  const near: Polyline = smooth(
    [
      [0, 0, 0],
      [6, 0, 0],
      [9, 0.6, 0],
      [6, 1.2, 0],
      [0, 1.2, 0],
    ],
    20,
  )
  expect(nearest(near, 6).distance).toBeCloseTo(1.2, 1)
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 11 }), (shift) => {
      const line = Array.from({ length: 40 }, (_, i): Vec3 => [i, Math.sin(i + shift), Math.cos(i * 0.7)])
      let slow = Infinity
      for (let i = 0; i < line.length; i += 1)
        for (let j = i + 4; j < line.length; j += 1)
          slow = Math.min(
            slow,
            Math.hypot(...[0, 1, 2].map((k) => (line[i] as Vec3)[k]! - (line[j] as Vec3)[k]!)),
          )
      expect(nearest(line, 3.4).distance).toBeLessThanOrEqual(slow + 1e-9)
    }),
  )
})
