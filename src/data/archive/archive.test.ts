/** The archive: there and back exact, merged by its numbers, refused whole where a file of it can’t be. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { getTableName, type Table } from 'drizzle-orm'
import { eachOnDemo } from '../demo/each-on-demo'
import { aboutOf, changeAbout } from '../instruments/about-instrument'
import { allInstruments, instrumentBySlug } from '../instruments/instruments'
import { beginWorkshop } from '../workshop/settings'
import { keepPicture, picturesOf } from '../pictures/pictures'
import { openStore, type Store } from '../store/database'
import { journaled } from '../store/schema'
import { aJpeg } from '@/core/pictures/a-jpeg'
import { cellText, cellValue } from './cells'
import { ARCHIVED } from './columns'
import { lookAtArchive, takeArchive } from './take-archive'
import { archiveFiles, zippedArchive } from './write-archive'

let store: Store
eachOnDemo((opened) => {
  store = opened
})
const opened: Store[] = []
afterEach(() => opened.splice(0).forEach((one) => one.close()))
function emptyWorkshop(): Store {
  const made = openStore({ folder: mkdtempSync(path.join(tmpdir(), 'taut-archive-')), syncAtClose: true })
  opened.push(made)
  return made
}

function rows(of: Store): Readonly<Record<string, string>> {
  return Object.fromEntries(
    (Object.values(journaled) as Table[])
      .map(getTableName)
      .map((table) => [
        table,
        JSON.stringify(of.rows.$client.prepare(`SELECT * FROM "${table}" ORDER BY id`).all()),
      ]),
  )
}

/** The demo’s archive with one of its files changed. */
function changed(name: string, change: (text: string) => string): Uint8Array {
  const files = unzipSync(zippedArchive(store))
  return zipSync({ ...files, [name]: strToU8(change(strFromU8(files[name]!))) })
}

test('every journaled table is in it, each row after those that it points at', () => {
  expect(ARCHIVED.map(({ name }) => name).sort()).toEqual(
    (Object.values(journaled) as Table[]).map(getTableName).sort(),
  )
})

test('the demo moves into an empty house and is there row for row; undone, the house is empty again', () => {
  const zip = zippedArchive(store)
  const workshop = emptyWorkshop()
  const empty = rows(workshop)
  expect(lookAtArchive(workshop, zip).from).toBe('whole')
  expect(rows(workshop)).toEqual(empty)
  const { actionId } = takeArchive(workshop, zip)
  expect(rows(workshop)).toEqual(rows(store))
  const own = (of: Store) =>
    archiveFiles(of)
      .filter(({ name }) => !/house.json|history/.test(name))
      .map(({ name, pieces }) => [name, [...pieces()].join('')])
  expect(own(workshop)).toEqual(own(store))
  workshop.undo(actionId)
  expect(rows(workshop)).toEqual(empty)
})

test('its own house takes back what was lost and changed, says so first, and loses nothing since', () => {
  const zip = zippedArchive(store)
  const before = rows(store)
  const about = aboutOf(instrumentBySlug(store, 'lovage'))
  changeAbout(store, 'lovage', { ...about, notes: `${about.notes} Since then.` })
  store.act({ kind: 'test', summary: 'A date lost' }, () =>
    store.rows.$client.prepare('DELETE FROM occasion WHERE id = 1').run(),
  )
  store.act({ kind: 'test', summary: 'A supply since then' }, () =>
    store.rows.$client
      .prepare("INSERT INTO supply (kind, name, place, count, least) VALUES ('bead', 'Since', '', 1, 0)")
      .run(),
  )
  const taken = lookAtArchive(store, zip)
  expect(taken.from).toBe('own')
  expect(taken.tables.map(({ name, added, changed: differ }) => [name, added, differ])).toEqual([
    ['instrument', 0, 1],
    ['occasion', 1, 0],
  ])
  takeArchive(store, zip)
  const after = rows(store)
  expect(after.occasion).toBe(before.occasion)
  expect(after.instrument).toBe(before.instrument)
  expect(after.supply).toContain('Since')
  expect(lookAtArchive(store, zip).tables).toEqual([])
})

