/** Patterns, money, anchors, and what a desk answers. */
import fc from 'fast-check'
import { seeded } from '../random/seeded'
import { cutPatterns } from './cut-patterns'
import { deliveryOf, deskAnswer, type DeskItem } from './desk'
import { moneyText, parseMoney } from './money'
import { cutsIn } from './offers'
import { anchorsFrom } from './supplies'
import type { StringSpec } from './string-spec'

test('every pattern fits its piece, takes no more than is wanted, and leaves no room for another', () => {
  const wanted = fc.array(
    fc.record({ length: fc.integer({ min: 200, max: 900 }), quantity: fc.integer({ min: 1, max: 3 }) }),
    { minLength: 1, maxLength: 4 },
  )
  fc.assert(
    fc.property(wanted, fc.integer({ min: 300, max: 3000 }), (list, pieceMm) => {
      const needs = list.map(({ length, quantity }, id) => ({ id, length: length / 1000, quantity }))
      for (const pattern of cutPatterns(needs, pieceMm / 1000, 0.002, 'plain')) {
        const used = needs.reduce((sum, { id, length }) => sum + (pattern.get(id) ?? 0) * (length + 0.002), 0)
        expect(used).toBeLessThanOrEqual(pieceMm / 1000 + 1e-8)
        for (const { id, length, quantity } of needs) {
          expect(pattern.get(id) ?? 0).toBeLessThanOrEqual(quantity)
          if ((pattern.get(id) ?? 0) < quantity)
            expect(used + length + 0.002).toBeGreaterThan(pieceMm / 1000 - 1e-8)
        }
      }
    }),
  )
})

test('a ready-made end gives one string, however long the piece', () => {
  expect(cutPatterns([{ id: 1, length: 0.4, quantity: 3 }], 5, 0.002, 'loop')).toEqual([new Map([[1, 1]])])
  expect(cutsIn({ lengthLeft: 5, end: 'loop' }, 0.4, 'loop')).toBe(1)
  expect(cutsIn({ lengthLeft: 5, end: 'loop' }, 0.4, 'plain')).toBe(12)
})

test.each([
  ['12.50', 1250],
  ['12,5', 1250],
  ['€ 7', 700],
  ['1.299,00', 129900],
  ['1,299.00 GBP', 129900],
  ['0', 0],
  ['£3.05', 305],
])('the price “%s” is %i minor units', (text, minor) => expect(parseMoney(text)).toBe(minor))
test.each(['', 'call us', '-3', '1..2'])('“%s” is no price', (text) =>
  expect(() => parseMoney(text)).toThrow('Expected a price'),
)
test('money is written in whole minor units', () =>
  expect([moneyText(1205, 'EUR'), moneyText(-7, 'GBP')]).toEqual(['12.05 EUR', '−0.07 GBP']))

test('thick gut makes anchors, thin gut and anything else none', () => {
  expect(anchorsFrom({ kind: 'plain', material: 'gut', gauge: 0.002 }, 1)).toBe(20)
  expect(anchorsFrom({ kind: 'plain', material: 'gut', gauge: 0.0012 }, 1)).toBe(0)
  expect(anchorsFrom({ kind: 'plain', material: 'nylon 6.12', gauge: 0.002 }, 1)).toBe(0)
})

describe('the desk', () => {
  const spec = (gaugeMm: number, more: Partial<StringSpec> = {}): StringSpec => ({
    construction: { kind: 'plain', material: 'gut', gauge: gaugeMm / 1000 },
    colour: 'natural',
    tensionClass: 'concert',
    end: 'plain',
    ...more,
  })
  const catalogue: DeskItem[] = [
    { part: 'A', spec: spec(1) },
    { part: 'B', spec: spec(1.04) },
    { part: 'C', spec: spec(2) },
    { part: 'D', spec: spec(1.02, { tensionClass: 'lever' }) },
    { part: 'S', spec: null },
  ]
  const asked = [
    { part: 'A', packs: 2 },
    { part: 'C', packs: 1 },
    { part: 'S', packs: 1 },
  ]

  test('it answers every line, the same for the same seed, with the nearest thing in place of one', () => {
    for (let seed = 0; seed < 50; seed += 1) {
      const answer = deskAnswer(asked, catalogue, seeded(seed))
      expect(answer).toEqual(deskAnswer(asked, catalogue, seeded(seed)))
      expect(answer.filter((line) => line.answer === 'substituted')).toEqual([
        { part: 'A', packs: 2, answer: 'substituted', offered: 'B' },
      ])
    }
  })

  test('what was confirmed is sent, and a substitute only when it was taken', () => {
    const answered = [
      { part: 'A', packs: 2, answer: 'substituted', offered: 'B' },
      { part: 'C', packs: 1, answer: 'confirmed', offered: null },
      { part: 'S', packs: 1, answer: 'back-ordered', offered: null },
    ] as const
    expect(deliveryOf(answered, new Set(['B']))).toEqual([
      { part: 'B', packs: 2 },
      { part: 'C', packs: 1 },
    ])
    expect(deliveryOf(answered, new Set())).toEqual([{ part: 'C', packs: 1 }])
  })
})
