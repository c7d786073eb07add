/** Temperaments, held against what makes each of them, and files of them. */
import { note } from '../pitch/note'
import { readScala, writeScala } from './scala'
import { EQUAL, offEqual, TEMPERAMENTS } from './temperament'

const PURE_FIFTH = 701.955
const PURE_THIRD = 386.3137
const interval = (cents: readonly number[], from: number, by: number) =>
  (((cents[(from + by) % 12]! - cents[from]!) % 1200) + 1200) % 1200

test('A keeps the reference in every temperament, and equal temperament is none', () => {
  for (const temperament of TEMPERAMENTS) expect(offEqual(temperament, note('A', 4))).toBeCloseTo(0, 9)
  expect(offEqual(EQUAL, note('C', 3, -1))).toBe(0)
})

test('fifths and thirds are as the name says', () => {
  const [, pure, mean, six, four, , just] = TEMPERAMENTS.map(({ cents }) => cents)
  const fifths = (cents: readonly number[]) => [...Array(12).keys()].map((from) => interval(cents, from, 7))
  const isPure = (fifth: number) => Math.abs(fifth - PURE_FIFTH) < 0.01
  expect(fifths(pure!).filter(isPure)).toHaveLength(11)
  expect(fifths(six!).filter(isPure)).toHaveLength(6)
  expect(fifths(four!).filter(isPure)).toHaveLength(8)
  for (const tonic of [0, 2, 4, 5, 7, 9, 10, 3]) expect(interval(mean!, tonic, 4)).toBeCloseTo(PURE_THIRD, 2)
  for (const tonic of [0, 5, 7]) expect(interval(just!, tonic, 4)).toBeCloseTo(PURE_THIRD, 2)
  // Twelve fifths come home in those that close.
  for (const { cents } of TEMPERAMENTS)
    expect(fifths(cents).reduce((sum, fifth) => sum + fifth, 0)).toBeCloseTo(8400, 6)
  // In C-flat major, C-flat sounds as B.
  expect(offEqual(TEMPERAMENTS[6]!, note('C', 4, -1))).toBeCloseTo(
    offEqual(TEMPERAMENTS[6]!, note('B', 3)),
    9,
  )
})

test('files read back as they were written', () => {
  for (const temperament of TEMPERAMENTS) {
    const again = readScala(writeScala(temperament))
    expect(again.name).toBe(temperament.name)
    again.cents.forEach((at, i) => expect(at).toBeCloseTo(temperament.cents[i]!, 5))
  }
  const ratios =
    '! a remark\nBy ratios\n12\n!\n' + '16/15 x\n9/8\n6/5\n5/4\n4/3\n45/32\n3/2\n8/5\n5/3\n9/5\n15/8\n2\n'
  expect(readScala(ratios.replaceAll('\n', '\r\n')).cents[4]).toBeCloseTo(PURE_THIRD, 3)
})

test.each([
  ['', 'This is no Scala file: its second line does not say how many notes there are.'],
  ['Seven\n 7\n 1/1', 'Strings are tuned to twelve notes in an octave; this file has 7.'],
  ['Short\n 12\n 100.0', 'The file says twelve notes, and then has 1.'],
  [
    `No octave\n 12\n${[...Array(12).keys()].map((i) => `${100 * i + 90}.0`).join('\n')}`,
    'Its last note is not the octave, 2/1: strings are tuned by octaves.',
  ],
  [`Words\n 12\n 100.0\n third`, 'Line 2 of its notes says “third”, which is neither cents nor a ratio.'],
  [`Nothing\n 12\n 5/0`, 'Line 1 of its notes says “5/0”, which is neither cents nor a ratio.'],
  [
    `Far\n 12\n 250.0\n${[...Array(10).keys()].map((i) => `${200 + 100 * i}.0`).join('\n')}\n2/1`,
    'Note 1 of it is 250.0 cents above C, too far from 100.',
  ],
  ['x'.repeat(20_001), 'A Scala file is a page of text; this one is longer.'],
])('a file that is none says why: %.12s', (text, sentence) => {
  expect(() => readScala(text)).toThrow(sentence)
})
