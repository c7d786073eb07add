import fc from 'fast-check'
import { formatLength, lengthFigure, parseLength, type LengthStyle } from './length'

test.each([
  ['0.64 mm', 0.00064],
  ['0,64', 0.00064],
  ['1.2 m', 1.2],
  ['12 cm', 0.12],
  ['.041 in', 0.0010414],
  ['.041"', 0.0010414],
  ['41 thou', 0.0010414],
  ['1 3/8 in', 0.034925],
  ['3/8″', 0.009525],
  ['−5', -0.005],
])('%s', (text, metres) => {
  expect(parseLength(text, 'mm')).toBeCloseTo(metres, 9)
})

test('a bare number is in the unit of the house', () => {
  expect(parseLength('2', 'in')).toBeCloseTo(0.0508, 9)
  expect(parseLength('25', 'thou')).toBeCloseTo(0.000635, 9)
})

test.each(['', 'thick', '1.2.3', '5 furlongs', '3/0 in', '1e3'])(
  '“%s” is refused in a sentence that quotes it',
  (text) => {
    expect(() => parseLength(text, 'mm')).toThrow(`got “${text}”.`)
  },
)

test('what is written reads back as the same length, in every style', () => {
  const styles: readonly (readonly [LengthStyle, number])[] = [
    [{ unit: 'mm', digits: 2 }, 0.00001],
    [{ unit: 'in', digits: 3 }, 0.0000254],
    [{ unit: 'thou', digits: 1 }, 0.00000254],
    [{ unit: 'in', fractionOf: 64 }, 0.0254 / 64],
  ]
  for (const [style, step] of styles) {
    fc.assert(
      fc.property(fc.integer({ min: -400_000, max: 400_000 }), (count) => {
        expect(parseLength(formatLength(count * step, style), 'mm')).toBeCloseTo(count * step, 10)
      }),
    )
  }
})

test('fractions are shortened and nothing is written as minus zero', () => {
  expect(lengthFigure(0.0254 * 1.5, { unit: 'in', fractionOf: 64 })).toBe('1 1/2')
  expect(lengthFigure(-0.0000001, { unit: 'mm', digits: 2 })).toBe('0.00')
  expect(() => lengthFigure(Number.NaN, { unit: 'mm', digits: 2 })).toThrow(RangeError)
})