test('another house takes its instruments with what is known of them, and keeps one that it has by that name', () => {
  const workshop = emptyWorkshop()
  beginWorkshop(workshop, { name: 'Alder Yard', unit: 'mm', currency: 'EUR', timeZone: 'UTC' })
  const picture = aJpeg()
  keepPicture(store, {
    instrument: 'lovage',
    number: 5,
    jobId: null,
    kind: 'old knot',
    note: 'As found.',
    jpeg: picture,
  })
  const zip = zippedArchive(store)
  const all = allInstruments(store).length
  expect(takeArchive(workshop, zip).instruments).toHaveLength(all)
  expect(allInstruments(workshop).map(({ instrument }) => instrument)).toEqual(
    allInstruments(store).map(({ instrument }) => instrument),
  )
  const [there, here] = [store, workshop].map((one) => {
    const stored = instrumentBySlug(one, 'lovage')
    const [kept] = picturesOf(one, stored.id)
    return { notes: stored.notes, own: stored.ownHabits, kept: kept && { ...kept, id: 0, positionId: null } }
  })
  expect(here).toEqual(there)
  expect(here?.kept?.note).toBe('As found.')
  const again = takeArchive(workshop, zip)
  expect([again.instruments.length, again.here.length]).toEqual([0, all])
})

test.each<[string, () => Uint8Array, RegExp]>([
  ['no zip', () => strToU8('not a zip'), /no archive of a house/],
  ['another zip', () => zipSync({ 'a.txt': strToU8('a') }), /house.json is missing/],
  [
    'a newer version',
    () => changed('house.json', (t) => t.replace('"version": 1', '"version": 2')),
    /version 2/,
  ],
  [
    'a gauge of a kilometre',
    () => changed('tables/coil.csv', (t) => t.replace(/^(\d+,[^,]*,[^,]*),[\d.]+/m, '$1,1000000')),
    /tables\/coil.csv, line 2, gauge_mm \(mm\): expected/,
  ],
  [
    'a material that there is not',
    () => changed('tables/coil.csv', (t) => t.replace(/^(\d+,[^,]*),[^,]*/m, '$1,constructor')),
    /expected one of/,
  ],
  [
    'a row that points nowhere',
    () => changed('tables/string_break.csv', (t) => t.replace(/^(\d+),\d+/m, '$1,99999')),
    /points at one that is not there/,
  ],
  [
    'a column that there is not',
    () => changed('tables/supply.csv', (t) => t.replace('least', 'fewest')),
    /no column “fewest”/,
  ],
  [
    'habits that there are not',
    () => changed('tables/instrument.csv', (t) => t.replace('{}', '"{""knot"":""toString""}"')),
    /Choose one of/,
  ],
  [
    'hardware that there is not',
    () => changed('tables/string_position.csv', (t) => t.replace(/,\[\]$/m, ',"[""toString""]"')),
    /no such list/,
  ],
  [
    'an instrument with its layers in a circle',
    () => changed('tables/covering.csv', (t) => t.replace(/^(\d+),(\d+),(\d+)$/m, '$1,$2,$3\n9001,$3,$2')),
    /run in a circle/,
  ],
])('%s is refused in a sentence, and nothing of it is written', (_, zip, sentence) => {
  const before = rows(store)
  const workshop = emptyWorkshop()
  const empty = rows(workshop)
  for (const here of [store, workshop]) {
    expect(() => lookAtArchive(here, zip())).toThrow(sentence)
    expect(() => takeArchive(here, zip())).toThrow(sentence)
  }
  expect(rows(store)).toEqual(before)
  expect(rows(workshop)).toEqual(empty)
})

test('text that a spreadsheet would carry out leaves quoted, and every text comes back as it was', () => {
  const column = { name: 'notes', heading: 'notes', kind: 'text', required: false } as const
  for (const text of ['=1+1', ' =1', '\u200B=1', '＝1', "'quoted", '', '-', 'plain', 'a\nb', '@x', '\t=1']) {
    const cell = cellText(text, column)
    expect(cell).not.toMatch(/^[\s\u200B]*[=+\-@＝]/)
    expect(cellValue(cell, column)).toBe(text)
  }
  expect(cellValue(cellText(null, column), column)).toBeNull()
})
