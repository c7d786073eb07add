import fc from 'fast-check'
import {
  coreArea,
  coreDiameter,
  coreMaterial,
  massPerLength,
  materialWord,
  outerGauge,
  sameMake,
  surfaceMaterial,
  type Construction,
} from './construction'
import { MATERIALS, propertiesOf } from './materials'
import { strainAt, stretchPerSemitone, stretchToBreaking, stretchToPitch, type Span } from './stretch'
import { breakingPitch, semitonesToBreaking, tension, utilisation } from './tension'

const mm = 1e-3
const gut: Construction = { kind: 'plain', material: 'gut', gauge: 1.1 * mm }
const wound: Construction = {
  kind: 'wound',
  core: { material: 'steel', diameter: 0.4 * mm },
  bedding: { material: 'silk', thickness: 0.06 * mm },
  wrap: { material: 'phosphor bronze', diameter: 0.3 * mm },
}
const strung = MATERIALS.filter((material) => material !== 'copper')

describe('materials', () => {
  test('every one that can carry tension has a modulus, a strength and a drift', () => {
    for (const material of strung) {
      const properties = propertiesOf(material)
      expect(properties.modulus).toBeGreaterThan(1e9)
      expect(properties.strength(0.5 * mm)).toBeGreaterThan(1e8)
      expect(properties.drift).toBeGreaterThan(0)
      expect(properties.knotKeeps).toBeLessThan(1)
    }
  })

  test('thin music wire is stronger than thick, and only wires have firm strengths', () => {
    const { strength } = propertiesOf('steel')
    expect(strength(0.3 * mm)).toBeGreaterThan(strength(0.6 * mm))
    expect(strung.filter((material) => propertiesOf(material).strengthIsFirm)).toEqual([
      'steel',
      'phosphor bronze',
      'brass',
    ])
  })

  test('bronze goes from one law to the next without a leap', () => {
    const { strength } = propertiesOf('phosphor bronze')
    expect(strength(0.6 * mm)).toBe(1000e6)
    expect(strength(0.61 * mm) / strength(0.6 * mm)).toBeCloseTo(0.926, 2)
    expect(strength(2.01 * mm) / strength(2 * mm)).toBeCloseTo(0.995, 2)
  })
})

describe('construction', () => {
  test('the outside, the core and what they are made of', () => {
    expect(outerGauge(wound) / mm).toBeCloseTo(1.12, 9)
    expect(coreDiameter(wound) / mm).toBeCloseTo(0.4, 9)
    expect(coreArea(wound)).toBeCloseTo(Math.PI * (0.2 * mm) ** 2, 15)
    expect([coreMaterial(wound).name, surfaceMaterial(wound).name, materialWord(wound)]).toEqual([
      'steel',
      'phosphor bronze',
      'phosphor bronze on steel',
    ])
    expect([coreMaterial(gut).name, surfaceMaterial(gut).name, materialWord(gut)]).toEqual([
      'gut',
      'gut',
      'gut',
    ])
  })

  test('a wound string weighs more than its core and less than a solid rod of its heaviest part', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (core, wrap) => {
          const string: Construction = {
            kind: 'wound',
            core: { material: 'steel', diameter: core * mm },
            bedding: null,
            wrap: { material: 'copper', diameter: wrap * mm },
          }
          const rod = 8960 * (Math.PI / 4) * outerGauge(string) ** 2
          expect(massPerLength(string)).toBeGreaterThan(7850 * coreArea(string))
          expect(massPerLength(string)).toBeLessThan(rod)
        },
      ),
    )
  })

  test('bedding of no thickness is no bedding', () => {
    const bare: Construction = { ...wound, bedding: null }
    const none: Construction = { ...wound, bedding: { material: 'silk', thickness: 0 } }
    expect(massPerLength(none)).toBeCloseTo(massPerLength(bare), 15)
    expect(outerGauge(none)).toBe(outerGauge(bare))
  })

  test('the same make is the same materials in the same way, whatever the gauges', () => {
    expect(sameMake(gut, { ...gut, gauge: 2 * mm })).toBe(true)
    expect(sameMake(gut, { ...gut, material: 'silk' })).toBe(false)
    expect(sameMake(wound, { ...wound, wrap: { material: 'phosphor bronze', diameter: 0.5 * mm } })).toBe(
      true,
    )
    expect(sameMake(wound, { ...wound, bedding: null })).toBe(false)
    expect(sameMake(gut, wound)).toBe(false)
  })

  test('sizes that can’t be are refused by name', () => {
    expect(() => outerGauge({ ...gut, gauge: -1 })).toThrow(
      'gauge: expected a number greater than zero, got -1.',
    )
    expect(() => massPerLength({ ...wound, core: { material: 'steel', diameter: 0 } })).toThrow(
      'core: expected',
    )
    expect(() => outerGauge({ ...wound, bedding: { material: 'silk', thickness: Number.NaN } })).toThrow(
      'bedding: expected zero or more, got NaN.',
    )
  })
})

