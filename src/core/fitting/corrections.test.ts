/** What a house learns in levels, against one mean over everything and against no correction at all, on simulated houses. */
import { seeded } from '../random/seeded'
import { learn, summedUp, NO_CORRECTIONS, type FittingKind, type Measured } from './corrections'

const kind = (family: string, own: number): FittingKind => ({
  family,
  instrument: `${family} ${own}`,
  head: 'plain becket',
  tail: 'third loop',
})

/** A number with a bell-shaped scatter of one, from two even ones. */
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Off by 0.25 from house to house, family to family and kind to kind, and by 0.4 from fitting to fitting, wraps. */
function simulatedWorkshop(random: () => number) {
  const workshop = 0.25 * normal(random)
  const truth = new Map<FittingKind, number>()
  const fittings: Measured[] = []
  for (let family = 0; family < 4; family += 1) {
    const ofFamily = workshop + 0.25 * normal(random)
    for (let own = 0; own < 3; own += 1) {
      const at = kind(`family ${family}`, own)
      const off = ofFamily + 0.25 * normal(random)
      truth.set(at, off)
      // Some kinds are fitted often, some never yet.
      const count = Math.floor(14 * random() ** 2)
      for (let i = 0; i < count; i += 1)
        fittings.push({
          kind: at,
          predictedWraps: 3,
          wraps: 3 + off + 0.4 * normal(random),
          predictedCut: null,
          cut: null,
        })
    }
  }
  return { truth, fittings }
}

test('over two hundred simulated houses the levels come nearer than one mean, and than no correction', () => {
  const random = seeded(20)
  const squares = { levels: 0, mean: 0, none: 0 }
  for (let i = 0; i < 200; i += 1) {
    const { truth, fittings } = simulatedWorkshop(random)
    const { correctionsFor } = learn(summedUp(fittings))
    const mean = fittings.reduce((sum, f) => sum + f.wraps! - 3, 0) / (fittings.length + 3)
    for (const [at, off] of truth) {
      squares.levels += (correctionsFor(at).wraps.by - off) ** 2
      squares.mean += (mean - off) ** 2
      squares.none += off ** 2
    }
  }
  // In the root of the mean square: a fifth nearer than one mean, two fifths nearer than none.
  expect(Math.sqrt(squares.levels / squares.mean)).toBeLessThan(0.8)
  expect(Math.sqrt(squares.levels / squares.none)).toBeLessThan(0.6)
})

test('a harp’s gut says little of a zither’s steel, and many fittings come near their own mean', () => {
  const harp = kind('pedal harp', 1)
  const zither = kind('lap zither', 1)
  const fitting = (at: FittingKind, off: number): Measured => ({
    kind: at,
    predictedWraps: 3,
    wraps: 3 + off,
    predictedCut: 0.6,
    cut: 0.6 + off / 50,
  })
  const learned = learn(
    summedUp([...Array.from({ length: 40 }, () => fitting(harp, 0.6)), fitting(zither, -0.2)]),
  )
  expect(learned.correctionsFor(harp).wraps.by).toBeGreaterThan(0.55)
  expect(learned.correctionsFor(zither).wraps.by).toBeLessThan(0.25)
  expect(learned.correctionsFor(zither).wraps.from).toEqual({ kind: 1, family: 1, workshop: 41 })
  expect(learned.kinds[0]).toBe(harp)
})

test('nothing fitted corrects nothing; a slip of the pen says nothing', () => {
  expect(learn(summedUp([])).correctionsFor(kind('lyre', 1))).toEqual(NO_CORRECTIONS)
  const slip: Measured = { kind: kind('lyre', 1), predictedWraps: 3, wraps: 30, predictedCut: 0.6, cut: 1.2 }
  expect(learn(summedUp([slip])).correctionsFor(slip.kind)).toEqual(NO_CORRECTIONS)
})
