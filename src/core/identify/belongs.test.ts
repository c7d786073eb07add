import { readShelf } from '@/data/demo/shelf-files'
import { gaugeOf, positionAt } from '../instrument/instrument'
import { asMeasured } from './as-measured'
import { belongs, type NewString } from './belongs'

const { instruments } = readShelf('demo')
const on = (slug: string) => instruments.find((i) => i.slug === slug)!
const mm = 1e-3

/** The charted string of a position with another gauge, material or packet. */
function judged(
  slug: string,
  number: number,
  change: Partial<NewString> & { gauge?: number } = {},
  old: number | null = null,
) {
  const instrument = on(slug)
  const position = positionAt(instrument, number)
  const { gauge = gaugeOf(position), ...packet } = change
  const named =
    position.construction.kind === 'wound' ? ('wound, as charted' as const) : position.construction.material
  const result = belongs(
    instrument,
    position,
    {
      construction: asMeasured(named, gauge, position.construction),
      error: 1e-5,
      tensionClass: instrument.tensionClass,
      madeFor: null,
      ...packet,
    },
    old,
  )
  return { ...result, of: Object.fromEntries(result.reasons.map((p) => [p.about, p.verdict])) }
}

test('the charted string belongs on every position of the shelf', () => {
  for (const { slug, positions } of instruments) {
    for (const { number } of positions) {
      const { verdict, tensionChange } = judged(slug, number)
      expect(verdict).toBe('yes')
      expect(Math.abs(tensionChange)).toBeLessThan(1e-9)
    }
  }
})

test('a new string slightly thicker than the worn one is right; one much thicker is asked about', () => {
  const gauge = gaugeOf(positionAt(on('lovage'), 22))
  expect(judged('lovage', 22, {}, gauge * 0.97).of['old string']).toBe('yes')
  expect(judged('lovage', 22, {}, gauge * 0.9).of['old string']).toBe('mind')
  expect(judged('lovage', 22, {}, gauge * 1.05).of['old string']).toBe('mind')
  expect(judged('bryony', 20, {}, gaugeOf(positionAt(on('bryony'), 20)) * 0.97).of['old string']).toBe('mind')
})

test('outside its neighbours of the same material it does not belong; at a section change the rule stops', () => {
  const { of, verdict } = judged('lovage', 22, { gauge: 1.4 * mm })
  expect([of.neighbours, of.chart, verdict]).toEqual(['no', 'no', 'no'])
  const { of: atChange, reasons } = judged('lovage', 10, {})
  expect(atChange.neighbours).toBe('yes')
  expect(reasons.find((p) => p.about === 'neighbours')!.says.join('')).toContain('Its section begins here')
})

test('a neighbouring gauge can serve, with what it does to the tension', () => {
  const { verdict, tensionChange, of } = judged('lovage', 22, { gauge: 1.3 * mm })
  expect([verdict, of.chart, of.neighbours]).toEqual(['mind', 'mind', 'yes'])
  expect(tensionChange).toBeCloseTo((1.3 / 1.24) ** 2 - 1, 9)
})

test('another class is refused, an unstated one asked about, another instrument’s name alone says nothing', () => {
  expect(judged('lovage', 22, { tensionClass: 'lever' }).verdict).toBe('no')
  expect(judged('lovage', 22, { tensionClass: null }).verdict).toBe('mind')
  expect(judged('lovage', 22, { madeFor: 'lever harp' })).toMatchObject({
    verdict: 'yes',
    of: { packet: 'yes' },
  })
})

test('another material is refused, one of the same kind only marked', () => {
  expect(
    judged('lovage', 22, { construction: { kind: 'plain', material: 'nylon 6.12', gauge: 1.24 * mm } }).of
      .material,
  ).toBe('no')
  expect(
    judged('fennel', 11, { construction: { kind: 'plain', material: 'nylon 6.6', gauge: 0.9 * mm } }).of
      .material,
  ).toBe('mind')
})

test('a wound string is taken with the charted core, and can’t be thinner than that', () => {
  const { construction } = positionAt(on('lovage'), 40)
  const thicker = asMeasured(
    'wound, as charted',
    gaugeOf(positionAt(on('lovage'), 40)) + 0.04 * mm,
    construction,
  )
  expect(thicker).toMatchObject({ core: (construction as { core: object }).core })
  expect(() => asMeasured('wound, as charted', 0.5 * mm, construction)).toThrow('measure over the wrap')
  expect(() => asMeasured('wound, as charted', 1 * mm, positionAt(on('lovage'), 22).construction)).toThrow(
    'plain string',
  )
})