describe('tension and stretch of any string', () => {
  const spans = fc
    .record({
      material: fc.constantFrom(...strung),
      gauge: fc.double({ min: 0.0003, max: 0.002, noNaN: true }),
      length: fc.double({ min: 0.08, max: 1.2, noNaN: true }),
      share: fc.double({ min: 0.05, max: 0.85, noNaN: true }),
    })
    .map(({ material, gauge, length, share }): Span => {
      const construction: Construction = { kind: 'plain', material, gauge }
      return {
        construction,
        speakingLength: length,
        freeLength: length * 1.2,
        pitch: breakingPitch(construction, length) * Math.sqrt(share),
      }
    })
  const u = (span: Span) => utilisation(span.construction, span.speakingLength, span.pitch)

  test('at its breaking pitch it stands at its whole strength, with no semitone left', () => {
    fc.assert(
      fc.property(spans, ({ construction, speakingLength }) => {
        const pitch = breakingPitch(construction, speakingLength)
        expect(utilisation(construction, speakingLength, pitch)).toBeCloseTo(1, 9)
        expect(semitonesToBreaking(utilisation(construction, speakingLength, pitch))).toBeCloseTo(0, 6)
      }),
    )
  })

  test('the semitones that are left lead from its pitch to its breaking pitch', () => {
    fc.assert(
      fc.property(spans, (span) => {
        const up = span.pitch * 2 ** (semitonesToBreaking(u(span)) / 12)
        expect(up / breakingPitch(span.construction, span.speakingLength)).toBeCloseTo(1, 9)
      }),
    )
  })

  test('an octave up is four times the tension', () => {
    fc.assert(
      fc.property(spans, ({ construction, speakingLength, pitch }) => {
        expect(
          tension(construction, speakingLength, 2 * pitch) / tension(construction, speakingLength, pitch),
        ).toBeCloseTo(4, 9)
      }),
    )
  })

  test('stretch grows toward breaking, and what is left shrinks', () => {
    fc.assert(
      fc.property(spans, (span) => {
        const higher = { ...span, pitch: span.pitch * 1.03 }
        expect(stretchToPitch(higher)).toBeGreaterThan(stretchToPitch(span))
        expect(stretchToBreaking(higher)).toBeLessThan(stretchToBreaking(span))
        expect(stretchToPitch(span) + stretchToBreaking(span)).toBeCloseTo(
          stretchToPitch(higher) + stretchToBreaking(higher),
          9,
        )
      }),
    )
  })

  test('a semitone at pitch is a small part of the way there', () => {
    fc.assert(
      fc.property(spans, (span) => {
        const step = stretchPerSemitone(span)
        expect(step).toBeGreaterThan(0)
        expect(step).toBeLessThan(0.13 * stretchToPitch(span))
      }),
    )
  })

  test('stiffening makes a polymer give less than a linear one of the same modulus', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e6, max: 3e8, noNaN: true }), (sigma) => {
        expect(strainAt(sigma, 3e9, 25)).toBeLessThan(strainAt(sigma, 3e9, 0))
        expect(strainAt(sigma, 3e9, 1e-9)).toBeCloseTo(strainAt(sigma, 3e9, 0), 6)
      }),
    )
  })
})
