import { parseNumbers } from './read-numbers'

test.each([
  ['3', [3]],
  ['3, 5-7', [3, 5, 6, 7]],
  ['7–5 3', [5, 6, 7, 3]],
  ['2 to 4;2', [2, 3, 4]],
])('%s are strings %j', (text, numbers) => {
  expect(parseNumbers(text, 47)).toEqual(numbers)
})

test.each([
  ['', 'Expected string numbers'],
  ['red', 'got “red”'],
  ['48', 'numbered 1 to 47; “48”'],
  ['0-3', 'numbered 1 to 47'],
])('“%s” says what was expected', (text, sentence) => {
  expect(() => parseNumbers(text, 47)).toThrow(sentence)
})
