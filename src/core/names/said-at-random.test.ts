/** Names as people say them, made at random for strings of ten instruments and read back: right, or asked back; never another string. */
import { readShelf } from '@/data/demo/shelf-files'
import { harpOctave, harpOctaveOf, ordinal } from '../pitch/harp-octave'
import { seeded } from '../random/seeded'
import { coreMaterial, surfaceMaterial } from '../strings/construction'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { findOnShelf } from './find-on-shelf'

const shelf = readShelf('demo').instruments.slice(0, 10)
const PHRASES = 2000
const WORDS = ['zero', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth']

type Random = () => number
const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T

/** What a person says that a string is made of. */
function materialsOf({ construction }: StringPosition): readonly string[] {
  const [surface, core] = [surfaceMaterial(construction), coreMaterial(construction)]
  return [
    ...(surface.wire || core.wire ? ['wire'] : []),
    ...(surface.name.startsWith('nylon') ? ['nylon'] : []),
    ...(surface.name === 'gut' ? ['gut'] : []),
    ...(construction.kind === 'wound' ? ['wound'] : []),
  ]
}

/** Names of a string by its place and its role, whatever the instrument. */
function byPlace(p: StringPosition, { positions, countedFrom }: Instrument): readonly string[] {
  const n = positions.length
  const top = p.number
  const bottom = n + 1 - p.number
  return [
    `number ${p.called.number}`,
    `string ${p.called.number}`,
    `#${p.called.number}`,
    `the ${ordinal(top)} string from the top`,
    `${ordinal(bottom)} from the bottom`,
    ...(top === 1 ? ['the topmost string', 'highest string'] : []),
    ...(bottom === 1 ? ['lowest string', 'the longest one'] : []),
    ...(n % 2 === 1 && top === (n + 1) / 2 && countedFrom === 'top' ? ['the middle string'] : []),
    ...(p.called.role ? [`${p.called.role} string`, `the ${p.called.role}`] : []),
  ]
}

/** Names by letter and octave, as harp players say them. */
function byOctave(p: StringPosition, { positions }: Instrument): readonly string[] {
  const { letter } = p.note
  const same = positions.filter(({ note }) => note.letter === letter)
  const octave = Number(harpOctaveOf(p.note))
  const word = WORDS[octave] ?? ordinal(octave)
  const made = materialsOf(p)
  return [
    `${word} octave ${letter}`,
    `my ${word}-octave ${letter}`,
    `${letter}, ${word} octave`,
    `${harpOctave(octave)}th octave ${letter}`
      .replace('1th', '1st')
      .replace('2th', '2nd')
      .replace('3th', '3rd'),
    ...made.map((one) => `${word} octave ${one} ${letter} string`),
    ...made.map((one) => `${one} ${word} octave ${letter}`),
    ...(same.at(-1) === p ? [`low ${letter}`, `the lowest ${letter}`] : []),
    ...(same[0] === p ? [`high ${letter}`, `top ${letter}`] : []),
    `${WORDS[same.indexOf(p) + 1] ?? ordinal(same.indexOf(p) + 1)} ${letter} from the top`,
    `${letter}${p.note.octave} scientific`,
  ]
}

const called = (random: Random, { name, maker, model, family }: Instrument) =>
  pick(random, [name, name, model, `${maker} ${model}`, `my ${family}`])

function phrase(random: Random) {
  const instrument = pick(random, shelf)
  const p = pick(random, instrument.positions)
  const octaves = p.called.by === 'harp octave' && random() < 0.7
  const name = pick(random, octaves ? byOctave(p, instrument) : byPlace(p, instrument))
  const on = called(random, instrument)
  const text = pick(random, [
    `${name} of ${on}`,
    `${name} of the ${on.replace(/^my /, '')}`,
    `${on} ${name}`,
    `${on.replace(/^my /, '')}’s ${name}`,
  ])
  return { text, instrument, p }
}

test(`of ${PHRASES} names 98 in 100 and more are read right, and none for another string`, () => {
  const random = seeded(33_021)
  const wrong: string[] = []
  const asked: string[] = []
  for (let i = 0; i < PHRASES; i += 1) {
    const { text, instrument, p } = phrase(random)
    try {
      const readings = findOnShelf(text, shelf)
      const isRight = readings.some(
        ({ slug, number }) => slug === instrument.slug && instrument.positions[number - 1]?.piece === p.piece,
      )
      if (!isRight) wrong.push(`${text}: ${readings.map(({ slug, number }) => `${slug} ${number}`).join()}`)
    } catch (error) {
      expect(error).toBeInstanceOf(RangeError)
      asked.push(text)
    }
  }
  expect(wrong).toEqual([])
  expect(asked.slice(0, 20)).toHaveLength(Math.min(20, asked.length))
  expect({ share: asked.length / PHRASES <= 0.02, asked: asked.slice(0, 12) }).toMatchObject({ share: true })
})

test.each([
  ['my third-octave E', 'lovage', 3, 'E'],
  ['third octave nylon B string', 'sorrel', 3, 'B'],
  ['wire fifth octave F', 'lovage', 5, 'F'],
  ['zero octave G', 'lovage', 0, 'G'],
  ['low G', 'lovage', null, 'G'],
] as const)('“%s” on %s', (text, slug, octave, letter) => {
  const instrument = readShelf('demo').instruments.find((one) => one.slug === slug)!
  const same = instrument.positions.filter(({ note }) => note.letter === letter)
  const meant =
    octave === null ? same.at(-1)! : same.find(({ note }) => Number(harpOctaveOf(note)) === octave)
  let numbers: readonly number[] = []
  try {
    numbers = findOnShelf(text, [instrument]).map(({ number }) => number)
  } catch (error) {
    expect(error).toBeInstanceOf(RangeError)
  }
  const is =
    meant !== undefined &&
    !(text.includes('wire') && !materialsOf(meant).includes('wire')) &&
    !(text.includes('nylon') && !materialsOf(meant).includes('nylon'))
  expect(numbers).toEqual(is ? [meant.number] : [])
})

test('the outer and the inner melody string are the two that have that role', () => {
  const orris = readShelf('demo').instruments.find(({ slug }) => slug === 'orris')!
  const [outer, inner] = ['outer melody string', 'inner melody string'].map((text) =>
    findOnShelf(text, [orris]).map(({ number }) => orris.positions[number - 1]?.called.role),
  )
  expect([outer, inner]).toEqual([['first melody'], ['second melody']])
  expect(
    findOnShelf('the middle string', [orris]).map(({ number }) => orris.positions[number - 1]?.called.role),
  ).toEqual(['middle'])
})

test('an instrument is named by its maker and model too; one model shared by two is asked of both', () => {
  const two = shelf.slice(0, 2).map((one) => ({ ...one, model: 'Great Lantern' }))
  expect(new Set(findOnShelf('Great Lantern number 3', two).map(({ slug }) => slug)).size).toBe(2)
  expect(findOnShelf('first F of Chervil from the top', readShelf('demo').instruments)[0]?.slug).toBe(
    'chervil',
  )
})
