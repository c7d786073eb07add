import { itemAt } from './item-at'
import { requireValue } from './require-value'

test('an item is given where there is one, whatever it is; where there is none the fault is told', () => {
  expect([itemAt([0, 1], 0), itemAt(new Float64Array([2, 3]), 1), itemAt(['', 'a'], 0)]).toEqual([0, 3, ''])
  expect(itemAt([null], 0)).toBeNull()
  expect(() => itemAt([1, 2], 2)).toThrow('expected an item at 2 of 2')
  expect(() => itemAt([], -1)).toThrow('expected an item at -1 of 0')
})

test('what is there is given, nought and nothing written too; nothing is a fault', () => {
  expect([requireValue(0), requireValue(''), requireValue(false)]).toEqual([0, '', false])
  expect(() => requireValue(null)).toThrow('expected a value')
  expect(() => requireValue(undefined)).toThrow('expected a value')
})
