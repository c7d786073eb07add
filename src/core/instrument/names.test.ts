import { readShelf } from '@/data/demo/shelf-files'
import { harpOctaveOf, scientificOctaveOf, ordinal } from '../pitch/harp-octave'
import { frequency, letterStep, note, noteAtStep, scientificWord, semitoneNumber } from '../pitch/note'
import { parseNote } from '../pitch/parse-note'
import { restTuning } from '../pitch/rest-tuning'
import { positionAt, type Instrument } from './instrument'
import { leadingNames, shortestFNotice, stringNames } from './names'
import { readName } from '../names/read-name'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const numbers = (text: string, slug = 'lovage') => readName(text, on(slug)).map((r) => r.number)

describe('octaves', () => {
  test('the count from C1 to G7', () => {
    const octave = (name: string) => harpOctaveOf(parseNote(name))
    expect(
      [
        'G7',
        'F7',
        'E7',
        'F6',
        'E6',
        'F5',
        'E5',
        'F4',
        'E4',
        'C4',
        'F3',
        'E3',
        'F2',
        'E2',
        'F1',
        'E1',
        'C1',
      ].map(octave),
    ).toEqual([0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4, 5, 5, 6, 6, 7, 7])
  })
  test('only C4, D4 and E4 read alike in both systems', () => {
    const alike = shelf
      .flatMap((i) => i.positions)
      .filter((p) => Number(harpOctaveOf(p.note)) === Number(p.note.octave))
      .map((p) => `${p.note.letter}${p.note.octave}`)
    expect([...new Set(alike)].sort()).toEqual(['C4', 'D4', 'E4'])
  })
  test('harp octave, scientific pitch and number come back to each other on every instrument', () => {
    for (const instrument of shelf) {
      for (const { note: n, number } of instrument.positions) {
        expect(scientificOctaveOf(n.letter, harpOctaveOf(n))).toBe(n.octave)
        expect(noteAtStep(letterStep(n))).toMatchObject({ letter: n.letter, octave: n.octave })
        expect(parseNote(scientificWord(n))).toEqual(n)
        const served = instrument.positions
          .filter((p) => letterStep(p.note) === letterStep(n))
          .map((p) => p.number)
        const { name } = leadingNames(positionAt(instrument, number))
        // Players who call strings by number or role mean one string; a harpist's octave and letter can be two on one wire.
        expect(numbers(name, instrument.slug)).toEqual(
          instrument.calledBy === 'harp octave' ? served : [number],
        )
        expect(numbers(`${n.letter}${n.octave} scientific`, instrument.slug)).toEqual(served)
        expect(
          numbers(
            `${stringNames(instrument, positionAt(instrument, number)).fromBottom} from the bottom`,
            instrument.slug,
          ),
        ).toEqual([number])
      }
    }
  })
  test.each([
    ['C1', 'G7', 47],
    ['C2', 'C7', 36],
    ['E2', 'G6', 31],
    ['C3', 'C6', 22],
    ['G2', 'D6', 26],
    ['D4', 'D5', 8],
    ['C4', 'G5', 12],
    ['G3', 'A4', 9],
    ['A2', 'G3', 7],
    ['C3', 'F3', 4],
  ])('over the range %s to %s every name leads to its number and back', (bottom, top, count) => {
    const [low, high] = [letterStep(parseNote(bottom)), letterStep(parseNote(top))]
    expect(high - low + 1).toBe(count)
    for (let number = 1; number <= count; number += 1) {
      const n = noteAtStep(high + 1 - number)
      const octave = scientificOctaveOf(n.letter, harpOctaveOf(n))
      expect(high + 1 - letterStep({ letter: n.letter, octave })).toBe(number)
    }
  })
  test('a small harp from C3 to C6: octaves 2 to 5', () => {
    const octaves = ['C6', 'F5', 'E5', 'F4', 'E4', 'F3', 'E3', 'D3', 'C3'].map((name) =>
      harpOctaveOf(parseNote(name)),
    )
    expect(octaves).toEqual([2, 2, 3, 3, 4, 4, 5, 5, 5])
  })
  test('ordinals', () =>
    expect([0, 1, 2, 3, 4, 11, 12, 21].map(ordinal)).toEqual([
      '0th',
      '1st',
      '2nd',
      '3rd',
      '4th',
      '11th',
      '12th',
      '21st',
    ]))
})

