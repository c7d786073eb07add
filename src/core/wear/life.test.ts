import fc from 'fast-check'
import { gammaBelow, gammaPoints, gammaQuantile, logGamma } from '../random/gamma'
import { chanceAllHold, howManyBreak, expectedBreaks } from './breaks-ahead'
import {
  ageing,
  chanceBand,
  chanceItBreaks,
  chanceOfNone,
  learnRates,
  BY_CONDITION,
  medianLife,
  paceByLoad,
} from './life'
import { LIFE_CLASSES, lifeClass, lifeFacts } from './life-class'

const rates = learnRates([])

describe('the gamma distribution', () => {
  it('has the values of the tables', () => {
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12)
    expect(logGamma(171)).toBeCloseTo(706.573062245787, 8)
    // For whole alpha: one less the first terms of a Poisson sum.
    for (const [alpha, x] of [
      [3, 0.2],
      [3, 2.9],
      [3, 9],
      [40, 35],
    ] as const) {
      let term = Math.exp(-x)
      let sum = 0
      for (let n = 0; n < alpha; n++, term *= x / n) sum += term
      expect(gammaBelow(alpha, x)).toBeCloseTo(1 - sum, 12)
    }
  })

  it('gives back the share that a quantile was asked for, and means of powers exactly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 900, noNaN: true }),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        (alpha, share) => {
          expect(gammaBelow(alpha, gammaQuantile(alpha, share))).toBeCloseTo(share, 9)
          const mean = gammaPoints(alpha, 12).reduce((sum, { at, weight }) => sum + weight * at ** 3, 0)
          expect(mean / (alpha * (alpha + 1) * (alpha + 2))).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

describe('how long strings last', () => {
  it('has the worked figures', () => {
    const rate = rates['gut middle']
    expect(chanceItBreaks(rate, ageing(rate.shape, [{ from: 2, to: 2.25, pace: 1 }]))).toBeCloseTo(0.1288, 4)
    expect(chanceItBreaks(rate, ageing(rate.shape, [{ from: 2, to: 2.25, pace: 1.5 }]))).toBeCloseTo(
      0.1849,
      4,
    )
  })

  it.each([
    ['gut treble', 1],
    ['gut middle', 2.5],
    ['gut bass', 4],
    ['nylon treble', 3],
    ['nylon other', 4],
    ['fluorocarbon', 4],
    ['silk', 1.5],
    ['wound on nylon or silk', 4],
    ['bass wire', 7],
    ['plain steel', 5],
    ['brass and bronze', 4],
  ] as const)('%s: half have broken by the age that is told', (of, years) => {
    expect(medianLife(rates[of])).toBeCloseTo(years, 1)
    expect(chanceOfNone(rates[of], medianLife(rates[of]) ** rates[of].shape)).toBeCloseTo(0.5, 9)
  })

  it('counts load by its fourth power, within bounds, and how the string looks', () => {
    const { usualUse } = lifeFacts('plain steel')
    expect(paceByLoad('plain steel', usualUse)).toBe(1)
    expect(paceByLoad('plain steel', usualUse * 1.2)).toBeCloseTo(1.2 ** 4, 12)
    expect(paceByLoad('plain steel', usualUse * 3)).toBe(4)
    expect(paceByLoad('plain steel', 0)).toBe(0.3)
    expect(BY_CONDITION).toEqual({ fresh: 0.7, sound: 1, worn: 1.5, fraying: 3 })
  })

  it('puts every string into one class', () => {
    const gut = (octave: number) =>
      lifeClass({ kind: 'plain', material: 'gut', gauge: 1e-3 }, { octave: octave as never })
    expect([6, 5, 4, 3, 2].map(gut)).toEqual([
      'gut treble',
      'gut treble',
      'gut middle',
      'gut middle',
      'gut bass',
    ])
    const wound = (material: 'steel' | 'gut') =>
      lifeClass(
        {
          kind: 'wound',
          core: { material, diameter: 4e-4 },
          bedding: null,
          wrap: { material: 'copper', diameter: 2e-4 },
        },
        { octave: 1 as never },
      )
    expect([wound('steel'), wound('gut')]).toEqual(['bass wire', 'wound on nylon or silk'])
  })

  it('learns from what broke and from what did not', () => {
    const aged = [{ from: 0, to: 3, pace: 1 }]
    const held = learnRates(
      Array.from({ length: 40 }, () => ({ lifeClass: 'silk', aged, broke: false }) as const),
    )
    const broke = learnRates(
      Array.from({ length: 40 }, () => ({ lifeClass: 'silk', aged, broke: true }) as const),
    )
    const within = (of: typeof held) =>
      chanceItBreaks(of.silk, ageing(of.silk.shape, [{ from: 1, to: 2, pace: 1 }]))
    expect(within(held)).toBeLessThan(0.05)
    expect(within(rates)).toBeGreaterThan(0.3)
    expect(within(broke)).toBeGreaterThan(within(held) * 5)
    expect(held['gut bass']).toEqual(rates['gut bass'])
    const [low, high] = chanceBand(broke.silk, 1)
    const [lowAtFirst, highAtFirst] = chanceBand(rates.silk, 1)
    expect(high - low).toBeLessThan(highAtFirst - lowAtFirst)
    expect(chanceItBreaks(broke.silk, 1)).toBeGreaterThan(low)
    expect(chanceItBreaks(broke.silk, 1)).toBeLessThan(high)
  })
})

describe('many strings at once', () => {
  const string = fc.record({
    lifeClass: fc.constantFrom(...LIFE_CLASSES.slice(0, 3)),
    ages: fc.double({ min: 0, max: 8, noNaN: true }),
  })

  it('counts what breaks as summing over every set of strings does', () => {
    fc.assert(
      fc.property(fc.array(string, { minLength: 1, maxLength: 7 }), (strings) => {
        // Chance that a set of them breaks and the others hold: by inclusion and exclusion of closed forms.
        const counts = new Array<number>(strings.length + 1).fill(0)
        for (let broken = 0; broken < 2 ** strings.length; broken++) {
          let chance = 0
          for (let part = broken; ; part = (part - 1) & broken) {
            const held = strings.filter((_, i) => !((broken >> i) & 1) || (part >> i) & 1)
            chance += (-1) ** bits(part) * chanceAllHold(rates, held)
            if (part === 0) break
          }
          counts[bits(broken)] = (counts[bits(broken)] as number) + chance
        }
        const told = howManyBreak(rates, strings)
        counts.forEach((chance, n) => expect(told[n]).toBeCloseTo(chance, 7))
        const mean = told.reduce((sum, chance, n) => sum + n * chance, 0)
        expect(mean).toBeCloseTo(expectedBreaks(rates, strings), 7)
      }),
      { numRuns: 60 },
    )
  })
})

function bits(of: number): number {
  return of === 0 ? 0 : (of & 1) + bits(of >> 1)
}
