import { DAY, HOUR } from '@/core/units/time'
import { monthText } from './month'
import { measure, type Quantity } from '@/core/measure'
import { parseLength } from '@/core/units/length'
import { withUnit } from './gauge-typed'
import { measureText, showMeasure } from './measure'
import { clockText, dateText, dayText, distanceText, nearText } from './time'

test.each<[Quantity, number, string, string]>([
  ['length', 0.6188, '619 mm', '24 3/8 in'],
  ['length', 0.0072, '7.2 mm', '0.283 in'],
  ['length', -0.12, '-120 mm', '-4 3/4 in'],
  ['gauge', 0.0010414, '1.04 mm', '.041 in'],
  ['frequency', 369.994, '370.0 Hz', '370.0 Hz'],
  ['force', 99.8, '100 N', '100 N'],
  ['stress', 82.6e6, '83 MPa', '83 MPa'],
  ['angle', 87.04, '87°', '87°'],
  ['angle', 10.66, '10.7°', '10.7°'],
  ['angle', 362, '362° or 1 turn', '362° or 1 turn'],
  ['angle', 536, '536° or 1.5 turns', '536° or 1.5 turns'],
  ['wraps', 3, '3 wraps', '3 wraps'],
  ['wraps', 1.02, '1 wrap', '1 wrap'],
  ['wraps', 2.74, '2.7 wraps', '2.7 wraps'],
  ['pins', 4.31, '4.3 pins', '4.3 pins'],
  ['cents', -58.71, '−59 cents', '−59 cents'],
  ['cents', 4, '+4 cents', '+4 cents'],
  ['cents', -0.2, '0 cents', '0 cents'],
  ['share', 0.0035, '0.4%', '0.4%'],
  ['semitones', 12.16, '12.2 semitones', '12.2 semitones'],
  ['line density', 0.0066868, '6.687 g/m', '6.687 g/m'],
  ['number', 25, '25', '25'],
])('%s of %d reads %s, or %s where inches are the house’s', (quantity, value, metric, inches) => {
  expect(measureText(measure(quantity, value), 'mm')).toBe(metric)
  expect(measureText(measure(quantity, value), 'in')).toBe(inches)
})

test('gauges in thousandths of an inch by themselves, whatever lengths are in', () => {
  expect(measureText(measure('gauge', 0.0010414), 'mm, gauges in thou')).toBe('41 thou')
  expect(measureText(measure('gauge', 0.00064), 'in, gauges in thou')).toBe('25.2 thou')
  expect(measureText(measure('width', 0.003), 'mm, gauges in thou')).toBe('3.00 mm')
  expect(measureText(measure('length', 0.6188), 'mm, gauges in thou')).toBe('619 mm')
})

test.each([
  ['25', 'thou', 25 * 0.0254],
  ['0.64 mm', 'thou', 0.64],
  ['.025', 'in', 0.635],
  ['0,64', 'mm', 0.64],
] as const)('a gauge typed as %s where gauges are in %s', (text, unit, mm) => {
  expect(parseLength(withUnit(text, unit), 'mm') * 1000).toBeCloseTo(mm, 9)
})

test('figure and unit come apart, so that the unit can stand small beside it', () => {
  expect(showMeasure(measure('length', 0.1612), 'mm')).toEqual({ figure: '161', unit: 'mm' })
})

describe('time, by the house’s own zone', () => {
  const noon = Date.UTC(2026, 10, 24, 12, 5)
  test('day, date and clock', () => {
    expect(dayText(noon, 'UTC')).toBe('Tuesday 24 November')
    expect(dateText(noon, 'UTC')).toBe('24 Nov 2026')
    expect(clockText(noon, 'UTC')).toBe('12:05')
    expect(clockText(noon, 'Asia/Tokyo')).toBe('21:05')
  })
  test('what is near is told by its day', () => {
    expect(nearText(noon + HOUR, noon, 'UTC')).toBe('13:05 today')
    expect(nearText(noon + 20 * HOUR, noon, 'UTC')).toBe('08:05 tomorrow')
    expect(nearText(noon - 20 * HOUR, noon, 'UTC')).toBe('16:05 yesterday')
    expect(nearText(noon + 20 * DAY, noon, 'UTC')).toBe('Mon 14 Dec, 12:05')
  })
  test('how far off', () => {
    expect(distanceText(noon + 10_000, noon)).toBe('now')
    expect(distanceText(noon + 3 * HOUR, noon)).toBe('in 3 hours')
    expect(distanceText(noon - 2 * DAY, noon)).toBe('2 days ago')
  })
})

test('a month is told with its year where it was a year ago or more', () => {
  const now = Date.UTC(2026, 10, 24)
  const told = (year: number, month: number) => monthText(Date.UTC(year, month - 1, 10), now, 'UTC')
  expect([told(2026, 3), told(2025, 12), told(2025, 11), told(2024, 5)]).toEqual([
    'March',
    'December',
    'November 2025',
    'May 2024',
  ])
  // The evening of the 31st here is the next month further east.
  expect(monthText(Date.UTC(2026, 2, 31, 22), now, 'Asia/Tokyo')).toBe('April')
})
