import { measuredProblem, readMeasured } from './measured'

test.each([
  ['gauge', '1.11', 'mm', 0.00111],
  ['gauge', '41 thou', 'mm', 0.0010414],
  ['gauge', '.044', 'in', 0.0011176],
  ['cut', '62 cm', 'mm', 0.62],
  ['cut', '24 1/2', 'in', 0.6223],
  ['wraps', '3,25', 'mm', 3.25],
  ['cents', '−12', 'mm', -12],
  ['cents', '+3', 'mm', 3],
  ['turns', '0', 'mm', 0],
] as const)('%s typed as “%s” in %s reads %d', (what, text, unit, value) => {
  expect(readMeasured(what, text, unit)).toBeCloseTo(value, 9)
  expect(measuredProblem(what, text, unit)).toBeNull()
})

test('nothing typed takes the value back', () => {
  for (const what of ['gauge', 'cut', 'wraps', 'cents', 'turns'] as const)
    expect(readMeasured(what, '  ', 'mm')).toBeNull()
})

test.each([
  ['gauge', 'thin', 'Expected a length such as'],
  ['gauge', '40', 'can’t be right'],
  ['cut', '-20', 'must be more than nothing'],
  ['wraps', 'three', 'Wraps: expected a number'],
  ['wraps', '0', 'Wraps: expected a number'],
  ['cents', '999', 'Cents: expected a number'],
  ['turns', '-1', 'Turns given: expected a number'],
] as const)('%s typed as “%s” says what was expected', (what, text, sentence) => {
  expect(measuredProblem(what, text, 'mm')).toContain(sentence)
})
