/** The open files of a shelf, spoiled one at a time. */
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { existsSync } from 'node:fs'
import { prepare } from './prepare'
import { readShelf } from './shelf-files'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-shelf-'))
const demo = path.join(root, 'demo')
beforeEach(() => {
  rmSync(demo, { recursive: true, force: true })
  cpSync('demo', demo, { recursive: true })
})
afterAll(() => rmSync(root, { recursive: true, force: true }))

const spoil = (name: string, change: (text: string) => string) => {
  const file = path.join(demo, name)
  writeFileSync(file, change(readFileSync(file, 'utf8')))
}

test('the shelf reads whole: largest instrument first, every coil with its gauge', () => {
  const { instruments, coils, history, occasions } = readShelf(demo)
  expect(instruments.map((i) => [i.name, i.positions.length])).toEqual([
    ['Lovage', 47],
    ['Sorrel', 36],
    ['Fennel', 31],
    ['Bryony', 26],
    ['Chervil', 22],
    ['Teasel', 16],
    ['Bistort', 12],
    ['Borage', 9],
    ['Yarrow', 7],
    ['Orris', 4],
  ])
  expect(coils.length).toBeGreaterThan(60)
  expect(coils.every((coil) => coil.gaugeMm > 0.2 && coil.lengthMm >= 300)).toBe(true)
  expect(history.filter((line) => line.do === 'break').length).toBeGreaterThan(25)
  expect(occasions).toHaveLength(2)
})

test.each([
  ['coils.csv', (text: string) => text.replace('gut,1.24', 'gut,-1.24'), 'coils.csv, row 1'],
  ['coils.csv', (text: string) => text.replace('gut,1.24', 'cheese,1.24'), 'coils.csv, row 1'],
  ['coils.csv', (text: string) => text.replace('gut,1.24', 'gut,thick'), 'got "thick"'],
  ['history.json', (text: string) => text.replace('"do": "new set"', '"do": "dance"'), 'history.json, row 1'],
  [
    'history.json',
    (text: string) => text.replace('"site": "bridge pin"', '"site": "the moon"'),
    'got "the moon"',
  ],
  ['occasions.json', (text: string) => text.replace('17:30', 'dusk'), 'occasions.json, row 1'],
  [
    'instruments/teasel.json',
    (text: string) => text.replace('"family": "lap zither"', '"family": "kettle"'),
    'at family',
  ],
])('a wrong %s names its row', (name, change, place) => {
  spoil(name, change)
  expect(() => readShelf(demo)).toThrow(place)
})

test('a shelf that can’t be read leaves no half of a database behind', () => {
  spoil('history.json', (text) => text.replace('"string": 22', '"string": 220'))
  const folder = path.join(root, 'data')
  expect(() => prepare(folder, demo, undefined)).toThrow('there is no string 220')
  expect(existsSync(path.join(folder, 'taut-pinset.sqlite'))).toBe(false)
  cpSync('demo', demo, { recursive: true })
  expect(prepare(folder, demo, undefined)).toEqual({ loaded: true })
  expect(existsSync(`${folder}.loading`)).toBe(false)
})
