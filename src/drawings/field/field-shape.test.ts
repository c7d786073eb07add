import { readShelf } from '@/data/demo/shelf-files'
import { spread } from '../spread'
import { fieldShape } from './field-shape'
import { isOnFoot } from '@/core/knots/fastenings'
import fc from 'fast-check'

const shelf = readShelf('demo').instruments

describe.each(shelf)('$name', (instrument) => {
  const shape = fieldShape(instrument)
  const { x, y, width, height } = shape.viewBox

  test('every string lies within the drawing, at its own length to the millimetre', () => {
    for (const s of shape.strings) {
      expect(s.x).toBeGreaterThan(x)
      expect(s.x).toBeLessThan(x + width)
      expect(s.pin).toBeGreaterThan(y)
      expect(s.foot).toBeLessThan(y + height)
      expect(s.tail - s.bridge).toBeCloseTo(s.position.speakingLength * 1000, 6)
      // A string on a foot goes round the edge and back under the board, and is drawn there from its bridge.
      if (isOnFoot(s.position)) expect(s.foot).toBe(s.tail)
      else expect(s.foot - s.pin).toBeCloseTo(s.position.freeLength * 1000, 6)
    }
  })

  test('longer strings lie to the left, spaced as the chart has them, or wider where it says so', () => {
    shape.strings.slice(1).forEach((s, i) => {
      const shorter = shape.strings[i]!
      expect(shorter.x - s.x).toBeCloseTo(
        (shorter.position.at.tail.x - s.position.at.tail.x) * 1000 * shape.across,
        6,
      )
      expect(shorter.x).toBeGreaterThan(s.x)
    })
  })

  test('a thicker string of the same spacing is drawn heavier, and none as wide as its spacing', () => {
    for (const s of shape.strings) expect(s.weight).toBeGreaterThan(0)
    const gaps = shape.strings.slice(1).map((s, i) => shape.strings[i]!.x - s.x)
    expect(Math.max(...shape.strings.map((s) => s.weight))).toBeLessThan(Math.min(...gaps))
  })

  test('its wood is drawn in whole numbers and closed lines', () => {
    for (const path of shape.wood) {
      expect(path).toMatch(/^M.*Z$/)
      expect(path).not.toMatch(/NaN|undefined|Infinity/)
    }
  })
})

test('only the two long, narrow instruments are drawn wider than life', () => {
  expect(shelf.filter((instrument) => fieldShape(instrument).across > 1).map((i) => i.slug)).toEqual([
    'yarrow',
    'orris',
  ])
})

test('posts, hitch pins and feet are drawn where strings go to them, and nowhere else', () => {
  const posts = shelf.map((instrument) => [instrument.slug, fieldShape(instrument).posts.length])
  expect(Object.fromEntries(posts)).toEqual({
    lovage: 0,
    sorrel: 0,
    fennel: 0,
    bryony: 0,
    chervil: 0,
    teasel: 16,
    bistort: 12,
    borage: 0,
    yarrow: 0,
    orris: 4,
  })
  const feet = shelf.map(
    (instrument) =>
      [
        instrument.slug,
        fieldShape(instrument).feet.map((foot) => foot.layers.map((layer) => layer.called)),
      ] as const,
  )
  expect(Object.fromEntries(feet.filter(([, layers]) => layers.length > 0))).toEqual({
    yarrow: [expect.any(Array), expect.any(Array)],
  })
  const yarrow = Object.fromEntries(feet)['yarrow'] ?? []
  expect(yarrow.flat().sort()).toEqual([1, 2, 3, 4, 5, 6, 7])
  const crossing = shelf
    .filter((instrument) => fieldShape(instrument).crossPins.length > 0)
    .map((i) => i.slug)
  expect(crossing).toEqual(['orris'])
})

test('strung the other way round, the same drawing lies mirrored: wood, strings, and feet', () => {
  for (const instrument of shelf) {
    const [usual, mirrored] = [
      fieldShape(instrument),
      fieldShape({ ...instrument, strung: 'the other way round' }),
    ]
    expect(mirrored.strings.map((s) => s.x)).toEqual(
      usual.strings.map((s) => (s.x === 0 ? expect.closeTo(0) : -s.x)),
    )
    expect(mirrored.viewBox.x).toBeCloseTo(-(usual.viewBox.x + usual.viewBox.width), 6)
    expect(mirrored.viewBox.width).toBeCloseTo(usual.viewBox.width, 6)
    expect(mirrored.wood).toHaveLength(usual.wood.length)
    expect(mirrored.feet.map((f) => f.y)).toEqual(usual.feet.map((f) => f.y))
    for (const path of mirrored.wood) expect(path).not.toMatch(/NaN|undefined|Infinity/)
  }
})

describe('marks along a line', () => {
  test('stay where they are when there is room', () =>
    expect(spread([0.1, 0.5, 0.9], 0.1)).toEqual([0.1, 0.5, 0.9]))
  test('keep their order and their distance, and stay on the line', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (places) => {
          const wanted = [...places].sort((a, b) => a - b)
          const placed = spread(wanted, 0.06)
          placed
            .slice(1)
            .forEach((place, i) => expect(place - placed[i]!).toBeGreaterThanOrEqual(0.06 - 1e-9))
          expect(placed[0]).toBeGreaterThanOrEqual(-1e-9)
          expect(placed.at(-1)).toBeLessThanOrEqual(1 + 1e-9)
        },
      ),
    )
  })
  test('are spread evenly where there are too many', () => {
    const placed = spread(
      Array.from({ length: 11 }, () => 0.5),
      0.2,
    )
    placed.slice(1).forEach((place, i) => expect(place - placed[i]!).toBeCloseTo(0.1, 9))
  })
})
