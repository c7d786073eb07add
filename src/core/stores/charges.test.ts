import { outerGauge } from '../strings/construction'
import { chargesOf } from './charges'
import type { StringSpec } from './string-spec'

const spec = (mm: number): StringSpec => ({
  construction: { kind: 'plain', material: 'gut', gauge: mm / 1000 },
  colour: 'natural',
  tensionClass: null,
  end: 'plain',
})
const prices = {
  hourMinor: 4200,
  currency: 'EUR',
  priceOf: ({ construction }: StringSpec, cut: number) =>
    outerGauge(construction) > 1e-3 ? null : Math.round(outerGauge(construction) * 1e6 * cut),
}
const gut = { what: 'gut, 0.80 mm', spec: spec(0.8), cut: 1.5 }

test('strings of a kind are one line, and the sum is that of the lines', () => {
  const { strings, work, total } = chargesOf(
    [gut, gut, { ...gut, what: 'gut, 0.70 mm', spec: spec(0.7) }],
    40,
    prices,
  )
  expect(strings).toEqual([
    { what: 'gut, 0.80 mm', count: 2, each: 1200, amount: 2400 },
    { what: 'gut, 0.70 mm', count: 1, each: 1050, amount: 1050 },
  ])
  expect(work).toEqual({ what: 'work', count: 40 / 60, each: 4200, amount: 2800 })
  expect(total).toBe(2400 + 1050 + 2800)
})

test('a string that nobody sells has no price and adds nothing; a kind keeps the price of its first', () => {
  const { strings, total } = chargesOf(
    [{ what: 'wound', spec: spec(1.4), cut: 1 }, gut, { ...gut, cut: 3 }],
    null,
    prices,
  )
  expect(strings[0]).toEqual({ what: 'wound', count: 1, each: null, amount: null })
  expect(strings[1]).toMatchObject({ count: 2, each: 1200, amount: 2400 })
  expect(total).toBe(2400)
})

test.each([
  ['nobody recorded it', null, 4200],
  ['an hour costs nothing', 40, 0],
  ['it comes to less than a hundredth', 0.01, 4200],
])('there is no line for work where %s', (_, minutes, hourMinor) => {
  expect(chargesOf([gut], minutes, { ...prices, hourMinor }).work).toBeNull()
})

test('a hundredth of work is a line', () => {
  expect(chargesOf([], 0.02, prices).work).toMatchObject({ amount: 1 })
})
