/** The open files of the shelf are what its design says, and what a harp maker would find plausible. */
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { restFigures } from '@/core/fitting/figures'
import { gaugeOf } from '@/core/instrument/instrument'
import { monotoneCurve } from '@/core/instrument/monotone-curve'
import { materialWord } from '@/core/strings/construction'
import { readShelf } from '@/data/demo/shelf-files'
import { fromInstrumentFile, toInstrumentFile } from '@/data/instruments/instrument-file'
import { shelfFiles } from './write'

const { instruments } = readShelf('demo')

test.each([...shelfFiles()])('demo/%s is as designed', (name, text) => {
  expect(readFileSync(path.join('demo', name), 'utf8')).toBe(text)
})

test('an instrument goes through its file and comes back the same', () => {
  for (const instrument of instruments)
    expect(fromInstrumentFile(JSON.parse(JSON.stringify(toInstrumentFile(instrument))))).toEqual(instrument)
})

test.each([
  [
    'a negative length',
    (p: Record<string, unknown>) => {
      p.speakingMm = -3
    },
    'positions.0.speakingMm',
  ],
  [
    'a gauge of 40 mm',
    (p: Record<string, unknown>) => {
      p.string = { material: 'gut', gaugeMm: 40 }
    },
    'positions.0.string.gaugeMm',
  ],
  [
    'an unknown note',
    (p: Record<string, unknown>) => {
      p.note = 'H4'
    },
    'positions.0.note',
  ],
])('a file with %s is refused, and the place is named', (_, spoil, place) => {
  const file = JSON.parse(JSON.stringify(toInstrumentFile(instruments[0]!))) as {
    positions: Record<string, unknown>[]
  }
  spoil(file.positions[0]!)
  expect(() => fromInstrumentFile(file)).toThrow(place)
  expect(() => fromInstrumentFile([])).toThrow('expected a JSON object')
})

test.each(instruments)(
  '$name: sections hold together, gauges grow, lengths fall, nothing is near breaking',
  (instrument) => {
    instrument.positions.forEach((p, i) => {
      const shorter = instrument.positions[i - 1]
      expect(restFigures(instrument, p).utilisation).toBeLessThan(0.6)
      expect(p.freeLength).toBeGreaterThan(p.speakingLength)
      if (!shorter) return
      expect(p.speakingLength).toBeGreaterThanOrEqual(shorter.speakingLength)
      if (materialWord(p.construction) === materialWord(shorter.construction))
        expect(gaugeOf(p)).toBeGreaterThanOrEqual(gaugeOf(shorter) - 1e-9)
      const [a, b] = [restFigures(instrument, p).tension, restFigures(instrument, shorter).tension]
      expect(Math.max(a, b) / Math.min(a, b)).toBeLessThan(1.25)
    })
    const sections = instrument.positions
      .map((p) => materialWord(p.construction))
      .filter((word, i, all) => word !== all[i - 1])
    expect(new Set(sections).size).toBe(sections.length)
  },
)

test('a monotone curve passes through its points and never turns between them', () => {
  const curve = monotoneCurve([
    [0, 0],
    [1, 5],
    [2, 5],
    [4, 9],
  ])
  expect([0, 1, 2, 4, 9].map(curve)).toEqual([0, 5, 5, 9, 9])
  const samples = Array.from({ length: 401 }, (_, i) => curve(i / 100))
  samples.slice(1).forEach((y, i) => expect(y).toBeGreaterThanOrEqual(samples[i]! - 1e-12))
  expect(() =>
    monotoneCurve([
      [1, 1],
      [1, 2],
    ]),
  ).toThrow('expected rising x')
})
