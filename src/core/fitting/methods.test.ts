import { readShelf } from '@/data/demo/shelf-files'
import { positionAt } from '../instrument/instrument'
import { leadingNames } from '../instrument/names'
import { fromPreset } from '../instrument/presets'
import { readNotes } from '../instrument/read-notes'
import { semitonesWithin, stretchToPitch } from '../strings/stretch'
import { spanOf } from '../instrument/instrument'
import { DEFAULT_HABITS, WAYS, type HabitKey } from './habits'
import { METHODS } from './methods'

const questions = Object.values(METHODS).flat()
const lovage = readShelf('demo').instruments[0]!

test('every habit that is one of a few ways is asked once, and every way is explained', () => {
  expect(questions.map(({ key }) => key).sort()).toEqual((Object.keys(WAYS) as HabitKey[]).sort())
  for (const { key, ways, question, changes } of questions) {
    expect(Object.keys(ways).sort()).toEqual([...WAYS[key]].sort())
    for (const says of Object.values(ways)) expect(says).toMatch(/^[A-Z].*\.$/)
    expect(question).not.toMatch(/\.$/)
    expect(changes).toMatch(/\.$/)
  }
})

test('every default is one of its ways', () => {
  for (const key of Object.keys(WAYS) as HabitKey[]) expect(WAYS[key]).toContain(DEFAULT_HABITS[key])
})

test('the name that leads is the house’s, and the others stand beside it', () => {
  const position = { ...positionAt(lovage, 22), makerLabel: 'M 22' }
  expect(leadingNames(position)).toEqual({ name: '3rd-octave G', beside: 'G4 (scientific)' })
  expect(leadingNames(position, 'its number')).toEqual({
    name: 'string 22',
    beside: '3rd-octave G, G4 (scientific)',
  })
  expect(leadingNames(position, 'the maker’s').name).toBe('maker’s M 22')
  expect(leadingNames({ ...position, makerLabel: null }, 'the maker’s').name).toBe('3rd-octave G')
})

test('a new pedal harp has gut to the top where the house would have it so', () => {
  const about = {
    slug: 'new',
    name: 'New',
    family: 'pedal harp',
    maker: '',
    model: '',
    owner: '',
    tensionClass: 'concert',
    restTuning: 'C-flat major',
    referenceA: 440,
  } as const
  const top = (habit: 'as charted' | 'nylon' | 'gut') =>
    fromPreset({ about, notes: readNotes('C1 to G7'), measured: new Map() }, habit).positions[0]!.construction
  expect(top('as charted')).toMatchObject({ material: 'nylon 6.12' })
  expect(top('nylon')).toMatchObject({ material: 'nylon 6.12' })
  expect(top('gut')).toMatchObject({ material: 'gut' })
})

test('let out by a quarter of its stretch a linear string falls by 6 · log₂(4/3) semitones, by all of it it is slack', () => {
  const span = spanOf(lovage, positionAt(lovage, 22))
  const stretch = stretchToPitch(span)
  expect(semitonesWithin(span, stretch / 4)).toBeCloseTo(6 * Math.log2(4 / 3), 9)
  expect(semitonesWithin(span, stretch)).toBeNull()
})
