/** Names as people say them: the list that was written before the reader was. */
import { readShelf } from '@/data/demo/shelf-files'
import type { Instrument } from '../instrument/instrument'
import { findOnShelf } from './find-on-shelf'
import { readName } from './read-name'
import list from './phrases.json'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument

/** A string as the list tells it: `A3`, `#12`. */
const told = (instrument: Instrument, number: number, as: string) => {
  const p = instrument.positions[number - 1]
  return as.startsWith('#') ? `#${p?.called.number}` : `${p?.note.letter}${p?.note.octave}`
}

function read(words: string, at: string): readonly { readonly slug: string; readonly number: number }[] {
  try {
    return at === ''
      ? findOnShelf(words, shelf)
      : readName(words, on(at)).map(({ number }) => ({ slug: at, number }))
  } catch (error) {
    expect(error).toBeInstanceOf(RangeError)
    return []
  }
}

const cases = (list.phrases as [string, string, string][]).map(([words, at, meant]) => {
  const wanted = meant.split(' ').filter((word) => word !== '')
  const expected =
    at === ''
      ? wanted.flatMap((word, i) => (i % 2 === 0 ? [`${word} ${wanted[i + 1]}`] : []))
      : wanted.map((word) => `${at} ${word}`)
  const as = wanted.at(-1) ?? ''
  const got = read(words, at).map(({ slug, number }) => `${slug} ${told(on(slug), number, as)}`)
  return {
    words,
    at,
    expected,
    got,
    right: JSON.stringify([...new Set(got)].sort()) === JSON.stringify([...expected].sort()),
  }
})

test('nineteen names in twenty are read as they are meant', () => {
  const wrong = cases.filter(({ right }) => !right)
  expect(cases.length).toBeGreaterThanOrEqual(150)
  expect({ wrong: wrong.slice(0, 30), share: 1 - wrong.length / cases.length >= 0.95 }).toEqual({
    wrong: expect.any(Array),
    share: true,
  })
})

test('nothing that is no name here is taken for one', () => {
  for (const { expected, got } of cases) if (expected.length === 0) expect(got).toEqual([])
})

test.each([
  ['H4', 'B4'],
  ['Es4', 'Eb4'],
  ['La3', 'A3'],
  ['do#5', 'C#5'],
])('“%s” is read as “%s” is', (foreign, english) => {
  expect(read(foreign, 'lovage')).toEqual(read(english, 'lovage'))
  expect(read('La3', 'lovage').length).toBeGreaterThan(0)
})
