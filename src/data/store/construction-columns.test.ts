import fc from 'fast-check'
import type { Construction } from '@/core/strings/construction'
import { MATERIALS } from '@/core/strings/materials'
import { constructionColumns, constructionFrom } from './construction-columns'
import { inMm, metres } from './millimetres'

const materials = fc.constantFrom(...MATERIALS)
/** Sizes as they are sold, in hundredths of a millimetre. */
const sizes = fc.integer({ min: 5, max: 400 }).map((hundredths) => hundredths / 1e5)

const plain: fc.Arbitrary<Construction> = fc
  .record({ material: materials, gauge: sizes })
  .map((string) => ({ kind: 'plain', ...string }))
const wound: fc.Arbitrary<Construction> = fc
  .record({
    core: fc.record({ material: materials, diameter: sizes }),
    bedding: fc.option(fc.record({ material: materials, thickness: sizes })),
    wrap: fc.record({ material: materials, diameter: sizes }),
  })
  .map((string) => ({ kind: 'wound', ...string }))

test('a construction goes into its columns and comes back', () => {
  fc.assert(
    fc.property(fc.oneof(plain, wound), (construction) => {
      const columns = constructionColumns(construction)
      const back = constructionFrom(columns)
      expect(constructionColumns(back)).toEqual(columns)
      expect(back.kind).toBe(construction.kind)
    }),
  )
})

test('a plain string leaves core, bedding and wrap empty; a wound one says its outside too', () => {
  expect(constructionColumns({ kind: 'plain', material: 'gut', gauge: 0.00124 })).toEqual({
    material: 'gut',
    gaugeMm: 1.24,
    coreMm: null,
    beddingMaterial: null,
    beddingMm: null,
    wrapMaterial: null,
    wrapMm: null,
  })
  expect(
    constructionColumns({
      kind: 'wound',
      core: { material: 'nylon 6.12', diameter: 0.00085 },
      bedding: null,
      wrap: { material: 'copper', diameter: 0.00025 },
    }),
  ).toEqual({
    material: 'nylon 6.12',
    gaugeMm: 1.35,
    coreMm: 0.85,
    beddingMaterial: null,
    beddingMm: null,
    wrapMaterial: 'copper',
    wrapMm: 0.25,
  })
})

test('millimetres carry no binary dust, and lead back to the metre', () => {
  expect(inMm(0.1 + 0.2)).toBe(300)
  expect(inMm(0.00064)).toBe(0.64)
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 10_000_000 }), (microns) => {
      expect(inMm(metres(microns / 1000))).toBeCloseTo(microns / 1000, 9)
    }),
  )
})
