import { hasLainTooLong, keepsFor, lainTooLongWords } from './keeps'

const gut = { kind: 'plain', material: 'gut', gauge: 1e-3 } as const

test('a string keeps as long as its core does, and one that has lain longer says what to look for', () => {
  expect(keepsFor(gut)).toBe(5)
  expect(hasLainTooLong(gut, 5)).toBe(false)
  expect(hasLainTooLong(gut, 5.1)).toBe(true)
  expect(lainTooLongWords(gut, 6.9)).toContain('for 6 years; gut keeps about 5')
  expect(lainTooLongWords(gut, 6.9)).toContain('a white mark is damaged fibre')
})
