import { note, frequency } from '../pitch/note'
import { bankOfWraps, drawnPerTurn, pullLeftAtHole, turnsToTakeUp, type TuningPin } from '../winding/pin'
import { sidewaysPull, slackForWraps, wrapsFromSlack } from '../winding/slack'
import { massPerLength, outerGauge, type Construction } from './construction'
import { propertiesOf } from './materials'
import {
  stretchPerSemitone,
  stretchToBreaking,
  stretchToPitch,
  stretchWhileSettling,
  type Span,
} from './stretch'
import {
  breakingPitch,
  gaugeForTension,
  marginWord,
  semitonesToBreaking,
  tension,
  utilisation,
  workingStrength,
} from './tension'
import fc from 'fast-check'

const mm = 1e-3
const degrees = (stretch: number, pin: number, gauge: number) => turnsToTakeUp(stretch, pin, gauge) * 360

describe('gut G3, 0.655 m, 1.10 mm on a 7.2 mm pin', () => {
  const construction: Construction = { kind: 'plain', material: 'gut', gauge: 1.1 * mm }
  const span: Span = {
    construction,
    speakingLength: 0.655,
    freeLength: 0.745,
    pitch: frequency(note('G', 3)),
  }
  const [pin, gauge] = [7.2 * mm, 1.1 * mm]
  const stretch = stretchToPitch(span)

  test('tension and margin', () => {
    expect(span.pitch).toBeCloseTo(195.998, 3)
    expect(tension(construction, 0.655, span.pitch)).toBeCloseTo(81.445, 3)
    const u = utilisation(construction, 0.655, span.pitch)
    expect(u).toBeCloseTo(0.2521, 4)
    expect(breakingPitch(construction, 0.655)).toBeCloseTo(390.39, 2)
    expect(semitonesToBreaking(u)).toBeCloseTo(11.93, 2)
  })
  test('stretch and the key', () => {
    expect(stretch / mm).toBeCloseTo(11.609, 3)
    expect(drawnPerTurn(pin, gauge) / mm).toBeCloseTo(26.075, 3)
    expect(degrees(stretch, pin, gauge)).toBeCloseTo(160.3, 1)
    expect(degrees(stretchPerSemitone(span), pin, gauge)).toBeCloseTo(19.63, 2)
  })
  test('slack for three wraps', () => {
    const slack = slackForWraps(3, pin, gauge, stretch)
    expect(slack / mm).toBeCloseTo(66.62, 2)
    expect(sidewaysPull(0.745, slack) / mm).toBeCloseTo(161.0, 1)
  })
})

test('nylon 6.12 E6, 0.121 m, 0.64 mm on a 6.4 mm pin', () => {
  const construction: Construction = { kind: 'plain', material: 'nylon 6.12', gauge: 0.64 * mm }
  const span: Span = {
    construction,
    speakingLength: 0.121,
    freeLength: 0.175,
    pitch: frequency(note('E', 6)),
  }
  const stretch = stretchToPitch(span)
  expect(span.pitch).toBeCloseTo(1318.51, 2)
  expect(tension(construction, 0.121, span.pitch)).toBeCloseTo(35.045, 3)
  expect(utilisation(construction, 0.121, span.pitch)).toBeCloseTo(0.3113, 4)
  expect(stretch / mm).toBeCloseTo(4.522, 3)
  expect(degrees(stretch, 6.4 * mm, 0.64 * mm)).toBeCloseTo(73.6, 1)
  expect(degrees(stretchPerSemitone(span), 6.4 * mm, 0.64 * mm)).toBeCloseTo(6.45, 2)
  expect(slackForWraps(3.5, 6.4 * mm, 0.64 * mm, stretch) / mm).toBeCloseTo(72.89, 2)
})

test('steel D5, 0.287 m, 0.34 mm on a 5.0 mm pin', () => {
  const construction: Construction = { kind: 'plain', material: 'steel', gauge: 0.34 * mm }
  const span: Span = { construction, speakingLength: 0.287, freeLength: 0.34, pitch: frequency(note('D', 5)) }
  expect(tension(construction, 0.287, span.pitch)).toBeCloseTo(81.004, 3)
  expect(workingStrength(construction) / 1e6).toBeCloseTo(2585.4, 1)
  expect(utilisation(construction, 0.287, span.pitch)).toBeCloseTo(0.3451, 4)
  expect(stretchToPitch(span) / mm).toBeCloseTo(1.48, 3)
  expect(degrees(stretchToPitch(span), 5 * mm, 0.34 * mm)).toBeCloseTo(31.8, 1)
  expect(degrees(stretchPerSemitone(span), 5 * mm, 0.34 * mm)).toBeCloseTo(3.89, 2)
  expect(degrees(stretchToBreaking(span), 5 * mm, 0.34 * mm)).toBeCloseTo(60.3, 1)
})

test('copper on nylon, C2', () => {
  const construction: Construction = {
    kind: 'wound',
    core: { material: 'nylon 6.12', diameter: 0.85 * mm },
    bedding: null,
    wrap: { material: 'copper', diameter: 0.25 * mm },
  }
  expect(outerGauge(construction) / mm).toBeCloseTo(1.35, 6)
  expect(massPerLength(construction) * 1e3).toBeCloseTo(6.6868, 4)
  expect(tension(construction, 1.02, frequency(note('C', 2)))).toBeCloseTo(119.05, 2)
  expect(utilisation(construction, 1.02, frequency(note('C', 2)))).toBeCloseTo(0.5994, 4)
})

