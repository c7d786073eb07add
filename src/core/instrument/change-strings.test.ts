/** Strings added and taken away, and the rest tuning changed: numbers, pieces and layers stay whole. */
import { readShelf } from '@/data/demo/shelf-files'
import { scientificWord } from '../pitch/note'
import { REST_TUNINGS } from '../pitch/rest-tuning'
import { withoutString, withRestTuning, withString } from './change-strings'
import type { Instrument } from './instrument'
import { layersOver } from './layers'

const { instruments } = readShelf('demo')
const named = (slug: string) => instruments.find((one) => one.slug === slug)!

function expectWhole({ positions, coverings }: Instrument) {
  expect(positions.map(({ number }) => number)).toEqual(positions.map((_, i) => i + 1))
  const pieces = positions.map(({ piece }) => piece)
  expect([...new Set(pieces)]).toEqual(Array.from({ length: Math.max(...pieces) }, (_, i) => i + 1))
  for (const p of positions) expect(p.freeLength).toBeGreaterThan(p.speakingLength)
  for (const { over, under } of coverings)
    for (const number of [over, under]) expect(positions[number - 1]).toBeDefined()
}

test.each(instruments.map((one) => [one.name, one] as const))(
  'a string added anywhere to %s can be taken away again, and all is as it was',
  (_, instrument) => {
    for (const after of [0, 1, Math.floor(instrument.positions.length / 2), instrument.positions.length]) {
      const { instrument: more, was } = withString(instrument, after)
      expectWhole(more)
      const added = was.indexOf(null) + 1
      expect(added).toBeGreaterThan(after)
      const { instrument: back } = withoutString(more, added)
      expect(back).toEqual(instrument)
    }
  },
)

test('a string between two others has a length between theirs, one beyond the last is longer, each with its note', () => {
  const lovage = named('lovage')
  const last = lovage.positions.at(-1)!
  const [a, b] = [lovage.positions[9]!, lovage.positions[10]!]
  const between = withString(lovage, 10).instrument.positions[10]!
  expect(between.speakingLength).toBeGreaterThan(a.speakingLength)
  expect(between.speakingLength).toBeLessThan(b.speakingLength)
  const beyond = withString(lovage, last.number).instrument.positions.at(-1)!
  expect(beyond.speakingLength).toBeGreaterThan(last.speakingLength)
  expect(beyond.note.letter).not.toBe(last.note.letter)
})

test('where one wire is two strings, both come and go together', () => {
  const paired = instruments.find(({ positions }) => positions[0]?.piece === positions[1]?.piece)!
  const count = paired.positions.length
  expect(withString(paired, 3).instrument.positions).toHaveLength(count + 2)
  expect(withoutString(paired, 4).instrument.positions).toHaveLength(count - 2)
})

test('what lies over what follows the numbers', () => {
  const yarrow = named('yarrow')
  const { instrument } = withString(yarrow, 0)
  expect(instrument.coverings).toEqual(
    yarrow.coverings.map(({ over, under }) => ({ over: over + 1, under: under + 1 })),
  )
  for (const p of instrument.positions) expect(() => layersOver(instrument, p)).not.toThrow()
})

test('the last string can’t be taken away', () => {
  const one = { ...named('lovage'), positions: [named('lovage').positions[0]!], coverings: [] }
  expect(() => withoutString(one, 1)).toThrow('An instrument has one string at least.')
})

test('another rest tuning and back again leaves every note as it was', () => {
  for (const instrument of instruments)
    for (const tuning of REST_TUNINGS)
      expect(withRestTuning(withRestTuning(instrument, tuning), instrument.restTuning).positions).toEqual(
        instrument.positions,
      )
  const flat = withRestTuning(named('lovage'), 'C-flat major')
  expect(flat.positions.every(({ note }) => scientificWord(note).includes('flat'))).toBe(true)
})
