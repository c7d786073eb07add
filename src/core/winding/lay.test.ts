import fc from 'fast-check'
import { layWraps, lengthOnPin, turnsToDraw, WRAP_LAYS, wrapsFromLength } from './lay'
import { bankOfWraps, straightestWraps, type TuningPin } from './pin'

const mm = 1e-3
const lays = fc.constantFrom(...WRAP_LAYS)
const some = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })
const pin: TuningPin = {
  setting: 'through the neck',
  turnedBy: 'key',
  diameter: 7 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: null,
  height: 13 * mm,
  heightDatum: 'string hole',
  holeToEnd: 5 * mm,
  bridgeHeight: 9 * mm,
  toBridge: 42 * mm,
}

test('a length on the pin and its wraps come back to each other, however they lie', () => {
  fc.assert(
    fc.property(some(0.1, 8), some(3 * mm, 10 * mm), some(0.2 * mm, 2 * mm), lays, (wraps, d, gauge, lay) => {
      expect(wrapsFromLength(lengthOnPin(wraps, d, gauge, lay), d, gauge, lay)).toBeCloseTo(wraps, 9)
      expect(turnsToDraw(lengthOnPin(wraps, d, gauge, lay, 5), d, gauge, lay, 5)).toBeCloseTo(wraps, 6)
    }),
  )
})

test('a wrap that crosses over others takes π (D + 3d), one beside them π (D + d)', () => {
  const length = (wraps: number, lay: (typeof WRAP_LAYS)[number]) =>
    lengthOnPin(wraps, 7 * mm, 1 * mm, lay) / mm
  expect(length(4, 'toward the wood')).toBeCloseTo(4 * Math.PI * 8, 9)
  expect(length(4, 'then outward over it')).toBeCloseTo(2 * Math.PI * 8 + 2 * Math.PI * 10, 9)
  expect(length(3, 'second crossed over')).toBeCloseTo(2 * Math.PI * 8 + Math.PI * 10, 9)
  expect(length(3, 'above, below, above')).toBeCloseTo(3 * Math.PI * 8, 9)
})

test('wraps lie where their way says', () => {
  const offsets = (lay: (typeof WRAP_LAYS)[number]) =>
    layWraps(4, 1 * mm, lay).turns.map(
      (t) => `${Math.round((t.offset / mm) * 2) / 2}${t.over ? ' over' : ''}`,
    )
  expect(offsets('toward the wood')).toEqual(['1', '2', '3', '4'])
  expect(offsets('then outward over it')).toEqual(['1', '2', '2 over', '1 over'])
  expect(offsets('above, below, above')).toEqual(['-1', '1', '-2', '-3'])
  expect(offsets('second crossed over')).toEqual(['1', '0.5 over', '2', '3'])
})

test('the string leaves nearer the hole when the wraps come back over themselves, and above it when they lie above', () => {
  const exit = (lay: (typeof WRAP_LAYS)[number]) => bankOfWraps(pin, 1 * mm, 4, lay).exitHeight / mm
  expect(exit('toward the wood')).toBeCloseTo(9, 9)
  expect(exit('then outward over it')).toBeCloseTo(12, 9)
  expect(exit('above, below, above')).toBeCloseTo(16, 9)
})

test('the bank must fit on the side it lies', () => {
  expect(bankOfWraps(pin, 1 * mm, 6, 'above, below, above').fits).toBe(false)
  expect(bankOfWraps(pin, 1 * mm, 6, 'toward the wood').fits).toBe(true)
  expect(bankOfWraps(pin, 1 * mm, 14, 'toward the wood').fits).toBe(false)
  expect(bankOfWraps(pin, 1 * mm, 14, 'then outward over it').fits).toBe(true)
})

test('no other whole number of wraps leaves a smaller angle than the straightest', () => {
  fc.assert(
    fc.property(some(0.4 * mm, 2 * mm), lays, fc.integer({ min: 1, max: 12 }), (gauge, lay, other) => {
      const angle = (wraps: number) => Math.abs(bankOfWraps(pin, gauge, wraps, lay).sideAngle)
      expect(angle(straightestWraps(pin, gauge, lay))).toBeLessThanOrEqual(angle(other) + 1e-9)
    }),
  )
})
