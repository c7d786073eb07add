import { readShelf } from '@/data/demo/shelf-files'
import { fittingFigures } from '../fitting/figures'
import { DEFAULT_HABITS } from '../fitting/habits'
import { positionAt, type Instrument } from '../instrument/instrument'
import { fitOf } from './fits'
import { offersFor, sortedOut, type StoredCoil } from './offers'
import type { StringSpec } from './string-spec'

const lovage = readShelf('demo').instruments.find((i) => i.slug === 'lovage') as Instrument
const G = positionAt(lovage, 22)
const gut = (gaugeMm: number, more: Partial<StringSpec> = {}): StringSpec => ({
  construction: { kind: 'plain', material: 'gut', gauge: gaugeMm / 1000 },
  colour: 'natural',
  tensionClass: 'concert',
  end: 'plain',
  ...more,
})

describe('fits', () => {
  test('the charted string', () =>
    expect(fitOf(gut(1.24), G, 'concert')).toEqual({ grade: 'exact', tensionChange: 0, because: null }))
  test('another colour', () =>
    expect(fitOf(gut(1.24, { colour: 'red' }), G, 'concert')).toMatchObject({
      grade: 'other colour',
      because: 'Right but for its colour: it is red, the chart has natural.',
    }))
  test('a neighbouring gauge, with what it does to the tension', () => {
    const fit = fitOf(gut(1.28), G, 'concert')
    expect(fit.grade).toBe('next gauge')
    expect(fit.tensionChange).toBeCloseTo((1.28 / 1.24) ** 2 - 1, 9)
  })
  test.each([
    ['a gauge too far off', gut(1.4), 'too far'],
    ['another class', gut(1.24, { tensionClass: 'lever' }), 'made for lever tension'],
    [
      'another material',
      { ...gut(1.24), construction: { kind: 'plain', material: 'nylon 6.12', gauge: 0.00124 } } as StringSpec,
      'the chart asks for gut',
    ],
  ])('%s is refused, with the reason', (_, coil, reason) => {
    const fit = fitOf(coil, G, 'concert')
    expect(fit.grade).toBe('refused')
    expect(fit.because).toContain(reason)
  })
})

test('offers: a remainder long enough first, then fresh coils, stand-ins after them, the too short last', () => {
  const coil = (id: number, lengthLeft: number, opened: boolean, spec = gut(1.24)): StoredCoil => ({
    ...spec,
    tensionClass: 'concert',
    id,
    lengthLeft,
    opened,
  })
  const cut = fittingFigures(lovage, G, DEFAULT_HABITS).cut.total
  const offers = offersFor(
    sortedOut([
      coil(1, 1.4, false),
      coil(2, 0.3, true),
      coil(3, 1.95, true),
      coil(4, 0.7, true),
      coil(5, 0.65, true, gut(1.28)),
      coil(6, 5, false, gut(2)),
    ]),
    G,
    'concert',
    () => cut,
  )
  expect(offers.map((o) => o.coil.id)).toEqual([4, 3, 1, 5, 2])
  expect(offers[0]?.leaves).toBeCloseTo(0.7 - cut, 12)
  expect(offers.map((o) => o.yields)).toEqual([1, 3, 2, 1, 0])
})
