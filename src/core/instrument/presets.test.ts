/** New instruments from presets: every family stands, goes through what was measured, and says what is wrong. */
import { readShelf } from '@/data/demo/shelf-files'
import { chartLine } from '../chart/chart-line'
import { findings } from '../chart/findings'
import { FAMILIES, type Family } from './family'
import { PRESETS } from './preset-families'
import { fromPreset } from './presets'
import { scientificWord } from '../pitch/note'
import { readNotes } from './read-notes'
import { readLengths } from './read-lengths'

const make = (family: Family, notes = PRESETS[family].begins.notes, lengths = '') =>
  fromPreset({
    about: {
      slug: 'new',
      name: 'New',
      family,
      maker: '',
      model: '',
      owner: '',
      referenceA: 440,
      restTuning: PRESETS[family].begins.restTuning,
      tensionClass: PRESETS[family].begins.tensionClass,
    },
    notes: readNotes(notes),
    measured: readLengths(lengths, 'mm'),
  })

test.each(FAMILIES)(
  'a %s comes out of its preset with nothing wrong in its chart, and nothing near breaking',
  (family) => {
    const { positions } = make(family)
    const found = findings(positions.map(chartLine), 440)
    expect(found.filter(({ weight, kind }) => weight === 'wrong' || kind === 'near breaking')).toEqual([])
    expect(positions.every((p) => p.freeLength > p.speakingLength)).toBe(true)
  },
)

test('a long zither and a scroll-head come with what lies over what, as those on the shelf do', () => {
  const { instruments } = readShelf('demo')
  const on = (slug: string) => instruments.find((one) => one.slug === slug)!.coverings
  expect(make('long zither').coverings).toEqual(on('yarrow'))
  // Which pin comes first is each maker’s; that each but one has another over it is all scrolls’.
  expect(
    make('scroll-head zither')
      .coverings.map(({ under }) => under)
      .sort(),
  ).toEqual([1, 2, 3])
  expect(on('orris')).toHaveLength(3)
  expect(make('lever harp').coverings).toEqual([])
})

test.each(FAMILIES)('a %s of any range stands with nothing measured', (family) => {
  for (const notes of [
    'C2 to C4',
    'C3 to C4',
    'C4 to C5',
    'E2 to G6',
    'C1 to G7',
    'G3 to A4',
    'A2 to A3',
    'C5 to C7',
    'C3 to F3',
  ]) {
    const { positions } = make(family, notes)
    for (let i = 1; i < positions.length; i += 1)
      expect(positions[i]!.speakingLength).toBeGreaterThanOrEqual(positions[i - 1]!.speakingLength)
  }
})

test('measured lengths are gone through to the tenth of a millimetre, and the others follow them', () => {
  const { positions } = make('lever harp', 'C2 to C7', '1: 70 mm\n20: 41 cm; 36: 1200')
  expect([0, 19, 35].map((i) => positions[i]!.speakingLength)).toEqual([0.07, 0.41, 1.2])
  for (let i = 1; i < positions.length; i += 1)
    expect(positions[i]!.speakingLength).toBeGreaterThan(positions[i - 1]!.speakingLength)
})

test('notes that go up and down have lengths that run from short to long, and a melody string may be longer', () => {
  const { positions } = make('loop-end zither', 'A4 A4 D4 G3 C3 F4 F4 C4 E4')
  const lengths = positions.map(({ speakingLength }) => speakingLength)
  expect(lengths).toEqual([...lengths].sort((a, b) => a - b))
  const fretted = make(
    'loop-end zither',
    'A4 A4 D4 G3 C3 F4 F4 C4 E4',
    '1: 430\n5: 430\n6: 330\n9: 380',
  ).positions
  expect([1, 5, 6, 9].map((n) => Math.round(fretted[n - 1]!.speakingLength * 1000))).toEqual([
    430, 430, 330, 380,
  ])
  // Where notes only fall, the same is a slip of the tape.
  expect(() => make('loop-end zither', 'A4 G4 F4 E4 D4 C4', '1: 430\n3: 330')).toThrow(
    'would come out shorter',
  )
})

test('where one sharp or flat is written all are as written; bare letters alone follow the rest tuning', () => {
  const notes = (text: string) =>
    make('loop-end zither', text).positions.map(({ note }) => scientificWord(note))
  // It rests in D major, with F and C sharp.
  expect(notes('D5 C5 F4')).toEqual(['D5', 'C-sharp 5', 'F-sharp 4'])
  expect(notes('D5 C5 Bb4 F4')).toEqual(['D5', 'C5', 'B-flat 4', 'F4'])
})

test('one string is an instrument too', () => {
  expect(make('lyre', 'A4').positions).toHaveLength(1)
})

test.each([
  ['', 'Expected the notes'],
  ['X9', 'X9'],
  ['C-1 to C9 C9', '.'],
])('notes “%s” are answered with a sentence', (notes, sentence) =>
  expect(() => make('lyre', notes)).toThrow(sentence),
)

test.each([
  ['99: 200 mm', 'There is no string 99'],
  ['1: 9 km', '.'],
  ['one: 9', 'Expected a number and a length'],
  ['1: 400\n5: 100', 'would come out shorter'],
  ['3: 9000', 'can’t be right'],
])('lengths “%s” are answered with a sentence', (lengths, sentence) =>
  expect(() => make('lever harp', 'C2 to C7', lengths)).toThrow(sentence),
)