test('bronze on steel with silk bedding, A1', () => {
  const construction: Construction = {
    kind: 'wound',
    core: { material: 'steel', diameter: 0.4 * mm },
    bedding: { material: 'silk', thickness: 0.06 * mm },
    wrap: { material: 'phosphor bronze', diameter: 0.3 * mm },
  }
  expect(outerGauge(construction) / mm).toBeCloseTo(1.12, 6)
  expect(massPerLength(construction) * 1e3).toBeCloseTo(6.477, 4)
  expect(tension(construction, 1.4, frequency(note('A', 1)))).toBeCloseTo(153.61, 2)
  expect(utilisation(construction, 1.4, frequency(note('A', 1)))).toBeCloseTo(0.4841, 4)
})

test.each([
  [0.2, [0.5335, 0.2846, 0.081, 0.0231]],
  [0.3, [0.3897, 0.1518, 0.0231, 0.0035]],
])('hold at friction %d after a half, one, two and three wraps', (friction, shares) => {
  expect([0.5, 1, 2, 3].map((wraps) => Number(pullLeftAtHole(friction, wraps).toFixed(4)))).toEqual(shares)
})

test('settling winds on about a fifth more for gut and nearly half as much again for nylon in two weeks', () => {
  const span = (material: 'gut' | 'nylon 6.12'): Span => ({
    construction: { kind: 'plain', material, gauge: mm },
    speakingLength: 0.5,
    freeLength: 0.6,
    pitch: 220,
  })
  const share = (material: 'gut' | 'nylon 6.12', cents: number) =>
    stretchWhileSettling(span(material), cents) / stretchToPitch(span(material))
  const decades = Math.log10(336.05 / 0.3)
  expect(share('gut', 45 * decades)).toBeCloseTo(0.16, 2)
  expect(share('nylon 6.12', 110 * decades)).toBeCloseTo(0.39, 2)
})

describe('properties', () => {
  const metres = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })
  test('a gauge found for a tension gives that tension back', () => {
    fc.assert(
      fc.property(metres(10, 400), metres(0.05, 1.6), metres(30, 3000), (wanted, length, pitch) => {
        const gauge = gaugeForTension(propertiesOf('gut').density, wanted, length, pitch)
        expect(tension({ kind: 'plain', material: 'gut', gauge }, length, pitch) / wanted).toBeCloseTo(1, 9)
      }),
    )
  })
  test('more wraps ask for more slack, and slack gives its wraps back', () => {
    fc.assert(
      fc.property(
        metres(0.5, 6),
        metres(0.1, 2),
        metres(0.003, 0.009),
        metres(0.0002, 0.003),
        (wraps, more, pin, gauge) => {
          const slack = slackForWraps(wraps, pin, gauge, 0.002)
          expect(slackForWraps(wraps + more, pin, gauge, 0.002)).toBeGreaterThan(slack)
          if (slack > 0) expect(wrapsFromSlack(slack, pin, gauge, 0.002)).toBeCloseTo(wraps, 9)
        },
      ),
    )
  })
  test('the gauge of a plain string does not change how close it is to breaking', () => {
    fc.assert(
      fc.property(metres(0.0003, 0.003), metres(0.0003, 0.003), (a, b) => {
        const u = (gauge: number) => utilisation({ kind: 'plain', material: 'nylon 6.12', gauge }, 0.4, 440)
        expect(u(a)).toBeCloseTo(u(b), 12)
      }),
    )
  })
})

test.each([
  [0.59, 'easy'],
  [0.6, 'lively'],
  [0.75, 'short-lived'],
  [0.9, 'short-lived'],
  [0.91, 'refuse'],
])('a share of %d is %s', (u, word) => {
  expect(marginWord(u)).toBe(word)
})

test('the wraps that lead straight to the bridge pin leave no side angle', () => {
  const pin: TuningPin = {
    setting: 'through the neck',
    turnedBy: 'key',
    diameter: 7.2 * mm,
    gearRatio: 1,
    tightens: 'clockwise',
    threadPitch: null,
    height: 18 * mm,
    heightDatum: 'string hole',
    holeToEnd: 5 * mm,
    bridgeHeight: 14 * mm,
    toBridge: 60 * mm,
  }
  const bank = bankOfWraps(pin, 1 * mm, 4)
  expect(bank.straightestWraps).toBe(4)
  expect(bank.sideAngle).toBeCloseTo(0, 9)
  expect(bankOfWraps(pin, 1 * mm, 3).sideAngle).toBeGreaterThan(0)
  expect(bankOfWraps(pin, 1 * mm, 18).fits).toBe(false)
  expect(
    bankOfWraps({ ...pin, heightDatum: 'top of pin', height: 23 * mm }, 1 * mm, 4).exitHeight,
  ).toBeCloseTo(bank.exitHeight, 12)
})

test('a length that is not a length says so', () => {
  expect(() => tension({ kind: 'plain', material: 'gut', gauge: 0.001 }, -0.5, 440)).toThrow(
    'speaking length: expected a number greater than zero, got -0.5.',
  )
  expect(() => gaugeForTension(1300, Number.NaN, 0.5, 440)).toThrow(RangeError)
})
