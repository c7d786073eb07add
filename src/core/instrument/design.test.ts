import { restFigures } from '../fitting/figures'
import { note, scaleDown } from '../pitch/note'
import type { TuningPin } from '../winding/pin'
import { designInstrument, type InstrumentDesign } from './design'
import { gaugeOf, samePiece } from './instrument'

const mm = 1e-3
const pin: Omit<TuningPin, 'toBridge'> = {
  setting: 'through the neck',
  turnedBy: 'key',
  diameter: 6 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: null,
  height: 12 * mm,
  heightDatum: 'string hole',
  holeToEnd: 4 * mm,
  bridgeHeight: 9 * mm,
}
const small: InstrumentDesign = {
  about: {
    slug: 'sprig',
    name: 'Sprig',
    family: 'lap harp',
    maker: 'Us',
    model: 'Trial',
    owner: 'Us',
    tensionClass: 'lever',
    restTuning: 'F major',
    referenceA: 440,
    lies: 'on the table',
  },
  notes: scaleDown(note('C', 6), note('C', 5)),
  stringsPerPiece: 1,
  lengths: [
    [1, 0.15],
    [8, 0.28],
  ],
  tensions: [
    [1, 50],
    [8, 60],
  ],
  sections: [
    {
      upTo: 8,
      make: { kind: 'plain', material: 'nylon 6.12', gauges: [0.6, 0.7, 0.8, 0.9, 1].map((g) => g * mm) },
      tail: 'overhand on a bead',
      head: 'plain becket',
    },
  ],
  coloured: true,
  mechanism: null,
  spacing: [
    [1, 12 * mm],
    [8, 14 * mm],
  ],
  pairGap: 0,
  lowerLine: [
    [1, 0.3],
    [8, 0],
  ],
  beyondBridge: [
    [1, 0.03],
    [8, 0.05],
  ],
  stagger: 0,
  belowSpeaking: 8 * mm,
  boardThickness: 4 * mm,
  eyeletBores: [
    [1, 2 * mm],
    [8, 2.4 * mm],
  ],
  postDiameter: null,
  pin,
  coverings: [],
}

test('a small harp: notes, colours and accidentals from its range and its rest tuning', () => {
  const { positions } = designInstrument(small)
  expect(positions.map((p) => p.note.letter).join('')).toBe('CBAGFEDC')
  expect(positions.map((p) => p.note.accidental)).toEqual([0, -1, 0, 0, 0, 0, 0, 0])
  expect(positions.map((p) => p.colour)).toEqual([
    'red',
    'natural',
    'natural',
    'natural',
    'black',
    'natural',
    'natural',
    'red',
  ])
})

test('lengths pass through what was given, geometry follows them', () => {
  const { positions } = designInstrument(small)
  expect(positions[0]?.speakingLength).toBeCloseTo(0.15, 9)
  expect(positions[7]?.speakingLength).toBeCloseTo(0.28, 9)
  for (const p of positions) {
    expect(p.at.bridge.y - p.at.tail.y).toBeCloseTo(p.speakingLength, 9)
    expect(p.freeLength).toBeCloseTo(small.belowSpeaking + p.speakingLength + p.head.pin.toBridge, 9)
  }
  expect(positions[0]!.at.tail.x).toBeGreaterThan(positions[7]!.at.tail.x)
})

test('gauges are ones on offer, never thinner than the shorter neighbour, and near the wanted tension', () => {
  const instrument = designInstrument(small)
  const offered = new Set([0.6, 0.7, 0.8, 0.9, 1])
  instrument.positions.forEach((p, i) => {
    expect(offered.has(Math.round(gaugeOf(p) * 10_000) / 10)).toBe(true)
    if (i > 0) expect(gaugeOf(p)).toBeGreaterThanOrEqual(gaugeOf(instrument.positions[i - 1]!))
    expect(restFigures(instrument, p).tension).toBeGreaterThan(35)
    expect(restFigures(instrument, p).tension).toBeLessThan(80)
  })
})

test('two strings to a piece share note, length and gauge and lie a pair’s gap apart', () => {
  const paired = designInstrument({ ...small, stringsPerPiece: 2, pairGap: 7 * mm, coloured: false })
  expect(paired.positions).toHaveLength(16)
  for (const p of paired.positions) {
    const [a, b] = samePiece(paired, p)
    expect([a?.note, a?.speakingLength, a?.construction]).toEqual([
      b?.note,
      b?.speakingLength,
      b?.construction,
    ])
    expect(a!.at.tail.x - b!.at.tail.x).toBeCloseTo(7 * mm, 9)
  }
})

test('a design that leaves strings without a section or a gauge is refused', () => {
  expect(() => designInstrument({ ...small, sections: [{ ...small.sections[0]!, upTo: 5 }] })).toThrow(
    'design of Sprig: expected a section that holds string 6.',
  )
  const nothing = {
    ...small.sections[0]!,
    make: { kind: 'plain' as const, material: 'gut' as const, gauges: [] },
  }
  expect(() => designInstrument({ ...small, sections: [nothing] })).toThrow(
    'expected a gauge on offer for piece 1',
  )
  expect(() => designInstrument({ ...small, about: { ...small.about, restTuning: 'Q major' } })).toThrow(
    'rest tuning: expected one of',
  )
})
