/** Lengths from a picture: the camera there and back, perfect marks, marks that can’t be, and the chart laid over. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { firstOfPieces } from '../instrument/instrument'
import { takeLengths } from '../measuring/take-lengths'
import { placeAt, seenAt, turnedBy, type Camera } from './camera'
import { homographyOf, taken } from './homography'
import { laidOver } from './lay-over'
import { readPhoto, runSideBySide, shortOnes } from './lengths'
import type { Marks } from './place-camera'
import { cornersOf } from './scale'

const sheet = { width: 0.21, height: 0.297 }
const picture = { width: 3000, height: 4000 }
const fennel = readShelf('demo').instruments.find(({ slug }) => slug === 'fennel')!
const some = firstOfPieces(fennel).filter((_, i) => i % 5 === 0)

/** Before Fennel’s strings, turned away. */
const camera: Camera = {
  focal: 3200,
  lens: 0.01,
  turned: turnedBy([1, 0, 0, 0, -1, 0, 0, 0, -1], [0.25, -0.2, 0.03]),
  stands: [-0.25, 0.55, 2.1],
  middle: { x: 1500, y: 2000 },
}
const corner = { x: 0.15, y: 0.4 }
const corners = cornersOf(sheet).map(({ x, y }) => seenAt(camera, { x: x + corner.x, y: y + corner.y }))
const marks: Marks = {
  scale: { kind: 'sheet', ...sheet, corners },
  strings: some.map(({ number, at: { bridge, tail } }) => ({
    number,
    upper: seenAt(camera, bridge),
    lower: seenAt(camera, tail),
    middle: seenAt(camera, { x: (bridge.x + tail.x) / 2, y: (bridge.y + tail.y) / 2 }),
  })),
  picture,
  sideBySide: runSideBySide(fennel),
}

test('every place is seen, and found again where it is seen, whatever the turn and the lens', () => {
  fc.assert(
    fc.property(
      fc.tuple(...Array.from({ length: 3 }, () => fc.double({ min: -0.5, max: 0.5, noNaN: true }))),
      fc.double({ min: -0.04, max: 0.04, noNaN: true }),
      fc.tuple(...Array.from({ length: 2 }, () => fc.double({ min: -0.5, max: 0.5, noNaN: true }))),
      (turn, lens, [x, y]) => {
        const here = { ...camera, lens, turned: turnedBy(camera.turned, turn as [number, number, number]) }
        const place = { x: x as number, y: y as number }
        const found = placeAt(here, seenAt(here, place))
        expect(found.x).toBeCloseTo(place.x, 6)
        expect(found.y).toBeCloseTo(place.y, 6)
      },
    ),
  )
})

test('a homography takes its four points where they belong', () => {
  const from = cornersOf(sheet)
  const to = corners
  const h = homographyOf(from, to)
  for (const [i, p] of from.entries()) {
    expect(taken(h, p).x).toBeCloseTo(to[i]!.x, 6)
    expect(taken(h, p).y).toBeCloseTo(to[i]!.y, 6)
  }
})

test('perfect marks give lengths to a fifth of a percent, and say that they are surer where strings are longer', () => {
  const { lengths } = readPhoto(marks)
  for (const [i, { length, error }] of lengths.entries()) {
    expect(Math.abs(length / some[i]!.speakingLength - 1)).toBeLessThan(0.002)
    expect(error / length).toBeLessThan(0.03)
  }
  expect(lengths.at(-1)!.error / lengths.at(-1)!.length).toBeLessThan(lengths[0]!.error / lengths[0]!.length)
})

test('corners that cross, and a sheet of another size, are told in a sentence', () => {
  const [a, b, c, d] = corners
  expect(() =>
    readPhoto({ ...marks, scale: { kind: 'sheet', ...sheet, corners: [a!, c!, b!, d!] } }),
  ).toThrow(/corners cross each other/)
  const larger = { width: sheet.width * 2.5, height: sheet.height * 2.5 }
  const inches = readPhoto({ ...marks, scale: { kind: 'sheet', ...larger, corners } })
  expect(() => takeLengths(fennel, [], inches.lengths)).toThrow(/does not go with the others and its family/)
})

test('a slip of a mark is found by the others', () => {
  const slipped = marks.strings.map((s, i) =>
    i === 2 ? { ...s, upper: { ...s.upper, y: s.upper.y - 500 } } : s,
  )
  const { lengths } = readPhoto({ ...marks, strings: slipped })
  expect(() => takeLengths(fennel, [], lengths)).toThrow(new RegExp(`String ${some[2]!.number} would be`))
})

