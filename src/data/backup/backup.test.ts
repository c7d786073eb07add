/** Backups of a real house: taken while it is written, checked, kept by a rule, brought back, and a house looked through. */
import Database from 'better-sqlite3'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { sentenceOf } from '@/boundary/sentence-of'
import { DAY } from '@/core/units/time'
import { changeWorkshop, workshopSettings } from '../workshop/settings'
import { prepare } from '../demo/prepare'
import { openStore } from '../store/database'
import { WORKSHOP_FILE } from '../store/trouble'
import { backupFolder, backupName, backupsIn, checkCopy } from './backups'
import { examined } from './examined'
import { backupByName, lostBy, restore } from './restore'
import { copyWorkshop } from './copy-workshop'
import { takeBackup, takeDailyBackup } from './take-backup'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-backup-'))
const shelf = path.join(root, 'shelf')
beforeAll(() => prepare(shelf, 'demo', '2026-11-24T10:00'))
afterAll(() => rmSync(root, { recursive: true, force: true }))

let count = 0
function workshop(): string {
  const folder = path.join(root, String((count += 1)))
  mkdirSync(folder)
  writeFileSync(path.join(folder, WORKSHOP_FILE), readFileSync(path.join(shelf, WORKSHOP_FILE)))
  return folder
}
const nameOf = (folder: string) => {
  const store = openStore({ folder })
  const { name } = workshopSettings(store)
  store.close()
  return name
}
const at = Date.UTC(2026, 10, 27, 12)

test('taken while it is written, a backup has everything that was written until it was done', async () => {
  const folder = workshop()
  const store = openStore({ folder })
  const taking = takeBackup(store, 'by hand', at)
  changeWorkshop(store, { name: 'Meanwhile' })
  const name = await taking
  changeWorkshop(store, { name: 'Afterwards' })
  store.close()
  expect(backupsIn(backupFolder(folder))).toMatchObject([{ name, kind: 'by hand', at }])
  checkCopy(path.join(backupFolder(folder), name), null)
  expect(lostBy(folder, backupByName(folder, name))).toMatchObject({ actions: 1 })
  restore(folder, name, at + 1000)
  expect(nameOf(folder)).toBe('Meanwhile')
  // The restore is undone by what it kept.
  const [kept] = backupsIn(backupFolder(folder))
  expect(kept?.kind).toBe('before a restore')
  restore(folder, kept!.name, at + 2000)
  expect(nameOf(folder)).toBe('Afterwards')
})

test('the day’s backup is taken once a day, copied to the second place, and thinned out by the rule', async () => {
  const folder = workshop()
  process.env.TAUT_BACKUPS_ALSO = path.join(root, 'also')
  const store = openStore({ folder })
  expect(await takeDailyBackup(store, at)).not.toBeNull()
  expect(await takeDailyBackup(store, at + DAY / 2)).toBeNull()
  for (let day = 1; day <= 9; day += 1) expect(await takeDailyBackup(store, at + day * DAY)).not.toBeNull()
  store.close()
  delete process.env.TAUT_BACKUPS_ALSO
  const names = backupsIn(backupFolder(folder)).map(({ name }) => name)
  expect(names.length).toBeLessThan(10)
  expect(names.length).toBeGreaterThanOrEqual(7)
  expect(backupsIn(path.join(root, 'also')).map(({ name }) => name)).toEqual(names)
})

test('two taken at one moment are two, in the order in which they were taken; one of an older name is read', () => {
  const folder = workshop()
  const names = [copyWorkshop(folder, 'by hand', at), copyWorkshop(folder, 'by hand', at)]
  writeFileSync(path.join(backupFolder(folder), 'house-20261126T120000Z-daily.sqlite'), '')
  expect(backupsIn(backupFolder(folder)).map(({ name }) => name)).toEqual([
    ...names.reverse(),
    'house-20261126T120000Z-daily.sqlite',
  ])
})

test('a spoilt house comes back from its backup, and the spoilt file is put aside', () => {
  const folder = workshop()
  const name = copyWorkshop(folder, 'daily', at) as string
  writeFileSync(path.join(folder, WORKSHOP_FILE), 'no house '.repeat(1000))
  expect(() => openStore({ folder })).toThrow(/is no house, or is spoilt/)
  restore(folder, name, at)
  expect(nameOf(folder)).toBe('The Lantern Shelf')
  expect(existsSync(path.join(folder, `${WORKSHOP_FILE}.spoilt-20261127T120000Z`))).toBe(true)
})

test('a backup that is spoilt is not restored, and the house stays as it is', () => {
  const folder = workshop()
  const name = copyWorkshop(folder, 'daily', at) as string
  const file = path.join(backupFolder(folder), name)
  const bytes = readFileSync(file)
  writeFileSync(file, bytes.subarray(0, bytes.length / 2))
  const before = readFileSync(path.join(folder, WORKSHOP_FILE))
  expect(sentenceOf(() => restore(folder, name, at))).toMatch(/can’t be used/)
  expect(readFileSync(path.join(folder, WORKSHOP_FILE)).equals(before)).toBe(true)
  expect(sentenceOf(() => restore(folder, '../../etc/passwd', at))).toBe('There is no backup of that name.')
})

describe('a house is looked through', () => {
  const wrongIn = (folder: string) =>
    examined(folder).flatMap(({ what, isWrong }) => (isWrong && what !== 'disk' ? [what] : []))
  test('well', () => expect(wrongIn(workshop())).toEqual([]))
  test('with an index gone, a copy cut off, and a row that something else wrote', () => {
    const folder = workshop()
    const db = new Database(path.join(folder, WORKSHOP_FILE))
    db.exec("DROP INDEX restring_of; UPDATE coil SET label = 'by another hand' WHERE id = 3")
    db.close()
    mkdirSync(backupFolder(folder))
    writeFileSync(
      path.join(backupFolder(folder), `${backupName(backupFolder(folder), 'daily', at)}.part`),
      '',
    )
    expect(wrongIn(folder)).toEqual(['leftovers', 'indexes', 'history'])
    for (const { repair } of examined(folder)) repair?.()
    // What nobody can prove is left.
    expect(wrongIn(folder)).toEqual(['history'])
  })
})