describe('reading what is typed', () => {
  test.each([['4th-octave A'], ['4A'], ['fourth octave a'], ['4th a'], ['A 4 harp']])('%s is A3', (text) => {
    expect(numbers(text)).toEqual([28])
  })
  test('A3 can be two strings, and both are said', () => {
    expect(readName('A3', on('lovage'))).toEqual([
      { number: 28, means: 'A3 in scientific pitch, the 4th-octave A' },
      { number: 21, means: '3rd-octave A, counted from the treble' },
    ])
  })
  test('C4 is one string in both systems', () => expect(numbers('C4')).toEqual([26]))
  test('numbers, from either end', () => {
    expect(numbers('25')).toEqual([25])
    expect(numbers('no. 25')).toEqual([25])
    expect(numbers('#1')).toEqual([1])
    expect(numbers('1 from the bottom')).toEqual([47])
  })
  test('a sounding note finds the string that gives it at rest', () =>
    expect(numbers('G-flat 4')).toEqual([22]))
  test('a name that is no string here gives nothing; one in no scheme is refused', () => {
    expect(numbers('48')).toEqual([])
    expect(numbers('9A')).toEqual([])
    expect(numbers('C1', 'teasel')).toEqual([])
    expect(() => readName('J4', on('lovage'))).toThrow("“J4” is not a string's name.")
  })
  describe('a place told from another string', () => {
    test.each([
      ['top string', 1],
      ['the lowest string', 47],
      ['top red', 5],
      ['highest F', 2],
      ['bottom blue', 44],
      ['third C from the top', 19],
      ['second F below the top red', 16],
      ['first F above the lowest C', 44],
      ['2nd red from the bottom', 40],
      ['string below the top red', 6],
    ])('%s is number %d', (words, number) => expect(numbers(words)).toEqual([number]))

    test('one that is told from any string of a colour can be several, and all are said', () => {
      expect(numbers('two below a blue one')).toEqual([4, 11, 18, 25, 32, 39, 46])
      expect(readName('two below a blue one', on('lovage'))[0]).toEqual({
        number: 4,
        means: '2 below number 2, a blue or black one',
      })
      expect(numbers('3 strings above the C', 'fennel')).toEqual([2, 9, 16, 23])
    })
    test('past the end there is none; words that count nothing are no name', () => {
      expect(numbers('ninth C from the top')).toEqual([])
      expect(numbers('top red', 'teasel')).toEqual([])
      expect(() => readName('umpteenth F below the top red', on('lovage'))).toThrow("is not a string's name")
    })
  })
  test('a maker’s own label comes first', () => {
    const lovage = on('lovage')
    const labelled = {
      ...lovage,
      positions: lovage.positions.map((p) => (p.number === 3 ? { ...p, makerLabel: 'A3' } : p)),
    }
    expect(readName('a3', labelled)[0]).toEqual({ number: 3, means: "the maker's own label A3" })
  })
})

test('names on the plate', () => {
  const lovage = on('lovage')
  expect(stringNames(lovage, positionAt(lovage, 22))).toMatchObject({
    harpOctave: '3rd-octave G',
    scientific: 'G4',
    fromTop: 22,
    fromBottom: 26,
    sounding: 'G-flat 4',
    within: null,
  })
  expect(stringNames(on('teasel'), positionAt(on('teasel'), 2)).within).toBe(
    '2nd of the 2 strings of one wire',
  )
  expect(() => positionAt(lovage, 48)).toThrow('Lovage has strings 1 to 47; there is no string 48.')
})

test('the shortest-F rule is contradicted where the shortest F is not a first-octave one', () => {
  expect(shortestFNotice(on('fennel'))).toBeNull()
  expect(shortestFNotice(on('chervil'))).toContain('2nd-octave F')
  // Nobody says it of a pedal harp, nor of a zither.
  expect(shortestFNotice(on('lovage'))).toBeNull()
  expect(shortestFNotice(on('bistort'))).toBeNull()
})

test('pitch', () => {
  expect(frequency(note('G', 3))).toBeCloseTo(195.998, 3)
  expect(frequency(note('A', 4), 442)).toBe(442)
  expect(semitoneNumber(note('C', 4, -1))).toBe(semitoneNumber(note('B', 3)))
  expect(restTuning('E-flat major').accidentals).toMatchObject({ B: -1, E: -1, A: -1, D: 0 })
  expect(() => restTuning('H major')).toThrow('got “H major”.')
  expect(() => parseNote('X9')).toThrow('Expected a note such as “G4” or “C-flat 4”, got “X9”.')
  expect(() => note('A', 12)).toThrow(RangeError)
})