test('what the tape said stays, and what the picture told is kept with its error', () => {
  const { lengths } = readPhoto(marks)
  const off = lengths.map((one) => ({ ...one, length: one.length * 1.01 }))
  const key = `speaking ${some[1]!.number}` as const
  const after = takeLengths(fennel, [{ key, error: null }], off)
  const lengthIn = (number: number) => after.instrument.positions[number - 1]!.speakingLength
  expect(lengthIn(some[1]!.number)).toBe(some[1]!.speakingLength)
  expect(lengthIn(some[3]!.number)).toBeGreaterThan(some[3]!.speakingLength)
  expect(after.measured.filter(({ error }) => error !== null)).toHaveLength(lengths.length - 1)
})

test('the chart laid over meets every string of the picture, from either side', () => {
  const { placed } = readPhoto(marks)
  for (const instrument of [
    fennel,
    {
      ...fennel,
      positions: fennel.positions.map((p) => ({
        ...p,
        at: {
          ...p.at,
          bridge: { ...p.at.bridge, x: -p.at.bridge.x },
          tail: { ...p.at.tail, x: -p.at.tail.x },
        },
      })),
    },
  ])
    for (const { number, upper, lower } of laidOver(instrument, placed.camera, marks.strings)) {
      const { bridge, tail } = fennel.positions[number - 1]!.at
      for (const [spot, place] of [
        [upper, bridge],
        [lower, tail],
      ] as const) {
        const seen = seenAt(camera, place)
        expect(Math.hypot(spot.x - seen.x, spot.y - seen.y)).toBeLessThan(8)
      }
    }
})

test.each([
  ['upright', { x: 0, y: 0.5 }],
  ['lying', { x: 0.5, y: 0 }],
  ['upside down', { x: 0.1, y: -0.49 }],
])('a ruler held %s tells lengths within what it says, when one stands about square to it', (_, along) => {
  const square = { ...camera, turned: turnedBy([1, 0, 0, 0, -1, 0, 0, 0, -1], [0.06, -0.05, 0.03]) }
  const mark = (x: number, y: number) => seenAt(square, { x: corner.x + x, y: corner.y + y })
  const length = Math.hypot(along.x, along.y)
  const strings = some.map(({ number, at: { bridge, tail } }) => ({
    number,
    upper: seenAt(square, bridge),
    lower: seenAt(square, tail),
    middle: null,
  }))
  const { lengths } = readPhoto({
    ...marks,
    strings,
    scale: { kind: 'ruler', ends: [mark(0, 0), mark(along.x, along.y)], length },
  })
  for (const [i, { length: told, error }] of lengths.entries()) {
    expect(Math.abs(told - some[i]!.speakingLength)).toBeLessThan(2.5 * error)
    expect(Math.abs(told / some[i]!.speakingLength - 1)).toBeLessThan(0.03)
    // A sheet tells the turn of the camera; a ruler leaves it open, and says so.
    expect(error / told).toBeGreaterThan(readPhoto(marks).lengths[i]!.error / told)
  }
})

test('a ruler whose ends lie on each other is told in a sentence', () => {
  const end = { x: 100, y: 100 }
  expect(() => readPhoto({ ...marks, scale: { kind: 'ruler', ends: [end, end], length: 0.5 } })).toThrow(
    'The ends of the ruler lie on each other.',
  )
})

test('two pictures of a string count by how sure each is, and the surer one alone where they contradict each other', () => {
  const { number, speakingLength } = some[3]!
  const keep = (off: number, error: number) => ({ number, length: speakingLength + off, error })
  const first = takeLengths(fennel, [], [keep(0.004, 0.004)])
  const both = takeLengths(first.instrument, first.measured, [keep(0, 0.002)])
  const now = both.instrument.positions[number - 1]!.speakingLength
  expect(now - speakingLength).toBeGreaterThan(0)
  expect(now - speakingLength).toBeLessThan(0.002)
  expect(both.measured[0]!.error).toBeCloseTo((0.004 ** -2 + 0.002 ** -2) ** -0.5, 9)
  const slipped = takeLengths(fennel, [], [keep(0.02, 0.003)])
  const again = takeLengths(slipped.instrument, slipped.measured, [keep(0, 0.002)])
  expect(Math.abs(again.instrument.positions[number - 1]!.speakingLength - speakingLength)).toBeLessThan(
    0.0005,
  )
})

test('strings that are short in the picture are asked for once more from nearer, long ones are not', () => {
  const short = shortOnes([
    { number: 1, length: 0.1, error: 0.001 },
    { number: 2, length: 0.1, error: 0.0002 },
    { number: 3, length: 0.9, error: 0.009 },
  ])
  expect(short.map(({ number }) => number)).toEqual([1])
})
