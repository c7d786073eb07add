/** What to measure, and what a measure changes; that the doubt told is the doubt there is stands in the science tables. */
import { DEFAULT_HABITS } from '../fitting/habits'
import type { Family } from '../instrument/family'
import type { Instrument } from '../instrument/instrument'
import { juniper } from './juniper'
import { quantitiesOf } from './quantity'
import { takeMeasure } from './take-measure'
import { measuringPlan } from './worth'

const harp = juniper('lever harp', 'C3 to C6')

test('each measurement takes away doubt, the first the most, and enough is enough', () => {
  const { now, next } = measuringPlan(harp, DEFAULT_HABITS, [], 20)
  expect(next.length).toBeGreaterThan(3)
  expect(next.length).toBeLessThan(20)
  for (const { takes, cutAfter } of next) {
    expect(takes).toBeGreaterThan(0)
    expect(cutAfter).toBeLessThan(Math.max(...now.map(({ cut }) => cut)))
  }
  const measured = next.map(({ quantity }) => ({ key: quantity.key, error: null }))
  const then = measuringPlan(harp, DEFAULT_HABITS, measured, 20)
  expect(then.next).toEqual([])
  for (const [i, one] of then.now.entries()) {
    expect(one.cut).toBeLessThan(now[i]!.cut)
    expect(one.margin).toBeLessThanOrEqual(now[i]!.margin + 1e-12)
  }
})

test('a measured length is taken over as it is, its neighbours follow it, and a measured one stays', () => {
  const one = takeMeasure(harp, [], 'speaking 11', harp.positions[10]!.speakingLength * 1.05)
  const ratio = (number: number) =>
    one.positions[number - 1]!.speakingLength / harp.positions[number - 1]!.speakingLength
  expect(ratio(11)).toBeCloseTo(1.05, 9)
  expect(ratio(12)).toBeGreaterThan(1.04)
  expect(ratio(22)).toBeGreaterThan(1)
  expect(ratio(22)).toBeLessThan(ratio(16))
  const two = takeMeasure(
    one,
    [{ key: 'speaking 11', error: null }],
    'speaking 1',
    one.positions[0]!.speakingLength * 0.97,
  )
  expect(two.positions[10]!.speakingLength).toBeCloseTo(one.positions[10]!.speakingLength, 12)
})

test('a pin, a board and a way beyond the bridge pin concern every string', () => {
  for (const [key, read] of [
    ['pin', (i: Instrument) => i.positions[3]!.head.pin.diameter],
    ['board', (i: Instrument) => i.positions[3]!.tail.boardThickness],
    ['beyond', (i: Instrument) => i.positions[11]!.freeLength - i.positions[11]!.speakingLength],
  ] as const) {
    const value = quantitiesOf(harp).find((quantity) => quantity.key === key)!.value * 1.1
    expect(read(takeMeasure(harp, [], key, value))).toBeCloseTo(value, 9)
  }
})

test('what can’t be is refused in a sentence', () => {
  expect(() => takeMeasure(harp, [], 'speaking 11', harp.positions[10]!.speakingLength * 25.4)).toThrow(
    'is the unit right?',
  )
  expect(() =>
    takeMeasure(
      harp,
      [{ key: 'speaking 10', error: null }],
      'speaking 11',
      harp.positions[9]!.speakingLength * 0.95,
    ),
  ).toThrow(/String \d+ would come out shorter than string \d+: measure once more/)
  expect(() => takeMeasure(harp, [], 'speaking 99', 0.3)).toThrow('There is no such thing to measure')
})

test.each([
  ['lap zither', 'C4 to C6'],
  ['long zither', 'C2 D2 F2 G2 A2 C3 D3'],
] as const)('a %s from its preset has a plan too', (family, notes) => {
  const other = juniper(family as Family, notes)
  const { now, next } = measuringPlan(other, DEFAULT_HABITS, [])
  expect(next.length).toBeGreaterThan(0)
  expect(now.every(({ cut, margin }) => Number.isFinite(cut) && Number.isFinite(margin))).toBe(true)
})
